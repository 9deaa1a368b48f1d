import { SHAPE_NAMES } from './shapes';
import type { FluidityClass, ChocolateKind } from '../../core/matter/chocolate';
import type { FillingKind } from '../../core/matter/filling';
import type { MoldMaterial } from '../../core/matter/mold-material';
import type { BowlMaterial } from '../../core/matter/bowl-material';
import { THINNER_GOODS } from '../../core/record/choices';
import type {
  Allergen,
  Jacket,
  MeltingWay,
  PartRole,
  Place,
  TestResult,
  TestWay,
  Thinner,
  WayUp,
} from '../../core/record/choices';
import type { School } from '../../core/record/school';
import type { Method } from '../../core/record/method';

/** What every choice is called on screen. */
export const METHOD_NAMES: Readonly<Record<Method, string>> = {
  spoon: 'spoon and swirl',
  brush: 'brush',
  dump: 'fill and dump',
  chillDump: 'chill, then dump',
  turn: 'tilt and turn',
  spreadUp: 'spread up the liner',
  paint: 'paint',
  solid: 'solid fill',
  clamp: 'two halves, clamped',
};
/** What is put into the dry mold first, and what to mind with it. */
export const WAY_UP_NAMES: Readonly<Record<WayUp, string>> = { upright: 'upright', upsideDown: 'upside down' };
export const PLACE_NAMES: Readonly<Record<Place, string>> = { fridge: 'fridge', freezer: 'freezer', room: 'room' };
export const KIND_NAMES: Readonly<Record<ChocolateKind, string>> = {
  dark: 'dark',
  milk: 'milk',
  white: 'white',
  compound: 'compound coating',
};
export const FLUIDITY_NAMES: Readonly<Record<FluidityClass, string>> = {
  veryThick: 'very thick',
  thick: 'thick',
  medium: 'medium',
  fluid: 'fluid',
  veryFluid: 'very fluid',
};
export const MATERIAL_NAMES: Readonly<Record<MoldMaterial, string>> = {
  silicone: 'silicone',
  polycarbonate: 'polycarbonate',
  thinPlastic: 'thin plastic',
  paper: 'paper',
  glass: 'glass vessel',
  tin: 'tin',
  film: 'balloon or film',
};
/** What a mold of a material is good for: price, shine, and how it lets go. Common practice, no source. */
export const MATERIAL_SUITS: Readonly<Record<MoldMaterial, string>> = {
  silicone: 'Cheap and forgiving: pushed or peeled off, satin rather than shiny, also for undercuts.',
  polycarbonate: 'Dear and lasting: a mirror shine; lets go by itself when the chocolate shrinks, never by force.',
  thinPlastic: 'Cheap: shines while it has no scratch, twisted a little to let go; wears out.',
  paper: 'For one use: peeled off, or served with.',
  glass: 'Never cut or broken off food: only where the piece comes out whole.',
  tin: 'Opened and cut off: mind its edges.',
  film: 'For one use: popped or peeled off; count every scrap.',
};
export const FILLING_NAMES: Readonly<Record<FillingKind, string>> = {
  powder: 'powder',
  ganache: 'ganache',
  caramel: 'caramel',
  nutButter: 'nut butter',
  custard: 'custard',
  wholeFruit: 'whole fruit',
  fruit: 'fruit',
  crumbs: 'cake crumbs',
  marshmallow: 'marshmallows',
  sweets: 'sweets',
  surprise: 'surprises',
};
export const WHERE_NAMES = { all: 'all over', sides: 'sides', rim: 'rim', thin: 'thin spots' } as const;
export const ALLERGEN_NAMES: Readonly<Record<Allergen, string>> = {
  milk: 'milk',
  soy: 'soy',
  nuts: 'nuts',
  peanuts: 'peanuts',
  wheat: 'wheat',
  egg: 'egg',
  sesame: 'sesame',
  gelatine: 'gelatine',
};
export const ROLE_NAMES: Readonly<Record<PartRole, string>> = {
  shell: 'shell',
  lid: 'lid',
  base: 'base',
  ornament: 'ornament',
};

export const WAY_NAMES: Readonly<Record<MeltingWay, string>> = {
  microwave: 'microwave',
  doubleBoiler: 'double boiler',
  bag: 'in the piping bag',
  tube: 'tubes in hot water',
};
/** What a melt lies in; several of them where it does not go in at once. */
export const VESSEL_NAMES: Readonly<Record<MeltingWay, string>> = {
  microwave: 'bowlful',
  doubleBoiler: 'bowlful',
  bag: 'bag',
  tube: 'tube',
};
export const SCHOOL_NAMES: Readonly<Record<School, string>> = {
  seeding: 'seeding',
  seedingByKind: 'seeding, by kind',
  keepTemper: 'gently, until lumps are left',
  keptCold: 'melted only, kept cold',
  threeQuarters: 'three quarters and a quarter',
  holdBelow: 'hold below the classic figure',
  meltOnly: 'melt only',
};
export const JACKET_NAMES: Readonly<Record<Jacket, string>> = {
  none: 'in the open',
  mitt: 'in a mitt',
  warmWater: 'warm bath',
};
export const BOWL_NAMES: Readonly<Record<BowlMaterial, string>> = {
  plastic: 'plastic',
  glass: 'glass',
  ceramic: 'ceramic',
  steel: 'steel',
  silicone: 'silicone',
};
export const THINNER_NAMES: Readonly<Record<Thinner, string>> = {
  cocoaButter: THINNER_GOODS.cocoaButter.toLowerCase(),
  shortening: THINNER_GOODS.shortening.toLowerCase(),
  coconutOil: THINNER_GOODS.coconutOil.toLowerCase(),
};
export const TEST_WAY_NAMES: Readonly<Record<TestWay, string>> = {
  paper: 'on paper in the room',
  freezer: 'in the freezer',
};
export const TEST_RESULT_NAMES: Readonly<Record<TestResult, string>> = {
  firm: 'matt, firm, snaps',
  soft: 'soft or bendy',
  streaked: 'streaked or grainy',
};

const CHOICE_NAMES: Readonly<Record<string, string>> = {
  ...METHOD_NAMES,
  ...WAY_UP_NAMES,
  ...PLACE_NAMES,
  ...KIND_NAMES,
  ...FLUIDITY_NAMES,
  ...MATERIAL_NAMES,
  ...FILLING_NAMES,
  ...SCHOOL_NAMES,
  ...JACKET_NAMES,
  ...WHERE_NAMES,
  ...SHAPE_NAMES,
};

/** The name of any choice that appears as an input of a figure; a name the user gave stays as it is. */
export function choiceName(key: string): string {
  return CHOICE_NAMES[key] ?? key;
}

/** "a, b and c". */
export function listed(items: readonly string[]): string {
  return items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;
}

/** Measures of a kitchen. */
export const KITCHEN_NAMES = {
  roomC: 'room temperature',
  humidity: 'humidity',
  fridgeC: 'fridge temperature',
  freezerC: 'freezer temperature',
  fridgeFan: 'air in the fridge',
  freezerFan: 'air in the freezer',
  microwaveW: 'microwave',
} as const;
