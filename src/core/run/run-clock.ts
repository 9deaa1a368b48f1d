/** What a clock says about itself when it is read. */
export interface ClockReading {
  /** s since 1970 UTC, never before what was told last. */
  readonly nowS: number;
  /** By how much the computer's clock was set back, or is ahead of what passed, s; 0 where neither is noticed. */
  readonly jumpS: number;
}

/** Less than this is the unevenness of clocks, s. */
const NOTICED_S = 2;

/**
 * The clock of a run: the computer's, guarded by the one that only counts on while the page is open. Set back, it goes on as if nothing had been,
 * so that what runs keeps its true length. Found ahead, the computer has slept, or its clock was put forward: the two cannot be told apart, and chocolate
 * sets while computers sleep, so that it is believed, and said; `putBack` takes it back.
 */
export class SteadyClock {
  private lastWallS: number;
  private lastCountS: number;

  /** @param aheadS by how much it is ahead of the computer's, from before; @param knownS a moment that has passed for certain, s since 1970 UTC */
  constructor(
    wallMs: number,
    countMs: number,
    public aheadS = 0,
    knownS = -Infinity,
  ) {
    this.lastCountS = countMs / 1000;
    // A moment that was noted lies before now, whatever the computer's clock says.
    this.aheadS = Math.max(aheadS, knownS - wallMs / 1000);
    this.lastWallS = wallMs / 1000;
  }

  /** @param wallMs the computer's clock, ms since 1970; @param countMs what counts on by itself, ms */
  read(wallMs: number, countMs: number): ClockReading {
    const [wallS, countS] = [wallMs / 1000, countMs / 1000];
    const jumpS = wallS - this.lastWallS - (countS - this.lastCountS);
    if (jumpS < -NOTICED_S) this.aheadS -= jumpS;
    [this.lastWallS, this.lastCountS] = [wallS, countS];
    return { nowS: wallS + this.aheadS, jumpS: Math.abs(jumpS) > NOTICED_S ? jumpS : 0 };
  }

  /** The clock had been put forward by so much, and no time had passed, s. */
  putBack(byS: number): void {
    this.aheadS -= byS;
  }
}

/** What a rehearsal's clock says: so many times as fast from the plan's first moment on. */
export function rehearsedS(beganS: number, firstS: number, speed: number, nowS: number): number {
  return firstS + (nowS - beganS) * speed;
}
