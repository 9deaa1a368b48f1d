import { demoCastings } from '../../data/demo';
import { applyRemedy } from '../edit/remedy';
import type { Casting } from '../record/casting';
import { readCasting } from '../record/read-casting';
import { simulatedPlan } from '../plan/simulated-plan';
import type { CastingPlan, Problem } from './plan-types';

const bombs = (change: (casting: Casting) => void): Casting => {
  const [casting] = demoCastings(new Date('2026-10-12T08:00:00Z'));
  change(casting);
  return casting;
};
const of = (casting: Casting, key: Problem['key']): Problem | undefined =>
  simulatedPlan(casting).problems.find((problem) => problem.key === key);
const spooned = (ml: number, more: Partial<Casting['parts'][number]['coats'][number]> = {}): Casting =>
  bombs(({ parts: [part] }) => {
    part.coats.splice(1);
    Object.assign(part.coats[0], { method: 'spoon', doseM3: ml * 1e-6, ...more });
  });
const mended = (casting: Casting, problem: Problem | undefined): CastingPlan => {
  if (!problem?.remedy) throw new Error('no remedy');
  applyRemedy(casting, problem.remedy, simulatedPlan(casting));
  expect(readCasting(casting).ok).toBe(true);
  return simulatedPlan(casting);
};

describe('what coats want attention for', () => {
  it('is a thin rim over a base with plenty: the sides are brushed, and the base stays as it was', () => {
    const poured = spooned(9, { wayUp: 'upright' });
    poured.chocolates[0].fluidity = 'veryFluid';
    const before = simulatedPlan(poured).coat.total;
    expect(before.base.value).toBeGreaterThan(2 * before.rim.value);
    const thin = of(poured, 'rimTooThin');
    expect(thin).toMatchObject({ values: { uneven: 1 }, remedy: { key: 'brushSides' } });
    const after = mended(poured, thin);
    expect(after.problems.map(({ key }) => key)).not.toContain('rimTooThin');
    expect(after.coat.total.rim.value).toBeGreaterThan(2 * before.rim.value);
    expect(after.coat.total.base.value / before.base.value).toBeLessThan(1.2);
    expect(poured.parts[0].coats.map(({ method, where }) => [method, where])).toEqual([
      ['spoon', 'all'],
      ['brush', 'sides'],
    ]);
  });

  it('is a base that later coats add to, until they leave it out', () => {
    const pooled = bombs(({ parts: [part] }) => {
      Object.assign(part.coats[0], { wayUp: 'upright', drainSeconds: 4, tappingSeconds: 0 });
      Object.assign(part.coats[1], { method: 'brush', doseM3: 7e-6, wayUp: 'upright' });
    });
    const note = of(pooled, 'poolsInBase');
    expect(note?.remedy).toEqual({ key: 'laterSides' });
    const before = simulatedPlan(pooled).coat.total.base.value;
    expect(mended(pooled, note).coat.total.base.value).toBeLessThan(before);
    expect(pooled.parts[0].coats.map(({ where }) => where)).toEqual(['all', 'sides']);
  });

  it('is a bottle that is turned too seldom: it pools on one side, and less so turned oftener', () => {
    const bottle = demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-bottle');
    if (!bottle) throw new Error('no bottle');
    expect(of(bottle, 'poolsBetweenTurns')).toBeUndefined();
    bottle.parts[0].coats.splice(1);
    Object.assign(bottle.parts[0].coats[0], { doseM3: 40e-6, turnSeconds: 300 });
    const note = of(bottle, 'poolsBetweenTurns');
    expect(note).toMatchObject({ values: { onSide: 1, every: 300 }, remedy: { key: 'turnEvery', seconds: 150 } });
    const [before] = simulatedPlan(bottle).coat.coats;
    expect(note?.values['thin']).toBeCloseTo(before.thinnestAround?.value ?? NaN, 6);
    const [after] = mended(bottle, note).coat.coats;
    expect(after.thinnestAround?.value).toBeGreaterThan(1.1 * (before.thinnestAround?.value ?? NaN));
  });

  // Common practice, no source: a tablespoon, 15 mL, is brushed up a half of 76 mm; a thick chocolate of some 55 % cocoa does it in one layer.
  it('is no coat that people lay every day, and every one that runs off', () => {
    const wide = spooned(15, { method: 'brush', wayUp: 'upsideDown' });
    const [{ shape }] = wide.molds[0].cavities;
    if (shape.kind === 'hemisphere') shape.diameterM = 0.076;
    expect(of(wide, 'coatTooHeavy')).toBeUndefined();
    const thick = spooned(10, { wayUp: 'upsideDown' });
    thick.chocolates[0].fluidity = 'thick';
    expect(simulatedPlan(thick).problems.filter(({ station }) => station === 'coat')).toEqual([]);
    const heavy = [7, 9, 11, 13, 16, 20, 26].map((ml) => !!of(spooned(ml, { wayUp: 'upsideDown' }), 'coatTooHeavy'));
    // Once a dose is too heavy, every larger one is.
    expect(heavy).toEqual([...heavy].sort((a, b) => Number(a) - Number(b)));
    expect([heavy[0], heavy[heavy.length - 1]]).toEqual([false, true]);
    expect(of(spooned(16, { wayUp: 'upright' }), 'coatTooHeavy')).toBeDefined();
  });

  it('is a mold colder than the dew point, or as warm as the chocolate', () => {
    const cold = bombs(({ parts: [part] }) => (part.moldC = 5));
    const wet = of(cold, 'moldSweats');
    expect(wet?.values).toMatchObject({ moldC: 5, dewPointC: expect.closeTo(9.4, 1) as number });
    expect(mended(cold, wet).problems.map(({ key }) => key)).not.toContain('moldSweats');
    expect(
      of(
        bombs(({ parts: [part] }) => (part.moldC = 32)),
        'moldTooWarm',
      )?.remedy,
    ).toEqual({ key: 'wipeMold' });
    expect(
      of(
        bombs(({ parts: [part] }) => (part.moldC = 26)),
        'moldTooWarm',
      ),
    ).toBeUndefined();
  });
});
