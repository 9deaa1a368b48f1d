import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { Turns } from '../state/turns';

/** One movement of a handle: px since it was taken hold of, or a key's step up (+) or down (-). */
export interface HandleMove {
  readonly dx: number;
  readonly dy: number;
  readonly start: boolean;
  readonly gesture: string;
  readonly step?: number;
  /** Which way a key's step goes: across or up and down. */
  readonly axis?: 'x' | 'y';
}

let gestures = 0;

/**
 * A round handle on the drawing that is dragged by pointer or moved by arrow keys.
 * A drag moves it in every other frame at most: in the one between the page is drawn.
 */
@Component({
  selector: 'ks-drag-handle',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    role: 'slider',
    tabindex: '0',
    '[attr.aria-label]': 'label()',
    '[attr.aria-valuenow]': 'now()',
    '[attr.aria-valuetext]': 'spoken()',
    '[attr.aria-orientation]': 'vertical() ? "vertical" : "horizontal"',
    '[class.vertical]': 'vertical()',
    '(pointerdown)': 'take($event)',
    '(pointermove)': 'drag($event)',
    '(pointerup)': 'release($event)',
    '(pointercancel)': 'release($event)',
    '(keydown)': 'key($event)',
  },
  template: `
    <svg width="24" height="24" viewBox="-12 -12 24 24" aria-hidden="true">
      <circle [attr.r]="plane() ? 6 : 9" />
      @if (!plane()) {
        <path d="M-2.5 -2.5 0 -5 2.5 -2.5M-2.5 2.5 0 5 2.5 2.5" [attr.transform]="vertical() ? null : 'rotate(90)'" />
      }
    </svg>
  `,
  styleUrl: './drag-handle.less',
})
export class DragHandle {
  private readonly turns = inject(Turns);
  readonly label = input.required<string>();
  readonly now = input.required<number>();
  readonly spoken = input.required<string>();
  readonly vertical = input(true);
  /** Moves both ways: a point, drawn without arrows. */
  readonly plane = input(false);
  readonly moved = output<HandleMove>();

  private from: { readonly x: number; readonly y: number } | undefined;
  private latest: PointerEvent | undefined;
  private gesture = '';
  private fresh = false;

  protected take(event: PointerEvent): void {
    if (event.button !== 0) return;
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    this.from = { x: event.clientX, y: event.clientY };
    this.gesture = String(++gestures);
    this.fresh = true;
    event.preventDefault();
    (event.currentTarget as HTMLElement).focus();
  }

  protected drag(event: PointerEvent): void {
    if (!this.from) return;
    if (this.latest === undefined) this.turns.next(() => this.send());
    this.latest = event;
  }

  protected release(event: PointerEvent): void {
    if (this.latest) this.send();
    this.from = undefined;
    (event.currentTarget as HTMLElement).releasePointerCapture(event.pointerId);
  }

  protected key(event: KeyboardEvent): void {
    const steps: Readonly<Record<string, number>> = {
      ArrowUp: 1,
      ArrowRight: 1,
      ArrowDown: -1,
      ArrowLeft: -1,
      PageUp: 10,
      PageDown: -10,
    };
    const step = steps[event.key];
    if (step === undefined) return;
    event.preventDefault();
    this.moved.emit({
      dx: 0,
      dy: 0,
      start: false,
      gesture: 'keys',
      step,
      axis: event.key === 'ArrowLeft' || event.key === 'ArrowRight' ? 'x' : 'y',
    });
  }

  private send(): void {
    if (!this.latest || !this.from) return;
    const { clientX, clientY } = this.latest;
    this.latest = undefined;
    this.moved.emit({ dx: clientX - this.from.x, dy: clientY - this.from.y, start: this.fresh, gesture: this.gesture });
    this.fresh = false;
  }
}
