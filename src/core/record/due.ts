import { fromZonedTime } from 'date-fns-tz';

/** When something is due: a local time, as "2026-10-17T18:00", and the zone whose clocks tell it. */
export interface Due {
  readonly local: string;
  readonly zone: string;
}

const DAY_MS = 86_400_000;

// Looking a zone up takes as long as planning a casting; records never change in place.
const zones = new Map<string, boolean>();
const instants = new WeakMap<Due, number>();

/** Whether a zone is one of those this system knows, as "Europe/Berlin" (IANA time zone database). */
export function isZone(zone: string): boolean {
  let known = zones.get(zone);
  if (known === undefined) {
    known = lookedUp(zone);
    zones.set(zone, known);
  }
  return known;
}

function lookedUp(zone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }));
  } catch {
    return false;
  }
}

/** Whether a text is a date and time that the calendar has. */
export function isLocalTime(local: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(local)) return false;
  const utc = new Date(`${local}:00Z`);
  return !Number.isNaN(utc.getTime()) && utc.toISOString().startsWith(local);
}

/**
 * The moment something is due, s since 1970 UTC. A time that a change of clocks skips is taken as so much later as is skipped, as
 * calendars do (RFC 5545, 3.3.5).
 */
export function dueSeconds(due: Due): number {
  let seconds = instants.get(due);
  if (seconds === undefined) {
    const toldMs = fromZonedTime(due.local, due.zone).getTime();
    seconds = (isTold(toldMs, due) ? toldMs : Date.parse(`${due.local}:00Z`) - aheadMs(toldMs, due.zone)) / 1000;
    instants.set(due, seconds);
  }
  return seconds;
}

/** Whether clocks skip this local time when they go forward. */
export function skipped(due: Due): boolean {
  return !isTold(fromZonedTime(due.local, due.zone).getTime(), due);
}

/** Whether the zone's clocks tell this local time at a moment, ms since 1970 UTC. */
function isTold(ms: number, { local, zone }: Due): boolean {
  return localTime(ms / 1000, zone) === local;
}

/** What the zone's clocks were ahead of UTC the day before a moment, ms. */
function aheadMs(ms: number, zone: string): number {
  const before = ms - DAY_MS;
  return Date.parse(`${localTime(before / 1000, zone)}:00Z`) - Math.floor(before / 60_000) * 60_000;
}

/** A moment, s since 1970 UTC, as the local time of a zone. */
export function localTime(seconds: number, zone: string): string {
  return clockOf(zone)
    .format(seconds * 1000)
    .replace(' ', 'T');
}

// Making a formatter takes about as long as planning a casting, so each zone's is kept.
const clocks = new Map<string, Intl.DateTimeFormat>();

/** Swedish dates are written as ISO 8601 has them (Unicode Common Locale Data Repository). */
function clockOf(timeZone: string): Intl.DateTimeFormat {
  let clock = clocks.get(timeZone);
  if (!clock) {
    clock = new Intl.DateTimeFormat('sv-SE', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    clocks.set(timeZone, clock);
  }
  return clock;
}
