import { wrap } from 'comlink';
import { Observable } from 'rxjs';
import type { Taught } from '../core/learn/lessons';
import type { RunReadings } from '../core/learn/run-readings';
import type { LessonKey } from '../core/record/kitchen';
import type { LessonsWorker } from './lessons.worker';

/**
 * Works lessons out in a worker of its own, which is ended when they are told, or when nobody waits for them any more. Errs where the worker does not start
 * or breaks.
 * @param readings of each run, the latest first
 * @param off what new plans do not go by
 */
export function taughtIn(
  start: () => Worker,
  readings: readonly RunReadings[],
  off: ReadonlySet<LessonKey>,
): Observable<readonly Taught[]> {
  return new Observable((subscriber) => {
    let worker: Worker | undefined;
    try {
      worker = start();
      worker.addEventListener('error', (event) => subscriber.error(event));
      wrap<LessonsWorker>(worker)
        .taught(readings, off)
        .then(
          (taught) => {
            subscriber.next(taught);
            subscriber.complete();
          },
          (error: unknown) => subscriber.error(error),
        );
    } catch (error) {
      subscriber.error(error);
    }
    return () => worker?.terminate();
  });
}
