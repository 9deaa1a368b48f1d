/** A film that slackens is followed by steps no longer than this share of the time after which it will hold, so that it is told when. */
const SHARE_OF_REST = 0.5;
/** Nearer to its rest than this no shorter steps are taken, s. */
const NEAR_S = 1;

/** When the film of one coat comes to rest: it does so where its pull falls to its yield, which is mostly within a step. */
export class ComingToRest {
  /** Whether the film flows in the step that is being taken, or flowed in the last one. */
  flows = false;
  /** When it was set down, and when it last flowed, s. */
  private downS: number | undefined;
  private lastS = 0;
  /** How hard it was pulled while it flowed, and when that was. */
  private pulled: { readonly pull: number; readonly atS: number } | undefined;
  /** By how much the pull falls in a second. */
  private slackens = 0;

  /** Seconds since it was set down until it held; infinite where it never did. */
  get stillAfterSeconds(): number {
    return this.flows ? Infinity : this.lastS - (this.downS ?? this.lastS);
  }

  /** The film is set down at this time, s: from here on its rest is told. */
  setDown(atS: number): void {
    this.downS = atS;
    this.lastS = atS;
    this.pulled = undefined;
  }

  /**
   * Before a step: whether it flows; where it holds by now, since when.
   * @param pull times its yield, as it was at `atS`, s
   */
  before(pull: number, atS: number): void {
    const { pulled } = this;
    this.flows = pull > 1;
    this.slackens = pulled && Number.isFinite(pulled.pull) ? (pulled.pull - pull) / (atS - pulled.atS) : 0;
    if (pulled && pull <= 1 && this.slackens > 0) this.lastS = pulled.atS + (pulled.pull - 1) / this.slackens;
    this.pulled = this.flows ? { pull, atS } : undefined;
  }

  /** The longest step that a film pulled so hard is followed by, s: the sooner it will hold, the shorter. */
  longestStep(pull: number, stepS: number): number {
    if (this.downS === undefined || !this.flows || !(this.slackens > 0)) return stepS;
    return Math.min(stepS, Math.max(NEAR_S, (SHARE_OF_REST * (pull - 1)) / this.slackens));
  }

  /** After a step that ended at this time, s. */
  after(atS: number): void {
    if (this.flows) this.lastS = atS;
  }
}
