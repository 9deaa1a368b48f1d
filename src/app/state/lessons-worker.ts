import { InjectionToken } from '@angular/core';

/** Starts the worker that works out lessons; given by the app's own configuration. */
export const START_LESSONS_WORKER = new InjectionToken<() => Worker>('start of the lessons worker');
