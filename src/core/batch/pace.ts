import { isHandWork, type Learned } from '../record/kitchen';
import type { Bare } from './stretch';

/** What was learned of how long work by hand takes; as is common practice where nothing was. */
export type Pace = Learned['hands'];

const paceOf = ({ kind, handsOn }: Bare, pace: Pace): number =>
  handsOn && isHandWork(kind) ? (pace?.[kind]?.factor ?? 1) : 1;

/** Work by hand as long as it takes here; a wait is as long as ever. */
export const atPace = (tasks: readonly Bare[], pace: Pace): Bare[] =>
  tasks.map((task) => ({ ...task, seconds: task.seconds * paceOf(task, pace) }));

/** What takes as long as it does here, as long as is usual. */
export const atUsualPace = (tasks: readonly Bare[], pace: Pace): Bare[] =>
  tasks.map((task) => ({ ...task, seconds: task.seconds / paceOf(task, pace) }));
