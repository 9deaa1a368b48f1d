import { answer, term, type Answer } from '../quantity/answer';
import { dueSeconds, type Due } from '../record/due';

/** Times to start at are told to five minutes, s: nobody starts to the second. */
const STEP_S = 300;

/**
 * When to start so that everything is ready in time: the due time less the minutes in all, rounded down to five minutes; s since 1970 UTC.
 * Infinity before it where the work never ends.
 */
export function startBy(due: Due, total: Answer): Answer {
  const dueS = dueSeconds(due);
  const start = (seconds: number): number => Math.floor((dueS - seconds) / STEP_S) * STEP_S;
  return {
    ...answer(start(total.value), 'moment', 'batch.start', [
      term('due', dueS, 'moment'),
      term('total', total.value, 'duration'),
    ]),
    zone: due.zone,
  };
}

/** How a job stands against the clock. `readyS`: when it is ready if it is started now, to the next five minutes, s since 1970 UTC. */
export type Lateness =
  { readonly kind: 'inTime' | 'never' } | { readonly kind: 'late' | 'over'; readonly readyS: number };

/**
 * Whether the time to start has passed (`late`), or the due time itself (`over`).
 * @param nowS s since 1970 UTC
 */
export function lateness(due: Due, start: Answer, total: Answer, nowS: number): Lateness {
  if (!Number.isFinite(start.value)) return { kind: 'never' };
  if (nowS <= start.value) return { kind: 'inTime' };
  const readyS = Math.ceil((nowS + total.value) / STEP_S) * STEP_S;
  // Rounding down must not make late what is just in time.
  if (readyS <= dueSeconds(due)) return { kind: 'inTime' };
  return { kind: nowS >= dueSeconds(due) ? 'over' : 'late', readyS };
}
