import { mean } from '../quantity/mean';
import type { WallCells } from './wall-cells';
import { WallFilm } from './wall-film';

/** Cells from the uppermost line of a lying vessel to its side. */
const AROUND = 24;
/** A step shorter than this is left out, s. */
const SHORTEST_S = 1e-4;

/**
 * A quarter of a ring of a vessel that lies on its side, 1 m long, from its uppermost line to the side, where what runs down leaves it: below,
 * it gathers and is nowhere thinner.
 * @param radiusM of the vessel, m
 */
export function upperQuarter(radiusM: number): WallCells {
  const widthM = (Math.PI * radiusM) / 2 / AROUND;
  const all = (value: number): Float64Array => new Float64Array(AROUND).fill(value);
  const angles = Float64Array.from({ length: AROUND + 1 }, (_, i) => (Math.PI * i) / 2 / AROUND);
  return {
    count: AROUND,
    widthM,
    middleM: Float64Array.from({ length: AROUND }, (_, i) => (i + 0.5) * widthM),
    areaM2: all(widthM),
    mean: all(1 / (2 * radiusM)),
    gauss: all(0),
    roomM: all(radiusM),
    faceM: angles.map(() => 1),
    sine: angles.map((angle) => Math.sin(angle)),
    cosine: angles.map((angle) => Math.cos(angle)),
    rocked: angles.map((angle) => Math.sin(angle)),
  };
}

/**
 * How even a film stays round a vessel that lies on its side: from its uppermost line it runs down either side, as it is at every moment, until
 * a turn spreads it again. The same film equation as along a wall, on the upper quarters of the vessel; that it lies there as evenly as
 * along the vessel, and as stiff all round, is a working rule.
 */
export class LyingFilm {
  private readonly ring: WallFilm;
  private laidM = 0;

  /** @param radiusM of the vessel, m */
  constructor(radiusM: number, density: number) {
    this.ring = new WallFilm(upperQuarter(radiusM), density);
  }

  /** The film along the vessel has run for so many seconds as it is now. */
  ran(seconds: number, film: WallFilm): void {
    if (this.laidM === 0) this.lay(mean(film.thicknessM));
    this.ring.yieldPa.fill(mean(film.yieldPa));
    this.ring.viscosityPas.fill(mean(film.viscosityPas));
    this.run(seconds);
  }

  /** Turned: what had run down is spread again. */
  turned(): void {
    this.lay(this.laidM);
  }

  /** Its thinnest line over what was laid, 0 to 1. */
  thinnestShare(): number {
    return this.laidM > 0 ? Math.min(1, Math.min(...this.ring.thicknessM) / this.laidM) : 1;
  }

  private lay(thicknessM: number): void {
    this.laidM = thicknessM;
    this.ring.lay(new Float64Array(AROUND).fill(thicknessM), new Float64Array(AROUND));
  }

  private run(seconds: number): void {
    if (seconds < SHORTEST_S || this.ring.step(seconds, 'upsideDown') >= 0) return;
    this.run(seconds / 2);
    this.run(seconds / 2);
  }
}
