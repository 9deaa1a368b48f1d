/** Readings of a thermometer in the order of time; NaN where it told nothing that can be. */
export interface Readings {
  /** Since the first one, s, growing. */
  readonly seconds: Float64Array;
  readonly celsius: Float64Array;
}

/** What a kitchen thermometer can read, °C; beyond it is broken, and the reading is a gap. */
export const THERMOMETER_C = { low: -40, high: 250 } as const;
/** Readings further apart than this many of the usual steps, and than a minute, have a gap between them. */
const GAP_STEPS = 6;
const GAP_SECONDS = 60;

/** Whether a reading is one that a thermometer can give. */
export function isReading(celsius: number): boolean {
  return celsius >= THERMOMETER_C.low && celsius <= THERMOMETER_C.high;
}

/** Readings as the lines of a record: "seconds,celsius", tenths of a second and hundredths of a degree. */
export function writeReadings({ seconds, celsius }: Readings): string {
  const lines: string[] = [];
  for (let i = 0; i < seconds.length; i++)
    lines.push(`${+seconds[i].toFixed(1)},${Number.isNaN(celsius[i]) ? '' : +celsius[i].toFixed(2)}`);
  return lines.join('\n');
}

/** Reads the lines of a record. Lines that are none are left out. */
export function readReadings(text: string): Readings {
  const lines = text === '' ? [] : text.split('\n');
  const seconds = new Float64Array(lines.length);
  const celsius = new Float64Array(lines.length);
  let n = 0;
  for (const line of lines) {
    const comma = line.indexOf(',');
    const at = comma > 0 ? Number(line.slice(0, comma)) : NaN;
    if (Number.isNaN(at)) continue;
    const read = line.slice(comma + 1);
    seconds[n] = at;
    celsius[n] = read === '' ? NaN : Number(read);
    n++;
  }
  return { seconds: seconds.slice(0, n), celsius: celsius.slice(0, n) };
}

/** Adds one reading in its place in time; one of the same second takes the place of what was there. */
export function withReading({ seconds, celsius }: Readings, atSeconds: number, readC: number): Readings {
  const pairs = Array.from(seconds, (s, i): [number, number] => [s, celsius[i]]).filter(([s]) => s !== atSeconds);
  pairs.push([atSeconds, readC]);
  pairs.sort((a, b) => a[0] - b[0]);
  return { seconds: Float64Array.from(pairs, ([s]) => s), celsius: Float64Array.from(pairs, ([, c]) => c) };
}

/**
 * Fewer points with the same look: in each of `stretches` equal stretches of time the first, lowest, highest and last reading
 * stay, so that no peak is lost; gaps stay gaps, in the readings and in the time between them.
 * @param stretches at least 1; a picture's width in pixels is enough
 */
export function thinnedReadings({ seconds, celsius }: Readings, stretches: number): Readings {
  const n = seconds.length;
  if (n === 0) return { seconds, celsius };
  const span = (seconds[n - 1] - seconds[0]) / stretches || 1;
  const gap = Math.max(GAP_SECONDS, GAP_STEPS * usualStep(seconds));
  const kept: number[] = [];
  const gapsBefore = new Set<number>();
  let start = 0;
  while (start < n) {
    const stretch = Math.floor((seconds[start] - seconds[0]) / span);
    let end = start;
    let low = -1;
    let high = -1;
    while (
      end < n &&
      (end === start ||
        (Math.floor((seconds[end] - seconds[0]) / span) === stretch &&
          seconds[end] - seconds[end - 1] <= gap &&
          Number.isNaN(celsius[end]) === Number.isNaN(celsius[start])))
    ) {
      if (!Number.isNaN(celsius[end])) {
        if (low < 0 || celsius[end] < celsius[low]) low = end;
        if (high < 0 || celsius[end] > celsius[high]) high = end;
      }
      end++;
    }
    if (start > 0 && seconds[start] - seconds[start - 1] > gap) gapsBefore.add(start);
    kept.push(...new Set([start, ...[low, high].filter((i) => i >= 0).sort((a, b) => a - b), end - 1]));
    start = end;
  }
  const points = kept.flatMap((i): [number, number][] =>
    gapsBefore.has(i)
      ? [
          [(seconds[i] + seconds[i - 1]) / 2, NaN],
          [seconds[i], celsius[i]],
        ]
      : [[seconds[i], celsius[i]]],
  );
  return { seconds: Float64Array.from(points, ([s]) => s), celsius: Float64Array.from(points, ([, c]) => c) };
}

/** The middle of the steps between readings, s. */
function usualStep(seconds: Float64Array): number {
  if (seconds.length < 2) return GAP_SECONDS;
  const stride = Math.max(1, Math.floor(seconds.length / 1000));
  const steps: number[] = [];
  for (let i = 1; i < seconds.length; i += stride) steps.push(seconds[i] - seconds[i - 1]);
  return steps.sort((a, b) => a - b)[steps.length >> 1];
}
