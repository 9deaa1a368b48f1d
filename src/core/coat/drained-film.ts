import type { Rheology } from '../matter/chocolate';
import { WORKING_RULES } from '../matter/working-rules';

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
 * Within 4 % of the full equation for a yield stress above 0, at 20 and 60 s.
 * @param lengthM drain length F of the place, m; Infinity gives Infinity
 * @param pull sine of the angle the film is drawn along (the wall's slope, or more while the hand rocks the mold)
 */
export function drainedThicknessM(stages: readonly DrainStage[], density: number, lengthM: number, pull: number): number {
  const weight = density * WORKING_RULES.gravity;
  const flowing = stages.filter((stage) => stage.seconds > 0);
  if (flowing.length === 0 || !Number.isFinite(lengthM)) return Infinity;
  const wanted = lengthM / weight;
  const roots = flowing.map((stage) => Math.sqrt(stage.flow.yieldPa / (weight * pull)));
  // With u = √h every term is t/η (u (u - √a))², rising and convex above its yield point: Newton from above.
  let u = 0;
  for (const [i, { seconds, flow }] of flowing.entries()) {
    const alone = Math.sqrt((wanted * flow.viscosityPas) / seconds);
    const root = (roots[i] + Math.sqrt(roots[i] ** 2 + 4 * alone)) / 2;
    u = i === 0 ? root : Math.min(u, root);
  }
  for (let k = 0; k < 30 && flowing.length > 1; k++) {
    let value = -wanted;
    let slope = 0;
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
