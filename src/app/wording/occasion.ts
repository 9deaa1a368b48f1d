import type { Bowl } from '../../core/occasion/bowls';
import { BREAK_AFTER_S } from '../../core/occasion/breaks';
import type { OccasionPlan, PlannedTask } from '../../core/occasion/occasion-plan';
import type { NoTimetable, Unfit } from '../../core/occasion/occasion-answer';
import type { Wider } from '../../core/occasion/wider';
import type { StayNote } from '../../core/occasion/stays';
import type { Task } from '../../core/occasion/work';
import type { WorkNames } from '../../core/plan/work-names';
import type { UnitSystem } from '../../core/quantity/units';
import type { Casting } from '../../core/record/casting';
import type { Wrap } from '../../core/record/choices';
import type { PackedSet } from '../../core/record/occasion';
import { text } from './format';
import { listed, PLACE_NAMES } from './names';
import { sortsText } from './inside';
import { contentsText, insertsText } from './packing';
import { stretchName } from './stretches';
import { dayText, momentText, timeText, weekdayTimeText } from './times';

/** What a timetable's tasks are told with. */
export interface Told {
  readonly castings: readonly Casting[];
  readonly names: Readonly<Record<string, WorkNames>>;
  readonly bowls: readonly Bowl[];
  readonly sets: readonly PackedSet[];
  readonly system: UnitSystem;
}

/** What pieces are packed in. */
export const WRAP_NAMES: Readonly<Record<Wrap, string>> = {
  bag: 'in a bag',
  linerBag: 'in liners, in a bag',
  box: 'in liners, in a box',
};

/** Less than this left over is not told, kg. */
const LEAST_TOLD_KG = 0.0005;
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** What a casting is marked with in the lanes, by its place in the occasion: A to Z, then A2 and so on. */
export function letterOf(index: number): string {
  const again = Math.floor(index / LETTERS.length);
  return LETTERS[index % LETTERS.length] + (again > 0 ? String(again + 1) : '');
}

/** What is done: "Melt 734 g of Linen", "Coat 1, round 2". */
export function taskText(task: Task, { castings, names, bowls, sets, system }: Told): string {
  const casting = castings.find(({ id }) => id === task.castingId);
  if (task.bowl !== undefined) {
    const { name, kg, from } = bowls[task.bowl];
    if (from && !task.again) return `Make ${name} of what is left of ${bowls[from.bowl].name}`;
    return task.again ? `Melt ${name} again` : `Melt ${text(kg, 'mass', system)} of ${name}`;
  }
  if (task.kind === 'break') return 'Break';
  if (task.kind === 'make') {
    const filling = casting?.fillings.find(({ id }) => id === task.fillingId);
    return `Make ${filling?.name ?? 'the filling'}`;
  }
  if (task.kind === 'wash') {
    const mold = casting?.molds.find(({ id }) => id === task.moldId);
    return `Wash and dry ${mold?.name ?? 'the mold'}`;
  }
  if (task.kind === 'pack') {
    const set = sets.find(({ id }) => id === task.setId);
    return set ? `Pack ${set.count} × ${set.name}` : 'Pack';
  }
  const own = names[task.castingId ?? ''];
  const name = own ? (leftText(task) ?? stretchName(task, own).long) : task.kind;
  return task.round !== undefined && task.round > 0 ? `${name}, round ${task.round + 1}` : name;
}

/** What a task takes: "6 × 43 g poured, 9.1 g stays", "6 × 20 g Cocoa mix, 6 × 4 g Small marshmallows"; what goes into which piece, and what into each box. */
export function amountsText({ amounts, castingId, kind, setId }: PlannedTask, told: Told): string {
  const { castings, sets, system } = told;
  const casting = castings.find(({ id }) => id === castingId);
  const set = sets.find(({ id }) => id === setId);
  if (kind === 'pack' && set) return `each ${contentsText(set, castings)}`;
  if (kind === 'fill' && casting && amounts.length === 0) return insertsText(casting);
  const fillings = casting?.fillings ?? [];
  if (amounts.some(({ names }) => names)) {
    const each = amounts.map(({ eachKg, names = [] }) => `${text(eachKg, 'mass', system)} ${sortsText(names)}`);
    return `${each.join(', ')}${amounts[0].pouredKg === undefined ? ', each' : ', that stay in each'}`;
  }
  return amounts
    .map(({ count, eachKg, fillingId, pouredKg }) => {
      const name = fillings.find(({ id }) => id === fillingId)?.name;
      const mass = (kg: number): string => text(kg, 'mass', system);
      const times = count > 1 ? `${count} × ` : '';
      if (pouredKg !== undefined) return `${times}${mass(pouredKg)} poured, ${mass(eachKg)} stays`;
      return `${times}${mass(eachKg)}${amounts.length > 1 && name ? ` ${name}` : ''}`;
    })
    .join(', ');
}

/** What is only waited for: where it is left. */
function leftText({ handsOn, kind, place }: Task): string | undefined {
  return !handsOn && kind === 'chill' ? `Left to set: ${PLACE_NAMES[place ?? 'room']}` : undefined;
}

/** What a bowl is made of, and what of it goes on into another. */
export function bowlText(bowl: Bowl, at: number, bowls: readonly Bowl[], system: UnitSystem): string {
  const mass = (kg: number): string => text(kg, 'mass', system);
  const { from, leftKg } = bowl;
  const own = from
    ? `made of ${listed([`${mass(from.kg)} ${bowls[from.bowl].name}`, ...from.added.map(({ kg, name }) => `${mass(kg)} ${name}`)])}`
    : '';
  const next = bowls.find((other) => other.from?.bowl === at);
  const on = next?.from ? `leave ${mass(next.from.kg)} for ${next.name}` : '';
  const left = from && !next && leftKg > LEAST_TOLD_KG ? `${mass(leftKg)} left at the end` : '';
  return [own, on, left].filter((one) => one !== '').join('; ');
}

/** Whose task it is: its casting’s name, or all that share it. */
export function whoseText(task: Task, { castings, bowls, sets }: Told): string {
  const nameOf = (id: string): string => castings.find((casting) => casting.id === id)?.name ?? '';
  if (task.castingId !== undefined) return nameOf(task.castingId);
  if (task.kind === 'break') return 'all hands';
  const uses =
    task.bowl === undefined
      ? (sets.find(({ id }) => id === task.setId)?.contents ?? []).filter(({ pieces }) => pieces > 0)
      : bowls[task.bowl].uses;
  return [...new Set(uses.map(({ castingId }) => nameOf(castingId)))].join(', ');
}

/** Why a task starts when it does. */
export function reasonText({ reason }: PlannedTask, { tasks }: Pick<OccasionPlan, 'tasks'>, told: Told): string {
  const other = (i: number): string => {
    const task = tasks[i];
    return `“${taskText(task, told)}”${task.castingId ? ` of ${whoseText(task, told)}` : ''}`;
  };
  switch (reason.key) {
    case 'held':
      return 'You hold it at this time; the rest is worked out around it.';
    case 'middle':
      return 'It is had about the middle of a long stretch of work.';
    case 'after':
      return reason.waits > 60
        ? `${other(reason.task)} has to be over, and then ${text(reason.waits, 'duration', told.system)} to pass.`
        : `It follows ${other(reason.task)}.`;
    case 'hands':
      return `Until then the hands are at ${other(reason.task)}.`;
    case 'stay':
      return 'Nobody is in the kitchen before.';
    case 'before':
      return `It is wanted for ${other(reason.task)}.`;
    case 'first':
      return 'It comes first.';
  }
}

/** When the break is had, or in which stretches there is no room for it. */
export function breakText(noBreak: OccasionPlan['noBreak'], zone: string): string {
  if (noBreak.length === 0) return `In the middle of every stretch of more than ${BREAK_AFTER_S / 3600} h.`;
  const where = listed(noBreak.map((stretch) => `${dayText(stretch.from, zone)}, ${fromToText(stretch, zone)}`));
  return `No room was found for it on ${where}. A longer stay or a shorter break may help.`;
}

/** How long a task may be put off without anything being late. */
export function mayWaitText({ mayWaitS }: PlannedTask, system: UnitSystem): string {
  return mayWaitS < 60
    ? 'It may not wait: something after it would be late.'
    : `It may wait for ${text(mayWaitS, 'duration', system)}, in this order, with nothing late.`;
}

const time = (seconds: number, system: UnitSystem): string => text(seconds, 'duration', system);

/** Why there is no timetable, and what would help. */
export function noTimetableText(why: NoTimetable, told: Told, zone: string): string {
  const { castings, system } = told;
  const nameOf = (id: string | undefined): string => castings.find((casting) => casting.id === id)?.name ?? 'A casting';
  switch (why.key) {
    case 'empty':
      return 'There is nothing to do yet: take castings in.';
    case 'endless':
      return `“${nameOf(why.castingId)}” never sets where it is to set. Open it and give it a colder place.`;
    case 'tooMany':
      return 'These are more rounds than anybody keeps a list of. Cast fewer pieces, or put more molds to work.';
    case 'tooLong':
      return `One thing takes ${time(why.task.seconds, system)} by hand, longer than any stay: ${nameOf(why.task.castingId)}. Make a stay longer.`;
    case 'tooFewHours':
      return `All that is done by hand takes ${time(why.wantedS, system)}; the stays have ${time(why.givenS, system)}. Make them longer, add one, or ask somebody to help.`;
    case 'shelf':
      return `One round of “${nameOf(why.castingId)}” wants ${text(why.m2, 'area', system)} in the ${why.place}, more than there is. Make room, or use fewer of its molds at once.`;
    case 'noStay':
      return 'Every stay begins when everything is to be ready. Add one before it.';
    case 'held':
      return why.beside
        ? `“${taskText(why.task, told)}” and “${taskText(why.beside, told)}” cannot both be held where they are: with the second there, the first can start ${betweenText(why.earliestS, why.latestS, zone)}. Hold it at such a time, or let one of them go.`
        : `“${taskText(why.task, told)}” cannot be held there: it can start ${betweenText(why.earliestS, why.latestS, zone)}. Hold it at such a time, or let it go.`;
    case 'contradiction':
    case 'notFound': {
      const { stretch, mold } = why.help;
      const start = stretch
        ? ` At one stretch, with nothing held, it would take ${time(stretch.takesS, system)}: start it on ${momentText(stretch.startS, zone)}.`
        : '';
      const more = mold ? ` With one more “${mold.name}” it would take ${time(mold.takesS, system)}.` : '';
      return `No timetable was found that keeps to all of it.${start}${more} Make a stay longer, add one, or let go of what is held.`;
    }
  }
}

/** That what is held does not go with the rest as it was, and what would do. */
export function unfitText({ wider }: Unfit, zone: string): string {
  const would = wider ? ` ${widerText(wider, zone)}` : '';
  return `What is held does not go with the rest in this order; another is being looked for.${would}`;
}

/** Which stay would have to be longer for what is held: "It would go in this order if you began on Sat 17 Oct at 13:45." */
export function widerText(wider: Wider, zone: string): string {
  const began = 'fromS' in wider;
  const at = began ? wider.fromS : wider.toS;
  return `In this order it would go if you ${began ? 'began' : 'stayed'} on ${dayText(at, zone)} ${began ? 'at' : 'until'} ${timeText(began ? Math.floor(at / 300) * 300 : at, zone)}.`;
}

/** Earlier than this before the latest, what is possible is told by its end alone, s. */
const LONG_S = 7 * 86_400;

function betweenText(earliestS: number, latestS: number, zone: string): string {
  const latest = momentText(latestS, zone);
  return latestS - earliestS > LONG_S
    ? `no later than ${latest}`
    : `between ${momentText(earliestS, zone)} and ${latest}`;
}

/** What is to be said of a stay. */
export function stayNoteText(note: StayNote): string {
  return note.key === 'overlap'
    ? `It begins before stay ${note.other + 1} ends: the two are taken as one.`
    : 'It begins when everything is to be ready, and is left out.';
}

/** "18:00 to 19:43", "22:00 to Sun 11:00". */
export function fromToText({ from, to }: { readonly from: number; readonly to: number }, zone: string): string {
  const until = dayText(from, zone) === dayText(to, zone) ? timeText(to, zone) : weekdayTimeText(to, zone);
  return `${timeText(from, zone)} to ${until}`;
}
