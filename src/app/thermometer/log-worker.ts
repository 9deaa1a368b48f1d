import { InjectionToken } from '@angular/core';

/** Starts the worker that reads tables of readings; given by the app's own configuration. */
export const START_LOG_WORKER = new InjectionToken<() => Worker>('start of the log worker');
