import fc from 'fast-check';
import { demoCastings, newCasting } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import { arbitraryCasting } from '../../testing/arbitrary-casting';
import type { Casting } from '../record/casting';
import { assembled, outsideLine, type AssembledPiece } from './assembled';
import { usualClosing } from '../edit/closing';
import { draftPlan } from './draft';
import { addPart, castIn } from '../edit/parts';

const NOW = new Date('2026-10-12T08:00:00Z');
const demo = (id: string): Casting => demoCastings(NOW).find((casting) => casting.id === id) ?? demoCastings(NOW)[0];
const standing = (casting: Casting): AssembledPiece => assembled(draftPlan(casting));
const names = ({ placed }: AssembledPiece): string[] =>
  placed.map(({ draft, turned }) => `${draft.part.name}${turned ? ' turned' : ''}`);
const inMold = (id: string): Casting => {
  const casting = newCasting('c', 'c', NOW);
  castIn(casting, 'half', SHIPPED_MOLDS.find((mold) => mold.id === id) ?? SHIPPED_MOLDS[0]);
  return casting;
};

describe('a piece as it stands', () => {
  it('of two halves is a ball, less what the plate took of the rim', () => {
    const plan = draftPlan(demo('demo-bombs'));
    const piece = assembled(plan);
    expect(names(piece)).toEqual(['Half', 'Half turned']);
    expect(piece.seamM).toBeCloseTo(0.032, 9);
    expect(piece.height.value).toBeCloseTo(0.064 - (plan.close?.plate?.lost.value ?? 0), 9);
    expect(piece.placed.map(({ layers }) => layers.length)).toEqual([2, 0]);
    expect(piece.top).toBe(piece.placed[1]);
    expect(piece.loose).toEqual([]);
  });

  it('capped in its mold is turned out onto its cap, its filling where it was', () => {
    const piece = standing(demo('demo-bonbons'));
    expect(names(piece)).toEqual(['Part turned']);
    expect(piece.placed[0].openingM).toBe(0);
    expect(piece.height.value).toBeCloseTo(0.015, 9);
    expect(piece.placed[0].layers[0].fromM).toBe(0);
  });

  it('left open stands as it was cast, and what is heaped on it counts', () => {
    const cup = standing(inMold('cups'));
    expect(names(cup)).toEqual(['Part']);
    expect(cup.placed[0].openingM).toBeCloseTo(0.032, 9);
    expect(cup.height.value).toBeCloseTo(0.032, 9);
  });

  it('poured level is turned out, as high as it was poured, and lies face up where that was topped', () => {
    const topped = standing(demo('demo-tiles'));
    expect(names(topped)).toEqual(['Part']);
    expect(topped.placed[0].openingM).toBeCloseTo(0.009, 9);
    const piece = standing({ ...demo('demo-tiles'), finishes: [] });
    expect(names(piece)).toEqual(['Part turned']);
    expect(piece.height.value).toBeLessThan(0.009);
    expect(piece.height.value).toBeCloseTo(topped.height.value, 9);
    expect(piece.placed[0].openingM).toBeCloseTo(piece.height.value - 0.009, 9);
  });

  it('clamped is both halves, one on the other', () => {
    const piece = standing(demo('demo-owls'));
    expect(names(piece)).toEqual(['Front', 'Back turned']);
    expect(piece.height.value).toBeCloseTo(0.058 + 0.018, 3);
  });

  it('stands on its base, what is loose in it fallen onto that', () => {
    const plan = draftPlan(demo('demo-pears'));
    const piece = assembled(plan);
    const [base, pear] = piece.placed;
    expect(names(piece)).toEqual(['Base turned', 'Pear turned']);
    const baseM = 0.5 * 0.008;
    expect(base.openingM).toBeCloseTo(baseM - 0.008, 4);
    expect(pear.openingM).toBeCloseTo(baseM, 4);
    expect(piece.height.value).toBeCloseTo(baseM + 0.074, 4);
    expect(pear.layers[0].toM).toBeCloseTo(pear.draft.fill.depthM, 9);
    expect(piece.top).toBe(pear);
  });

  it('under a lid keeps its filled part below', () => {
    const casting = inMold('cups');
    addPart(casting, 'half', 'lid', 'Lid', 'Cup');
    casting.closure = usualClosing(casting, 'lid');
    expect(names(standing(casting))).toEqual(['Part', 'Lid turned']);
  });

  it('says which parts nothing holds yet, until they are stuck on', () => {
    const leaves = inMold('petal-cup');
    expect(standing(leaves).loose.map(({ part, count }) => [part.name, count])).toEqual([['Leaf', 5]]);
    leaves.finishes = [
      {
        id: 'f',
        kind: 'stickOn',
        name: 'Leaves',
        partId: leaves.parts[1].id,
        count: 5,
        by: 'dot',
        meltId: 'melt-1',
        sets: [],
      },
    ];
    const stuck = standing(leaves);
    expect(stuck.loose).toEqual([]);
    expect(names(stuck).at(-1)).toBe('Leaf turned');
    const halves = demo('demo-bombs');
    halves.closure = null;
    expect(standing(halves).loose.map(({ count }) => count)).toEqual([1]);
  });

  it('of any casting rests on the ground, no part below it, and is as high as its highest part', () => {
    fc.assert(
      fc.property(arbitraryCasting, (casting) => {
        const { placed, height, top } = standing(casting);
        expect(placed).toContain(top);
        const ends = placed.map(({ draft, turned, openingM }) => {
          const { heightM } = outsideLine(draft);
          const other = openingM + (turned ? 1 : -1) * (draft.cavity.depthM - Math.min(...heightM));
          return [Math.min(openingM, other), Math.max(openingM, other)];
        });
        // A level fill ends short of its cavity's rim: its opening may lie below the ground, itself it does not.
        for (const [i, [low]] of ends.entries())
          expect(low).toBeGreaterThan(placed[i].draft.coat.body ? -placed[i].draft.cavity.depthM : -1e-9);
        expect(height.value).toBeGreaterThan(0);
        expect(height.value).toBeGreaterThanOrEqual(
          Math.max(...ends.map(([, high]) => high)) -
            Math.max(...placed.map(({ draft }) => (draft.coat.body ? draft.cavity.depthM : 0))) -
            1e-9,
        );
      }),
      { numRuns: 40 },
    );
  });
});
