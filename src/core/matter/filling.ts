export const FILLING_KINDS = ['powder', 'marshmallow', 'ganache', 'sweets'] as const;
export type FillingKind = (typeof FILLING_KINDS)[number];

/** How a kind of filling takes up space, SI. Values from memory; packing of single pieces cited below. */
export interface FillingMatter {
  /** Mass over the space taken in bulk, kg/m³. */
  readonly bulkDensity: number;
  /** Mass of one piece, kg, for fillings that can be counted. */
  readonly pieceKg?: number;
  /** Sets level when poured or tapped (powder, ganache), rather than as a pile of pieces. */
  readonly level: boolean;
}

/**
 * Drink powder loose 550, small marshmallows in bulk 210 (piece 350, 0.5 g each), ganache 1:1 1100,
 * sugar-coated lentils in bulk 880 (0.9 g each); kg/m³, from memory.
 */
export const FILLING_MATTER: Readonly<Record<FillingKind, FillingMatter>> = {
  powder: { bulkDensity: 550, level: true },
  marshmallow: { bulkDensity: 210, pieceKg: 0.0005, level: false },
  ganache: { bulkDensity: 1100, level: true },
  sweets: { bulkDensity: 880, pieceKg: 0.0009, level: false },
};
