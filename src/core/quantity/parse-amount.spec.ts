import fc from 'fast-check';
import type { Dimension } from './answer';
import { editableText } from './display-unit';
import { parseAmount } from './parse-amount';
import { UNITS, fromSi, toSi, unitSpelled, type UnitSystem } from './units';

const ALL = ['length', 'mass', 'volume', 'temperature', 'share', 'duration', 'count'] as const;
const value = (text: string, unit = UNITS.gram): number => {
  const parsed = parseAmount(text, ALL, unit);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problem}`);
  return parsed.value;
};
const problem = (text: string): string => {
  const parsed = parseAmount(text, ['mass', 'volume'], UNITS.gram);
  return parsed.ok ? 'none' : parsed.problem;
};

describe('parseAmount', () => {
  it('reads a fraction as a share of the whole, and a plain number as hundredths', () => {
    for (const [text, share] of [
      ['1/4', 0.25],
      ['½', 0.5],
      ['1/2 %', 0.005],
      ['25', 0.25],
      ['0.5', 0.005],
    ] as const)
      expect([text, value(text, UNITS.percent)]).toEqual([text, share]);
    // Elsewhere a fraction is one of the field's own unit.
    expect(value('1/4')).toBe(0.00025);
  });

  // Inch, ounce: exact by definition (1959). Spoons and cups: NIST Handbook 44, appendix C.
  it.each([
    ['1/4 cup', 59.1470591e-6],
    ['2 1/2 in', 0.0635],
    ['1½ tbsp', 22.1801472e-6],
    ['½ tsp', 2.4644608e-6],
    ['1 ½ tsp', 7.39338239e-6],
    ['4oz', 0.1133980925],
    ['113 g', 0.113],
    ['85F', 265 / 9],
    ['90 °F', 290 / 9],
    ['12,5 g', 0.0125],
    ['2.5"', 0.0635],
    ['0,5 kg', 0.5],
    ['1.5 lb', 0.680388555],
    ['-18 C', -18],
    ['3 min', 180],
    ['20 %', 0.2],
    ['7', 0.007],
    ['.5 g', 0.0005],
    ['2 Tbsp.', 29.5735296e-6],
    ['1 fl oz', 29.5735296e-6],
    ['1 lb 2 oz', 0.51029141625],
    ['1lb 2 1/2oz', 0.5244661778125],
    ['1 h 30 min', 5400],
  ])('reads %s', (text, si) => {
    expect(value(text)).toBeCloseTo(si, 10);
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['lots', 'notANumber'],
    ['1,250 g', 'ambiguousComma'],
    ['1/0 cup', 'zeroDivision'],
    ['3 stone', 'unknownUnit'],
    ['3 mm', 'wrongKind'],
    ['1.2.3', 'notANumber'],
    ['4 g and a bit 7', 'notANumber'],
    ['a spoonful of the dark one, and then a little more of it', 'tooLong'],
    ['1 2 3', 'notANumber'],
    ['1 oz 2 lb', 'notANumber'],
    ['1 lb 2 mL', 'notANumber'],
    ['1 lb 2', 'notANumber'],
  ])('refuses “%s” as %s', (text, why) => {
    expect(problem(text)).toBe(why);
  });

  it('offers both readings of a comma before three digits', () => {
    const readings = (text: string, unit = UNITS.gram): unknown => {
      const parsed = parseAmount(text, ['mass', 'length'], unit);
      return parsed.ok
        ? parsed.value
        : parsed.readings?.map(({ text: written, value: si }) => [written, Number(si.toPrecision(6))]);
    };
    expect(readings('1,250 g')).toEqual([
      ['1250 g', 1.25],
      ['1.25 g', 0.00125],
    ]);
    expect(readings('1,250 kg')).toEqual([
      ['1250 kg', 1250],
      ['1.25 kg', 1.25],
    ]);
    expect(readings('1,250', UNITS.ounce)).toEqual([
      ['1250 oz', 35.4369],
      ['1.25 oz', 0.0354369],
    ]);
    expect(readings('1.250 g')).toEqual([
      ['1250 g', 1.25],
      ['1.25 g', 0.00125],
    ]);
    // No thousands begin with a 0, and none have four digits before the sign.
    expect([readings('0,125 kg'), readings('0.125 kg'), readings('1234,567 g')]).toEqual([0.125, 0.125, 1.234567]);
  });

  it('takes a point as a decimal point where the thousands make no sense', () => {
    expect(parseAmount('1.375 in', ['length'], UNITS.inch, (m) => m < 0.4)).toMatchObject({
      ok: true,
      value: 1.375 * 0.0254,
    });
    expect(parseAmount('1,375 in', ['length'], UNITS.inch, (m) => m < 0.4)).toMatchObject({
      ok: false,
      problem: 'ambiguousComma',
    });
  });

  it('reads back what it writes, to the figures shown, in both systems', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 5, noNaN: true }),
        fc.constantFrom<Dimension[]>('length', 'mass', 'volume', 'temperature'),
        fc.constantFrom<UnitSystem[]>('metric', 'us'),
        (si, dimension, system) => {
          const parsed = parseAmount(editableText(si, dimension, system), ALL, UNITS.gram, (value) => value < 10 * si);
          expect(parsed.ok && Math.abs(parsed.value - si)).toBeLessThanOrEqual(
            dimension === 'temperature' ? 0.05 : 6e-4 * si + 1e-12,
          );
        },
      ),
    );
  });
});

describe('units', () => {
  it('converts the classic temperatures of the trade (definition of the Fahrenheit scale)', () => {
    expect([113, 90, 88, 86, 84].map((f) => Number(toSi(f, UNITS.fahrenheit).toFixed(1)))).toEqual([
      45, 32.2, 31.1, 30, 28.9,
    ]);
  });

  it('goes there and back without drift', () => {
    for (const unit of Object.values(UNITS)) expect(fromSi(toSi(12.34, unit), unit)).toBeCloseTo(12.34, 12);
  });

  it('knows a unit by each of its spellings and by no other’s', () => {
    for (const unit of Object.values(UNITS))
      for (const spelling of unit.spellings) expect(unitSpelled(spelling.toUpperCase())).toBe(unit);
    expect(unitSpelled('stone')).toBeUndefined();
  });
});
