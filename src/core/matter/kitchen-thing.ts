/** Fats by what of them is solid at a temperature. */
export type KitchenFat = 'oil' | 'butter' | 'coconut' | 'cocoa';

/** Something of the larder that a filling is mixed of, as a kitchen measures and weighs it. */
export interface KitchenThing {
  /** What a US cup of it weighs, g: spooned and level; packed, chopped or beaten as the name says. */
  readonly cupG: number;
  /** What one weighs, g, where it is counted: an egg without its shell, a stick of butter. */
  readonly eachG?: number;
  /** Of its weight: water, fat, and which fat that is. The rest is dry. */
  readonly water: number;
  readonly fat: number;
  readonly fatOf: KitchenFat;
  /** Dry matter that dissolves in water, of its weight: sugars. */
  readonly sugar: number;
}

const thing = (
  cupG: number,
  water: number,
  fat: number,
  sugar: number,
  fatOf: KitchenFat = 'oil',
  eachG?: number,
): KitchenThing => ({ cupG, water, fat, sugar, fatOf, ...(eachG === undefined ? {} : { eachG }) });

/** Household and composition tables, from memory; weights of a cup within 5 %, shares within a tenth of themselves. */
export const KITCHEN_MATTER = {
  water: thing(237, 1, 0, 0),
  milk: thing(244, 0.88, 0.035, 0.048, 'butter'),
  cream: thing(238, 0.59, 0.35, 0.03, 'butter'),
  butter: thing(227, 0.16, 0.82, 0, 'butter', 113),
  coconutOil: thing(218, 0, 1, 0, 'coconut'),
  shortening: thing(205, 0, 1, 0, 'coconut'),
  egg: thing(243, 0.76, 0.1, 0, 'oil', 50),
  eggYolk: thing(243, 0.5, 0.3, 0, 'oil', 18),
  eggWhite: thing(243, 0.88, 0, 0, 'oil', 33),
  sugar: thing(200, 0, 0, 1),
  icingSugar: thing(120, 0, 0, 0.97),
  brownSugar: thing(215, 0.02, 0, 0.97),
  honey: thing(340, 0.17, 0, 0.82),
  cornSyrup: thing(330, 0.23, 0, 0.77),
  cocoa: thing(85, 0.03, 0.2, 0.02, 'cocoa'),
  milkPowder: thing(120, 0.03, 0.01, 0.5),
  flour: thing(125, 0.12, 0.01, 0),
  cornStarch: thing(128, 0.1, 0, 0),
  oats: thing(90, 0.1, 0.07, 0),
  groundNuts: thing(96, 0.04, 0.52, 0.04),
  peanutButter: thing(258, 0.01, 0.5, 0.09),
  almondButter: thing(250, 0.02, 0.55, 0.06),
  hazelnutPaste: thing(256, 0.02, 0.6, 0.05),
  sunflowerButter: thing(256, 0.01, 0.52, 0.09),
  jam: thing(320, 0.33, 0, 0.62),
  choppedChocolate: thing(170, 0.01, 0.36, 0.4, 'cocoa'),
  salt: thing(290, 0, 0, 0),
  vanilla: thing(208, 0.55, 0, 0.12),
  spice: thing(100, 0.1, 0.05, 0),
  espressoPowder: thing(96, 0.03, 0, 0),
  marshmallow: thing(50, 0.17, 0, 0.78, 'oil', 0.5),
} as const satisfies Record<string, KitchenThing>;

export type KitchenThingKey = keyof typeof KITCHEN_MATTER;
export const KITCHEN_THINGS = Object.keys(KITCHEN_MATTER) as [KitchenThingKey, ...KitchenThingKey[]];

export const kitchenThing = (key: KitchenThingKey): KitchenThing => KITCHEN_MATTER[key];

/** US customary cup, m³ (NIST Handbook 44, appendix C). */
const CUP_M3 = 236.5882365e-6;

/** Mass of a level measure over its volume, kg/m³. */
export function kitchenDensity(key: KitchenThingKey): number {
  return kitchenThing(key).cupG / 1000 / CUP_M3;
}

/** Solid share of each fat at 5, 15, 20, 25, 30 and 35 °C. From memory, within a tenth; oils are liquid throughout. */
const SOLID_AT_C = [5, 15, 20, 25, 30, 35] as const;
const SOLID: Readonly<Record<KitchenFat, readonly number[]>> = {
  oil: [0, 0, 0, 0, 0, 0],
  butter: [0.55, 0.3, 0.18, 0.1, 0.05, 0],
  coconut: [0.9, 0.6, 0.35, 0, 0, 0],
  cocoa: [0.95, 0.9, 0.8, 0.7, 0.4, 0],
};

/** Solid share of a fat at a temperature, 0 to 1: straight between the entries of its table, and level beyond its ends. */
export function solidFat(fat: KitchenFat, celsius: number): number {
  const shares = SOLID[fat];
  const next = SOLID_AT_C.findIndex((at) => at > celsius);
  if (next === 0) return shares[0];
  if (next < 0) return shares[shares.length - 1];
  const [from, to] = [SOLID_AT_C[next - 1], SOLID_AT_C[next]];
  return shares[next - 1] + ((celsius - from) / (to - from)) * (shares[next] - shares[next - 1]);
}
