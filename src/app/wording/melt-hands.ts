import type { MeltInput } from '../../core/melt/melt';
import { inBowl } from '../../core/plan/melts';
import { schoolRow } from '../../core/record/school';

/** A melt as it is looked after by hand: common practice, no source. */
type Melted = Pick<MeltInput, 'way' | 'school' | 'kind' | 'totalKg'>;

interface MeltHand {
  readonly text: string;
  readonly when: (melt: Melted) => boolean;
}

/** From so much on, half is melted first, kg. Working rule. */
const MUCH_KG = 0.5;

const HANDS: readonly MeltHand[] = [
  {
    text: 'Chop bars small and even, so that all of it melts at once; buttons and wafers go in as they are.',
    when: ({ way }) => inBowl(way),
  },
  {
    text: 'It is much: put half in first, and the rest when that runs.',
    when: ({ way, totalKg }) => inBowl(way) && totalKg >= MUCH_KG,
  },
  {
    text: 'Double boiler: 5 cm of water or a quarter of the pot, the bowl wider than the pot and clear of the water, the lowest heat, a simmer at most.',
    when: ({ way }) => way === 'doubleBoiler',
  },
  {
    text: 'Last clots: 2 to 3 s more, then stirred out.',
    when: ({ way }) => way === 'microwave' || way === 'bag',
  },
  {
    text: 'In a bag: push lumps up from the tip, hold the end shut, press the air out of one that zips. Snip it last: wide for flooding, narrow for lines and blocks.',
    when: ({ way }) => way === 'bag',
  },
  {
    text: 'A filled bag stays soft with its tip on a warm pan, kitchen paper between.',
    when: ({ way }) => way === 'bag' || way === 'tube',
  },
  {
    text: 'Tubes: very hot water, about 80 °C and off the boil, 3 to 5 min, kneaded every 1 to 2 min. Water that boils scorches them.',
    when: ({ way }) => way === 'tube',
  },
  {
    text: 'By eye: it runs freely off the spoon, it is ready; lumps, one more short burst; stiff after heating, it was too hot.',
    when: () => true,
  },
  {
    text: 'A quarter held back, or some lumps of it, takes up heat that is too much. It does nothing for temper, which coating needs none of.',
    when: ({ kind }) => kind === 'compound',
  },
  {
    text: 'Scorched begins at the sides of the bowl: dry, dark, bitter. It is thrown away; the rest is moved to another bowl at once.',
    when: ({ way }) => inBowl(way),
  },
  {
    text: 'Seized is a stiff paste: water, a colour in water, or heat got in. A little fat or hot cream stirred in saves it for drinks or ganache, never for molding.',
    when: () => true,
  },
  {
    text: 'Flavour with oils alone, by the drop and weighed; espresso powder goes into a drizzle.',
    when: () => true,
  },
  {
    text: 'Keep it wrapped or over warm water between coats, and stir it: what sets at the rim goes back in.',
    when: ({ way, school }) => inBowl(way) && schoolRow(school).seed !== 'none',
  },
];

/** What the hands and the eyes look after while a melt is made, in the order of the work. */
export function meltHands(melt: Melted): readonly string[] {
  return HANDS.filter(({ when }) => when(melt)).map(({ text }) => text);
}
