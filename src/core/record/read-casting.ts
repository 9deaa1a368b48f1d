import type * as z from 'zod/mini';
import { circularRecipe } from './filling';
import { CASTING_SCHEMA_VERSION, CastingSchema, type Casting } from './casting';
import { checked, readRecord } from './read-record';
import type { RecordProblem } from './record-problem';
import { brokenReference } from './references';
import { upgradeCasting } from './upgrade';

type ReadCasting = { readonly ok: true; readonly casting: Casting } | RecordProblem;

/**
 * Checks a record from outside (the database, a file) and gives it as a casting, brought up to the present version.
 * Errors are values: the place in the record and what is wrong there. Never changes its input.
 */
export function readCasting(raw: unknown): ReadCasting {
  const plain = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  const read = readRecord(
    CastingSchema,
    CASTING_SCHEMA_VERSION,
    plain ? upgradeCasting(raw as Record<string, unknown>) : raw,
  );
  return read.ok ? readWhole(read.record) : read;
}

/**
 * Checks what a change made of a casting that had been read: what it left as it was is not checked once more.
 * @param before as it was read, or came of such a change
 */
export function readChanged(before: Casting, after: Casting): ReadCasting {
  for (const key of Object.keys(CastingSchema.shape) as (keyof Casting)[]) {
    if (after[key] === before[key]) continue;
    const schema: z.ZodMiniType = CastingSchema.shape[key];
    const read = checked(schema, after[key], [key]);
    if (!read.ok) return read;
  }
  return readWhole(after);
}

/** What no field tells by itself: that every id points at something, and no filling is made of itself. */
function readWhole(casting: Casting): ReadCasting {
  const broken = brokenReference(casting);
  if (broken) return { ok: false, problem: 'brokenReference', path: broken, detail: '' };
  const circle = circularRecipe(casting.fillings);
  return circle
    ? { ok: false, problem: 'circularReference', path: 'fillings', detail: circle.join(' → ') }
    : { ok: true, casting };
}

/** Checks castings that another record from outside carries: one that cannot be read makes the whole of it bad, and is named by its place. */
export function readCastings(
  raws: unknown,
): { readonly ok: true; readonly castings: readonly Casting[] } | RecordProblem {
  const castings: Casting[] = [];
  for (const [i, one] of (Array.isArray(raws) ? raws : []).entries()) {
    const casting = readCasting(one);
    if (!casting.ok) return { ...casting, path: `castings.${i}.${casting.path}` };
    castings.push(casting.casting);
  }
  return { ok: true, castings };
}
