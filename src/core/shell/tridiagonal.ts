/** Equations that tie each unknown to its neighbours: lower[i] x[i-1] + diagonal[i] x[i] + upper[i] x[i+1] = right[i]. Kept, so that nothing is made anew for each step. */
export class Tridiagonal {
  readonly lower: Float64Array;
  readonly diagonal: Float64Array;
  readonly upper: Float64Array;
  /** The right-hand side; after `solve` the unknowns. */
  readonly right: Float64Array;

  constructor(count: number) {
    this.lower = new Float64Array(count);
    this.diagonal = new Float64Array(count);
    this.upper = new Float64Array(count);
    this.right = new Float64Array(count);
  }

  /**
   * Solves in place by elimination (Thomas), for equations in which the diagonal prevails. An equation without any terms leaves its
   * unknown at 0; the diagonal is used up but keeps its sign.
   */
  solve(): void {
    const { lower, diagonal, upper, right } = this;
    const last = right.length - 1;
    for (let i = 1; i <= last; i++) {
      if (diagonal[i - 1] === 0) continue;
      const share = lower[i] / diagonal[i - 1];
      diagonal[i] -= share * upper[i - 1];
      right[i] -= share * right[i - 1];
    }
    for (let i = last; i >= 0; i--)
      right[i] = diagonal[i] === 0 ? 0 : (right[i] - (i < last ? upper[i] * right[i + 1] : 0)) / diagonal[i];
  }
}
