export const MOLD_MATERIALS = ['silicone', 'polycarbonate'] as const;
export type MoldMaterial = (typeof MOLD_MATERIALS)[number];

/** Thermal properties of a mold's wall, SI, with its usual thickness. */
export interface MoldMatter {
  readonly conductivity: number;
  readonly density: number;
  readonly specificHeat: number;
  readonly usualWallM: number;
  /** A rigid mold lets go only when the chocolate has shrunk away from it. */
  readonly rigid: boolean;
}

/** Values from memory, within the usual data-sheet range. */
export const MOLD_MATTER: Readonly<Record<MoldMaterial, MoldMatter>> = {
  silicone: { conductivity: 0.2, density: 1150, specificHeat: 1300, usualWallM: 0.0025, rigid: false },
  polycarbonate: { conductivity: 0.2, density: 1200, specificHeat: 1250, usualWallM: 0.003, rigid: true },
};
