/** A film that slackens is followed by steps no longer than this share of the time after which it will hold, so that it is told when. */
const SHARE_OF_REST = 0.5;
/** Nearer to its rest than this no shorter steps are taken, s. */
const NEAR_S = 1;

/** When the film of one coat comes to rest: it does so where its pull falls to its yield, which is mostly within a step. */
export class ComingToRest {
  /** Whether the film flows in the step that is being taken, or flowed in the last one. */
  flows = false;
  private downS = 0;
  private lastS = 0;
  /** The last step with a flow: when it began, and how hard it was pulled. */
  private flowed: { readonly fromS: number; readonly pull: number } | undefined;
  /** By how much the pull fell in a second of the last step. */
  private slackens = 0;

  /** Seconds since it was set down until it held; infinite where it never did. */
  get stillAfterSeconds(): number {
    return this.flows ? Infinity : this.lastS - this.downS;
  }

  /** The film is set down at this time, s: from here on its rest is told. */
  setDown(atS: number): void {
    this.downS = atS;
    this.lastS = atS;
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
    this.slackens = flowed && Number.isFinite(flowed.pull) ? (flowed.pull - pull) / (this.lastS - flowed.fromS) : 0;
    if (flowed && pull <= 1 && this.slackens > 0) this.lastS = flowed.fromS + (flowed.pull - 1) / this.slackens;
  }

  /** The longest step that a film pulled so hard is followed by, s: the sooner it will hold, the shorter. */
  longestStep(pull: number, stepS: number): number {
    if (!this.flows || !(this.slackens > 0)) return stepS;
    return Math.min(stepS, Math.max(NEAR_S, (SHARE_OF_REST * (pull - 1)) / this.slackens));
  }

  /** After a step from one time to another, s. */
  after(pull: number, fromS: number, toS: number): void {
    if (!this.flows) return;
    this.flowed = { fromS, pull };
    this.lastS = toS;
  }
}
