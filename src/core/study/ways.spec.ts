import { demoCastings } from '../../data/demo';
import { readCasting } from '../record/read-casting';
import { compareWays, madeThisWay, WAYS, type Way } from './ways';
import { simulatedPlan } from '../plan/simulated-plan';

const [bombs, bites] = demoCastings(new Date('2026-10-12T08:00:00Z'));

describe('two ways of making a casting', () => {
  it('are all castings that can be kept, and differ from it in one thing alone', () => {
    for (const casting of [bombs, bites]) {
      const plan = simulatedPlan(casting);
      for (const way of WAYS) {
        const made = madeThisWay(casting, way, plan);
        expect([way, readCasting(made).ok]).toEqual([way, true]);
        expect({ ...made, parts: [], melts: [] }).toEqual({ ...casting, parts: [], melts: [] });
      }
    }
  });

  it('come back as plain data, so that a worker can send them', () => {
    const { sides } = structuredClone(compareWays(bombs, ['asPlanned', 'warmer']));
    expect(sides[0].coat.total.rim.value).toBeGreaterThan(sides[1].coat.total.rim.value);
  });

  // Common practice, no source.
  it.each([
    [['oneThick', 'twoThin'], 1, 'breaking'],
    [['room', 'freezer'], 1, 'time'],
    [['fridge', 'freezer'], 1, 'time'],
  ] as readonly [readonly [Way, Way], 0 | 1, string][])('%j: the second is the better', (ways, better, by) => {
    const { verdict } = compareWays(bombs, ways);
    expect(verdict).toMatchObject({ better, by });
  });

  it('says which of two breaks less because the other pools at its base', () => {
    const thick = structuredClone(bombs);
    thick.parts[0].coats = [{ ...thick.parts[0].coats[0], method: 'spoon', doseM3: 12e-6 }];
    const { verdict, sides } = compareWays(thick, ['upright', 'upsideDown']);
    expect(sides[0].coat.total.rim.value).toBeLessThan(sides[1].coat.total.rim.value);
    expect(verdict).toMatchObject({ better: 1, by: 'breaking', because: 'pooled' });
  });

  it('says that a thick coat drips when it is set upside down before it holds', () => {
    expect(compareWays(bombs, ['oneThick', 'twoThin']).verdict.because).toBe('dripped');
  });

  it('sees no difference between a way and itself, and that what does not set is no choice', () => {
    expect(compareWays(bombs, ['fridge', 'fridge']).verdict.better).toBeUndefined();
    const hot = structuredClone(bombs);
    hot.kitchen.roomC = 31;
    expect(compareWays(hot, ['room', 'fridge']).verdict).toMatchObject({ better: 1, by: 'unset' });
  });
});
