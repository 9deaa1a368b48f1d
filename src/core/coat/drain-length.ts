import type { Profile } from '../cavity/profile';
import { rockedSines, sinesAlong } from '../flow/pull';

/**
 * The length F(s) that sets how long a draining film stays thick, m, at each point of a profile.
 *
 * From the similarity solution of a Newtonian film draining from the pole to the rim:
 * F = (r sin β)^(-2/3) ∫₀ˢ r^(2/3) sin^(-1/3)β ds. On a dome of radius R this is
 * R sin^(-4/3)β ∫₀^β sin^(1/3)b db: 3R/4 at the pole (Takagi & Huppert 2010) and 1.294 R at the rim.
 * `fromRim` integrates from the rim instead: the same film draining upright, toward the pole.
 * A bottom flatter than the tilt of the rocking hand drains as a dome that reaches that tilt where the bottom ends; a dome is such
 * a bottom itself, and is left as it is.
 * The integrand is taken as s^(1/3) times a smooth factor, so that the pole needs no special case.
 */
export function drainLengths(profile: Profile, fromRim = false): Float64Array {
  const { radiusM: r, arcM: s, slope } = profile;
  const n = s.length;
  const sine = fromRim ? sinesAlong(slope) : rockedSines(profile);
  const smooth = (i: number): number => Math.cbrt((r[i] / s[i]) ** 2) * Math.cbrt(s[i] / sine[i]);
  const integral = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    const factor = i === 1 ? smooth(1) : (smooth(i) + smooth(i - 1)) / 2;
    integral[i] = integral[i - 1] + factor * 0.75 * (s[i] * Math.cbrt(s[i]) - s[i - 1] * Math.cbrt(s[i - 1]));
  }
  const lengths = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    const below = Math.cbrt((r[i] * sine[i]) ** 2);
    lengths[i] = (fromRim ? integral[n - 1] - integral[i] : integral[i]) / below;
  }
  lengths[0] = fromRim ? Infinity : lengths[1];
  return lengths;
}
