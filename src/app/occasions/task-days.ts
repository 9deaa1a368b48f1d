import type { PlannedTask } from '../../core/occasion/occasion-plan';
import { text } from '../wording/format';
import { amountsText, letterOf, taskText, whoseText, type Told } from '../wording/occasion';
import { dayText, timeText } from '../wording/times';

/** A task as it is listed. */
export interface TaskLine {
  readonly key: string;
  readonly castingId: string | undefined;
  readonly handsOn: boolean;
  readonly at: string;
  /** The letter of its casting; empty where it is for several. */
  readonly mark: string;
  readonly what: string;
  readonly amounts: string;
  readonly whose: string;
  readonly takes: string;
}

/** The tasks of a timetable by their time, day by day. */
export function taskDays(
  tasks: readonly PlannedTask[],
  told: Told,
  zone: string,
): readonly { readonly name: string; readonly lines: readonly TaskLine[] }[] {
  const days = new Map<string, TaskLine[]>();
  for (const task of tasks) {
    const name = dayText(task.startS, zone);
    days.set(name, [...(days.get(name) ?? []), taskLine(task, told, zone)]);
  }
  return [...days].map(([name, lines]) => ({ name, lines }));
}

function taskLine(task: PlannedTask, told: Told, zone: string): TaskLine {
  const index = told.castings.findIndex(({ id }) => id === task.castingId);
  return {
    key: task.key,
    castingId: task.castingId,
    handsOn: task.handsOn,
    at: timeText(task.startS, zone),
    mark: index >= 0 ? letterOf(index) : '',
    what: taskText(task, told),
    amounts: amountsText(task, told),
    whose: whoseText(task, told),
    takes: text(task.seconds, 'duration', told.system),
  };
}
