import type { Mark, NewMark } from '../core/run/mark';
import type { PackedRun } from '../data/run-file';
import { madeRun } from './made-run';

const DAY_S = 86400;
/** What a wait is made longer by, s. */
const LONGER_S = 300;

/** How a made-up cook differs from the working rules. */
export interface TeachingCook {
  /** Work by hand takes so many times as long. */
  readonly hands: number;
  /** What sets in the fridge takes so many times as long. */
  readonly sets: number;
}

/** The made run cast on one day after another, the latest first, by a cook who looks whenever the bell goes; what sets in its waits is known. */
export function teachingRuns(count: number, cook: TeachingCook): readonly PackedRun[] {
  const made = madeRun();
  const waits = made.waits.map((wait, i) => ({
    ...wait,
    sets: { coat: i < 2 ? 0 : 1, until: i < 2 ? ('touch' as const) : ('unmold' as const), readyS: 560 },
  }));
  return Array.from({ length: count }, (_, k) => {
    const shiftS = -k * DAY_S;
    const run = {
      ...made,
      id: `teaching-${k}`,
      createdAt: new Date((made.tasks[0].startS + shiftS) * 1000).toISOString(),
      tasks: made.tasks.map((task) => ({ ...task, startS: task.startS + shiftS })),
      there: made.there.map(({ from, to }) => ({ from: from + shiftS, to: to + shiftS })),
      dueS: made.dueS + shiftS,
      waits,
    };
    return { ...run, marks: workedBy(cook, run) };
  });
}

/** Task after task, each begun when the one before it is done and what it waits for has set. */
function workedBy(cook: TeachingCook, run: Omit<PackedRun, 'marks'>): readonly Mark[] {
  const marks: Mark[] = [];
  const doneS: number[] = [];
  const note = (atS: number, mark: NewMark): void => {
    marks.push({ ...mark, id: `${run.id} ${marks.length}`, atS } as Mark);
  };
  let clockS = run.tasks[0].startS;
  for (const [i, task] of run.tasks.entries()) {
    if (!task.handsOn) continue;
    for (const { from, to, steps, sets } of run.waits) {
      if (to !== i || !sets) continue;
      let dueS = doneS[from] + steps.reduce((sum, { seconds }) => sum + seconds, 0);
      const trulyS =
        doneS[from] + steps.slice(0, -1).reduce((sum, { seconds }) => sum + seconds, 0) + cook.sets * sets.readyS;
      for (; dueS < trulyS; dueS += LONGER_S)
        note(dueS, { kind: 'longer', wait: `${run.tasks[from].key}>${task.key}`, byS: LONGER_S });
      clockS = Math.max(clockS, dueS);
    }
    clockS += cook.hands * task.seconds;
    doneS[i] = clockS;
    note(clockS, { kind: 'done', task: task.key });
  }
  note(clockS + 60, { kind: 'ended' });
  return marks.sort((a, b) => a.atS - b.atS);
}
