import { FLAT } from '../cavity/layer';
import { drainedThicknessM, type DrainStage } from '../flow/drained-film';
import { mean } from '../quantity/mean';
import type { WallFilm } from './wall-film';

/** Angles from the uppermost line down to the side at which a lying film is looked at. */
const LOOKED_AT = 24;

/**
 * The thinnest that a film of even thickness becomes round a vessel that lies on its side, m: by what runs down from its uppermost line to
 * either side. Each angle β drains by the length F = R sin^(-2/3)β ∫₀^β sin^(-1/3)b db, as a film outside a lying cylinder does; 3R/2 on the
 * uppermost line (Takagi & Huppert 2010).
 * @param filmM thickness after the last turn, m
 * @param radiusM of the vessel, m
 * @param stages what it has run since then
 */
export function thinnestAroundM(
  filmM: number,
  radiusM: number,
  density: number,
  stages: readonly DrainStage[],
): number {
  const step = Math.PI / 2 / LOOKED_AT;
  const curvature = { ...FLAT, mean: 1 / (2 * radiusM) };
  let integral = 0;
  let thinnest = filmM;
  for (let k = 1; k <= LOOKED_AT; k++) {
    const [from, to] = [(k - 1) * step, k * step];
    // The integrand as b^(-1/3) times a smooth factor, so that the uppermost line needs no special case.
    const middle = (from + to) / 2;
    integral += Math.cbrt(middle / Math.sin(middle)) * 1.5 * (to ** (2 / 3) - from ** (2 / 3));
    const sine = Math.sin(to);
    const lengthM = (radiusM * integral) / sine ** (2 / 3);
    thinnest = Math.min(thinnest, drainedThicknessM(stages, density, lengthM, sine, curvature));
  }
  return thinnest;
}

/** How even a film stays round a vessel that lies on its side between two turns: what it has run since the last one. */
export class LyingFilm {
  private filmM = 0;
  private stages: DrainStage[] = [];

  constructor(
    private readonly radiusM: number,
    private readonly density: number,
  ) {}

  /** The film has run for so many seconds as it is now. */
  ran(seconds: number, film: WallFilm): void {
    this.filmM = mean(film.thicknessM);
    this.stages.push({ seconds, flow: { yieldPa: mean(film.yieldPa), viscosityPas: mean(film.viscosityPas) } });
  }

  /** Turned: what had run down is spread again. */
  turned(): void {
    this.stages = [];
  }

  /** Its thinnest line over the mean, 0 to 1. */
  thinnestShare(): number {
    return this.filmM > 0 ? thinnestAroundM(this.filmM, this.radiusM, this.density, this.stages) / this.filmM : 1;
  }
}
