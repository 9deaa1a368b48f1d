import { demoCastings } from '../../data/demo';
import type { Casting } from '../record/casting';
import type { Simulated } from '../shell/simulated';
import { make, makingOf, type Making } from './making';
import { workOut, workOutRange, type Worked } from './worked';

const supper = demoCastings(new Date('2026-10-12T08:00:00Z'));
const bombs = (change: (casting: Casting) => void = () => undefined): Making => {
  const casting = structuredClone(supper[0]);
  change(casting);
  return makingOf(casting, casting.parts[0]);
};
const toTheEnd = (making: Making, from: Simulated): Worked => {
  const steps = workOutRange(making, from);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
};
const rim = (making: Making, { simulated }: Worked): number => make(making, simulated).coat.total.rim.value;

describe('what the worker gives back', () => {
  it('in passing, next to an earlier answer, is within a hundredth of the whole answer, and is made good in the end', () => {
    const before = workOut(bombs());
    for (const change of [
      (c: Casting) => (c.melts[0].workingC = 31),
      (c: Casting) => (c.parts[0].coats[0].dwellSeconds = 16),
      (c: Casting) => (c.kitchen.fridgeC = 3),
    ]) {
      const making = bombs(change);
      const whole = rim(making, workOut(making));
      const passing = workOut(making, before);
      const [near, far] = [passing, workOut(making)].map(({ chill }) => chill.coats[1].chosen.unmold);
      expect(Math.abs(near.value / far.value - 1)).toBeLessThan(0.02);
      for (const end of ['low', 'high'] as const) expect(Math.abs(near[end] / far[end] - 1)).toBeLessThan(0.15);
      expect(Math.abs(rim(making, passing) / whole - 1)).toBeLessThan(0.01);
      const end = toTheEnd(making, passing.simulated);
      expect(Math.abs(rim(making, end) / whole - 1)).toBeLessThan(0.002);
      expect(end.simulated.byCount[2].ranged).toBe(true);
    }
  });

  it('does not depend on whether it has been asked before', () => {
    const making = bombs();
    const first = workOut(making);
    expect(rim(making, toTheEnd(making, first.simulated))).toBeCloseTo(rim(making, first), 9);
    expect(toTheEnd(making, first.simulated).chill.coats.map(({ chosen }) => chosen.unmold.value)).toEqual(
      first.chill.coats.map(({ chosen }) => expect.closeTo(chosen.unmold.value, 3) as number),
    );
  });

  it('of a solid piece is its chill alone', () => {
    const tiles = supper.find(({ id }) => id === 'demo-tiles');
    if (!tiles) throw new Error('no tiles');
    const making = makingOf(tiles, tiles.parts[0]);
    const { simulated, chill } = workOut(making);
    expect(simulated.byCount).toEqual({});
    expect(chill.coats).toHaveLength(2);
    expect(toTheEnd(making, simulated).chill).toEqual(chill);
  });
});
