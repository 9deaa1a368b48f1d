import { Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { fromEvent, interval, map, merge } from 'rxjs';

const TICK_MS = 10_000;
const now = (): number => Math.floor(Date.now() / 1000);

/** What the clock says, s since 1970 UTC: a signal that ticks, and that is right again as soon as the page is looked at. */
@Injectable({ providedIn: 'root' })
export class Clock {
  readonly seconds = toSignal(merge(interval(TICK_MS), fromEvent(document, 'visibilitychange')).pipe(map(now)), {
    initialValue: now(),
  });
}
