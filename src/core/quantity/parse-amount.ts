import type { Dimension } from './answer';
import { toSi, unitSpelled, type Unit } from './units';

/** What was understood of a typed amount, in SI. */
export interface ParsedAmount {
  readonly ok: true;
  readonly value: number;
  readonly dimension: Dimension;
  readonly unit: Unit;
}

/** One meaning of an amount that can be read two ways, as it is written without doubt. */
export interface AmountReading extends ParsedAmount {
  readonly text: string;
}

/** Why an amount was not understood; `readings` holds both meanings of a comma or point that can be read two ways. */
export interface AmountProblem {
  readonly ok: false;
  readonly problem:
    'empty' | 'notANumber' | 'ambiguousComma' | 'unknownUnit' | 'wrongKind' | 'zeroDivision' | 'tooLong';
  readonly detail?: string;
  readonly readings?: readonly [AmountReading, AmountReading];
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
};
const LONGEST = 40;
const NUMBER = /^([+-]?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)|^[+-]?(?:\d+(?:[.,]\d+)*|[.,]\d+)/;

/**
 * Reads an amount as people type it: "113 g", "4oz", "1/4 cup", "2 1/2 in", "1½ tbsp", "85F", "12,5 g", "1 lb 2 oz".
 *
 * @param text what was typed; at most 40 characters
 * @param accepts the kinds of quantity the field takes
 * @param bareUnit the unit a number without one is read in
 * @param mayBe whether an amount, SI, makes sense here; any does where it is left out
 * @returns the amount in SI, or the reason it could not be read. A comma is a decimal comma; before exactly three digits it is refused,
 * with both readings, and so is a point where the thousands make sense too. A fraction without a unit is a share itself where shares
 * are read. Does not check ranges otherwise.
 */
export function parseAmount(
  text: string,
  accepts: readonly Dimension[],
  bareUnit: Unit,
  mayBe: (value: number, dimension: Dimension) => boolean = () => true,
): ParsedAmount | AmountProblem {
  const typed = spellOutFractions(text.trim()).replace(/^−/, '-');
  if (typed === '') return { ok: false, problem: 'empty' };
  if (typed.length > LONGEST) return { ok: false, problem: 'tooLong' };
  const match = NUMBER.exec(typed);
  if (!match) return { ok: false, problem: 'notANumber', detail: typed };
  const number = readNumber(match);
  if (typeof number !== 'number') return number;
  const rest = typed.slice(match[0].length).trim();
  // Nobody means a quarter of a hundredth by 1/4 of something.
  if (rest === '' && bareUnit.dimension === 'share' && match[4] !== undefined)
    return { ok: true, value: number, dimension: 'share', unit: bareUnit };
  const unit = rest === '' ? bareUnit : unitSpelled(rest);
  if (!unit)
    return (
      inTwoUnits(number, rest, accepts) ?? {
        ok: false,
        problem: /\d/.test(rest) ? 'notANumber' : 'unknownUnit',
        detail: rest,
      }
    );
  if (rest !== '' && !accepts.includes(unit.dimension)) return { ok: false, problem: 'wrongKind', detail: unit.symbol };
  const parsed: ParsedAmount = { ok: true, value: toSi(number, unit), dimension: unit.dimension, unit };
  return twoWays(match[0], parsed, mayBe) ?? parsed;
}

/** One to three digits, not beginning with 0, and after a comma or point exactly three: thousands, or decimals. */
const THOUSANDS_OR_DECIMALS = /^[+-]?[1-9]\d{0,2}([.,])\d{3}$/;

function twoWays(
  number: string,
  { unit, dimension }: ParsedAmount,
  mayBe: (value: number, dimension: Dimension) => boolean,
): AmountProblem | undefined {
  const sign = THOUSANDS_OR_DECIMALS.exec(number)?.[1];
  if (sign === undefined) return undefined;
  const reading = (value: number): AmountReading => ({
    ok: true,
    value: toSi(value, unit),
    dimension,
    unit,
    text: unit.symbol ? `${value} ${unit.symbol}` : String(value),
  });
  const readings = [reading(Number(number.replace(sign, ''))), reading(Number(number.replace(sign, '.')))] as const;
  if (sign === '.' && !mayBe(readings[0].value, dimension)) return undefined;
  return { ok: false, problem: 'ambiguousComma', readings };
}

/** "1 lb 2 oz", "1 h 30 min": what follows the first number is a unit and a second amount in a smaller one of the same kind. */
function inTwoUnits(first: number, rest: string, accepts: readonly Dimension[]): ParsedAmount | undefined {
  const [, spelled, second] = /^([^\d]+?)\s*(\d.*)$/.exec(rest) ?? [];
  const unit = spelled === undefined ? undefined : unitSpelled(spelled);
  const match = second === undefined ? null : NUMBER.exec(second);
  if (!unit || !match || first < 0 || unit.offset !== 0) return undefined;
  const number = readNumber(match);
  const smaller = unitSpelled(second.slice(match[0].length));
  if (
    typeof number !== 'number' ||
    !smaller ||
    smaller.dimension !== unit.dimension ||
    smaller.factor >= unit.factor ||
    !accepts.includes(unit.dimension)
  )
    return undefined;
  return { ok: true, value: toSi(first, unit) + toSi(number, smaller), dimension: unit.dimension, unit };
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
  return Number(whole.replace(',', '.'));
}
