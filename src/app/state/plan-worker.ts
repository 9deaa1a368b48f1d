import { InjectionToken } from '@angular/core';

/** Starts the worker that computes the chill; given by the app's own configuration. */
export const START_PLAN_WORKER = new InjectionToken<() => Worker>('start of the plan worker');
