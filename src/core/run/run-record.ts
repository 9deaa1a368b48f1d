import * as z from 'zod/mini';
import { STRETCH_KINDS } from '../batch/stretch';
import { STAYS_UNTIL } from '../chill/set-coats';
import type { Bowl } from '../occasion/bowls';
import type { PlannedTask } from '../occasion/occasion-plan';
import type { Wait } from '../occasion/work';
import type { WorkNames } from '../plan/work-names';
import type { Casting } from '../record/casting';
import { MELTING_WAYS, PLACES } from '../record/choices';
import { isZone } from '../record/due';
import { id, name } from '../record/fields';
import { PackedSetSchema, type PackedSet } from '../record/occasion';
import { PREP_KINDS } from '../record/prep';
import { readCastings } from '../record/read-casting';
import { readRecord } from '../record/read-record';
import type { RecordProblem } from '../record/record-problem';
import type { Lag, Stay } from '../schedule/workload';

/** The version of the run record that this program writes. */
export const RUN_SCHEMA_VERSION = 1;

/** How much faster than the clock on the wall a rehearsal goes. */
export const REHEARSAL_SPEEDS = [10, 60] as const;

const text = z.string().check(z.maxLength(400));
const at = z.int().check(z.gte(0));
const figure = z.number();

const TaskSchema = z.object({
  key: text,
  kind: z.enum(STRETCH_KINDS),
  handsOn: z.boolean(),
  seconds: figure,
  startS: figure,
  person: at,
  mayWaitS: figure,
  castingId: z.optional(text),
  part: z.optional(at),
  coat: z.optional(at),
  step: z.optional(at),
  round: z.optional(at),
  place: z.optional(z.enum(PLACES)),
  meltIds: z.optional(z.array(text)),
  fillingId: z.optional(text),
  bowl: z.optional(at),
  again: z.optional(z.literal(true)),
  count: z.optional(figure),
  moldId: z.optional(text),
  setId: z.optional(text),
  amounts: z.array(
    z.object({
      count: figure,
      eachKg: figure,
      fillingId: z.optional(text),
      pouredKg: z.optional(figure),
      names: z.optional(z.array(z.optional(text))),
    }),
  ),
  reason: z.union([
    z.object({ key: z.enum(['held', 'middle', 'stay', 'first']) }),
    z.object({ key: z.enum(['hands', 'before']), task: at }),
    z.object({ key: z.literal('after'), task: at, waits: figure }),
  ]),
});

const MixSchema = z.array(z.object({ component: text, name: text, share: figure }));

const BowlSchema = z.object({
  uses: z.array(z.object({ castingId: text, meltId: text, usedKg: figure, tipsOut: z.boolean() })),
  name: text,
  colour: text,
  workingC: figure,
  way: z.enum(MELTING_WAYS),
  kg: figure,
  usedKg: figure,
  leftKg: figure,
  apartKg: figure,
  seconds: figure,
  meltedS: figure,
  mix: MixSchema,
  from: z.optional(
    z.object({
      bowl: at,
      kg: figure,
      added: z.array(z.object({ component: text, name: text, kg: figure })),
    }),
  ),
});

const NamesSchema = z.object({
  parts: z.array(z.object({ name: text, coats: at, preps: z.array(z.enum(PREP_KINDS)) })),
});

/**
 * A run: what was planned when it was begun, with copies of its castings, so that whatever becomes of them afterward it tells the same. What happened
 * is not in it: that is its marks.
 */
const RunSchema = z
  .object({
    schemaVersion: z.literal(RUN_SCHEMA_VERSION),
    id,
    name,
    createdAt: z.iso.datetime(),
    /** What it was begun from. */
    of: z.object({ kind: z.enum(['occasion', 'casting']), id }),
    zone: z.string().check(z.maxLength(60), z.refine(isZone)),
    /** When everything is wanted, s since 1970 UTC. */
    dueS: figure,
    people: z.int().check(z.gte(1), z.lte(4)),
    /** A rehearsal goes so many times as fast, from the first moment of the plan on, and nothing is learned from it. */
    rehearsal: z.optional(z.literal(REHEARSAL_SPEEDS)),
    /** Room in the cold was counted with: what is left is not put into another order, which might want more of it. */
    roomCounted: z.optional(z.literal(true)),
    sets: z.array(PackedSetSchema),
    names: z.record(z.string(), NamesSchema),
    /** By their time, as all that names them by their place. */
    tasks: z.array(TaskSchema).check(z.minLength(1)),
    lags: z.array(z.object({ from: at, to: at, least: figure, most: z.optional(figure) })),
    waits: z.array(
      z.object({
        from: at,
        to: at,
        steps: z.array(z.object({ kind: z.enum(STRETCH_KINDS), place: z.optional(z.enum(PLACES)), seconds: figure })),
        sets: z.optional(z.object({ coat: at, until: z.enum(STAYS_UNTIL), readyS: figure })),
      }),
    ),
    bowls: z.array(BowlSchema),
    /** When somebody was to be there, s since 1970 UTC. */
    there: z.array(z.object({ from: figure, to: figure })),
  })
  .check(
    z.refine(
      ({ tasks, lags, waits, bowls }) =>
        [...lags, ...waits].every(({ from, to }) => from < tasks.length && to < tasks.length) &&
        tasks.every(({ bowl = -1 }) => bowl < bowls.length) &&
        tasks.every(({ reason }) => !('task' in reason) || reason.task < tasks.length),
    ),
  );

export interface Run extends Omit<
  z.infer<typeof RunSchema>,
  'sets' | 'names' | 'tasks' | 'lags' | 'waits' | 'bowls' | 'there'
> {
  readonly castings: readonly Casting[];
  readonly sets: readonly PackedSet[];
  readonly names: Readonly<Record<string, WorkNames>>;
  readonly tasks: readonly PlannedTask[];
  readonly lags: readonly Lag[];
  readonly waits: readonly Wait[];
  readonly bowls: readonly Bowl[];
  readonly there: readonly Stay[];
}

/** Checks a run from outside (the database, a file), with its castings. Errors are values; never changes its input. */
export function readRun(raw: unknown): { readonly ok: true; readonly record: Run } | RecordProblem {
  const read = readRecord(RunSchema, RUN_SCHEMA_VERSION, raw);
  if (!read.ok) return read;
  const packed = readCastings((raw as { readonly castings?: unknown }).castings);
  return packed.ok ? { ok: true, record: { ...read.record, castings: packed.castings } } : packed;
}
