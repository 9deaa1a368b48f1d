import type { Wait } from '../occasion/work';
import type { Run } from './run-record';

/** Shorter than this nobody sets a clock, s. */
const CLOCKED_S = 20;

/** Something that runs without hands, with the tasks it lies between. */
export interface RunWait {
  /** Unlike any other's of the run. */
  readonly key: string;
  /** The task that begins it, and the one that it is waited for; the last of a line is waited for by none. By their place in the run. */
  readonly from: number;
  readonly to: number | undefined;
  /** A wait that is a task of its own, as what dries at the end. */
  readonly task?: number;
  readonly steps: Wait['steps'];
  /** At least so long after the end of what begins it, and at most where there is a most, s. */
  readonly leastS: number;
  readonly mostS: number | undefined;
}

type Waiting = Pick<Run, 'tasks' | 'lags' | 'waits'>;

/** They are asked for at every tick, and a run's plan never changes. */
const known = new WeakMap<Waiting, readonly RunWait[]>();

/** All that runs without hands in a run, in the order in which it was planned to begin. */
export function waitsOf(run: Waiting): readonly RunWait[] {
  const waits = known.get(run) ?? foundIn(run);
  known.set(run, waits);
  return waits;
}

function foundIn({ tasks, lags, waits }: Waiting): readonly RunWait[] {
  const between = waits.flatMap(({ from, to, steps }): RunWait[] => {
    const lag = lags.find((one) => one.from === from && one.to === to);
    if (!lag || lag.least < CLOCKED_S || !tasks[to].handsOn) return [];
    return [{ key: `${tasks[from].key}>${tasks[to].key}`, from, to, steps, leastS: lag.least, mostS: lag.most }];
  });
  const own = tasks.flatMap((task, i): RunWait[] => {
    if (task.handsOn || task.kind === 'break' || task.seconds < CLOCKED_S) return [];
    const before = lags.find(({ to }) => to === i);
    if (!before) return [];
    const { kind, place, seconds } = task;
    return [
      {
        key: task.key,
        from: before.from,
        to: lags.find(({ from }) => from === i)?.to,
        task: i,
        steps: [{ kind, ...(place ? { place } : {}), seconds }],
        leastS: before.least + seconds,
        mostS: undefined,
      },
    ];
  });
  return [...between, ...own].sort((a, b) => tasks[a.from].startS - tasks[b.from].startS);
}
