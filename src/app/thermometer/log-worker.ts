import { InjectionToken } from '@angular/core';

/** Starts the worker that reads tables of readings. */
export const START_LOG_WORKER = new InjectionToken<() => Worker>('start of the log worker', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('../../workers/log.worker', import.meta.url), { type: 'module' }),
});
