import type { Lateness } from '../../core/batch/start';
import { dueSeconds, skipped, type Due } from '../../core/record/due';
import { readDay, readMoment, type DateOrder } from '../../core/record/typed-moment';
import type { NoteWording } from './note-wording';

/** How whoever reads this writes dates and tells the time: by the language and land the browser is set to. */
const here = new Intl.DateTimeFormat(globalThis.navigator?.language, {
  day: 'numeric',
  month: 'numeric',
  hour: 'numeric',
});
const ORDER: DateOrder = { dayFirst: firstPart() === 'day' };
export const TWELVE_HOURS = here.resolvedOptions().hour12 === true;

/** The day a week begins with in a calendar, from 0 for Sunday; Monday where the browser does not know. */
export function firstDayOfWeek(): number {
  const locale: Intl.Locale & Weeks = new Intl.Locale(here.resolvedOptions().locale);
  return ((locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay ?? 1) % 7;
}

/** What browsers tell of a locale's weeks, by the one name or the other. */
interface Weeks {
  readonly weekInfo?: { readonly firstDay: number };
  getWeekInfo?(): { readonly firstDay: number };
}

function firstPart(): string | undefined {
  return here.formatToParts(0).find(({ type }) => type === 'day' || type === 'month')?.type;
}

/** The zone of whoever reads this. */
export function ownZone(): string {
  // Asking takes as long as a third of a picture of a drag, and nobody travels so fast.
  if (!(Math.abs(Date.now() - own.askedAt) < OWN_FOR_MS))
    own = { zone: Intl.DateTimeFormat().resolvedOptions().timeZone, askedAt: Date.now() };
  return own.zone;
}

const OWN_FOR_MS = 10_000;
let own = { zone: '', askedAt: NaN };

// Making a formatter takes about as long as planning a casting, so each zone's is kept.
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterOf(zone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(zone);
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      hour: TWELVE_HOURS ? 'numeric' : '2-digit',
      minute: '2-digit',
      hourCycle: TWELVE_HOURS ? 'h12' : 'h23',
    });
    formatters.set(zone, formatter);
  }
  return formatter;
}

/** A moment by the clocks of a zone, in words and figures. */
function momentOf(seconds: number, zone: string) {
  const parts = formatterOf(zone).formatToParts(seconds * 1000);
  const part = (type: Intl.DateTimeFormatPartTypes): string =>
    parts.find((candidate) => candidate.type === type)?.value ?? '';
  const [weekday, date, year] = [part('weekday'), `${part('day')} ${part('month')}`, part('year')];
  const thisYear = year === String(new Date().getFullYear());
  return {
    weekday,
    date: `${date} ${year}`,
    /** With the year where it is not this one. */
    day: `${weekday} ${date}${thisYear ? '' : ` ${year}`}`,
    time: `${part('hour')}:${part('minute')}${TWELVE_HOURS ? ` ${part('dayPeriod')}` : ''}`,
  };
}

/** A local date and time, or a day, in words and figures: by the clocks of UTC, which skip nothing. */
const localOf = (local: string) =>
  momentOf(Date.parse(`${local.slice(0, 10)}T${local.slice(11) || '00:00'}:00Z`) / 1000, 'UTC');

/** A local date and time, or a day, as a field shows it: "Sat 17 Oct 2026, 18:00", "30 Jun 2027". */
export function fieldText(local: string): string {
  if (!local) return '';
  const { weekday, date, time } = localOf(local);
  return local.includes('T') ? `${weekday} ${date}, ${time}` : date;
}

/** What was typed into a field, as a date and time or a day; undefined where it is none. The other is what it stood at. */
export function fieldReading(text: string, meanwhile: string, withTime: boolean): string | undefined {
  return (withTime ? readMoment : readDay)(text, meanwhile, ORDER);
}

/** An example of what a field takes. */
export const fieldExample = (withTime: boolean): string => fieldText(withTime ? '2026-10-17T18:00' : '2026-10-17');

/** "New York time" for "America/New_York". */
export function zoneText(zone: string): string {
  return zone === 'UTC' ? zone : `${(zone.split('/').at(-1) ?? zone).replaceAll('_', ' ')} time`;
}

const whose = (zone: string): string => (zone === ownZone() ? '' : `, ${zoneText(zone)}`);

/** "Sat 17 Oct, 18:00" in a zone, with the year where it is not this one, and the zone where it is not one's own. */
export function momentText(seconds: number, zone: string): string {
  if (!Number.isFinite(seconds)) return 'no time';
  const { day, time } = momentOf(seconds, zone);
  return `${day}, ${time}${whose(zone)}`;
}

/** "17:05" by the clocks of a zone. */
export function timeText(seconds: number, zone: string): string {
  return momentOf(seconds, zone).time;
}

/** "Sat 17 Oct" by the clocks of a zone, with the year where it is not this one. */
export function dayText(seconds: number, zone: string): string {
  return momentOf(seconds, zone).day;
}

/** "Fri 17:05" by the clocks of a zone. */
export function weekdayTimeText(seconds: number, zone: string): string {
  const { weekday, time } = momentOf(seconds, zone);
  return `${weekday} ${time}`;
}

/** When a casting is due. */
export function dueText(due: Due): string {
  return momentText(dueSeconds(due), due.zone);
}

/** "14:20", with the day before it when that is not the due day. */
export function startText(startS: number, due: Due): string {
  if (!Number.isFinite(startS)) return 'no time';
  const { day, time } = momentOf(startS, due.zone);
  return momentOf(dueSeconds(due), due.zone).day === day
    ? `${time}${whose(due.zone)}`
    : `${day}, ${time}${whose(due.zone)}`;
}

/** What is to be said of a due time that its zone's clocks skip, or that is told by other clocks than one's own; nothing of others. */
export function dueHint(due: Due): string {
  if (skipped(due))
    return `There is no ${localOf(due.local).time} that night, as the clocks go forward: taken as ${momentOf(dueSeconds(due), due.zone).time}.`;
  return due.zone === ownZone()
    ? ''
    : `By the clocks of ${zoneText(due.zone).replace(/ time$/, '')}: for you ${momentText(dueSeconds(due), ownZone())}.`;
}

/** What a job that is late has to be told of, and what mends it; undefined for one in time. */
export function lateNote(late: Lateness, startS: number, due: Due): NoteWording | undefined {
  if (!('readyS' in late)) return undefined;
  const ready = startText(late.readyS, due);
  const mend = 'Set another time, cast fewer pieces, or put more molds to work.';
  return late.kind === 'over'
    ? {
        mark: 'over',
        head: `It was due on ${dueText(due)}.`,
        body: `That time has passed. Started now, it is ready at ${ready}.`,
        action: `Set it to ${ready}`,
      }
    : {
        mark: 'late',
        head: `It cannot be ready in time: it was to start by ${startText(startS, due)}.`,
        body: `Started now, it is ready at ${ready}. ${mend}`,
        action: `Set it to ${ready}`,
      };
}
