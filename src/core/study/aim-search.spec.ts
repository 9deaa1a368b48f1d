import { demoCastings } from '../../data/demo';
import { readCasting } from '../record/read-casting';
import { draftPlan } from '../plan/draft';
import { BLOWS, rimOfGoal, searchWays, type AimGoal, type Blow, type FoundWay } from './aim-search';
import { simulatedPlan } from '../plan/simulated-plan';

const [bombs] = demoCastings(new Date('2026-10-12T08:00:00Z'));
const found = (goal: AimGoal, casting = bombs): readonly FoundWay[] => {
  const steps = searchWays(casting, goal);
  const told: number[] = [];
  for (;;) {
    const { done, value } = steps.next();
    if (done) {
      expect(told[told.length - 1]).toBe(1);
      return value;
    }
    told.push(value);
  }
};

describe('ways that reach a goal', () => {
  it('come to the wanted rim when planned and simulated as found, the quickest first, none like another', () => {
    const ways = found({ by: 'rim', rimM: 0.0024 });
    expect(ways.length).toBeGreaterThan(1);
    for (const way of ways) {
      expect(readCasting(way.casting).ok).toBe(true);
      expect(Math.abs(simulatedPlan(way.casting).coat.total.rim.value / 0.0024 - 1)).toBeLessThan(0.04);
    }
    for (let i = 1; i < ways.length; i++) expect(ways[i].totalSeconds).toBeGreaterThanOrEqual(ways[i - 1].totalSeconds);
    expect(new Set(ways.map(({ method, sides, wayUp, coats }) => `${method} ${sides} ${wayUp} ${coats}`)).size).toBe(
      ways.length,
    );
  });

  it('are mixed as well: one coat tipped out, and what its rim lacks brushed on the sides', () => {
    // Of a chocolate that runs neither thick nor thin, tipped out at once, it is the quickest.
    const medium = structuredClone(bombs);
    for (const coat of medium.parts[0].coats) coat.dwellSeconds = 0;
    for (const one of medium.chocolates) one.fluidity = 'medium';
    const [mixed] = found({ by: 'rim', rimM: 0.003 }, medium);
    expect(mixed.sides).toBe(true);
    expect(mixed.casting.parts[0].coats.map(({ method, where }) => [method, where])).toEqual([
      ['dump', 'all'],
      ['brush', 'sides'],
    ]);
    const { coat } = simulatedPlan(mixed.casting);
    expect(Math.abs(coat.total.rim.value / 0.003 - 1)).toBeLessThan(0.04);
    // The base is spared.
    const [poured, brushed] = coat.coats;
    expect(brushed.thickness.base.value).toBeLessThan(poured.thickness.base.value);
  });

  it('survive unmolding, or are thin enough to be smashed and yet come out whole', () => {
    const survive = found({ by: 'survive' });
    expect(survive.length).toBeGreaterThan(0);
    for (const { side } of survive) expect(side.coat.breakChance.value).toBeLessThan(0.035);
    const smash = found({ by: 'smash', blow: 'spoon' });
    expect(smash.length).toBeGreaterThan(0);
    for (const { side } of smash) {
      expect(side.coat.breakChance.value).toBeLessThan(0.06);
      // One blow of a spoon breaks it. Common practice, no source.
      expect(side.coat.total.rim.value).toBeLessThan(2 * side.coat.neededRim.value);
    }
  });

  it('are thicker for a metal mallet than for a spoon, and come out whole more surely', () => {
    const wanted = (blow: Blow) => rimOfGoal({ by: 'smash', blow }, draftPlan(bombs));
    const [spoon, mallet] = BLOWS.map(wanted);
    for (const key of ['lowM', 'aimM', 'highM'] as const) expect(mallet[key]).toBeGreaterThan(spoon[key]);
    expect(mallet.lowM).toBeLessThan(spoon.highM);
    const [way] = found({ by: 'smash', blow: 'mallet' });
    const { rim } = way.side.coat.total;
    expect(rim.value).toBeGreaterThan(mallet.lowM);
    expect(rim.value).toBeLessThan(mallet.highM);
    expect(way.side.coat.breakChance.value).toBeLessThan(0.035);
  });

  it('are none where nothing can do it, and none where nothing sets', () => {
    // Poured over a former, where nothing stands full and sets a skin.
    const fluid = structuredClone(bombs);
    fluid.molds[0].composition = { kind: 'former' };
    fluid.chocolates[0].fluidity = { yieldPa: 0.2, viscosityPas: 0.2 };
    expect(found({ by: 'rim', rimM: 0.01 }, fluid)).toEqual([]);
    const hot = structuredClone(bombs);
    hot.kitchen.roomC = 33;
    for (const coat of hot.parts[0].coats) coat.sets = [{ place: 'room' }];
    expect(found({ by: 'survive' }, hot)).toEqual([]);
  });
});
