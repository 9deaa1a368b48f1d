import { InjectionToken } from '@angular/core';

/** Starts the worker that is asked about a casting beside its plan; given by the app's own configuration. */
export const START_STUDY_WORKER = new InjectionToken<() => Worker>('start of the study worker');
