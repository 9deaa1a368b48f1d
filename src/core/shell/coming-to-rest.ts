/** A film pulled by less than so many times its yield is about to hold: it is followed by short steps, so that it is told when. */
const ABOUT_TO_HOLD = 1.3;
const ABOUT_TO_HOLD_STEP_S = 1;

/** When the film of one coat comes to rest: it does so where its pull falls to its yield, which is mostly within a step. */
export class ComingToRest {
  /** Whether the film flows in the step that is being taken, or flowed in the last one. */
  flows = false;
  private lastS = 0;
  /** The last step with a flow: when it began, and how hard it was pulled. */
  private flowed: { readonly fromS: number; readonly pull: number } | undefined;

  /** Seconds since it was set down until it held; infinite where it never did. */
  get stillAfterSeconds(): number {
    return this.flows ? Infinity : Math.max(0, this.lastS);
  }

  /** The film is set down: from here on its rest is told. */
  setDown(): void {
    this.lastS = 0;
    this.flowed = undefined;
  }

  /**
   * Before a step: where the film holds by now, when within the step before it began to.
   * @param pull times its yield
   */
  before(pull: number): void {
    const { flowed } = this;
    this.flowed = undefined;
    this.flows = pull > 1;
    if (flowed && pull <= 1 && Number.isFinite(flowed.pull)) this.lastS = flowed.fromS + ((this.lastS - flowed.fromS) * (flowed.pull - 1)) / (flowed.pull - pull);
  }

  /** The longest step that a film pulled so hard is followed by, s. */
  longestStep(pull: number, stepS: number): number {
    return pull > 1 && pull < ABOUT_TO_HOLD ? Math.min(stepS, ABOUT_TO_HOLD_STEP_S) : stepS;
  }

  /** After a step that ended so many seconds from where the rest is counted. */
  after(pull: number, endS: number): void {
    if (!this.flows) return;
    this.flowed = { fromS: this.lastS, pull };
    this.lastS = endS;
  }
}
