import { WORKING_RULES } from './working-rules';

export const MOLD_MATERIALS = ['silicone', 'polycarbonate', 'thinPlastic', 'paper', 'glass', 'tin', 'film'] as const;
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

/** Heat capacity of what a mold stands on, J/(m² K): silicone bends, so its whole sheet sits on a tray; the others are handled by themselves. */
export function trayHeat(material: MoldMaterial): number {
  return material === 'silicone' ? WORKING_RULES.trayHeatCapacity : 0;
}

/** Values from memory, within the usual data-sheet range. */
export const MOLD_MATTER: Readonly<Record<MoldMaterial, MoldMatter>> = {
  silicone: { conductivity: 0.2, density: 1150, specificHeat: 1300, usualWallM: 0.0025, rigid: false },
  polycarbonate: { conductivity: 0.2, density: 1200, specificHeat: 1250, usualWallM: 0.003, rigid: true },
  thinPlastic: { conductivity: 0.2, density: 1350, specificHeat: 1100, usualWallM: 0.0006, rigid: true },
  /** A liner is peeled off, however set it is. */
  paper: { conductivity: 0.08, density: 800, specificHeat: 1400, usualWallM: 0.0002, rigid: false },
  /** Found vessels: a bottle, a loose-bottom tin, a balloon or another film. */
  glass: { conductivity: 1, density: 2500, specificHeat: 800, usualWallM: 0.003, rigid: true },
  tin: { conductivity: 50, density: 7800, specificHeat: 460, usualWallM: 0.0004, rigid: true },
  film: { conductivity: 0.15, density: 930, specificHeat: 1900, usualWallM: 0.0002, rigid: false },
};
