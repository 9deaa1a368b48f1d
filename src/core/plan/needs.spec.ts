import fc from 'fast-check';
import { demoCastings } from '../../data/demo';
import { arbitraryCasting } from '../../testing/arbitrary-casting';
import { planned } from '../../testing/planned';
import { LIMITS } from '../record/limits';
import { larderNeeds } from './larder';
import { chocolateNeeds, piecesFrom } from './needs';

const bombs = demoCastings(new Date('2026-10-12T08:00:00Z'))[0];

describe('chocolate that a job takes', () => {
  it('is what its shopping list says, for any casting', () => {
    fc.assert(
      fc.property(arbitraryCasting, (casting) => {
        const plan = planned(casting);
        const listed = new Map(
          larderNeeds(plan).flatMap(({ kind, entryId, neededKg }) =>
            kind === 'chocolate' && entryId !== undefined ? [[entryId, neededKg] as const] : [],
          ),
        );
        const needs = chocolateNeeds(plan, casting.pieces);
        expect([...needs.keys()].sort()).toEqual([...listed.keys()].sort());
        for (const [id, kg] of needs)
          expect(Math.abs(kg - (listed.get(id) ?? 0))).toBeLessThanOrEqual(1e-9 * Math.max(1, kg));
      }),
      { numRuns: 60 },
    );
  });
});

describe('pieces from what is on hand', () => {
  it('are as many as, planned, take no more than there is, and one more would, for any casting', () => {
    fc.assert(
      fc.property(
        arbitraryCasting,
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (casting, first, second) => {
          const plan = planned(casting);
          const onHand = new Map([
            ['q0', first],
            ['q1', second],
          ]);
          const pieces = piecesFrom(plan, onHand).value;
          // What it says is planned as a casting of its own, and not by the rule under trial.
          const takes = (n: number): boolean =>
            larderNeeds(planned({ ...casting, pieces: n })).every(
              ({ kind, entryId = '', neededKg }) =>
                kind !== 'chocolate' || neededKg <= (onHand.get(entryId) ?? 0) + 1e-9,
            );
          if (pieces > 0) expect(takes(pieces)).toBe(true);
          if (pieces < LIMITS.pieces.high) expect(takes(pieces + 1)).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('are none of nothing, and what 500 g makes melts within 500 g', () => {
    const plan = planned(bombs);
    expect(piecesFrom(plan, new Map()).value).toBe(0);
    const made = piecesFrom(plan, new Map([['quarry', 0.5]])).value;
    expect(made).toBeGreaterThan(0);
    const melted = (pieces: number): number => planned({ ...bombs, pieces }).batch.melts[0].melted.value;
    expect(melted(made)).toBeLessThanOrEqual(0.5);
    expect(melted(made + 1)).toBeGreaterThan(0.5);
  });
});

describe('fat that a melt is thinned with', () => {
  it('is bought, and that much less of the chocolate; what is left of it goes back to no pack (worked by hand)', () => {
    const thin = structuredClone(bombs);
    thin.melts[0].thinning = { fat: 'cocoaButter', share: 0.03 };
    const plan = planned(thin);
    const meltedKg = plan.batch.melts[0].melted.value;
    const [chocolate] = larderNeeds(plan).filter(({ kind }) => kind === 'chocolate');
    const fat = larderNeeds(plan).find(({ name }) => name === 'Cocoa butter');
    // 3 g to 100 g of chocolate.
    expect(chocolate.neededKg).toBeCloseTo(meltedKg / 1.03, 12);
    expect(fat?.neededKg).toBeCloseTo((0.03 * meltedKg) / 1.03, 12);
    expect(chocolate.usedKg).toBeCloseTo(chocolate.neededKg, 12);
  });

  it('is one with what a recipe calls the same', () => {
    const thin = structuredClone(bombs);
    thin.melts[0].thinning = { fat: 'coconutOil', share: 0.05 };
    const [filling] = thin.fillings.filter(({ id }) => id === thin.fill[0].fillingId);
    filling.recipe = [{ name: 'coconut oil ', parts: 1, allergens: [] }];
    const lines = larderNeeds(planned(thin)).filter(({ name }) => /coconut oil/i.test(name));
    expect(lines).toHaveLength(1);
    expect(lines[0].neededKg).toBeGreaterThan(0.2);
  });
});
