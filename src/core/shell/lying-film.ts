import { mean } from '../quantity/mean';
import { ROOM_SHARE, type WallCells } from './wall-cells';
import { WallFilm } from './wall-film';

/** Cells from the lowest line of a lying vessel to its uppermost. */
const AROUND = 36;
/** The first step after it was laid or turned, the shortest there is, and how much longer the next may be, s. */
const FIRST_STEP_S = 0.05;
const SHORTEST_STEP_S = 1e-4;
const GROWTH = 1.6;
/** A step that changes any line by more than this share is followed by a shorter one. */
const CHANGE_SHARE = 0.15;
/** A film that has taken so many steps since the last turn is of no shell, and is held still. */
const MOST_STEPS = 600;

/** Half a ring of a vessel that lies on its side, 1 m long, from its lowest line to its uppermost. @param radiusM of the vessel, m */
export function halfRing(radiusM: number): WallCells {
  const widthM = (Math.PI * radiusM) / AROUND;
  const all = (value: number): Float64Array => new Float64Array(AROUND).fill(value);
  const angles = Float64Array.from({ length: AROUND + 1 }, (_, i) => (Math.PI * i) / AROUND);
  const sine = angles.map((angle) => Math.sin(angle));
  return {
    count: AROUND,
    widthM,
    middleM: Float64Array.from({ length: AROUND }, (_, i) => (i + 0.5) * widthM),
    areaM2: all(widthM),
    mean: all(1 / (2 * radiusM)),
    gauss: all(0),
    roomM: all(ROOM_SHARE * radiusM),
    faceM: angles.map(() => 1),
    sine,
    cosine: angles.map((angle) => Math.max(0, Math.cos(angle))),
    rocked: sine,
  };
}

/**
 * The film round a vessel that lies on its side: it runs down either side as it is at every moment and levels below; a turn brings what lies
 * lowest to the top, from where it runs back. The same film equation as along a wall, on half a ring of the vessel; that it is as
 * thick and as stiff along the vessel, and as stiff all round, is a working rule.
 */
export class LyingFilm {
  private readonly ring: WallFilm;
  private laidM = 0;
  private stepS = FIRST_STEP_S;
  private steps = 0;

  /** @param radiusM of the vessel, m */
  constructor(radiusM: number, density: number) {
    this.ring = new WallFilm(halfRing(radiusM), density);
  }

  /** The film along the vessel has run for so many seconds as it is now. */
  ran(seconds: number, film: WallFilm): void {
    if (this.laidM === 0) {
      this.laidM = mean(film.thicknessM);
      this.lay(new Float64Array(AROUND).fill(this.laidM));
    }
    this.ring.yieldPa.fill(mean(film.yieldPa));
    this.ring.viscosityPas.fill(mean(film.viscosityPas));
    for (let left = seconds; left > 1e-9 && this.steps < MOST_STEPS; this.steps++) {
      const taken = Math.min(this.stepS, left);
      const change = this.ring.step(taken, 'upright');
      if (change >= 0) {
        left -= taken;
        this.stepS =
          Math.max(taken, this.stepS) * Math.min(GROWTH, Math.max(0.5, CHANGE_SHARE / Math.max(change, 1e-9)));
      } else if ((this.stepS = taken / 2) < SHORTEST_STEP_S) this.steps = MOST_STEPS;
    }
  }

  /** Half a turn: what lay lowest is on top. */
  turned(): void {
    this.lay(this.ring.thicknessM.slice().reverse());
  }

  /** Its thinnest line over what was laid, 0 to 1. */
  thinnestShare(): number {
    return this.laidM > 0 ? Math.min(1, Math.min(...this.ring.thicknessM) / this.laidM) : 1;
  }

  private lay(thicknessM: Float64Array): void {
    this.ring.lay(thicknessM, new Float64Array(AROUND));
    this.stepS = FIRST_STEP_S;
    this.steps = 0;
  }
}
