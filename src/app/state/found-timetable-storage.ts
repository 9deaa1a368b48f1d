import { Injectable, InjectionToken, inject } from '@angular/core';
import { FoundTimetables } from '../../data/found-timetables';

/** What tells this program from every other state of it; given by the app's own configuration. */
export const BUILD = new InjectionToken<string>('the program as it was built');

/** Keeps timetables that were found. */
@Injectable({ providedIn: 'root' })
export class FoundTimetableStorage extends FoundTimetables {
  constructor() {
    super(inject(BUILD));
  }
}
