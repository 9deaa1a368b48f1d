import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { EMPTY, map, switchMap, timer } from 'rxjs';
import { NzButtonComponent } from 'ng-zorro-antd/button';

const TICK_MS = 250;

/** Counts from a start up to a mark, and says when it is reached. The time is read from the clock, so that a sleeping page is right when it wakes. */
@Component({
  selector: 'ks-stopwatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <span class="time" role="timer">{{ shown() }}</span>
    @if (startedAt() === undefined) {
      <button nz-button nzType="primary" type="button" (click)="start()">{{ label() }}</button>
    } @else {
      <button nz-button type="button" (click)="reset()">Again from 0</button>
    }
    <span class="say" role="status">{{ done() ? doneText() : '' }}</span>
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      gap: 14px;
      flex-wrap: wrap;
    }
    .time {
      font: 680 34px/1.1 var(--answer);
      font-variant-numeric: tabular-nums;
      min-width: 92px;
    }
    .say {
      font-weight: 650;
      color: #8f361c;
    }
  `,
})
export class Stopwatch {
  readonly seconds = input.required<number>();
  readonly label = input('Start');
  readonly doneText = input('');
  readonly started = output<void>();
  protected readonly startedAt = signal<number | undefined>(undefined);
  private readonly now = toSignal(
    toObservable(this.startedAt).pipe(
      switchMap((at) => (at === undefined ? EMPTY : timer(0, TICK_MS).pipe(map(() => Date.now())))),
    ),
    { initialValue: 0 },
  );
  private readonly gone = computed(() => {
    const at = this.startedAt();
    return at === undefined ? 0 : Math.max(0, Math.floor((this.now() - at) / 1000));
  });
  protected readonly done = computed(() => this.gone() >= this.seconds());
  protected readonly shown = computed(() => {
    const s = Math.min(this.gone(), 5999);
    return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
  });

  protected start(): void {
    this.startedAt.set(Date.now());
    this.started.emit();
  }

  protected reset(): void {
    this.startedAt.set(undefined);
  }
}
