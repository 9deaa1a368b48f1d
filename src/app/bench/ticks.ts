import { InjectionToken } from '@angular/core';
import { Observable, fromEvent, interval, map, merge } from 'rxjs';

const TICK_MS = 500;

/** Ticks about twice a second, and at once when the page is looked at again. */
export const TICKS = new InjectionToken<Observable<void>>('ticks', {
  providedIn: 'root',
  factory: () => ticking(interval(TICK_MS)),
});

/** @param beats by whatever goes on in a page that is not looked at: the browser holds its own timers back then, and a worker’s not */
export function ticking(beats: Observable<unknown>): Observable<void> {
  return merge(beats, fromEvent(document, 'visibilitychange')).pipe(map(() => undefined));
}

/** Beats of a worker of its own, for as long as somebody listens. */
export function workerBeats(start: () => Worker): Observable<unknown> {
  return new Observable((heard) => {
    let worker: Worker | undefined;
    let instead: ReturnType<typeof setInterval> | undefined;
    const fallBack = (): void => {
      worker?.terminate();
      instead ??= setInterval(() => heard.next(undefined), TICK_MS);
    };
    try {
      worker = start();
      worker.onmessage = () => heard.next(undefined);
      worker.onerror = fallBack;
    } catch {
      fallBack();
    }
    return () => {
      worker?.terminate();
      clearInterval(instead);
    };
  });
}
