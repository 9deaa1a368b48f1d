import { leftOver } from '../../core/run/bowl-left';
import type { Mark, Verdict } from '../../core/run/mark';
import type { Run } from '../../core/run/run-record';
import type { RunState } from '../../core/run/run-state';
import type { UnitSystem } from '../../core/quantity/units';
import { WRONG_NAMES } from './bench';
import { text } from './format';
import { listed } from './names';
import { taskText, whoseText, type Told } from './occasion';
import { timeText } from './times';

/** A mark in words, and with its picture. */
export interface MarkSaid {
  readonly what: string;
  readonly more: string;
  readonly photo?: string;
}

/** What is thought of a run. */
export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = { again: 'Make again', change: 'Change first' };

/** What a run's work is told by. */
export const toldOf = (run: Run | undefined, system: UnitSystem): Told => ({
  castings: run?.castings ?? [],
  names: run?.names ?? {},
  bowls: run?.bowls ?? [],
  sets: run?.sets ?? [],
  system,
});

/** A task of a run, and of which casting where there are several; nothing for a key that it does not have. */
export function taskName(run: Run, key: string, told: Told): string {
  const task = run.tasks.find((one) => one.key === key);
  if (!task) return '';
  return [taskText(task, told), run.castings.length > 1 ? whoseText(task, told) : ''].filter(Boolean).join(', ');
}

/** "done 17:04, 3 min later than planned". */
function doneText(plannedS: number, doneS: number, zone: string, system: UnitSystem): string {
  const late = lateText(doneS - plannedS, system);
  return `Done ${timeText(doneS, zone)}, ${late}${late === AS_PLANNED ? '' : ' than planned'}`;
}

const AS_PLANNED = 'as planned';

/** "3 min later"; what is later or earlier by less than a minute is as planned. */
export function lateText(late: number, system: UnitSystem): string {
  if (Math.abs(late) < 60) return AS_PLANNED;
  const minutes = Math.round(Math.abs(late) / 60);
  const by = minutes === 1 ? '1 min' : text(60 * minutes, 'duration', system);
  return `${by} ${late > 0 ? 'later' : 'earlier'}`;
}

/** By what a figure was taken: "Simulated probe"; nothing for what was read by eye. */
const byText = ({ source }: { readonly source?: string | undefined }): string =>
  source === undefined ? '' : `by ${source.charAt(0).toLowerCase()}${source.slice(1)}`;

/** Less than this sticks to the bowl, kg. */
const WORTH_KEEPING_KG = 0.005;

/** What a run has come to: what came out, what is left over, and what is to be cleaned. */
export function cameOfIt(run: Run, state: RunState, marks: readonly Mark[], told: Told): readonly string[] {
  const { castings, bowls } = run;
  const made = castings.map(({ id, name, pieces }) => {
    const own = new Set(run.tasks.filter(({ castingId }) => castingId === id).map(({ key }) => key));
    const counts = marks.flatMap((mark) => (mark.kind === 'count' && own.has(mark.task) ? [mark] : []));
    const [whole, broke] = counts.reduce(([out, bad], mark) => [out + mark.out, bad + mark.broke], [0, 0]);
    const noted = counts.length > 0 ? `: ${whole} noted as whole, ${broke} as broken` : '';
    return `${name}, ${pieces} ${pieces === 1 ? 'piece' : 'pieces'} planned${noted}.`;
  });
  const left = leftOver(run, state).filter(({ kg }) => kg >= WORTH_KEEPING_KG);
  const leftText = left.map(({ bowl, kg }) => `${text(kg, 'mass', told.system)} of ${bowls[bowl].name}`);
  const molds = [...new Set(castings.flatMap((casting) => casting.molds.map(({ name }) => name)))];
  return [
    ...made,
    ...(leftText.length > 0
      ? [`Left in the bowls: ${listed(leftText)}. Poured out flat to set and wrapped, it is melted again another day.`]
      : []),
    `To clean: ${listed([...molds, ...(left.length > 0 ? ['bowls and spatulas'] : [])])}. Scrape them before they get wet; molds are washed warm and without a scourer, and dried at once.`,
  ];
}

/**
 * A mark in words; nothing for what the run notes by itself.
 * @param plannedEndS when each of its tasks was to end, by their places
 */
export function markSaid(run: Run, mark: Mark, told: Told, plannedEndS?: readonly number[]): MarkSaid | undefined {
  const bowl = (i: number): string => run.bowls[i]?.name ?? 'a bowl';
  switch (mark.kind) {
    case 'done': {
      const plannedS = plannedEndS?.[run.tasks.findIndex(({ key }) => key === mark.task)];
      const more = plannedS === undefined ? '' : doneText(plannedS, mark.atS, run.zone, told.system);
      return { what: taskName(run, mark.task, told), more };
    }
    case 'temperature':
      return { what: `${bowl(mark.bowl)} at ${text(mark.c, 'temperature', told.system)}`, more: byText(mark) };
    case 'weight':
      return { what: `${text(mark.kg, 'mass', told.system)} of ${bowl(mark.bowl)} in the bowl`, more: byText(mark) };
    case 'temper':
      return { what: `${bowl(mark.bowl)}: test ${mark.set ? 'set and even' : 'streaked or soft'}`, more: '' };
    case 'count':
      return { what: `${mark.out} came out whole, ${mark.broke} broke`, more: taskName(run, mark.task, told) };
    case 'thickness':
      return {
        what: `Rim ${text(mark.rimM, 'length', told.system)}`,
        more: [taskName(run, mark.task, told), byText(mark)].filter(Boolean).join(', '),
      };
    case 'photo':
      return { what: 'Photo', more: '', photo: mark.data };
    case 'remark':
      return { what: mark.text, more: '' };
    case 'wrong':
      return {
        what: WRONG_NAMES[mark.what],
        more: mark.forS === undefined ? '' : `for ${text(mark.forS, 'duration', told.system)}`,
      };
    case 'longer':
      return { what: `A wait made ${text(mark.byS, 'duration', told.system)} longer`, more: '' };
    case 'paused':
      return { what: 'Paused', more: '' };
    case 'goesOn':
      return { what: 'Went on', more: '' };
    case 'order':
      return { what: 'What was left was put into another order', more: '' };
    case 'ended':
      return { what: 'Finished', more: '' };
    case 'verdict':
      return { what: VERDICT_NAMES[mark.verdict], more: '' };
    default:
      return undefined;
  }
}
