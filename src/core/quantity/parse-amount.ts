import type { Dimension } from './answer';
import { toSi, unitSpelled, type Unit } from './units';

/** What was understood of a typed amount, in SI. */
export interface ParsedAmount {
  readonly ok: true;
  readonly value: number;
  readonly dimension: Dimension;
  readonly unit: Unit;
}

/** Why an amount was not understood; `readings` holds both meanings of an ambiguous comma. */
export interface AmountProblem {
  readonly ok: false;
  readonly problem: 'empty' | 'notANumber' | 'ambiguousComma' | 'unknownUnit' | 'wrongKind' | 'zeroDivision' | 'tooLong';
  readonly detail?: string;
  readonly readings?: readonly [string, string];
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3', '⅔': '2/3', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
  '⅕': '1/5', '⅖': '2/5', '⅗': '3/5', '⅘': '4/5', '⅙': '1/6', '⅚': '5/6',
};
const LONGEST = 40;
const NUMBER = /^([+-]?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)|^[+-]?(?:\d+(?:[.,]\d+)*|[.,]\d+)/;

/**
 * Reads an amount as people type it: "113 g", "4oz", "1/4 cup", "2 1/2 in", "1½ tbsp", "85F", "12,5 g".
 *
 * @param text what was typed; at most 40 characters
 * @param accepts the kinds of quantity the field takes
 * @param bareUnit the unit a number without one is read in
 * @returns the amount in SI, or the reason it could not be read. A comma is a decimal comma;
 * before exactly three digits it is refused, with both readings. A fraction without a unit is a share itself where shares are read. Does not check ranges.
 */
export function parseAmount(text: string, accepts: readonly Dimension[], bareUnit: Unit): ParsedAmount | AmountProblem {
  const typed = spellOutFractions(text.trim());
  if (typed === '') return { ok: false, problem: 'empty' };
  if (typed.length > LONGEST) return { ok: false, problem: 'tooLong' };
  const match = NUMBER.exec(typed.replace(/^−/, '-'));
  if (!match) return { ok: false, problem: 'notANumber', detail: typed };
  const number = readNumber(match);
  if (typeof number !== 'number') return number;
  const rest = typed.slice(match[0].length).trim();
  // Nobody means a quarter of a hundredth by 1/4 of something.
  if (rest === '' && bareUnit.dimension === 'share' && match[4] !== undefined) return { ok: true, value: number, dimension: 'share', unit: bareUnit };
  if (rest === '') return { ok: true, value: toSi(number, bareUnit), dimension: bareUnit.dimension, unit: bareUnit };
  const unit = unitSpelled(rest);
  if (!unit) return { ok: false, problem: /\d/.test(rest) ? 'notANumber' : 'unknownUnit', detail: rest };
  if (!accepts.includes(unit.dimension)) return { ok: false, problem: 'wrongKind', detail: unit.symbol };
  return { ok: true, value: toSi(number, unit), dimension: unit.dimension, unit };
}

function spellOutFractions(text: string): string {
  return text.replace(/(\d)?\s*([½¼¾⅓⅔⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚])/g, (_, digit: string | undefined, sign: string) =>
    digit ? `${digit} ${VULGAR[sign]}` : VULGAR[sign],
  );
}

function readNumber(match: RegExpExecArray): number | AmountProblem {
  const [whole, sign, units, above, below] = match;
  if (below !== undefined) {
    if (Number(below) === 0) return { ok: false, problem: 'zeroDivision', detail: whole };
    const value = Number(units ?? 0) + Number(above) / Number(below);
    return sign === '-' ? -value : value;
  }
  const separators = whole.match(/[.,]/g) ?? [];
  if (separators.length > 1) return { ok: false, problem: 'notANumber', detail: whole };
  if (/\d,\d{3}$/.test(whole) && !/,\d{4,}$/.test(whole)) {
    return { ok: false, problem: 'ambiguousComma', readings: [whole.replace(',', ''), whole.replace(',', '.')] };
  }
  return Number(whole.replace(',', '.'));
}
