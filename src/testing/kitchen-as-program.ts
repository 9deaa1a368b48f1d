import type { Moment, Workload } from '../core/schedule/workload';

/** No operation of what is tried is longer, s. */
const TAIL = 10;

/**
 * A workload in whole seconds as a mixed-integer program in CPLEX's LP format, for another solver: for each operation and second whether it has
 * started by then, and the same for the end of all, which is to come early. Written apart from the search.
 * @param horizon no start is later than this
 */
export function kitchenAsProgram(workload: Workload, horizon: number): string {
  const { operations, lags, occupations, resources, people, stays } = workload;
  const rows: string[] = [];
  const started = (i: number, t: number): string | 0 | 1 => (t < 0 ? 0 : t >= horizon ? 1 : `x${i}_${t}`);
  const ended = (t: number): string | 0 | 1 => (t < 0 ? 0 : t >= horizon + TAIL ? 1 : `e_${t}`);
  /** One is there only if the other is. */
  const onlyIf = (one: string | 0 | 1, other: string | 0 | 1): void => {
    if (one === 0 || other === 1) return;
    if (other === 0) rows.push(one === 1 ? 'z >= 2' : `${one} = 0`);
    else if (one === 1) rows.push(`${other} = 1`);
    else rows.push(`${one} - ${other} <= 0`);
  };
  const atMost = (terms: readonly (readonly [number, string | 0 | 1])[], most: number): void => {
    const constant = terms.reduce((sum, [factor, what]) => (what === 1 ? sum + factor : sum), 0);
    const named = terms.flatMap(([factor, what]) =>
      typeof what === 'string' ? [`${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${what}`] : [],
    );
    if (named.length > 0) rows.push(`${named.join(' ')} <= ${most - constant}`);
    else if (constant > most) rows.push('z >= 2');
  };
  operations.forEach(({ seconds, hands }, i) => {
    for (let t = 0; t <= horizon; t++) {
      onlyIf(started(i, t - 1), started(i, t));
      const mayStart =
        hands === 0 || stays.length === 0 || stays.some(({ from, to }) => t >= from && t + seconds <= to);
      if (!mayStart) onlyIf(started(i, t), started(i, t - 1));
    }
    for (let t = 0; t <= horizon + TAIL; t++) onlyIf(ended(t), started(i, t - seconds));
  });
  for (let t = 0; t <= horizon + TAIL; t++) onlyIf(ended(t - 1), ended(t));
  for (const { from, to, least, most } of lags) {
    const { seconds } = operations[from];
    for (let t = 0; t <= horizon + TAIL; t++) {
      onlyIf(started(to, t), started(from, t - seconds - least));
      if (most !== undefined) onlyIf(started(from, t - seconds - most), started(to, t));
    }
  }
  const by = ({ operation, at }: Moment, t: number): string | 0 | 1 =>
    started(operation, t - (at === 'end' ? operations[operation].seconds : 0));
  for (let t = 0; t <= horizon + TAIL; t++) {
    resources.forEach(({ capacity }, r) =>
      atMost(
        occupations
          .filter(({ resource }) => resource === r)
          .flatMap(({ amount, from, to }) => [[amount, by(from, t)] as const, [-amount, by(to, t)] as const]),
        capacity,
      ),
    );
    atMost(
      operations.flatMap(({ hands, seconds }, i) => [
        [hands, started(i, t)] as const,
        [-hands, started(i, t - seconds)] as const,
      ]),
      people,
    );
  }
  const names = [
    ...operations.flatMap((_, i) => Array.from({ length: horizon }, (__, t) => `x${i}_${t}`)),
    ...Array.from({ length: horizon + TAIL }, (_, t) => `e_${t}`),
  ];
  const ends = Array.from({ length: horizon + TAIL }, (_, t) => `- e_${t}`).join(' ');
  return [
    'Minimize',
    ` obj: ${ends}`,
    'Subject To',
    ...rows.map((row, i) => ` r${i}: ${row}`),
    'Bounds',
    ' 0 <= z <= 1',
    'Binaries',
    ` ${names.join('\n ')}`,
    'End',
  ].join('\n');
}

/** When the last operation ends, by the program's objective. */
export function endOf(objective: number, horizon: number): number {
  return Math.round(horizon + TAIL + objective);
}
