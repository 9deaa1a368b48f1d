/** Kelvin at 0 °C. */
const ZERO_C = 273.15;
const STEFAN_BOLTZMANN = 5.67e-8;
const GRAVITY = 9.81;
/** Emissivity of plastics, silicone, paper and chocolate alike. From memory of handbook tables. */
const EMISSIVITY = 0.9;
const PRANDTL = 0.71;

/** Conductivity, W/(m K), kinematic viscosity and diffusivity, m²/s, of air at a temperature: powers of it through handbook values at 300 K (from memory). */
function air(celsius: number) {
  const over = (celsius + ZERO_C) / 300;
  const viscosity = 1.589e-5 * over ** 1.78;
  return { conductivity: 0.0263 * over ** 0.85, viscosity, diffusivity: viscosity / PRANDTL };
}

/**
 * Heat transfer by natural convection between an upright face and still air, W/(m² K).
 * Churchill and Chu (1975), the correlation for all Rayleigh numbers; air taken at the mean of both temperatures.
 * @param heightM of the face, m
 */
export function convectionH(surfaceC: number, airC: number, heightM: number): number {
  const meanC = (surfaceC + airC) / 2;
  const { conductivity, viscosity, diffusivity } = air(meanC);
  const rayleigh = (GRAVITY * Math.abs(surfaceC - airC) * heightM ** 3) / ((meanC + ZERO_C) * viscosity * diffusivity);
  const nusselt = (0.825 + (0.387 * rayleigh ** (1 / 6)) / (1 + (0.492 / PRANDTL) ** (9 / 16)) ** (8 / 27)) ** 2;
  return (nusselt * conductivity) / heightM;
}

/** Heat exchanged by radiation with walls as cold as the air, W/(m² K): Stefan and Boltzmann. */
export function radiationH(surfaceC: number, airC: number): number {
  const [a, b] = [surfaceC + ZERO_C, airC + ZERO_C];
  return EMISSIVITY * STEFAN_BOLTZMANN * (a * a + b * b) * (a + b);
}

/** A mold is about so high, m. */
const MOLD_M = 0.06;
const COLDEST_C = -40;
const WARMEST_C = 80;

const MOST_KEPT = 64;
const kept = new Map<number, StillAir>();

/** Heat transfer from a mold to still air, W/(m² K), tabled over the surface's temperature kelvin by kelvin. */
export class StillAir {
  private readonly table: Float64Array;

  private constructor(airC: number) {
    this.table = Float64Array.from({ length: WARMEST_C - COLDEST_C + 1 }, (_, i) => {
      const surfaceC = COLDEST_C + i;
      return convectionH(surfaceC, airC, MOLD_M) + radiationH(surfaceC, airC);
    });
  }

  /** The air of a place, °C; the tables last asked for are kept. */
  static of(airC: number): StillAir {
    let air = kept.get(airC);
    if (!air) {
      if (kept.size >= MOST_KEPT) kept.clear();
      air = new StillAir(airC);
      kept.set(airC, air);
    }
    return air;
  }

  at(surfaceC: number): number {
    const { table } = this;
    const at = Math.min(table.length - 1, Math.max(0, surfaceC - COLDEST_C));
    const k = Math.min(table.length - 2, Math.floor(at));
    return table[k] + (at - k) * (table[k + 1] - table[k]);
  }
}
