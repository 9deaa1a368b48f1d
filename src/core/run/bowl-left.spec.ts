import { BEGINS_S, madeRun } from '../../testing/made-run';
import { heard, nothingHeard } from '../devices/heard';
import { StandIns } from '../devices/stand-ins';
import { bowlsNow } from './bowl-left';
import type { Mark } from './mark';
import type { Run } from './run-record';
import { runState } from './run-state';

/** A run in which the bowl is worked from for an hour and a half, with so many times the chocolate. */
function slowRun(times: number): Run {
  const run = madeRun();
  const longer = (run.tasks.length - 2) * 900;
  return {
    ...run,
    bowls: run.bowls.map((bowl) => ({
      ...bowl,
      kg: bowl.kg * times,
      usedKg: bowl.usedKg * times,
      uses: bowl.uses.map((use) => ({ ...use, usedKg: use.usedKg * times })),
    })),
    dueS: run.dueS + longer,
  };
}

describe('a bowl between readings', () => {
  it.each([1, 4, 10])('is reckoned within half a degree of what a probe in it would show, with %d × 120 g', (times) => {
    const run = slowRun(times);
    const work = run.tasks.filter(({ kind }) => kind === 'melt' || kind === 'coat');
    const marks: Mark[] = [];
    const standIns = new StandIns(BEGINS_S * 1000, 3);
    let probe = nothingHeard('probe');
    let [compared, worst, readings] = [0, 0, 0];
    for (let s = 0; s <= 90 * 60; s += 2) {
      const atS = BEGINS_S + s;
      // The melt at once, then a coat every fifteen minutes; each takes its part of the bowl.
      const next = work[marks.filter(({ kind }) => kind === 'done').length];
      if (next && s % 900 === 0) marks.push({ id: `d${s}`, kind: 'done', task: next.key, atS });
      const [bowl] = bowlsNow(run, runState(marks), atS);
      if (!bowl) continue;
      standIns.command(
        {
          kind: 'bowl',
          bowl: { ...bowl.pot, key: String(bowl.meltedS), kg: bowl.leftKg, startC: run.bowls[0].workingC },
        },
        atS * 1000,
      );
      for (const message of standIns.messages(atS * 1000)) probe = heard(probe, message);
      worst = Math.max(worst, Math.abs(bowl.c - standIns.trueC));
      compared++;
      // Every ten minutes somebody looks.
      if (s % 600 === 300 && probe.settled !== undefined) {
        marks.push({ id: `t${s}`, kind: 'temperature', bowl: 0, c: probe.settled, by: 'probe', atS });
        readings++;
      }
    }
    expect(compared).toBeGreaterThan(1000);
    expect(readings).toBeGreaterThan(4);
    expect(worst).toBeLessThan(0.5);
  });
});
