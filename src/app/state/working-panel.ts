import { Injectable, computed, signal, type Signal } from '@angular/core';
import type { Answer } from '../../core/quantity/answer';

/** Which figure's working is open. It follows the figure, as when the simulation corrects an estimate. */
@Injectable({ providedIn: 'root' })
export class WorkingPanel {
  private readonly figure = signal<Signal<Answer> | undefined>(undefined);
  readonly answer = computed(() => this.figure()?.());

  open(figure: Signal<Answer>): void {
    this.figure.set(figure);
  }

  close(): void {
    this.figure.set(undefined);
  }
}
