import { isReading, type Readings } from './thermometer';

/** Something in a table of readings that could not be used, the first place of it, and how often. */
export interface LogProblem {
  readonly key: 'notATime' | 'notANumber' | 'backwards' | 'repeated' | 'outOfRange' | 'gap';
  /** Line of the file, from 1. */
  readonly line: number;
  readonly text: string;
  readonly count: number;
}

export interface LogRead {
  readonly ok: true;
  readonly readings: Readings;
  readonly timeColumn: string;
  readonly temperatureColumn: string;
  readonly unit: 'C' | 'F';
  readonly problems: readonly LogProblem[];
}

export interface LogRefused {
  readonly ok: false;
  readonly problem: 'empty' | 'noTable' | 'noTime' | 'noTemperature' | 'tooLong';
  readonly detail: string;
}

/** Longest log that is read, rows: a day of a reading in a quarter of a second. */
export const MOST_ROWS = 350_000;
const DAY_S = 86_400;
const GAP_S = 60;
const SAMPLE_ROWS = 50;

// Names of columns in several languages; where none is known, what stands in them tells.
const TIME_NAMES =
  /^(time|elapsed|seconds?|secs?|minutes?|mins?|t|date|datetime|timestamp|zeit|uhrzeit|datum|dauer|heure|temps|durée|duree|hora|tiempo|tempo|ora|tid|tijd|aika|czas)\b|\b(time|zeit|timestamp)\b|(^|_)time/i;
const TEMPERATURE_NAMES =
  /temp(?!o\b|s\b)|°|celsius|fahrenheit|^[cf]$|probe|sonde|fühler|fuehler|sensor|lämpötila|grad/i;
const MINUTES = /min(?!us)/i;

/**
 * Reads rows of a table of thermometer readings: finds the columns by name, in several languages, or by what stands in them;
 * takes clock times, dates, seconds or minutes, decimal commas, °C or °F. Rows that cannot be used are counted and named by line,
 * and the rest is kept. A clock that passes midnight goes on.
 * @param rows cells as text, the header first where there is one
 */
export function readLog(rows: readonly (readonly string[])[]): LogRead | LogRefused {
  const first = rows.findIndex((row) => row.some((cell) => cell.trim() !== ''));
  if (first < 0) return { ok: false, problem: 'empty', detail: '' };
  if (rows.length > MOST_ROWS) return { ok: false, problem: 'tooLong', detail: String(rows.length) };
  const start = Math.max(first, headerRow(rows, first));
  const header = numericCells(rows[start]) === 0 ? rows[start].map((cell) => cell.trim()) : undefined;
  const body = header ? start + 1 : start;
  if (Math.max(...rows.slice(body, body + SAMPLE_ROWS).map((row) => row.length), 0) < 2)
    return { ok: false, problem: 'noTable', detail: '' };
  const time = findTime(rows, body, header);
  if (time < 0) return { ok: false, problem: 'noTime', detail: header?.join(', ') ?? '' };
  const temperature = findTemperature(rows, body, header, time);
  if (temperature < 0) return { ok: false, problem: 'noTemperature', detail: header?.join(', ') ?? '' };
  return readColumns(rows, body, header, time, temperature);
}

/** What stands between the columns of a table as text: a tab or semicolon where most lines have one, so that a decimal comma is none. */
export function delimiterOf(text: string): string {
  const lines = text
    .slice(0, 20_000)
    .split(/\r\n|\n|\r/)
    .filter((line) => line.trim() !== '')
    .slice(0, SAMPLE_ROWS);
  const wanted = lines.length / 2;
  return ['\t', ';'].find((mark) => lines.filter((line) => line.includes(mark)).length > wanted) ?? ',';
}

/** Some loggers put their own lines above the table: the header is the line before the first one with numbers. */
function headerRow(rows: readonly (readonly string[])[], first: number): number {
  for (let i = first; i < Math.min(rows.length, first + 30); i++) {
    if (rows[i].length > 1 && numericCells(rows[i]) > 0) return i > first && rows[i - 1].length > 1 ? i - 1 : i;
  }
  return first;
}

function numericCells(row: readonly string[]): number {
  return row.filter((cell) => !Number.isNaN(numberIn(cell)) || !Number.isNaN(momentIn(cell))).length;
}

function sample(
  rows: readonly (readonly string[])[],
  body: number,
  column: number,
  read: (cell: string) => number,
): number[] {
  return rows
    .slice(body, body + SAMPLE_ROWS)
    .map((row) => read(row[column] ?? ''))
    .filter((value) => !Number.isNaN(value));
}

function findTime(rows: readonly (readonly string[])[], body: number, header: readonly string[] | undefined): number {
  const columns = Math.max(...rows.slice(body, body + SAMPLE_ROWS).map((row) => row.length), 0);
  const wanted = Math.min(rows.length - body, SAMPLE_ROWS) / 2;
  const rising = (column: number): boolean => {
    const values = sample(rows, body, column, timeIn);
    return (
      values.length > 1 &&
      values.length >= wanted &&
      values[values.length - 1] > values[0] &&
      values.filter((value, i) => i > 0 && value < values[i - 1]).length <= values.length / 4
    );
  };
  const all = Array.from({ length: columns }, (_, i) => i);
  const named = header
    ? all.filter(
        (i) =>
          TIME_NAMES.test(header[i] ?? '') &&
          !TEMPERATURE_NAMES.test(header[i] ?? '') &&
          sample(rows, body, i, timeIn).length > 0,
      )
    : [];
  return (
    named.find((i) => rising(i)) ??
    named[0] ??
    all.find((i) => sample(rows, body, i, momentIn).length >= wanted && wanted > 0) ??
    all.find(rising) ??
    -1
  );
}

function findTemperature(
  rows: readonly (readonly string[])[],
  body: number,
  header: readonly string[] | undefined,
  time: number,
): number {
  const columns = Math.max(...rows.slice(body, body + SAMPLE_ROWS).map((row) => row.length), 0);
  const all = Array.from({ length: columns }, (_, i) => i).filter(
    (i) => i !== time && sample(rows, body, i, numberIn).length > 0,
  );
  const plausible = (i: number): boolean => sample(rows, body, i, numberIn).some((value) => value > 10 && value < 150);
  const named = header ? all.filter((i) => TEMPERATURE_NAMES.test(header[i] ?? '')) : [];
  return named.find(plausible) ?? named[0] ?? all.find(plausible) ?? -1;
}

function readColumns(
  rows: readonly (readonly string[])[],
  body: number,
  header: readonly string[] | undefined,
  time: number,
  temperature: number,
): LogRead {
  const notes = new Notes();
  const scale = header && MINUTES.test(header[time] ?? '') ? 60 : 1;
  const unit = unitOf(rows, body, temperature, header?.[temperature] ?? '');
  const seconds = new Float64Array(rows.length - body);
  const celsius = new Float64Array(rows.length - body);
  let n = 0;
  let start = NaN;
  let days = 0;
  for (let i = body; i < rows.length; i++) {
    const row = rows[i];
    if (row.length < 2 && (row[0] ?? '').trim() === '') continue;
    const cell = row[time] ?? '';
    const raw = timeIn(cell);
    if (Number.isNaN(raw)) {
      notes.add('notATime', i + 1, cell);
      continue;
    }
    if (Number.isNaN(start)) start = raw;
    let at = (raw - start) * (Number.isNaN(momentIn(cell)) ? scale : 1) + days * DAY_S;
    const before = n > 0 ? seconds[n - 1] : -Infinity;
    if (at < before - DAY_S / 2 && CLOCK.test(cell.trim())) {
      days++;
      at += DAY_S;
    }
    if (at < before) {
      notes.add('backwards', i + 1, cell);
      continue;
    }
    if (at === before) {
      // The later of two readings of one moment is the one that stands.
      notes.add('repeated', i + 1, cell);
      n--;
    }
    if (n > 1 && at - before > Math.max(GAP_S, 6 * (before - seconds[n - 2]))) notes.add('gap', i + 1, cell);
    seconds[n] = at;
    celsius[n] = readC(row[temperature] ?? '', unit, i + 1, notes);
    n++;
  }
  return {
    ok: true,
    unit,
    problems: notes.list,
    readings: { seconds: seconds.slice(0, n), celsius: celsius.slice(0, n) },
    timeColumn: header?.[time] ?? `column ${time + 1}`,
    temperatureColumn: header?.[temperature] ?? `column ${temperature + 1}`,
  };
}

function readC(cell: string, unit: 'C' | 'F', line: number, notes: Notes): number {
  const value = numberIn(cell);
  if (Number.isNaN(value)) {
    notes.add('notANumber', line, cell);
    return NaN;
  }
  const c = unit === 'F' ? ((value - 32) * 5) / 9 : value;
  if (isReading(c)) return c;
  notes.add('outOfRange', line, cell);
  return NaN;
}

/** By the name of the column, or by readings that melted chocolate could only have in Fahrenheit. */
function unitOf(rows: readonly (readonly string[])[], body: number, column: number, name: string): 'C' | 'F' {
  if (/°\s*f|fahrenheit|[([_ ]f[)\]]?$|^f$/i.test(name)) return 'F';
  if (/°\s*c|celsius|[([_ ]c[)\]]?$|^c$/i.test(name)) return 'C';
  const cells = rows.slice(body, body + SAMPLE_ROWS).map((row) => row[column] ?? '');
  if (cells.some((cell) => /\d\s*°?\s*f$/i.test(cell.trim()))) return 'F';
  const values = sample(rows, body, column, numberIn).sort((a, b) => a - b);
  return values[values.length >> 1] > 65 ? 'F' : 'C';
}

const NUMBER = /^[+\-−]?\d*(?:[.,]\d+)?(?:e[+-]?\d+)?$/i;

/** A number with a decimal point or comma, a unit behind it or not; NaN where it is none. */
function numberIn(cell: string): number {
  const text = cell
    .trim()
    .replace(/\s*°?\s*[cf]$/i, '')
    .replace('−', '-');
  return text !== '' && NUMBER.test(text) && /\d/.test(text) ? Number(text.replace(',', '.')) : NaN;
}

const CLOCK = /^(?:(\d{1,3}):)?(\d{1,2}):(\d{2}(?:[.,]\d+)?)\s*([ap]\.?m\.?)?$/i;
const DATED =
  /^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})[T ,]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*([ap]\.?m\.?)?(?:Z|[+-]\d{2}:?\d{2})?$/i;

/** Seconds of a clock time or date; NaN where it is none. */
function momentIn(cell: string): number {
  const text = cell.trim();
  const dated = DATED.exec(text);
  if (dated) {
    const [, a, month, c, hour, minute, second = '0', half] = dated;
    // Only differences count, so that which of two numbers is the day does not matter within one day.
    const [year, day] = a.length === 4 ? [Number(a), Number(c)] : [Number(c), Number(a)];
    return Date.UTC(year, Number(month) - 1, day) / 1000 + clock(hour, minute, second, half);
  }
  const match = CLOCK.exec(text);
  if (!match) return NaN;
  // With a.m. or p.m. two numbers are hours and minutes; without, minutes and seconds.
  return match[4] && match[1] === undefined
    ? clock(match[2], match[3], '0', match[4])
    : clock(match[1] ?? '0', match[2], match[3], match[4]);
}

function clock(hour: string, minute: string, second: string, half: string | undefined): number {
  const afternoon = half !== undefined && /^p/i.test(half);
  const hours = half === undefined ? Number(hour) : (Number(hour) % 12) + (afternoon ? 12 : 0);
  return hours * 3600 + Number(minute) * 60 + Number(second.replace(',', '.'));
}

function timeIn(cell: string): number {
  const plain = numberIn(cell.replace(/\s*(s|sec|min)$/i, ''));
  return Number.isNaN(plain) ? momentIn(cell) : plain;
}

/** What was found, each kind with its first place. */
class Notes {
  private readonly found = new Map<LogProblem['key'], LogProblem>();

  add(key: LogProblem['key'], line: number, text: string): void {
    const known = this.found.get(key);
    this.found.set(
      key,
      known ? { ...known, count: known.count + 1 } : { key, line, text: text.slice(0, 40), count: 1 },
    );
  }

  get list(): LogProblem[] {
    return [...this.found.values()];
  }
}
