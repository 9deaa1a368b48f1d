import { ChangeDetectionStrategy, Component, effect, inject, input, output, signal, untracked } from '@angular/core';
import { CastingStore } from '../state/casting-store';

let fields = 0;

/** A field for a local date and time; an incomplete one stays as typed, marked, and the last good one stays in the plan. */
@Component({
  selector: 'ks-due-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      class="ant-input"
      type="datetime-local"
      [id]="id"
      [value]="shown()"
      min="2000-01-01T00:00"
      max="2199-12-31T23:59"
      [attr.aria-invalid]="wrong() || null"
      [attr.aria-describedby]="wrong() ? id + '-problem' : null"
      (input)="read($event)"
      (blur)="focused.set(false)"
      (focus)="focused.set(true)"
    />
    @if (wrong()) {
      <p class="problem" role="alert" [id]="id + '-problem'">
        Give a whole date and time from 2000 to 2199; the last one stays.
      </p>
    } @else if (hint()) {
      <p class="hint">{{ hint() }}</p>
    }
  `,
  styleUrl: './amount-field.less',
})
export class DueField {
  private readonly store = inject(CastingStore);
  readonly label = input.required<string>();
  /** Local time, as "2026-10-17T18:00". */
  readonly value = input.required<string>();
  /** What is to be said of the value. */
  readonly hint = input('');
  readonly moment = output<string>();
  protected readonly id = `due-${++fields}`;
  protected readonly shown = signal('');
  protected readonly wrong = signal(false);
  protected readonly focused = signal(false);
  private undoneSeen = 0;

  constructor() {
    effect(() => {
      const value = this.value();
      const undone = this.store.undoneCount();
      untracked(() => {
        if (this.focused() && undone === this.undoneSeen) return;
        this.undoneSeen = undone;
        this.wrong.set(false);
        this.shown.set(value);
      });
    });
  }

  protected read(event: Event): void {
    const local = (event.target as HTMLInputElement).value.slice(0, 16);
    const year = Number(local.slice(0, 4));
    const good = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(local) && year >= 2000 && year <= 2199;
    this.wrong.set(!good);
    if (good) this.moment.emit(local);
  }
}
