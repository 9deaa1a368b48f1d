import { fromZonedTime } from 'date-fns-tz';
import type { Casting } from '../../core/record/casting';

const FIVE_MINUTES_MS = 5 * 60_000;

// Records never change in place, and looking a zone up takes as long as planning a casting.
const instants = new WeakMap<Casting['due'], Date>();

/** The moment a casting is due, or an invalid date when its zone is unknown here. */
export function dueInstant(due: Casting['due']): Date {
  let instant = instants.get(due);
  if (!instant) {
    instant = fromZonedTime(due.local, due.zone);
    instants.set(due, instant);
  }
  return instant;
}

/** When to start so that it is ready in time, rounded down to five minutes; undefined when the work never ends. */
export function startInstant(due: Casting['due'], totalSeconds: number): Date | undefined {
  const instant = dueInstant(due).getTime() - totalSeconds * 1000;
  return Number.isFinite(instant) ? new Date(Math.floor(instant / FIVE_MINUTES_MS) * FIVE_MINUTES_MS) : undefined;
}

// Making a formatter takes about as long as planning a casting, so each zone's is kept.
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterOf(zone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(zone);
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-GB', { timeZone: zone, weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
    formatters.set(zone, formatter);
  }
  return formatter;
}

/** "Sat 17 Oct, 18:00" in the casting's own zone. */
export function momentText(instant: Date, zone: string): string {
  if (Number.isNaN(instant.getTime())) return 'an unknown time';
  const parts = formatterOf(zone).formatToParts(instant);
  const part = (type: Intl.DateTimeFormatPartTypes): string => parts.find((candidate) => candidate.type === type)?.value ?? '';
  return `${part('weekday')} ${part('day')} ${part('month')}, ${part('hour')}:${part('minute')}`;
}

/** "14:20", with the day before it when that is not the due day. */
export function startText(due: Casting['due'], totalSeconds: number): string {
  const start = startInstant(due, totalSeconds);
  if (!start) return 'never';
  const text = momentText(start, due.zone);
  const [day, time] = text.split(', ');
  return momentText(dueInstant(due), due.zone).startsWith(day) ? time : `${day}, ${time}`;
}
