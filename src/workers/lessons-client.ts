import type { Observable } from 'rxjs';
import type { Taught } from '../core/learn/lessons';
import type { RunReadings } from '../core/learn/run-readings';
import type { LessonKey } from '../core/record/kitchen';
import { askedOnce } from './asked-once';
import type { LessonsWorker } from './lessons.worker';

/**
 * Works lessons out in a worker of its own.
 * @param readings of each run, the latest first
 * @param off what new plans do not go by
 */
export const taughtIn = (
  start: () => Worker,
  readings: readonly RunReadings[],
  off: ReadonlySet<LessonKey>,
): Observable<readonly Taught[]> =>
  askedOnce<LessonsWorker, readonly Taught[]>(start, async (remote) => remote.taught(readings, off));
