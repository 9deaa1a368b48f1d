import { finishedRuns } from '../../testing/made-log';
import { BEGINS_S, madeRun } from '../../testing/made-run';
import type { Mark } from './mark';
import { asPlanned, outcomeOf } from './outcome';

const run = madeRun();
/** Everything done when it was planned to be, and so much later. */
const allDone = (lateS: number): Mark[] =>
  run.tasks.flatMap(({ key, handsOn, startS, seconds }, i): Mark[] =>
    handsOn ? [{ id: `done ${i}`, atS: startS + seconds + lateS, kind: 'done', task: key }] : [],
  );
const ended: Mark = { id: 'ended', atS: BEGINS_S + 9000, kind: 'ended' };

describe('what a run has come to', () => {
  it('was ready when the last of it was, by as much after its plan as it was done later', () => {
    for (const lateS of [-120, 0, 45, 600]) {
      const { plannedS, readyS = NaN } = outcomeOf(run, [...allDone(lateS), ended]);
      expect(plannedS).toBe(asPlanned(run).readyS);
      expect(readyS - plannedS).toBeCloseTo(lateS, 6);
    }
  });

  it('was never ready where something was left, or where it still goes on', () => {
    const [, ...left] = allDone(0);
    expect(outcomeOf(run, [...left, ended]).readyS).toBeUndefined();
    const still = outcomeOf(run, allDone(0));
    expect([still.readyS, still.endedS]).toEqual([undefined, undefined]);
  });

  it('adds what was counted up, but for what was taken back, and says so where nothing was counted', () => {
    expect(outcomeOf(run, [ended]).counted).toBeUndefined();
    const count = (id: string, out: number, broke: number): Mark => ({
      id,
      atS: BEGINS_S,
      kind: 'count',
      task: run.tasks[5].key,
      out,
      broke,
    });
    const back: Mark = { id: 'back', atS: BEGINS_S, kind: 'takenBack', mark: 'wrong' };
    // More broke than was cast: it is told as it was noted.
    expect(outcomeOf(run, [count('a', 11, 1), count('wrong', 50, 50), back, count('b', 0, 999)]).counted).toEqual({
      out: 11,
      broke: 1000,
    });
  });

  it('names what it was made of and how, what was not as it should be once each, and the last verdict', () => {
    const verdict = (id: string, value: 'again' | 'change'): Mark => ({ id, atS: 0, kind: 'verdict', verdict: value });
    const wrong = (id: string): Mark => ({ id, atS: 0, kind: 'wrong', what: 'sticks' });
    const said: Mark = { id: 'said', atS: 0, kind: 'remark', text: 'Too warm in here.' };
    expect(
      outcomeOf(run, [wrong('1'), wrong('2'), said, ended, verdict('3', 'again'), verdict('4', 'change')]),
    ).toMatchObject({
      molds: ['Small halves, 38 mm'],
      chocolates: ['Pebble coating'],
      methods: ['spoon'],
      wrongs: ['sticks'],
      remarks: ['Too warm in here.'],
      verdict: 'change',
      pieces: run.castings[0].pieces,
    });
  });

  it('is the same of a run each week, whenever it was', () => {
    const [first, , , , fifth] = finishedRuns(5).map((one) => outcomeOf(one, one.marks));
    // The first and the fifth were as late as each other.
    for (const { readyS, plannedS } of [first, fifth]) expect(readyS).toBe(plannedS - 100);
    expect(first.beganS - fifth.beganS).toBe(4 * 7 * 86400);
  });
});
