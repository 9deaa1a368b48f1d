import type { Moment, Workload } from '../core/schedule/workload';

/** No operation of what is tried is longer, s. */
const TAIL = 10;

/** Whether something has happened by then: a variable of the program, or known. */
type By = string | 0 | 1;
type Weighed = readonly [number, By];

/**
 * A workload in whole seconds as a mixed-integer program in CPLEX's LP format, for another solver: for each operation and second whether it has
 * started by then, and the same for the end of all, which is to come early. Written apart from the search.
 * @param horizon no start is later than this
 */
export function kitchenAsProgram(workload: Workload, horizon: number): string {
  const program = new Program(workload, horizon);
  return program.text(program.late());
}

/** The same work with another aim: the fewest seconds from the first to the last thing done by hand in each stay, and only then an early end. */
export function attendedAsProgram(workload: Workload, horizon: number): string {
  const program = new Program(workload, horizon);
  return program.text([...program.there(horizon + TAIL + 1), ...program.late()]);
}

/** Seconds attended, and when the last operation ends, by the objective of that program. */
export function attendedOf(objective: number, horizon: number): { readonly attendedS: number; readonly endS: number } {
  const weight = horizon + TAIL + 1;
  const both = Math.round(objective) + horizon + TAIL;
  return { attendedS: Math.floor(both / weight), endS: both % weight };
}

/** When the last operation ends, by the program's objective. */
export function endOf(objective: number, horizon: number): number {
  return Math.round(horizon + TAIL + objective);
}

class Program {
  private readonly rows: string[] = [];
  private readonly others: string[] = [];

  constructor(
    private readonly workload: Workload,
    private readonly horizon: number,
  ) {
    this.times();
    this.lags();
    this.loads();
  }

  /** The end of all, by how much later it is. */
  late(): Weighed[] {
    return this.ends().map((end) => [-1, end]);
  }

  /** Seconds of each stay in which somebody has come and not gone, weighed. */
  there(weight: number): Weighed[] {
    const { operations, stays } = this.workload;
    return stays.flatMap(({ from, to }, k) => {
      const seconds = this.seconds().filter((t) => t >= from && t < to);
      return seconds.flatMap((t): Weighed[] => {
        const [came, gone] = [`a${k}_${t}`, `g${k}_${t}`];
        this.others.push(came, gone);
        this.onlyIf(gone, came);
        if (t > from) this.onlyIf(`a${k}_${t - 1}`, came);
        operations.forEach(({ hands, seconds: length }, i) => {
          if (hands === 0) return;
          const byNow: Weighed[] = [
            [1, this.started(i, t)],
            [-1, this.started(i, from - 1)],
            [-1, came],
          ];
          const yetToEnd: Weighed[] = [
            [1, this.started(i, to - 1)],
            [-1, this.started(i, t - length)],
            [1, gone],
          ];
          this.atMost(byNow, 0);
          this.atMost(yetToEnd, 1);
        });
        return [
          [weight, came],
          [-weight, gone],
        ];
      });
    });
  }

  /** What has started has started, in a stay where hands are in it, and where it is held; the end of all comes after every end. */
  private times(): void {
    const { operations, stays } = this.workload;
    operations.forEach(({ seconds, hands, heldAt }, i) => {
      if (heldAt !== undefined) {
        this.onlyIf(1, this.started(i, heldAt));
        this.onlyIf(this.started(i, heldAt - 1), 0);
      }
      for (let t = 0; t <= this.horizon; t++) {
        this.onlyIf(this.started(i, t - 1), this.started(i, t));
        const inStay = stays.some(({ from, to }) => t >= from && t + seconds <= to);
        if (hands > 0 && stays.length > 0 && !inStay) this.onlyIf(this.started(i, t), this.started(i, t - 1));
      }
      for (const t of this.seconds()) this.onlyIf(this.ended(t), this.started(i, t - seconds));
    });
    for (const t of this.seconds()) this.onlyIf(this.ended(t - 1), this.ended(t));
  }

  private lags(): void {
    for (const { from, to, least, most } of this.workload.lags) {
      const { seconds } = this.workload.operations[from];
      for (const t of this.seconds()) {
        this.onlyIf(this.started(to, t), this.started(from, t - seconds - least));
        if (most !== undefined) this.onlyIf(this.started(from, t - seconds - most), this.started(to, t));
      }
    }
  }

  /** What is taken and not freed yet is no more than there is. */
  private loads(): void {
    const { operations, occupations, resources, people } = this.workload;
    const by = ({ operation, at }: Moment, t: number): By =>
      this.started(operation, t - (at === 'end' ? operations[operation].seconds : 0));
    for (const t of this.seconds()) {
      resources.forEach(({ capacity }, r) => {
        const here = occupations.filter(({ resource }) => resource === r);
        this.atMost(
          here.flatMap(({ amount, from, to }) => [[amount, by(from, t)] as const, [-amount, by(to, t)] as const]),
          capacity,
        );
      });
      this.atMost(
        operations.flatMap(({ hands, seconds }, i) => [
          [hands, this.started(i, t)] as const,
          [-hands, this.started(i, t - seconds)] as const,
        ]),
        people,
      );
    }
  }

  text(aim: readonly Weighed[]): string {
    const seconds = Array.from({ length: this.horizon }, (_, t) => t);
    const starts = this.workload.operations.flatMap((_, i) => seconds.map((t) => `x${i}_${t}`));
    const names = [...starts, ...this.ends(), ...this.others];
    return [
      'Minimize',
      ` obj: ${aim.map(written).join(' ')}`,
      'Subject To',
      ...this.rows.map((row, i) => ` r${i}: ${row}`),
      'Bounds',
      ' 0 <= z <= 1',
      'Binaries',
      ` ${names.join('\n ')}`,
      'End',
    ].join('\n');
  }

  private ends(): string[] {
    return Array.from({ length: this.horizon + TAIL }, (_, t) => `e_${t}`);
  }

  private seconds(): number[] {
    return Array.from({ length: this.horizon + TAIL + 1 }, (_, t) => t);
  }

  private started(i: number, t: number): By {
    return t < 0 ? 0 : t >= this.horizon ? 1 : `x${i}_${t}`;
  }

  private ended(t: number): By {
    return t < 0 ? 0 : t >= this.horizon + TAIL ? 1 : `e_${t}`;
  }

  /** One is so only if the other is; what can never be makes the program impossible. */
  private onlyIf(one: By, other: By): void {
    if (one === 0 || other === 1) return;
    if (other === 0) this.rows.push(one === 1 ? 'z >= 2' : `${one} = 0`);
    else if (one === 1) this.rows.push(`${other} = 1`);
    else this.rows.push(`${one} - ${other} <= 0`);
  }

  private atMost(terms: readonly Weighed[], most: number): void {
    const constant = terms.reduce((sum, [factor, what]) => (what === 1 ? sum + factor : sum), 0);
    const named = terms.filter(([, what]) => typeof what === 'string').map(written);
    if (named.length > 0) this.rows.push(`${named.join(' ')} <= ${most - constant}`);
    else if (constant > most) this.rows.push('z >= 2');
  }
}

function written([factor, what]: Weighed): string {
  return `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${what}`;
}
