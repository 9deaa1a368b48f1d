import { wayOut, type WayOut } from '../../core/mold/way-out';
import type { PartDraft } from '../../core/plan/plan-types';
import type { Place } from '../../core/record/choices';
import { fillsLevel, isClamped } from '../../core/record/method';
import { PLACE_NAMES } from './names';

/** How a part comes out of its mold: common practice, no source. */
export interface TurningOut {
  /** What tells by touch or sight that it is ready, beside the minutes. */
  readonly ready: string;
  /** What the hands do, step by step. */
  readonly how: readonly string[];
  /** The same in a line; empty where it must not be tried. */
  readonly brief: string;
}

const WORDS_OUT: Readonly<Record<WayOut, TurningOut>> = {
  pushed: {
    ready: 'Its back feels cold and hard through the mold.',
    how: [
      'Ease the rim free all round.',
      'Push up from below where it is thickest, in the middle of the base; never pull at the rim.',
      'Keep the other hand over it, as small ones jump, and set it down on paper.',
    ],
    brief: 'ease the rim free, push up the base.',
  },
  large: {
    ready: 'Its back feels cold and hard through the mold.',
    how: [
      'Loosen the mold from the wall, a little at a time, all the way round.',
      'Turn it over onto paper and lift the mold away.',
      'Bend the mold outward, not the piece. There is no hurry.',
    ],
    brief: 'loosen the mold all round, turn it over onto paper, lift the mold away.',
  },
  flat: {
    ready: 'Cold and stiff, and hard all through.',
    how: [
      'Flex the mold along each side until air runs in behind.',
      'Turn it over on paper and roll the mold back off it.',
    ],
    brief: 'flex the mold along each side, turn it over, roll the mold off.',
  },
  tapped: {
    ready: 'Its edge stands off, and through a clear mold no dark patch is left.',
    how: [
      'Turn the mold over, close above paper.',
      'Tap its edge lightly on the table; a thin mold is twisted a little first.',
      'Small decorations want one firm tap.',
    ],
    brief: 'turn the mold over close above paper and tap its edge lightly.',
  },
  press: {
    ready: 'Hard at the rim, where it is seen all round the insert.',
    how: [
      'Cover off first, then peel out the insert, then go round the edge a piece at a time;',
      'or the outer mold off first, and the insert stretched out of it last.',
    ],
    brief: 'cover off, insert peeled out, then round the edge a piece at a time.',
  },
  liner: {
    ready: 'Its base comes away from the paper by itself.',
    how: ['Begin at a pleat of the rim and peel downward, turning the cup as you go.', 'The base comes last.'],
    brief: 'peel the paper from the rim downward, the base last.',
  },
  leaf: {
    ready: 'Stiff to its tip, and no longer shiny.',
    how: ['Lay it with the chocolate down.', 'Peel the film away from the chocolate, not the chocolate from the film.'],
    brief: 'lay it chocolate down and peel the film away.',
  },
  former: {
    ready: 'Hard to a light tap, and dull all over.',
    how: [
      'Snip it by the neck and let the air out slowly: it draws itself off the wall.',
      'Where it sticks and the wall would tear, cut a hole as wide as a hand with a serrated knife.',
      'Take out every scrap, and see that none is missing.',
    ],
    brief: 'let the air out slowly, take out every scrap.',
  },
  bottle: {
    ready: 'It runs no more when it is turned, and has stood for some hours.',
    how: [
      'Begin where a label or a ribbon will hide a scratch.',
      'Cut slowly with a sharp knife, away from the hand that holds.',
      'Lift the halves off and wipe marks away with kitchen paper.',
    ],
    brief: 'cut the bottle off slowly from a place that will be hidden, the knife away from your hand.',
  },
  tin: {
    ready: 'Firm where it was cut or scraped at the rim; soft there, it has to wait.',
    how: [
      'Cut the rim level, take the ring off, loosen the base.',
      'Put a plate on, turn both over, and do not lift it again.',
    ],
    brief: 'cut the rim level, open the tin, turn it over onto its plate.',
  },
  glass: {
    ready: 'Not to be had out of glass.',
    how: ['Glass is never cut or broken off food, however carefully.'],
    brief: '',
  },
};

/** So wide a hollow piece is called heavy and fragile, m. Working rule. */
const BULKY_M = 0.11;
/** Less than a kitchen scale tells is not worth a word, kg. */
const LEAST_FEET_KG = 0.0005;

/** How a part comes out of its mold. */
export const turningOut = (part: OutOfMold): TurningOut => WORDS_OUT[wayOut(part)];

/** What a way out is told by. */
export type OutOfMold = Pick<PartDraft, 'moldRecord' | 'coatsMade' | 'cavity' | 'part' | 'chocolates'>;

/** What to do where a part does not let go; a place that is cold already helps on. */
export function resistsText(place: Place): string {
  const where = place === 'room' ? 'in the fridge' : `more in the ${PLACE_NAMES[place]}`;
  return `It resists: 5 min ${where}. What is ready comes easily; nothing is pried out.`;
}

/** What is cut or broken off once it is set, and where it goes; empty where nothing stands over. */
export function trimmedText({ coat, coatsMade, moldRecord }: OutOfMold & Pick<PartDraft, 'coat'>): string {
  if (moldRecord.composition.kind === 'press' || coatsMade.some(({ method }) => isClamped(method)))
    return 'The flash round it snaps off once it is set: weigh it, it goes back to the pot.';
  const feet = coat.coats.some((one) => (one.feet?.value ?? 0) > LEAST_FEET_KG);
  return feet
    ? 'Feet and what stands over the rim are cut off with a small knife, away from the hand; they go back to the pot.'
    : '';
}

/** Where halves wait that are done before the mold has given all; empty where one round gives them. */
export const waitingText = (rounds: number): string =>
  rounds > 1
    ? 'What is done waits on paper in a cool, dry place, lightly covered, while the mold is used again; in the fridge only in a closed box.'
    : '';

/** How long people leave it, whatever is computed. Common practice, no source. */
export const OTHERS_LEAVE_IT =
  'By habit, others leave a coat 5 to 10 min in the fridge or about 5 in the freezer before the next, and a shell 10 min in the fridge, a large one 15 to 30 in the freezer, before it comes out. Beyond the latest, longer gains nothing.';

/** What the hands wear, and what they carry. */
export function touchedText({ chocolates, cavity, coatsMade }: OutOfMold): string {
  const kind = chocolates[chocolates.length - 1].kind;
  const prints =
    kind === 'compound' ? 'Coating stands the hand a little longer, but' : 'A bare finger prints it within seconds:';
  const gloves = `${prints} thin gloves keep the shine, clean ones between pieces.`;
  const hollow = !coatsMade.some(({ method }) => fillsLevel(method));
  return hollow && cavity.lengthM >= BULKY_M
    ? `${gloves} Large and hollow is heavy and fragile: with both hands, and turned only once it is hard.`
    : gloves;
}
