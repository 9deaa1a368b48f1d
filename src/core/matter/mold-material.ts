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
  /**
   * How far chocolate has to have shrunk for it to let go, counted as the working rules' `shrinksPerK` says; 0 for what bends or is peeled off.
   * Calibrated on practice.
   */
  readonly letsGoAt: number;
  /** Its floors lie on what it stands on; else it stands on a frame. */
  readonly lies: boolean;
  /** It is peeled off the piece, or stays on it; else the piece is pushed, flexed or tapped out. */
  readonly peeled: boolean;
}

/** Heat capacity of what a mold stands on, J/(m² K): silicone bends, so its whole sheet sits on a tray; the others are handled by themselves. */
export function trayHeat(material: MoldMaterial): number {
  return material === 'silicone' ? WORKING_RULES.trayHeatCapacity : 0;
}

/** Values from memory, within the usual data-sheet range. */
export const MOLD_MATTER: Readonly<Record<MoldMaterial, MoldMatter>> = {
  silicone: {
    conductivity: 0.2,
    density: 1150,
    specificHeat: 1300,
    usualWallM: 0.0025,
    rigid: false,
    letsGoAt: 0,
    lies: true,
    peeled: false,
  },
  polycarbonate: {
    conductivity: 0.2,
    density: 1200,
    specificHeat: 1250,
    usualWallM: 0.003,
    rigid: true,
    letsGoAt: 0.98,
    lies: false,
    peeled: false,
  },
  thinPlastic: {
    conductivity: 0.2,
    density: 1350,
    specificHeat: 1100,
    usualWallM: 0.0006,
    rigid: true,
    letsGoAt: 0.9,
    lies: true,
    peeled: false,
  },
  /** A liner is peeled off, however set it is. */
  paper: {
    conductivity: 0.08,
    density: 800,
    specificHeat: 1400,
    usualWallM: 0.0002,
    rigid: false,
    letsGoAt: 0,
    lies: true,
    peeled: true,
  },
  /** Found vessels: a bottle, a loose-bottom tin, a balloon or another film. */
  glass: {
    conductivity: 1,
    density: 2500,
    specificHeat: 800,
    usualWallM: 0.003,
    rigid: true,
    letsGoAt: 0.98,
    lies: false,
    peeled: false,
  },
  tin: {
    conductivity: 50,
    density: 7800,
    specificHeat: 460,
    usualWallM: 0.0004,
    rigid: true,
    letsGoAt: 0.98,
    lies: false,
    peeled: false,
  },
  film: {
    conductivity: 0.15,
    density: 930,
    specificHeat: 1900,
    usualWallM: 0.0002,
    rigid: false,
    letsGoAt: 0,
    lies: true,
    peeled: true,
  },
};
