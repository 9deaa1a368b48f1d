export const FILLING_KINDS = [
  'powder',
  'ganache',
  'caramel',
  'nutButter',
  'custard',
  'fruit',
  'wholeFruit',
  'crumbs',
  'marshmallow',
  'sweets',
  'surprise',
] as const;
export type FillingKind = (typeof FILLING_KINDS)[number];

/** How long what holds a filling keeps, in broad classes: as the chocolate itself, some weeks in a cool place, some days in the cold. */
export const KEEPING = ['dry', 'weeks', 'days'] as const;
export type Keeping = (typeof KEEPING)[number];

/** How many days what holds such a filling is at its best. Common practice, no source. */
export const KEEPS_DAYS: Readonly<Record<Keeping, number>> = { dry: 60, weeks: 14, days: 3 };

/** How a kind of filling takes up space and behaves, SI. Values from memory; packing of pieces cited below. */
export interface FillingMatter {
  /** Mass over the space taken in bulk, in a wide vessel, kg/m³. */
  readonly bulkDensity: number;
  /** Mass of one piece, kg, for fillings that can be counted. */
  readonly pieceKg?: number;
  /** Share of the space that pieces fill in a wide vessel. */
  readonly packed?: number;
  /** How much denser pieces lie that give when the next half is pressed on. Working rule. */
  readonly gives?: number;
  /** Common practice, no source. */
  readonly keeping: Keeping;
  /** Cooked or melted, so that it may go in too warm. */
  readonly warm?: true;
  /**
   * Made at home by a recipe: hands on, and standing until it is right to use, s. Stirred together, crumbled, crushed, washed and dried, toasted
   * or frozen first are made as well. A cooked caramel a day at 18 to 22 °C, marshmallows frozen for 10 min: common practice, no source; the
   * others working rules.
   */
  readonly made?: { readonly handsOnS: number; readonly standsS: number };
  /** Not to be eaten. */
  readonly inedible?: true;
}

/** Of what is filled in, J/(kg K): pastes, creams and sweets lie between 1600 and 2500. From memory. */
export const FILLING_SPECIFIC_HEAT = 2000;

/**
 * Whole fruit in bulk 600 (piece 1000, 6 g each), drink powder loose 550, ganache 1:1 1100, caramel 1300, nut butter 1080, custard 1050, fruit 1050, cake crumbs 350, small
 * marshmallows in bulk 210 (piece 350, 0.5 g each), sugar-coated lentils in bulk 880 (0.9 g each); kg/m³, from memory.
 * Packed: spheres at random 0.636 (Scott & Kilgour 1969), oblate sweets 0.685 (Donev et al. 2004); marshmallows 210 over 350.
 */
export const FILLING_MATTER: Readonly<Record<FillingKind, FillingMatter>> = {
  powder: { bulkDensity: 550, keeping: 'dry', made: { handsOnS: 300, standsS: 0 } },
  ganache: { bulkDensity: 1100, keeping: 'days', warm: true, made: { handsOnS: 600, standsS: 3600 } },
  caramel: { bulkDensity: 1300, keeping: 'weeks', warm: true, made: { handsOnS: 1800, standsS: 24 * 3600 } },
  nutButter: { bulkDensity: 1080, keeping: 'weeks', warm: true, made: { handsOnS: 600, standsS: 1800 } },
  custard: { bulkDensity: 1050, keeping: 'days', warm: true, made: { handsOnS: 1200, standsS: 2 * 3600 } },
  fruit: { bulkDensity: 1050, keeping: 'days', warm: true, made: { handsOnS: 1200, standsS: 2 * 3600 } },
  wholeFruit: {
    bulkDensity: 600,
    pieceKg: 0.006,
    packed: 0.6,
    keeping: 'days',
    made: { handsOnS: 600, standsS: 1800 },
  },
  crumbs: { bulkDensity: 350, keeping: 'days', made: { handsOnS: 600, standsS: 0 } },
  marshmallow: {
    bulkDensity: 210,
    pieceKg: 0.0005,
    packed: 0.6,
    gives: 1.05,
    keeping: 'dry',
    made: { handsOnS: 300, standsS: 600 },
  },
  sweets: { bulkDensity: 880, pieceKg: 0.0009, packed: 0.685, keeping: 'dry', made: { handsOnS: 300, standsS: 0 } },
  surprise: { bulkDensity: 500, pieceKg: 0.003, packed: 0.6, keeping: 'dry', inedible: true },
};
