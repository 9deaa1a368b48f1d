import * as z from 'zod/mini';
import { id, numberOf, wholeOf } from '../record/fields';

/** What can be other than it should be, in the middle of a run. */
export const WRONGS = [
  'tooThick',
  'seized',
  'outOfTemper',
  'ranOut',
  'sticks',
  'broke',
  'spilled',
  'shelfFull',
  'calledAway',
] as const;
export type Wrong = (typeof WRONGS)[number];

/** What is thought of it afterward. */
export const VERDICTS = ['again', 'change'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** By which a figure was taken. */
const by = z.enum(['hand', 'probe', 'scale']);
/** What the device calls itself. */
const source = z.optional(z.string().check(z.minLength(1), z.maxLength(80)));
/** A task or a wait of the run, by its key. */
const key = z.string().check(z.minLength(1), z.maxLength(400));
const bowl = z.int().check(z.gte(0), z.lte(200));

/** What every mark has: its own name, and when it was, s since 1970 UTC by the run's clock. */
const of = { id, atS: z.number() };

/** What is noted as it happens. A run is a list of these, only ever added to; `takenBack` undoes one that there is. */
export const MarkSchema = z.discriminatedUnion('kind', [
  z.object({ ...of, kind: z.literal('done'), task: key }),
  /** Of a bowl, °C. */
  z.object({ ...of, kind: z.literal('temperature'), bowl, c: numberOf('markC'), by, source }),
  /** What is in a bowl, without the bowl, kg. */
  z.object({ ...of, kind: z.literal('weight'), bowl, kg: numberOf('markKg'), by, source }),
  z.object({ ...of, kind: z.literal('temper'), bowl, set: z.boolean() }),
  /** How many came out whole, and how many broke. */
  z.object({ ...of, kind: z.literal('count'), task: key, out: wholeOf('cameOut'), broke: wholeOf('cameOut') }),
  /** By a gauge, or from what the shell weighs, kg. */
  z.object({
    ...of,
    kind: z.literal('thickness'),
    task: key,
    rimM: numberOf('rimM'),
    by: z.optional(by),
    source,
    kg: z.optional(numberOf('markKg')),
  }),
  z.object({ ...of, kind: z.literal('remark'), text: z.string().check(z.minLength(1), z.maxLength(500)) }),
  /** A picture of it, made small, as a data address. */
  z.object({
    ...of,
    kind: z.literal('photo'),
    data: z.string().check(z.maxLength(420_000), z.regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]+$/)),
  }),
  z.object({
    ...of,
    kind: z.literal('wrong'),
    what: z.enum(WRONGS),
    bowl: z.optional(bowl),
    /** The hands are away for so long, s. */
    forS: z.optional(numberOf('awayS')),
  }),
  /** A wait is to last so much longer, s. */
  z.object({ ...of, kind: z.literal('longer'), wait: key, byS: numberOf('awayS') }),
  /** It has been called: at its end, or at the latest moment. */
  z.object({ ...of, kind: z.literal('rung'), wait: key, at: z.enum(['due', 'latest']) }),
  z.object({ ...of, kind: z.literal('paused') }),
  z.object({ ...of, kind: z.literal('goesOn') }),
  /** The computer's clock was set: from here on the run's clock is so far before it, s. */
  z.object({ ...of, kind: z.literal('clock'), aheadS: z.number() }),
  /** What is left is done in this order from here on, by the tasks' keys. */
  z.object({ ...of, kind: z.literal('order'), tasks: z.array(key).check(z.maxLength(5000)) }),
  z.object({ ...of, kind: z.literal('takenBack'), mark: id }),
  z.object({ ...of, kind: z.literal('ended') }),
  /** Whether it is made again as it was, or something is changed first. The last one holds. */
  z.object({ ...of, kind: z.literal('verdict'), verdict: z.enum(VERDICTS) }),
  /** What it used up has been taken out of the pantry. */
  z.object({ ...of, kind: z.literal('booked') }),
]);

export type Mark = z.infer<typeof MarkSchema>;
type WithoutOwn<T> = T extends unknown ? Omit<T, 'id' | 'atS'> : never;
/** What is to be noted; its name and time are given to it. */
export type NewMark = WithoutOwn<Mark>;

/** Marks in force: those that were taken back are left out, and so is the taking back. A taking back may itself be taken back. */
export function standing(marks: readonly Mark[]): readonly Mark[] {
  const gone = new Set<string>();
  for (let i = marks.length - 1; i >= 0; i--) {
    const mark = marks[i];
    if (mark.kind === 'takenBack' && !gone.has(mark.id)) gone.add(mark.mark);
  }
  return marks.filter((mark) => mark.kind !== 'takenBack' && !gone.has(mark.id));
}
