import { draftPlan } from '../../core/plan/draft';
import { demoCastings } from '../../data/demo';
import { sectionGeometry } from './section-geometry';

const [bombs, bites] = demoCastings(new Date('2026-10-12T08:00:00Z')).map((casting) => draftPlan(casting));

describe('section geometry', () => {
  it('is true to scale: width, depth and shell at one px per metre', () => {
    const g = sectionGeometry(bombs, 600, 380, false);
    expect(g.exaggeration).toBe(1);
    expect(2 * g.halfCavity).toBeCloseTo(0.064 * g.pxPerM, 9);
    expect(g.depth).toBeCloseTo(0.032 * g.pxPerM, 9);
    const last = bombs.coat.totalM.length - 1;
    expect(g.axisX + g.halfCavity - g.rimInner.x).toBeCloseTo(bombs.coat.totalM[last] * g.pxPerM, 9);
  });

  it('stays inside its box, on a phone too', () => {
    for (const [width, height] of [
      [600, 380],
      [366, 300],
      [280, 200],
    ]) {
      const g = sectionGeometry(bites, width, height, false);
      const numbers = (g.moldPath.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
      const xs = numbers.filter((_, i) => i % 2 === 0);
      const ys = numbers.filter((_, i) => i % 2 === 1);
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...xs)).toBeLessThanOrEqual(width);
      expect(Math.max(...ys)).toBeLessThanOrEqual(height);
    }
  });

  it('draws coats thicker only when asked, and then says by how much', () => {
    const plain = sectionGeometry(bombs, 600, 380, false);
    const thick = sectionGeometry(bombs, 600, 380, true);
    expect(thick.exaggeration).toBeGreaterThan(1.5);
    expect(plain.axisX + plain.halfCavity - plain.rimInner.x).toBeLessThan(
      thick.axisX + thick.halfCavity - thick.rimInner.x,
    );
    expect(thick.pxPerM).toBe(plain.pxPerM);
  });

  it('lays the fill in order, each layer on the one below, under the rim', () => {
    const g = sectionGeometry(bombs, 600, 380, false);
    expect(g.layers.map((layer) => layer.kind)).toEqual(['powder', 'marshmallow']);
    expect(g.layers[1].topY).toBeLessThan(g.layers[0].topY);
    expect(g.layers[1].topY - g.rimY).toBeCloseTo(0.003 * g.pxPerM, 6);
  });

  it('draws a heap above the rim and makes room for it, and a cap below the rim, as thick as it is', () => {
    const [heaped] = demoCastings(new Date('2026-10-12T08:00:00Z'));
    heaped.parts[0].heaped = true;
    heaped.fill[1].amount = { by: 'volume', m3: 45e-6 };
    const draft = draftPlan(heaped);
    const g = sectionGeometry(draft, 600, 380, false);
    expect(g.rimY - g.topY).toBeCloseTo(draft.fill.heapM * g.pxPerM, 9);
    expect(g.topY).toBeGreaterThanOrEqual(50);
    const ys = (path: string): number[] => [...path.matchAll(/-?[\d.]+,(-?[\d.]+)/g)].map(([, y]) => Number(y));
    expect(Math.min(...ys(g.heapPath ?? ''))).toBeCloseTo(g.topY, 1);
    const capped = sectionGeometry({ ...bombs, cap: { thicknessM: 0.002, belowM: 0 } }, 600, 380, false);
    const cap = ys(capped.capPath ?? '');
    expect(Math.max(...cap) - Math.min(...cap)).toBeCloseTo(0.002 * capped.pxPerM, 1);
    expect(Math.min(...cap)).toBeCloseTo(capped.rimY, 1);
    expect(capped.heapPath).toBeUndefined();
    const lower = ys(
      sectionGeometry({ ...bombs, cap: { thicknessM: 0.002, belowM: 0.003 } }, 600, 380, false).capPath ?? '',
    );
    expect(Math.min(...lower) - Math.min(...cap)).toBeCloseTo(0.003 * capped.pxPerM, 1);
  });
});
