import { DestroyRef, Injectable, inject } from '@angular/core';
import { StudyClient } from '../../workers/study-client';
import { START_STUDY_WORKER } from './study-worker';

/** The worker that is asked about castings beside their plans: one for all who ask. */
@Injectable({ providedIn: 'root' })
export class StudyAccess {
  readonly client = new StudyClient(inject(START_STUDY_WORKER));

  constructor() {
    inject(DestroyRef).onDestroy(() => this.client.close());
  }
}
