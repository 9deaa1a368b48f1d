import { demoCastings } from '../../data/demo';
import { plannedUnchilled as planned } from '../../testing/planned';
import { bowlsOf, BowlTurns } from './bowls';
import { addJob } from './job-workload';
import { MoldTurns } from './mold-turns';
import { amountsOf } from './task-amounts';
import { Work } from './work';

const castings = demoCastings(new Date('2026-10-12T08:00:00Z'));

describe('what the tasks of a casting take', () => {
  it.each(castings.map((casting) => [casting.name, casting] as const))(
    'adds up to what is weighed out for it: %s',
    (_, casting) => {
      const plan = planned(casting);
      const work = new Work();
      addJob(plan, work, new BowlTurns(work, bowlsOf([plan], false)), new MoldTurns(work), Infinity);
      const all = work.tasks.flatMap((task) => amountsOf(plan, task).map((amount) => ({ ...amount, kind: task.kind })));
      const kg = (kind: string): number =>
        all.filter((one) => one.kind === kind).reduce((sum, { count, eachKg }) => sum + count * eachKg, 0);
      const weighed = (of: (melt: (typeof plan.batch.melts)[number]) => number): number =>
        plan.batch.melts.reduce((sum, melt) => sum + of(melt), 0);
      expect(kg('coat')).toBeCloseTo(
        weighed(({ inParts }) => inParts.value),
        9,
      );
      expect(kg('coat')).toBeGreaterThan(0);
      expect(kg('close')).toBeCloseTo(
        weighed(({ closing }) => closing.value),
        9,
      );
      const filled =
        plan.batch.work.pieces *
        plan.parts.reduce((sum, { part, fill }) => {
          const each = part.filled === 'all' ? part.perPiece : 1;
          return sum + each * fill.fillMass.value;
        }, 0);
      // What is filled in its mold is filled into the spares as well.
      expect(kg('fill')).toBeGreaterThanOrEqual(filled - 1e-9);
    },
  );
});
