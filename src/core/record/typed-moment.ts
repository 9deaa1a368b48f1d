import { UTCDate } from '@date-fns/utc';
import { format, isValid, parse } from 'date-fns';

/** Whether the day stands before the month where a date is all figures. */
export interface DateOrder {
  readonly dayFirst: boolean;
}

/** Dates and days as people write them; where the year is left out, it is that of the day told meanwhile. */
const WRITTEN = ['yyyy-MM-dd', 'd MMM yyyy', 'd MMMM yyyy', 'MMM d yyyy', 'MMMM d yyyy', 'd.M.yyyy', 'd.M.yy'];
const YEARLESS = ['d MMM', 'd MMMM', 'MMM d', 'MMMM d', 'd.M.'];
const FIGURES = { day: ['d/M/yyyy', 'd/M/yy', 'd/M'], month: ['M/d/yyyy', 'M/d/yy', 'M/d'] };
const TIMES = ['HH:mm', 'h:mm a', 'h a', 'HH.mm', 'h.mm a'];

const YEARS = { first: 2000, last: 2199 };
const MOMENT = "yyyy-MM-dd'T'HH:mm";
const DAY = 'yyyy-MM-dd';

/**
 * A local date and time from what was typed, as "2026-10-17T18:00"; undefined where it is none, or not in 2000 to 2199.
 * A time alone is one of the day told meanwhile. No zone's clocks come into it.
 */
export function readMoment(text: string, meanwhile: string, order: DateOrder): string | undefined {
  const dates = datesOf(order);
  const patterns = [
    ...["yyyy-MM-dd'T'HH:mm", ...TIMES],
    ...dates.flatMap((date) => TIMES.map((time) => `${date} ${time}`)),
  ];
  return firstOf(text, patterns, meanwhile, MOMENT);
}

/** A day from what was typed, as "2027-06-30"; undefined where it is none, or not in 2000 to 2199. */
export function readDay(text: string, meanwhile: string, order: DateOrder): string | undefined {
  return firstOf(text, datesOf(order), meanwhile, DAY);
}

/** A local date and time, or a day, so much later; the text is one that these functions give. */
export function movedBy(local: string, minutes: number): string {
  const moved = new UTCDate(inUtc(local).getTime() + minutes * 60_000);
  return format(moved, local.includes('T') ? MOMENT : DAY);
}

/** A local date and time, or a day, written out by a pattern (Unicode technical standard 35). */
export function writtenOut(local: string, pattern: string): string {
  return format(inUtc(local), pattern);
}

const datesOf = ({ dayFirst }: DateOrder): string[] => [
  ...WRITTEN,
  ...(dayFirst ? FIGURES.day : FIGURES.month),
  ...YEARLESS,
];

// The clocks of UTC skip nothing, so that every local time can be reckoned with.
const inUtc = (local: string): UTCDate => new UTCDate(`${local.length > 10 ? local : `${local}T00:00`}:00Z`);

function firstOf(text: string, patterns: readonly string[], meanwhile: string, as: string): string | undefined {
  const tidy = tidied(text);
  if (!tidy) return undefined;
  const told = inUtc(meanwhile);
  for (const pattern of patterns) {
    const read = parse(tidy, pattern, told);
    if (isValid(read) && read.getFullYear() >= YEARS.first && read.getFullYear() <= YEARS.last) return format(read, as);
  }
  return undefined;
}

/** Without the name of the day, commas, "at", and needless blanks; "6pm" and "6 p.m." as "6 pm". */
function tidied(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+/, '')
    .replace(/\bat\b|,/g, ' ')
    .replace(/(\d)(st|nd|rd|th)\b/g, '$1')
    .replace(/(\d)\s*([ap])\.?\s?m\.?$/, '$1 $2m')
    .replace(/^(\d{4}-\d{2}-\d{2})t/, '$1T')
    .replace(/\s+/g, ' ')
    .trim();
}
