import type { Rheology } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';

/** Curvature of a wall that is flat, or taken to be. */
const FLAT = { meanCurvature: 0, gaussCurvature: 0 } as const;

/** One stretch of draining with steady flow properties. */
export interface DrainStage {
  readonly seconds: number;
  readonly flow: Rheology;
}

/**
 * Thickness left by draining, m: the closed form of the Casson film.
 *
 * A thickness h travels down the wall at c = ρ g sinβ h² (1 - √(a/h))²/η, with a the hold thickness, so what is found
 * after draining solves Σ t_i (h - √(a_i h))² / η_i = F/(ρ g). With no yield this is h = √(ηF/(ρ g t)).
 * On a concave wall a film of thickness h holds less than h per area, so it travels faster, by 1/(1 - 2Hh + Kh²).
 * Within 4 % of the full equation on a flat wall and on a dome, for a yield stress above 0, from 45° to the rim, at 20 and 60 s.
 * @param lengthM drain length F of the place, m; Infinity gives Infinity
 * @param pull sine of the angle the film is drawn along (the wall's slope, or more while the hand rocks the mold)
 * @param curvature mean and Gauss curvature of the wall, 1/m and 1/m²; flat when left out
 */
export function drainedThicknessM(stages: readonly DrainStage[], density: number, lengthM: number, pull: number, curvature: { readonly meanCurvature: number; readonly gaussCurvature: number } = FLAT): number {
  const weight = density * WORKING_RULES.gravity;
  const flowing = stages.filter((stage) => stage.seconds > 0);
  if (flowing.length === 0 || !Number.isFinite(lengthM)) return Infinity;
  const wanted = lengthM / weight;
  const { meanCurvature: mean, gaussCurvature: gauss } = curvature;
  const roots = flowing.map((stage) => Math.sqrt(stage.flow.yieldPa / (weight * pull)));
  // With u = √h every term is t/η (u (u - √a))², rising and convex above its yield point: Newton from above.
  let u = 0;
  for (const [i, { seconds, flow }] of flowing.entries()) {
    const alone = Math.sqrt((wanted * flow.viscosityPas) / seconds);
    const root = (roots[i] + Math.sqrt(roots[i] ** 2 + 4 * alone)) / 2;
    u = i === 0 ? root : Math.min(u, root);
  }
  if (flowing.length === 1 && mean === 0) return u * u;
  for (let k = 0; k < 30; k++) {
    const h = u * u;
    let value = -wanted * (1 - h * (2 * mean - gauss * h));
    let slope = wanted * 4 * u * (mean - gauss * h);
    for (const [i, { seconds, flow }] of flowing.entries()) {
      const free = u - roots[i];
      if (free <= 0) continue;
      value += (seconds / flow.viscosityPas) * (u * free) ** 2;
      slope += (seconds / flow.viscosityPas) * 2 * u * free * (u + free);
    }
    if (slope === 0) break;
    const step = value / slope;
    u -= step;
    if (Math.abs(step) < 1e-9 * u) break;
  }
  return u * u;
}
