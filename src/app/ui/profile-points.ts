import papaparse from 'papaparse';
import type { TurnedPoint } from '../../core/cavity/shape';

/**
 * Reads points typed or pasted as a table, one a line: distance from the axis and height, in millimetres; comma, semicolon, tab or blanks between.
 * @returns the points, or the first line that is none, counted from 1
 */
export function readPoints(text: string): { readonly ok: true; readonly points: readonly TurnedPoint[] } | { readonly ok: false; readonly line: number } {
  const points: TurnedPoint[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue;
    const cells = /[;\t]/.test(line) || (line.match(/,/g) ?? []).length !== 1 ? line.trim().split(/[;\t\s]+/) : (papaparse.parse<string[]>(line).data[0] ?? []);
    const numbers = cells.filter((cell) => cell.trim() !== '').map((cell) => Number(cell.trim().replace(',', '.')));
    if (numbers.length !== 2 || numbers.some((value) => !Number.isFinite(value))) return { ok: false, line: i + 1 };
    points.push({ radiusM: numbers[0] / 1000, heightM: numbers[1] / 1000 });
  }
  return { ok: true, points };
}

/** Points as such a table. */
export function writePoints(points: readonly TurnedPoint[]): string {
  return points.map(({ radiusM, heightM }) => `${tidy(radiusM)}; ${tidy(heightM)}`).join('\n');
}

const tidy = (m: number): string => String(Number((m * 1000).toFixed(2)));
