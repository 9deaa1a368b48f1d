import fc from 'fast-check';
import { castRounds, type RoundPart } from './rounds';

const part = (parts: number, more: Partial<RoundPart> = {}): RoundPart => ({
  moldId: 'm',
  cavityId: 'c',
  perMold: 6,
  moldsAtHand: 1,
  parts,
  ...more,
});

describe('rounds', () => {
  it('cast what the molds hold until all is cast: 38 halves in a mold of six are six rounds and one of two', () => {
    expect(castRounds([part(38)])).toEqual({
      rounds: 7,
      roundsOf: [7],
      runs: [
        { from: 0, count: 6, cast: [6] },
        { from: 6, count: 1, cast: [2] },
      ],
    });
  });

  it('give a mold to one colour at a time, light before dark', () => {
    expect(castRounds([part(8), part(6)]).runs).toEqual([
      { from: 0, count: 1, cast: [6, 0] },
      { from: 1, count: 1, cast: [2, 0] },
      { from: 2, count: 1, cast: [0, 6] },
    ]);
    // With two molds, the second colour begins beside the last of the first.
    expect(
      castRounds([part(15, { moldsAtHand: 2 }), part(6, { moldsAtHand: 2 })]).runs.map(({ cast }) => cast),
    ).toEqual([
      [12, 0],
      [3, 6],
    ]);
  });

  it('fill different cavities of one sheet, and different molds, together', () => {
    expect(castRounds([part(12), part(6, { cavityId: 'd' })]).rounds).toBe(2);
    expect(castRounds([part(12), part(30, { moldId: 'n' })]).runs.map(({ cast }) => cast)).toEqual([
      [6, 6],
      [0, 6],
    ]);
    expect(castRounds([part(12), part(30, { moldId: 'n' })]).roundsOf).toEqual([2, 5]);
  });

  it('cast each part once, and never more than the molds hold, for any job', () => {
    const any = fc.record({
      parts: fc.integer({ min: 1, max: 30000 }),
      perMold: fc.integer({ min: 1, max: 60 }),
      moldsAtHand: fc.integer({ min: 1, max: 20 }),
      moldId: fc.constantFrom('a', 'b'),
      cavityId: fc.constantFrom('c', 'd'),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 8 }), (parts) => {
        // A mold has as many of its cavities, and is as many, for whatever is cast in it.
        const alike = parts.map((one) => ({
          ...one,
          perMold:
            parts.find(({ moldId, cavityId }) => moldId === one.moldId && cavityId === one.cavityId)?.perMold ?? 1,
          moldsAtHand: parts.find(({ moldId }) => moldId === one.moldId)?.moldsAtHand ?? 1,
        }));
        const { rounds, runs } = castRounds(alike);
        expect(runs.reduce((sum, { count }) => sum + count, 0)).toBe(rounds);
        alike.forEach((one, i) => {
          expect(runs.reduce((sum, { count, cast }) => sum + count * cast[i], 0)).toBe(one.parts);
          for (const { cast } of runs) expect(cast[i]).toBeLessThanOrEqual(one.perMold * one.moldsAtHand);
        });
        for (const { cast } of runs)
          for (const key of ['ac', 'ad', 'bc', 'bd']) {
            const here = alike.flatMap((one, i) =>
              one.moldId + one.cavityId === key ? [Math.ceil(cast[i] / one.perMold)] : [],
            );
            const atHand = alike.find(({ moldId }) => moldId === key[0])?.moldsAtHand ?? 0;
            expect(here.reduce((sum, molds) => sum + molds, 0)).toBeLessThanOrEqual(atHand);
          }
        expect(runs.length).toBeLessThan(4 * parts.length + 4);
      }),
      { numRuns: 300 },
    );
  });
});
