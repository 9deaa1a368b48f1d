import { isValid, parse } from 'date-fns';

/** Whether the day stands before the month where a date is all figures. */
export interface DateOrder {
  readonly dayFirst: boolean;
}

/** Days as people write them; where the year is left out, it is that of the day told meanwhile. Patterns: Unicode technical standard 35. */
const WRITTEN = ['yyyy-MM-dd', 'd MMM yyyy', 'd MMMM yyyy', 'MMM d yyyy', 'MMMM d yyyy', 'd.M.yyyy', 'd.M.yy'];
const YEARLESS = ['d MMM', 'd MMMM', 'MMM d', 'MMMM d', 'd.M.'];
const FIGURES = { day: ['d/M/yyyy', 'd/M/yy', 'd/M'], month: ['M/d/yyyy', 'M/d/yy', 'M/d'] };
const TIMES = ['HH:mm', 'h:mm a', 'h a', 'HH.mm', 'h.mm a'];

/** A time of day at the end of a text that is tidied. */
const TIME_LAST = /(?:^|[ t])(\d{1,2}[:.]\d{2}(?: [ap]m)?|\d{1,2} [ap]m)$/;
/** A day of which no zone's clocks skip an hour. */
const PLAIN_DAY = '2000-01-15';
const YEARS = { first: 2000, last: 2199 };

/**
 * A local date and time from what was typed, as "2026-10-17T18:00"; undefined where it is none, or not in 2000 to 2199.
 * A time alone is one of the day told meanwhile. No zone's clocks come into it.
 */
export function readMoment(text: string, meanwhile: string, order: DateOrder): string | undefined {
  const tidy = tidied(text);
  const time = TIME_LAST.exec(tidy);
  if (!time) return undefined;
  const date = tidy.slice(0, time.index).trim();
  const day = date ? readDay(date, meanwhile, order) : meanwhile.slice(0, 10);
  const told = firstOf(time[1], TIMES, PLAIN_DAY);
  return day && told && `${day}T${two(told.getHours())}:${two(told.getMinutes())}`;
}

/** A day from what was typed, as "2027-06-30"; undefined where it is none, or not in 2000 to 2199. */
export function readDay(text: string, meanwhile: string, { dayFirst }: DateOrder): string | undefined {
  const figures = dayFirst ? FIGURES.day : FIGURES.month;
  const read = firstOf(tidied(text), [...WRITTEN, ...figures, ...YEARLESS], meanwhile.slice(0, 10));
  return read && `${read.getFullYear()}-${two(read.getMonth() + 1)}-${two(read.getDate())}`;
}

/** A local date and time, or a day, so much later; the text is one that these functions give. */
export function movedBy(local: string, minutes: number): string {
  return new Date(asUtc(local) + minutes * 60_000).toISOString().slice(0, local.length);
}

// The clocks of UTC skip nothing, so that every local time can be reckoned with.
const asUtc = (local: string): number => Date.parse(`${local.length > 10 ? local : `${local}T00:00`}:00Z`);
const two = (figure: number): string => String(figure).padStart(2, '0');

function firstOf(text: string, patterns: readonly string[], meanwhile: string): Date | undefined {
  return patterns
    .map((pattern) => parse(text, pattern, new Date(`${meanwhile}T12:00`)))
    .find((read) => isValid(read) && read.getFullYear() >= YEARS.first && read.getFullYear() <= YEARS.last);
}

/**
 * Without the name of the day, commas, "at", and needless blanks; "6pm" and "6 p.m." as "6 pm", "Sept" and "Oct." as "Sep" and "Oct".
 */
function tidied(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+/, '')
    .replace(/\bat\b|,/g, ' ')
    .replace(/(\d)(st|nd|rd|th)\b/g, '$1')
    .replace(/(\d)\s*([ap])\.?\s?m\.?$/, '$1 $2m')
    .replace(/\bsept\b/, 'sep')
    .replace(/\b([a-z]{3,})\./, '$1')
    .replace(/\s+/g, ' ')
    .trim();
}
