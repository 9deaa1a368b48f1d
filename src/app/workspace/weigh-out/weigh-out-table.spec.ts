import fc from 'fast-check';
import { demoCastings } from '../../../data/demo';
import type { UnitSystem } from '../../../core/quantity/units';
import { arbitraryCasting } from '../../../testing/arbitrary-casting';
import { planned, plannedUnchilled } from '../../../testing/planned';
import { weighedText } from '../../wording/format';
import { weighOutTables } from './weigh-out-table';

/** An amount as written, read back: grams, or ounces. */
function read(written: string): number {
  const parts = [...written.matchAll(/([\d.]+) (kg|g|lb|oz)/g)];
  return parts.reduce(
    (sum, [, number, unit]) => sum + Number(number) * { kg: 1000, g: 1, lb: 16, oz: 1 }[unit as 'kg'],
    0,
  );
}

describe('weigh-out columns', () => {
  it('add up as they are written, job and round, in every unit and size', () => {
    fc.assert(
      fc.property(arbitraryCasting, fc.constantFrom<UnitSystem[]>('metric', 'us'), (casting, system) => {
        for (const { rows, stepKg } of weighOutTables(plannedUnchilled(casting), system)) {
          for (const of of ['jobKg', 'perRoundKg'] as const) {
            const shown = rows.map((row) => read(row[of] === undefined ? '' : weighedText(row[of], stepKg, system)));
            expect(rows.every((row) => (row[of] ?? 0) >= 0)).toBe(true);
            expect(shown.slice(0, -1).reduce((sum, amount) => sum + amount, 0)).toBeCloseTo(shown[shown.length - 1], 6);
          }
        }
      }),
      { numRuns: 1000 },
    );
  });

  it('count caps and seams in a round as in the job', () => {
    const bonbons = demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-bonbons');
    if (!bonbons) throw new Error('no bonbons');
    const [{ rows }] = weighOutTables(planned(bonbons), 'metric');
    const caps = rows.find(({ name }) => name === 'Caps');
    // Caps of a round are those of its cavities: the job's share of them.
    expect(caps?.perRoundKg).toBeGreaterThan(0);
    expect((caps?.perRoundKg ?? 0) / 24).toBeCloseTo(
      (caps?.jobKg ?? 0) / planned(bonbons).batch.byPart[0].parts.value,
      4,
    );
  });

  it('are written to the step of the scale', () => {
    expect([
      weighedText(0.0843, 0.0001, 'metric'),
      weighedText(0.7956, 0.001, 'metric'),
      weighedText(12.345, 0.001, 'metric'),
    ]).toEqual(['84.3 g', '796 g', '12.345 kg']);
    const ounce = 0.028349523125;
    expect([weighedText(36.8 * ounce, 0.1 * ounce, 'us'), weighedText(2.45 * ounce, 0.05 * ounce, 'us')]).toEqual([
      '2 lb 4.8 oz',
      '2.45 oz',
    ]);
  });
});
