import { Injectable, signal } from '@angular/core';
import type { Answer } from '../../core/quantity/answer';

/** Which figure's working is open. */
@Injectable({ providedIn: 'root' })
export class WorkingPanel {
  readonly answer = signal<Answer | undefined>(undefined);

  open(answer: Answer): void {
    this.answer.set(answer);
  }

  close(): void {
    this.answer.set(undefined);
  }
}
