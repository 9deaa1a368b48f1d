import type { Rheology } from '../matter/chocolate';

/**
 * Flow of a Casson film per unit width, m²/s.
 *
 * q = G h³/(30 η) · (1 - x)³ (10 + 6x + 3x² + x³) with x = √(τ_y/(G h)), and 0 where x ≥ 1. Written so that
 * nothing cancels at the yield point.
 * @param drive pressure gradient along the wall, Pa/m, positive
 * @param thicknessM film thickness, m
 */
export function cassonFlux(drive: number, thicknessM: number, flow: Rheology): number {
  if (drive <= 0 || thicknessM <= 0) return 0;
  const x = Math.sqrt(flow.yieldPa / (drive * thicknessM));
  if (x >= 1) return 0;
  return ((drive * thicknessM ** 3) / (30 * flow.viscosityPas)) * (1 - x) ** 3 * (10 + 6 * x + 3 * x * x + x ** 3);
}

/** How fast a change in thickness travels down the film, m/s: ∂q/∂h = G h² (1 - x)²/η, with x = √(τ_y/(G h)). */
export function cassonWaveSpeed(drive: number, thicknessM: number, flow: Rheology): number {
  if (drive <= 0 || thicknessM <= 0) return 0;
  const x = Math.sqrt(flow.yieldPa / (drive * thicknessM));
  if (x >= 1) return 0;
  return ((drive * thicknessM ** 2) / flow.viscosityPas) * (1 - x) ** 2;
}
