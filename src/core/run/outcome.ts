import type { Method } from '../record/method';
import { chocolateOf, meltOf } from '../record/references';
import { follow } from './following';
import { standing, type Mark, type Verdict, type Wrong } from './mark';
import type { Run } from './run-record';
import { runState } from './run-state';

/** Counted up when what an outcome or what a run teaches holds, or how they are worked out, changes: those of before are worked out anew. */
export const OUTCOME_VERSION = 2;

/** What a run has come to, as far as lists, trends and searches want it: worked out of the run and its marks, and never changed by itself. */
export interface Outcome {
  /** The run's. */
  readonly id: string;
  readonly name: string;
  readonly rehearsal: boolean;
  readonly zone: string;
  /** s since 1970 UTC; no end where it still goes on. */
  readonly beganS: number;
  readonly endedS: number | undefined;
  readonly castings: readonly { readonly id: string; readonly name: string }[];
  /** By their names. */
  readonly molds: readonly string[];
  readonly chocolates: readonly string[];
  readonly methods: readonly Method[];
  /** Pieces that were to be made. */
  readonly pieces: number;
  /** Noted as whole, and as broken; undefined where nothing was counted. */
  readonly counted: { readonly out: number; readonly broke: number } | undefined;
  /** When all was to be ready, and when it was; s since 1970 UTC. Undefined where not all was done. */
  readonly plannedS: number;
  readonly readyS: number | undefined;
  /** What was not as it should be, each once. */
  readonly wrongs: readonly Wrong[];
  readonly remarks: readonly string[];
  readonly photos: number;
  readonly verdict: Verdict | undefined;
}

const each = <T>(all: readonly T[]): readonly T[] => [...new Set(all)];

/** When everything of a run was to end, by its tasks' places, and when it was to be ready, had nothing come otherwise; s since 1970 UTC. */
export function asPlanned(run: Run): { readonly endS: readonly number[]; readonly readyS: number } {
  const beganS = run.rehearsal ? run.tasks[0].startS : Date.parse(run.createdAt) / 1000;
  return follow(run, runState([]), beganS);
}

/** What a run and what was noted in it come to. @param marks in their order, those that were taken back among them */
export function outcomeOf(run: Run, marks: readonly Mark[]): Outcome {
  const state = runState(marks);
  const stand = standing(marks);
  const counts = stand.flatMap((mark) => (mark.kind === 'count' ? [mark] : []));
  const allDone = run.tasks.every(({ key, handsOn }) => !handsOn || state.doneS.has(key));
  const coats = run.castings.flatMap((casting) =>
    casting.parts.flatMap((part) => part.coats.map((coat) => ({ casting, coat }))),
  );
  return {
    id: run.id,
    name: run.name,
    rehearsal: run.rehearsal !== undefined,
    zone: run.zone,
    beganS: Date.parse(run.createdAt) / 1000,
    endedS: state.endedS,
    castings: run.castings.map(({ id, name }) => ({ id, name })),
    molds: each(run.castings.flatMap(({ molds }) => molds.map(({ name }) => name))),
    chocolates: each(
      coats.flatMap(({ casting, coat }) =>
        coat.shares.map(({ meltId }) => chocolateOf(casting, meltOf(casting, meltId)).name),
      ),
    ),
    methods: each(coats.map(({ coat }) => coat.method)),
    pieces: run.castings.reduce((sum, { pieces }) => sum + pieces, 0),
    counted:
      counts.length === 0
        ? undefined
        : {
            out: counts.reduce((sum, { out }) => sum + out, 0),
            broke: counts.reduce((sum, { broke }) => sum + broke, 0),
          },
    plannedS: asPlanned(run).readyS,
    readyS: state.endedS !== undefined && allDone ? follow(run, state, state.endedS).readyS : undefined,
    wrongs: each(stand.flatMap((mark) => (mark.kind === 'wrong' ? [mark.what] : []))),
    remarks: stand.flatMap((mark) => (mark.kind === 'remark' ? [mark.text] : [])),
    photos: stand.filter(({ kind }) => kind === 'photo').length,
    verdict: stand.flatMap((mark) => (mark.kind === 'verdict' ? [mark.verdict] : [])).at(-1),
  };
}
