import { Injectable, signal } from '@angular/core';

/** A short word about what just happened, with a way back where there is one. */
export interface Notice {
  readonly text: string;
  readonly action?: { readonly name: string; readonly run: () => void };
  /** Stands until it is answered, or something else is said: there is nothing else in sight. */
  readonly stays?: boolean;
}

const STAYS_MS = 8000;

@Injectable({ providedIn: 'root' })
export class Notices {
  readonly notice = signal<Notice | undefined>(undefined);
  private timer: ReturnType<typeof setTimeout> | undefined;

  say(notice: Notice): void {
    clearTimeout(this.timer);
    this.notice.set(notice);
    if (!notice.stays) this.timer = setTimeout(() => this.notice.set(undefined), STAYS_MS);
  }

  /** Something else was changed: a way back that was offered would lead somewhere else now. */
  outdate(): void {
    if (this.notice()?.action) this.clear();
  }

  /** What it was said about is over; what was said since stands. */
  over(notice: Notice): void {
    if (this.notice() === notice) this.clear();
  }

  clear(): void {
    clearTimeout(this.timer);
    this.notice.set(undefined);
  }
}
