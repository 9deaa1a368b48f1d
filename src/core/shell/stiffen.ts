import { NO_FLOW_FROM, viscosityGain, yieldGain } from '../flow/setting-rheology';
import { viscosityPerKelvin, yieldPerKelvin, type Rheology } from '../matter/chocolate';
import type { WallFilm } from './wall-film';

/**
 * Gives a film the Casson values of each place's temperature, °C, and set fraction; what has set too far does not flow.
 * @param at40 the chocolate's values at 40 °C, its yield stress already less where the mold is tapped
 */
export function stiffen(
  { yieldPa, viscosityPas }: WallFilm,
  at40: Rheology,
  filmC: ArrayLike<number>,
  filmSet: ArrayLike<number>,
): void {
  for (let i = 0; i < yieldPa.length; i++) {
    const set = filmSet[i];
    const flows = set < NO_FLOW_FROM;
    yieldPa[i] = flows ? at40.yieldPa * yieldPerKelvin(filmC[i]) * yieldGain(set) : Infinity;
    viscosityPas[i] = flows ? at40.viscosityPas * viscosityPerKelvin(filmC[i]) * viscosityGain(set) : 1;
  }
}
