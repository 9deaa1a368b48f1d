export const BOWL_MATERIALS = ['plastic', 'glass', 'ceramic', 'steel', 'silicone'] as const;
export type BowlMaterial = (typeof BOWL_MATERIALS)[number];

/** Thermal properties of a bowl, SI. Handbook values, from memory. */
export interface BowlMatter {
  readonly specificHeat: number;
  readonly conductivity: number;
  readonly density: number;
  /** Whether it may stand in a microwave. */
  readonly microwave: boolean;
}

export const BOWL_MATTER: Readonly<Record<BowlMaterial, BowlMatter>> = {
  plastic: { specificHeat: 1800, conductivity: 0.2, density: 920, microwave: true },
  glass: { specificHeat: 830, conductivity: 1, density: 2230, microwave: true },
  ceramic: { specificHeat: 900, conductivity: 1.5, density: 2300, microwave: true },
  steel: { specificHeat: 500, conductivity: 16, density: 7900, microwave: false },
  silicone: { specificHeat: 1300, conductivity: 0.2, density: 1150, microwave: true },
};
