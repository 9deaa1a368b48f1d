import { FLAT, roomM, type Curvature } from '../cavity/layer';
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
 * On a concave wall a film of thickness h holds less than h per area, so it travels faster, by 1/(1 - 2Hh + Kh²).
 * Within 4 % of the full equation on a flat wall and on a dome, for a yield stress above 0, from 45° to the rim, at 20 and 60 s.
 * @param lengthM drain length F of the place, m; Infinity gives Infinity
 * @param pull sine of the angle the film is drawn along (the wall's slope, or more while the hand rocks the mold)
 * @param curvature mean and Gauss curvature of the wall, 1/m and 1/m²; flat when left out
 */
export function drainedThicknessM(
  stages: readonly DrainStage[],
  density: number,
  lengthM: number,
  pull: number,
  curvature: Curvature = FLAT,
): number {
  const weight = density * WORKING_RULES.gravity;
  const { mean, gauss } = curvature;
  const wanted = lengthM / weight;
  // With u = √h every term is t/η (u (u - √a))², rising and convex above its yield point: Newton from above.
  let u = Infinity;
  let flowing = 0;
  for (const { seconds, flow } of stages) {
    if (seconds <= 0) continue;
    const root = holdRoot(flow, weight, pull);
    const rate = seconds / flow.viscosityPas;
    ROOTS[flowing] = root;
    RATES[flowing] = rate;
    flowing++;
    u = Math.min(u, (root + Math.sqrt(root * root + 4 * Math.sqrt(wanted / rate))) / 2);
  }
  if (!Number.isFinite(u) || (flowing === 1 && mean === 0 && gauss === 0)) return u * u;
  // Where the film's surface would meet itself there is nothing left to run.
  const most = Math.sqrt(roomM(curvature));
  u = Math.min(u, most);
  for (let k = 0; k < 30; k++) {
    const h = u * u;
    let value = -wanted * (1 - h * (2 * mean - gauss * h));
    let slope = wanted * 4 * u * (mean - gauss * h);
    for (let i = 0; i < flowing; i++) {
      const free = u - ROOTS[i];
      if (free <= 0) continue;
      const rate = RATES[i];
      value += rate * (u * free) ** 2;
      slope += rate * 2 * u * free * (u + free);
    }
    if (slope === 0) break;
    const step = value / slope;
    u = Math.max(u / 4, Math.min(most, u - step));
    // What is left after a step goes with its square.
    if (Math.abs(step) < 1e-6 * u) break;
  }
  return u * u;
}

/** Of the stages that flow, as they are worked on: this is asked for at every point of a wall. */
const ROOTS: number[] = [];
const RATES: number[] = [];

/** Root of the hold thickness on a wall that is drawn along with `pull`, √m. */
function holdRoot(flow: Rheology, weight: number, pull: number): number {
  return Math.sqrt(flow.yieldPa / (weight * pull));
}
