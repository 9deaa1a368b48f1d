import papaparse from 'papaparse';
import { TURNED_LIMITS } from '../../core/cavity/check-shape';
import type { TurnedPoint } from '../../core/cavity/shape';
import { parseAmount } from '../../core/quantity/parse-amount';
import { UNITS } from '../../core/quantity/units';

/**
 * Reads points typed or pasted as a table, one a line: distance from the axis and height, in any unit of length, bare ones in
 * millimetres; comma, semicolon, tab or blanks between.
 * @returns the points, or the first line that is none, counted from 1, and whether that is because a number in it reads two ways
 */
export function readPoints(
  text: string,
):
  | { readonly ok: true; readonly points: readonly TurnedPoint[] }
  | { readonly ok: false; readonly line: number; readonly twoWays: boolean } {
  const points: TurnedPoint[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue;
    const cells = /[;\t]/.test(line)
      ? line.split(/[;\t]/)
      : (line.match(/,/g) ?? []).length !== 1
        ? line.trim().split(/\s+/)
        : (papaparse.parse<string[]>(line).data[0] ?? []);
    const lengths = cells
      .filter((cell) => cell.trim() !== '')
      .map((cell) => parseAmount(cell, ['length'], UNITS.millimetre, (m) => m <= TURNED_LIMITS.depthM));
    const [radius, height] = lengths;
    if (lengths.length !== 2 || !radius.ok || !height.ok)
      return { ok: false, line: i + 1, twoWays: lengths.some((read) => !read.ok && read.problem === 'ambiguousComma') };
    points.push({ radiusM: radius.value, heightM: height.value });
  }
  return { ok: true, points };
}

/** Points as such a table. */
export function writePoints(points: readonly TurnedPoint[]): string {
  return points.map(({ radiusM, heightM }) => `${tidy(radiusM)}; ${tidy(heightM)}`).join('\n');
}

const tidy = (m: number): string => String(Number((m * 1000).toFixed(2)));
