import { faultsOf } from '../schedule/check';
import { forward, reversed } from '../schedule/reversed';
import type { Stay } from '../schedule/workload';
import type { Bowl } from './bowls';
import { MeltsAnew } from './melts-anew';
import type { OccasionWork } from './occasion-work';
import { Work } from './work';

const HOUR = 3600;
const END = 40 * HOUR;
/** An evening, and from noon of the next day on. */
const STAYS: readonly Stay[] = [
  { from: 2 * HOUR, to: 5 * HOUR },
  { from: 20 * HOUR, to: 24 * HOUR },
];
const BOWL: Bowl = {
  uses: [],
  name: 'dark',
  colour: '#432',
  workingC: 31.5,
  way: 'microwave',
  kg: 1,
  usedKg: 0.8,
  leftKg: 0.1,
  apartKg: 1,
  seconds: 1200,
  meltedS: 1200,
  mix: [],
};

/** One bowl with coats that are worked from it for as long as one likes. */
function oneBowl(coats: number): OccasionWork {
  const work = new Work();
  const melt = work.add({ castingId: 'c', kind: 'melt', handsOn: true, seconds: 1200, bowl: 0 });
  for (let i = 0; i < coats; i++) {
    const coat = work.add({ castingId: 'c', kind: 'coat', handsOn: true, seconds: 600, coat: i });
    work.lag(melt, coat, { least: 0 });
  }
  return { work, bowls: [BOWL] };
}

/** What becomes of a timetable that was found as if the bowl lasted for ever; its melts, and what is wrong with it. */
function anew(made: OccasionWork, starts: readonly number[]) {
  const means = { people: 1, stays: STAYS };
  const backward = reversed(made.work.workload(means), END);
  const melts = new MeltsAnew(made, backward, [0, 0], 0);
  const told = forward(backward, starts, END);
  const found = melts.made(told);
  const workload = found.made.work.workload(means);
  const told2 = forward(reversed(workload, END), found.starts, END);
  const meltsAt = workload.operations.flatMap((_, i) =>
    found.made.work.tasks[i].kind === 'melt' ? [told2[i] / HOUR] : [],
  );
  return { faults: faultsOf(workload, told2), meltsAt, lags: workload.lags, costS: melts.costS(told) };
}

describe('a bowl over two stays', () => {
  it('is melted where it is first worked from, and again in the other', () => {
    const { faults, meltsAt, lags, costS } = anew(oneBowl(2), [2 * HOUR, 3 * HOUR, 21 * HOUR]);
    expect(faults).toEqual([]);
    expect(meltsAt).toEqual([2, 21 - 1 / 3]);
    expect(lags.every(({ most = Infinity }) => most === 8 * HOUR)).toBe(true);
    expect(costS).toBe(1200);
  });

  it('that is worked from in the later stay alone is melted there, once', () => {
    const { faults, meltsAt, costS } = anew(oneBowl(1), [2 * HOUR, 21 * HOUR]);
    expect(faults).toEqual([]);
    expect(meltsAt).toEqual([21 - 1 / 3]);
    expect(costS).toBe(1200);
  });

  it('costs nothing more where all of it is in one stay', () => {
    const { faults, meltsAt, costS } = anew(oneBowl(2), [2 * HOUR, 3 * HOUR, 4 * HOUR]);
    expect(faults).toEqual([]);
    expect(meltsAt).toEqual([2]);
    expect(costS).toBe(0);
  });
});
