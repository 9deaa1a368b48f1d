import { workOrder } from '../plan/batch-input';
import { draftPlan } from '../plan/draft';
import type { PlanDraft } from '../plan/plan-types';
import { isHandWork, type HandWork } from '../record/kitchen';
import type { Casting } from '../record/casting';
import { standing, type Mark } from '../run/mark';
import type { Run } from '../run/run-record';
import { runState, type RunState } from '../run/run-state';
import type { HandReading } from './hand-evidence';
import { SET_PARAMETERS } from './parameters';
import { alongOf } from './set-along';
import type { SetReading } from './set-evidence';

/** What a run has to teach. */
export interface RunReadings {
  readonly sets: readonly SetReading[];
  readonly hands: readonly (HandReading & { readonly work: HandWork })[];
}

/** What is gone on with before this share of its time was gone on with early; what is made longer before it has other reasons than softness. Working rule. */
const EARLY = 0.9;
/** What took less is ticked off and was not done then, s; what took so many times as long or as short is not it. */
const TICKED_S = 5;
const BEYOND = 8;

/** Nothing is learned from a rehearsal, nor from what still goes on. @param marks in their order, those that were taken back among them */
export function readingsOf(run: Run, marks: readonly Mark[]): RunReadings {
  const state = runState(marks);
  if (run.rehearsal !== undefined || state.endedS === undefined) return { sets: [], hands: [] };
  return { sets: setReadings(run, marks, state), hands: handReadings(run, marks, state) };
}

/** Each wait for a coat that was gone on from: how long it stood, and whether it was made longer because it was soft. */
function setReadings(run: Run, marks: readonly Mark[], { doneS }: RunState): SetReading[] {
  const { tasks } = run;
  const longer = standing(marks).flatMap((mark) => (mark.kind === 'longer' ? [mark] : []));
  const alongs = new Alongs(run.castings);
  return run.waits.flatMap(({ from, to, steps, sets }): SetReading[] => {
    const [laidS, wentOnS] = [from, to].map((task) => doneS.get(tasks[task].key));
    const { castingId = '', part = 0 } = tasks[from];
    const known = sets && alongs.of(castingId, part, sets.coat, sets.until);
    if (!sets || !known || laidS === undefined || wentOnS === undefined) return [];
    const { along, factor } = known;
    const dueS = steps[steps.length - 1].seconds;
    // It went into its place when all that comes before was over.
    const inS = laidS + steps.slice(0, -1).reduce((sum, { seconds }) => sum + seconds, 0);
    const beganS = Math.max(wentOnS - tasks[to].seconds, lastDoneBefore(run, doneS, to, wentOnS));
    const byS = beganS - inS;
    if (!(byS > 0)) return [];
    const key = `${tasks[from].key}>${tasks[to].key}`;
    const pressed = longer.filter(({ wait, atS }) => wait === key && atS - inS >= EARLY * dueS && atS < beganS);
    const softS = Math.max(0, ...pressed.map(({ atS }) => atS - inS));
    const deed = softS > 0 ? 'waited' : byS < EARLY * dueS ? 'early' : 'wentOn';
    return [{ readyS: sets.readyS / factor, along, deed, softS, byS }];
  });
}

/** When the same hands were done with something before a task was; 0 where nothing was. */
function lastDoneBefore({ tasks }: Run, doneS: RunState['doneS'], task: number, atS: number): number {
  return tasks.reduce((last, { key, person }, i) => {
    const done = person === tasks[task].person && i !== task ? doneS.get(key) : undefined;
    return done !== undefined && done < atS ? Math.max(last, done) : last;
  }, 0);
}

/** By what each coat of a run's castings is ready later; worked out once for a coat. */
class Alongs {
  private readonly known = new Map<string, ReturnType<Alongs['workedOut']>>();
  private readonly drafts = new Map<string, PlanDraft | undefined>();

  constructor(private readonly castings: readonly Casting[]) {}

  of(castingId: string, part: number, coat: number, until: Parameters<typeof alongOf>[2]) {
    const key = `${castingId} ${part} ${coat} ${until}`;
    if (!this.known.has(key)) this.known.set(key, this.workedOut(castingId, part, coat, until));
    return this.known.get(key);
  }

  private workedOut(castingId: string, part: number, coat: number, until: Parameters<typeof alongOf>[2]) {
    const draft = this.draft(castingId);
    const made = draft && workOrder(draft.parts).at(part);
    if (!draft || !made?.chillInput.coats.at(coat)) return undefined;
    const along = alongOf(made.chillInput, coat, until);
    const { learned } = draft.casting.kitchen;
    const logs = SET_PARAMETERS.map(({ key }) => along[key] * Math.log(learned?.[key]?.factor ?? 1));
    return { along, factor: Math.exp(logs.reduce((sum, log) => sum + log, 0)) };
  }

  private draft(castingId: string): PlanDraft | undefined {
    if (!this.drafts.has(castingId)) {
      const casting = this.castings.find(({ id }) => id === castingId);
      this.drafts.set(castingId, casting && draftPlan(casting));
    }
    return this.drafts.get(castingId);
  }
}

/** Work that was begun when the work before it was done: nothing had to be waited for, and nobody was away. With several people it is not told who did what. */
function handReadings(run: Run, marks: readonly Mark[], { doneS, longerS }: RunState): RunReadings['hands'] {
  if (run.people > 1) return [];
  const { tasks, lags, castings } = run;
  const breaks = standing(marks).flatMap(({ kind, atS }) => (kind === 'paused' || kind === 'wrong' ? [atS] : []));
  const done = tasks
    .flatMap((task, place) => {
      const atS = task.handsOn ? doneS.get(task.key) : undefined;
      return atS === undefined ? [] : [{ task, place, atS }];
    })
    .sort((a, b) => a.atS - b.atS);
  return done.flatMap(({ task, place, atS }, i) => {
    const work = task.kind;
    if (!isHandWork(work) || i === 0) return [];
    const beganS = done[i - 1].atS;
    const readyS = Math.max(
      0,
      ...lags.flatMap(({ from, to, least }) => {
        const before = tasks[from].handsOn ? doneS.get(tasks[from].key) : undefined;
        return to === place && before !== undefined ? [before + least] : [];
      }),
    );
    const waited = readyS > beganS || [...longerS.keys()].some((key) => key.endsWith(`>${task.key}`));
    const away = breaks.some((at) => at >= beganS && at <= atS);
    const tookS = atS - beganS;
    const pace = castings.find(({ id }) => id === task.castingId)?.kitchen.learned?.hands?.[work]?.factor ?? 1;
    const plannedS = task.seconds / pace;
    const ratio = tookS / plannedS;
    if (waited || away || tookS < TICKED_S || ratio > BEYOND || ratio < 1 / BEYOND) return [];
    return [{ work, plannedS, tookS }];
  });
}
