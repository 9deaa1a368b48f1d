import type { Firmness } from '../../core/fill/firmness';
import type { KitchenThingKey } from '../../core/matter/kitchen-thing';
import type { FillingKind } from '../../core/matter/filling';
import type { UnitSystem } from '../../core/quantity/units';
import type { Ingredient } from '../../core/record/filling';
import { spoons, text } from './format';

/** What is in a larder, in words. */
export const THING_NAMES: Readonly<Record<KitchenThingKey, string>> = {
  water: 'Water',
  milk: 'Milk',
  cream: 'Cream',
  butter: 'Butter',
  coconutOil: 'Coconut oil',
  shortening: 'Shortening',
  egg: 'Egg',
  eggYolk: 'Egg yolk',
  eggWhite: 'Egg white',
  sugar: 'Sugar',
  icingSugar: 'Icing sugar',
  brownSugar: 'Brown sugar, packed',
  honey: 'Honey',
  cornSyrup: 'Corn syrup',
  cocoa: 'Cocoa powder',
  milkPowder: 'Milk powder',
  flour: 'Flour',
  cornStarch: 'Corn starch',
  oats: 'Oats',
  groundNuts: 'Ground nuts',
  peanutButter: 'Peanut butter',
  almondButter: 'Almond butter',
  hazelnutPaste: 'Hazelnut paste',
  sunflowerButter: 'Sunflower seed butter',
  jam: 'Jam',
  choppedChocolate: 'Chocolate, chopped',
  salt: 'Salt',
  vanilla: 'Vanilla extract',
  spice: 'Ground spice',
  espressoPowder: 'Espresso powder',
  marshmallow: 'Small marshmallows',
};

/** How a filling stands. */
export const FIRMNESS_TEXTS: Readonly<Record<Firmness, string>> = {
  runs: 'runs like a sauce',
  oozes: 'is soft and oozes when it is bitten or cut',
  pipes: 'holds its shape and pipes',
  firm: 'is firm, to be cut or rolled',
};

/** One way of making a filling, where schools differ, with its steps. */
export interface MakingSchool {
  readonly name: string;
  readonly steps: readonly string[];
}

/** How fillings are made at home, by kind, the schools side by side. Common practice, no source. */
const MAKING: Readonly<Partial<Record<FillingKind, readonly MakingSchool[]>>> = {
  ganache: [
    {
      name: 'poured over',
      steps: [
        'Chop the chocolate small. Pour hot cream over it, not boiling.',
        'Wait 1 min, then stir from the middle out.',
      ],
    },
    {
      name: 'rested in the pan',
      steps: ['Take hot cream off the heat, put the chocolate in, lid on.', 'Wait 5 min, then stir smooth.'],
    },
    { name: 'stirred at once', steps: ['Chocolate into the hot cream off the heat, stirred until none is left.'] },
  ],
  caramel: [
    {
      name: 'dry sugar',
      steps: [
        'Sugar alone in a pan of three times its volume, medium heat; stir lumps out until it is deep gold.',
        'Off the heat: hot cream and butter in a thin stream. Hot cream saves time and spatter.',
        'Boil to where it is wanted, blend smooth; white chocolate, if any, last.',
        'Let it stand overnight, up to 24 h at 18 to 22 °C, until it is right to pipe.',
      ],
    },
  ],
  custard: [
    {
      name: 'on the stove',
      steps: [
        'Heat milk and cream; whisk them slowly into yolks and sugar.',
        'Back on very low heat, stirring, to 82 to 84 °C, when it coats a spoon: above that it curdles.',
        'Strain, lay a film on its face, cool it fast, keep it in the cold.',
      ],
    },
    {
      name: 'whipped',
      steps: [
        'Cold cream with cocoa and icing sugar, or a soft ganache from the fridge: whipped fast for about 2 min, just before it is served.',
        'Gone slack, it is chilled and whipped again.',
      ],
    },
  ],
  nutButter: [
    {
      name: 'stirred warm',
      steps: [
        'Warm nut butter and coconut oil until they run together, stir icing sugar in.',
        'Icing sugar binds it: without, it is for the fridge and not for giving.',
      ],
    },
  ],
  fruit: [
    {
      name: 'cooked down',
      steps: [
        'Cook fruit and sugar until a drop on a cold plate stays apart; let it cool right down.',
        'Fresh fruit brings water with it: days, in the fridge. Say so on the tag.',
      ],
    },
    {
      name: 'dipped',
      steps: [
        'Dry it well, dip it, let it drip; 5 min in the fridge on paper. It takes about a third of its weight in chocolate.',
      ],
    },
    {
      name: 'from a tube',
      steps: ['A bought squeeze filling keeps as its packet says. Tap it flat before it is capped.'],
    },
  ],
  marshmallow: [
    {
      name: 'frozen first',
      steps: [
        'Freeze small marshmallows 10 min, so that they do not stick where they should not.',
        'Give it a recipe of one part, and its minutes are in the timetable.',
      ],
    },
    {
      name: 'toasted',
      steps: ['Under a grill of 245 °C, watched all the time, until brown: then they are a sticky layer.'],
    },
  ],
  sweets: [
    {
      name: 'crushed',
      steps: [
        'Canes and rock sugar: in a bag under a rolling pin, sieved free of dust.',
        'Give it a recipe of one part, and its minutes are in the timetable.',
      ],
    },
    {
      name: 'chocolate figures',
      steps: ['Inside what melts in a cup they melt unseen: set them on the outside.'],
    },
  ],
  crumbs: [
    {
      name: 'bound',
      steps: ['Crumbled fine; with buttercream or jam just until it holds. It brings moisture: days, in the fridge.'],
    },
  ],
};

/** The ways in which a kind of filling is made; none where it is bought as it is. */
export const makingOf = (kind: FillingKind): readonly MakingSchool[] => MAKING[kind] ?? [];

/** A volume in spoons and cups. */
export function spoonsText(m3: number): string {
  const { number, unit } = spoons(m3);
  return `${number} ${unit}`;
}

/** How much of an ingredient a recipe takes: "2 tbsp", "60 g", or its parts. */
export function measureText({ parts, measure }: Ingredient, system: UnitSystem): string {
  if (!measure) return String(parts);
  switch (measure.by) {
    case 'mass':
      return text(measure.kg, 'mass', system);
    case 'volume':
      return spoonsText(measure.m3);
    case 'count':
      return String(measure.count);
  }
}

/** From so much more on it is told that what goes in is more than what comes out: rounding apart. */
const MORE_GOES_IN = 1.001;

/** ", of 149 g before it boils down", where more goes into a filling than comes out. */
export function boilsDown(parts: readonly { readonly kg: number }[], kg: number, system: UnitSystem): string {
  const goesInKg = parts.reduce((sum, part) => sum + part.kg, 0);
  return goesInKg > kg * MORE_GOES_IN ? `, of ${text(goesInKg, 'mass', system)} before it boils down` : '';
}
