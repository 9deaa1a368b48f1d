import { planned } from '../../testing/planned';
import { castIn } from '../edit/parts';
import { demoCastings, newCasting } from '../../data/demo';
import { SHIPPED_MOLDS } from '../../data/mold-library';
import type { CastingPlan } from '../plan/plan-types';
import { WAYS_OUT, wayOut } from './way-out';

const NOW = new Date('2026-10-12T08:00:00Z');

function cast(moldId: string): CastingPlan {
  const casting = newCasting('c', 'c', NOW);
  const mold = SHIPPED_MOLDS.find(({ id }) => id === moldId) ?? SHIPPED_MOLDS[0];
  castIn(casting, casting.parts[0].id, mold);
  return planned({ ...casting, pieces: 1, closure: null });
}
const unmolding = ({ batch }: CastingPlan): number =>
  batch.timeline.oneRound.reduce((sum, { kind, seconds }) => sum + (kind === 'unmold' ? seconds : 0), 0);

// Common practice, no source: what is large takes its time; a rigid tray is tapped out as a whole; what is cut away takes minutes.
describe('seconds to get a part out', () => {
  it('are by the way it comes out, in the timeline of the round', () => {
    for (const [moldId, way] of [
      ['bites', 'pushed'],
      ['heart', 'large'],
      ['stars', 'flat'],
      ['acorns', 'press'],
      ['balloon', 'former'],
    ] as const) {
      const plan = cast(moldId);
      expect(wayOut(plan)).toBe(way);
      const [run] = plan.batch.runs;
      expect(unmolding(plan)).toBeCloseTo(run.cast[0] * WAYS_OUT[way].perPartS, 9);
    }
  });

  it('are minutes for the bottle of the supper, which is turned, set in the room and cut away', () => {
    const bottle = demoCastings(NOW).find(({ id }) => id === 'demo-bottle');
    const plan = planned(bottle ?? newCasting('c', 'c', NOW), true);
    expect(wayOut(plan)).toBe('bottle');
    expect(unmolding(plan)).toBe(plan.batch.runs[0].cast[0] * WAYS_OUT.bottle.perPartS);
    expect(plan.problems).toEqual([]);
    // A thin shell is firm in the room after 15 to 40 min. Common practice, no source.
    for (const { stay } of plan.chill.coats) {
      expect(stay.value).toBeGreaterThan(10 * 60);
      expect(stay.value).toBeLessThan(40 * 60);
    }
  });

  it('of a tapped tray are much the same however many cavities it has', () => {
    const tray = cast('bonbons');
    expect(wayOut(tray)).toBe('tapped');
    const [run] = tray.batch.runs;
    expect(unmolding(tray)).toBe(30 + run.cast[0]);
    expect(WAYS_OUT.large.perPartS).toBeGreaterThan(WAYS_OUT.pushed.perPartS);
    expect(WAYS_OUT.bottle.perPartS).toBeGreaterThan(60);
  });
});
