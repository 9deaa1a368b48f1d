import type { Mark, NewMark } from '../core/run/mark';
import type { PackedRun } from '../data/run-file';
import { demoCastings } from '../data/demo';
import { BEGINS_S, madeRun } from './made-run';

const WEEK_S = 7 * 86400;

/** A run is so late, by its place in the log, s: the first comes out before its plan. */
const LATE_S = [-100, 100, 300, 500];

/** What was noted in the run of a place in the log, everything in its turn. */
function marksOf(run: PackedRun, k: number): readonly Mark[] {
  const marks: Mark[] = [];
  const beganS = run.tasks[0].startS;
  const note = (atS: number, mark: NewMark): void => {
    marks.push({ ...mark, id: `${run.id} ${marks.length}`, atS } as Mark);
  };
  for (const { key, kind, handsOn, startS, seconds } of run.tasks) {
    if (!handsOn) continue;
    const at = startS + seconds + LATE_S[k % 4];
    note(at, { kind: 'done', task: key });
    if (kind === 'melt')
      note(at + 5, { kind: 'temperature', bowl: 0, c: 31.4, by: 'probe', source: 'Simulated probe' });
    if (kind === 'melt') note(at + 30, { kind: 'temper', bowl: 0, set: true });
    if (kind === 'unmold') note(at + 10, { kind: 'count', task: key, out: 12 - (k % 3), broke: k % 3 });
  }
  if (k % 4 === 1) note(beganS + 3000, { kind: 'wrong', what: 'tooThick', bowl: 0 });
  if (k % 4 === 3) note(beganS + 3000, { kind: 'wrong', what: 'sticks' });
  if (k % 3 === 0) note(beganS + 3100, { kind: 'remark', text: 'The rims by the window came out a touch thin.' });
  note(beganS + 6000, { kind: 'ended' });
  if (k % 2 === 0) note(beganS + 6100, { kind: 'verdict', verdict: k % 4 === 0 ? 'again' : 'change' });
  return marks.sort((a, b) => a.atS - b.atS);
}

/** Finished runs, a week apart, the latest first; each of another of the demo's castings in its turn, with the work of the made run. */
export function finishedRuns(count: number): readonly PackedRun[] {
  const castings = demoCastings(new Date('2026-10-12T08:00:00Z'));
  const made = madeRun();
  const [own] = made.castings;
  return Array.from({ length: count }, (_, k) => {
    const shiftS = -k * WEEK_S;
    const casting = castings[k % castings.length];
    const run: PackedRun = {
      ...made,
      id: `finished-${k}`,
      name: casting.name,
      createdAt: new Date((BEGINS_S + shiftS) * 1000).toISOString(),
      // By its own id, which the work names.
      castings: [{ ...casting, id: own.id }],
      names: { [own.id]: made.names[own.id] },
      tasks: made.tasks.map((task) => ({ ...task, startS: task.startS + shiftS })),
      there: made.there.map(({ from, to }) => ({ from: from + shiftS, to: to + shiftS })),
      dueS: made.dueS + shiftS,
      marks: [],
    };
    return { ...run, marks: marksOf(run, k) };
  });
}
