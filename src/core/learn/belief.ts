/** What one reading says at a value of what it reads: the logarithm of its likelihood, how that rises with the value, and how it bends (0 or more: less is taken for none). */
export interface Says {
  readonly log: number;
  readonly slope: number;
  readonly bend: number;
}

/** A reading: what it reads is a sum of the parameters, each so many times. */
export interface Evidence {
  readonly along: readonly number[];
  says(at: number): Says;
}

/** What is believed of some parameters, as a normal distribution; all on a logarithmic scale, 0 being what the working rules say. */
export interface Belief {
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Logarithm of how likely all readings were beforehand. */
  readonly logEvidence: number;
}

const MOST_ROUNDS = 60;
const CLOSE_ENOUGH = 1e-9;
/** A step is halved so often, at most, until it leads up. */
const MOST_HALVINGS = 40;

/**
 * What readings make of a prior: the likeliest values by damped Gauss–Newton steps, and around them the normal distribution that bends as the posterior does there
 * (Laplace's approximation; MacKay, Information Theory, Inference, and Learning Algorithms, chapter 27).
 * @param priorSd by parameter, standard deviation around 0, above 0
 * @param evidence each along as many parameters as there are
 */
export function believe(priorSd: readonly number[], evidence: readonly Evidence[]): Belief {
  const n = priorSd.length;
  let mean = priorSd.map(() => 0);
  let here = lookAt(mean, priorSd, evidence);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const step = solve(factored(here.bend), here.slope);
    let share = 1;
    let next = mean;
    let there = here;
    for (let k = 0; k < MOST_HALVINGS; k++, share /= 2) {
      next = mean.map((value, i) => value + share * step[i]);
      there = lookAt(next, priorSd, evidence);
      if (there.log >= here.log) break;
    }
    if (there.log < here.log) break;
    const moved = Math.max(...step.map((part) => Math.abs(share * part)));
    [mean, here] = [next, there];
    if (moved < CLOSE_ENOUGH) break;
  }
  const factor = factored(here.bend);
  const covariance = Array.from({ length: n }, (_, i) =>
    solve(
      factor,
      priorSd.map((__, k) => (k === i ? 1 : 0)),
    ),
  );
  const logBend = 2 * factor.reduce((sum, row, i) => sum + Math.log(row[i]), 0);
  const logPrior = 2 * priorSd.reduce((sum, sd) => sum + Math.log(sd), 0);
  return { mean, covariance, logEvidence: here.log - (logPrior + logBend) / 2 };
}

/** The posterior at a place, up to a constant: its logarithm, how that rises, and how it bends. */
function lookAt(
  at: readonly number[],
  priorSd: readonly number[],
  evidence: readonly Evidence[],
): { readonly log: number; readonly slope: readonly number[]; readonly bend: readonly (readonly number[])[] } {
  const slope = at.map((value, i) => -value / priorSd[i] ** 2);
  const bend = priorSd.map((sd, i) => priorSd.map((_, k) => (k === i ? 1 / sd ** 2 : 0)));
  let log = at.reduce((sum, value, i) => sum - (value / priorSd[i]) ** 2 / 2, 0);
  for (const { along, says } of evidence) {
    const said = says(along.reduce((sum, times, i) => sum + times * at[i], 0));
    log += said.log;
    for (const [i, times] of along.entries()) {
      if (times === 0) continue;
      slope[i] += times * said.slope;
      for (let k = 0; k < along.length; k++) bend[i][k] += Math.max(0, said.bend) * times * along[k];
    }
  }
  return { log, slope, bend };
}

/** Cholesky's lower triangle of a symmetric positive matrix. */
function factored(matrix: readonly (readonly number[])[]): number[][] {
  const lower = matrix.map((row) => row.map(() => 0));
  for (const [i, row] of matrix.entries())
    for (let k = 0; k <= i; k++) {
      const rest = row[k] - lower[i].slice(0, k).reduce((sum, value, j) => sum + value * lower[k][j], 0);
      lower[i][k] = i === k ? Math.sqrt(rest) : rest / lower[k][k];
    }
  return lower;
}

function solve(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const x = [...right];
  for (let i = 0; i < x.length; i++) {
    for (let k = 0; k < i; k++) x[i] -= lower[i][k] * x[k];
    x[i] /= lower[i][i];
  }
  for (let i = x.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < x.length; k++) x[i] -= lower[k][i] * x[k];
    x[i] /= lower[i][i];
  }
  return x;
}

/**
 * One belief of several, each under another supposition: weighed by how likely the readings were under it, and by what it was given beforehand.
 * @param beliefs of the same parameters; @param logPrior of each supposition
 */
export function blended(beliefs: readonly Belief[], logPrior: readonly number[]): Belief {
  const logs = beliefs.map(({ logEvidence }, i) => logEvidence + logPrior[i]);
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const sum = weights.reduce((all, weight) => all + weight, 0);
  const average = (of: (belief: Belief) => number): number =>
    beliefs.reduce((all, belief, i) => all + (weights[i] / sum) * of(belief), 0);
  const mean = beliefs[0].mean.map((_, i) => average((belief) => belief.mean[i]));
  const covariance = mean.map((_, i) =>
    mean.map((__, k) =>
      average((belief) => belief.covariance[i][k] + (belief.mean[i] - mean[i]) * (belief.mean[k] - mean[k])),
    ),
  );
  return { mean, covariance, logEvidence: most + Math.log(sum) };
}
