import * as fc from 'fast-check';
import { BEGINS_S, madeRun } from '../../testing/made-run';
import { atHand, clocksOf } from './at-hand';
import { bowlsNow, leftOver, takenOf, usedUp } from './bowl-left';
import { follow } from './following';
import { standing, type Mark, type NewMark } from './mark';
import { nudgeOfBowl, nudgeOfWait } from './nudges';
import { mendings } from './mending';
import { runState } from './run-state';
import { waitsOf } from './run-waits';

const run = madeRun();
const { tasks } = run;

/** Marks at moments, s from when the run was planned to begin. */
function marksOf(...noted: readonly (readonly [number, NewMark])[]): Mark[] {
  return noted.map(([atS, mark], i) => ({ ...mark, id: `m${i}`, atS: BEGINS_S + atS }) as Mark);
}

const done = (task: number): NewMark => ({ kind: 'done', task: tasks[task].key });
const followed = (atS: number, ...noted: readonly (readonly [number, NewMark])[]) =>
  follow(run, runState(marksOf(...noted)), BEGINS_S + atS);
const at = (seconds: number): number => seconds - BEGINS_S;

describe('following', () => {
  it('is the plan itself where it is begun in time', () => {
    const { startS, readyS } = followed(0);
    expect(startS).toEqual(tasks.map((task) => task.startS));
    expect(at(readyS)).toBe(at(tasks[7].startS) + 900);
  });

  it('moves all of it by as much as it is begun late, and no further', () => {
    expect(at(followed(420).readyS) - at(followed(0).readyS)).toBe(420);
  });

  it('takes up in a wait what was late before it', () => {
    // The melt took two minutes more; the first coats follow, and the second wait for theirs.
    const late = followed(720, [720, done(0)]);
    expect(at(late.startS[1])).toBe(720);
    expect(at(late.readyS) - at(followed(0).readyS)).toBe(120);
    // An hour of the plan ahead leaves a second coat its ten minutes all the same.
    const quick = followed(300, [100, done(0)], [200, done(1)], [300, done(2)]);
    expect(at(quick.startS[3])).toBe(200 + 600);
    expect(at(quick.startS[4])).toBe(Math.max(300 + 600, 800 + 120));
  });

  it('begins nothing while the hands are away, and lets waits run on', () => {
    const away = followed(
      840,
      [600, done(0)],
      [720, done(1)],
      [840, done(2)],
      [840, { kind: 'wrong', what: 'calledAway', forS: 1200 }],
    );
    expect(at(away.startS[3])).toBe(840 + 1200);
    expect(at(away.endS[2])).toBe(840);
  });

  it('puts a bowl off until it is wanted', () => {
    const two = madeRun();
    const melt = {
      ...two.tasks[0],
      key: 'again',
      startS: two.tasks[3].startS - 300,
      seconds: 200,
      again: true as const,
    };
    const with2 = { ...two, tasks: [...two.tasks.slice(0, 3), melt, ...two.tasks.slice(3)] };
    const moved = (i: number): number => (i >= 3 ? i + 1 : i);
    const lags = [
      ...two.lags.map((lag) => ({ ...lag, from: moved(lag.from), to: moved(lag.to) })),
      { from: 3, to: 4, least: 0 },
    ];
    const { startS, endS } = follow({ ...with2, lags, waits: [] }, runState([]), BEGINS_S);
    expect(endS[3]).toBe(startS[4]);
  });

  it('waits with the work of another day for that day', () => {
    const dayS = 86_400;
    const later = madeRun({
      tasks: tasks.map((task, i) => (i < 5 ? task : { ...task, startS: task.startS + dayS })),
      there: [
        { from: BEGINS_S, to: BEGINS_S + 2000 },
        { from: tasks[5].startS + dayS, to: tasks[7].startS + dayS },
      ],
    });
    expect(follow(later, runState([]), BEGINS_S).startS[5]).toBe(tasks[5].startS + dayS);
    // Come early on that day, it begins when one is there.
    const all = runState(marksOf([600, done(0)], [720, done(1)], [840, done(2)], [1400, done(3)], [1600, done(4)]));
    expect(at(follow(later, all, BEGINS_S + 40_000).startS[5])).toBe(40_000);
  });

  it('is never ready sooner for what is later, whatever was done when', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(2000), { maxLength: 7 }), fc.nat(3000), fc.nat(3000), (gaps, more, away) => {
        let atS = 0;
        const noted = gaps.map((gap, i): readonly [number, NewMark] => [(atS += gap), done(i)]);
        const readyS = followed(atS, ...noted).readyS;
        expect(followed(atS + more, ...noted).readyS).toBeGreaterThanOrEqual(readyS);
        const gone: NewMark = { kind: 'wrong', what: 'calledAway', forS: 30 + away };
        expect(followed(atS, ...noted, [atS, gone]).readyS).toBeGreaterThanOrEqual(readyS);
      }),
      { seed: 19, numRuns: 300 },
    );
  });

  it('keeps every least wait and both hands to one thing at a time', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(1500), { maxLength: 7 }), (gaps) => {
        let atS = 0;
        const noted = gaps.map((gap, i): readonly [number, NewMark] => [(atS += gap), done(i)]);
        const { startS, endS, open } = followed(atS, ...noted);
        for (const { from, to, least } of run.lags)
          if (open[to] && tasks[to].handsOn) expect(startS[to]).toBeGreaterThanOrEqual(endS[from] + least);
        const hands = tasks.flatMap(({ handsOn }, i) => (handsOn && open[i] ? [i] : []));
        hands.sort((a, b) => startS[a] - startS[b]);
        hands.slice(1).forEach((i, k) => expect(startS[i]).toBeGreaterThanOrEqual(endS[hands[k]]));
      }),
      { seed: 20, numRuns: 300 },
    );
  });
});

describe('what is at hand', () => {
  it('is one thing, what comes next, and every wait that runs', () => {
    const state = runState(marksOf([600, done(0)], [720, done(1)], [840, done(2)]));
    const nowS = BEGINS_S + 900;
    const { now, next, clocks } = atHand(run, state, follow(run, state, nowS), nowS);
    expect(now).toEqual([]);
    expect(next.map(({ task }) => task)).toEqual([3, 4, 5]);
    expect(clocks.map(({ dueS, latestS }) => [at(dueS), latestS && at(latestS)])).toEqual([
      [1320, 1620],
      [1440, 1740],
    ]);
  });

  it('rings at the end and at the latest moment, once each, and again where it was made longer', () => {
    const [{ key }] = waitsOf(run);
    const noted: (readonly [number, NewMark])[] = [
      [600, done(0)],
      [720, done(1)],
    ];
    const rings = (atS: number) => clocksOf(run, runState(marksOf(...noted)), BEGINS_S + atS)[0].rings;
    expect(rings(1319)).toBeUndefined();
    expect(rings(1320)).toBe('due');
    noted.push([1320, { kind: 'rung', wait: key, at: 'due' }]);
    expect(rings(1500)).toBeUndefined();
    expect(rings(1620)).toBe('latest');
    noted.push([1500, { kind: 'longer', wait: key, byS: 300 }]);
    expect(rings(1600)).toBeUndefined();
    expect(rings(1621)).toBe('due');
  });

  it('goes through the places of a wait in turn, and drops it with what it was waited for', () => {
    const noted = [done(0), done(1), done(2), done(3)].map((mark, i) => [600 + 300 * i, mark] as const);
    const clock = clocksOf(run, runState(marksOf(...noted)), BEGINS_S + 1600).find(({ wait }) => wait.from === 3);
    expect(clock?.turnsS.map(at)).toEqual([1800]);
    const out = runState(marksOf(...noted, [2400, done(5)]));
    expect(clocksOf(run, out, BEGINS_S + 2500).map(({ wait }) => wait.from)).toEqual([2]);
  });

  it('is over when all is done and what dries has dried', () => {
    const noted = tasks.slice(0, 7).map((_, i) => [600 + 300 * i, done(i)] as const);
    const state = runState(marksOf(...noted));
    const hand = (atS: number) => atHand(run, state, follow(run, state, BEGINS_S + atS), BEGINS_S + atS);
    expect(hand(2500).now).toEqual([]);
    expect(hand(2500).clocks).toHaveLength(1);
    expect(follow(run, state, BEGINS_S + 3400).open.some(Boolean)).toBe(false);
  });
});

describe('marks', () => {
  it('are undone in any order, and the undoing too', () => {
    const marks = marksOf([600, done(0)], [720, done(1)], [730, { kind: 'takenBack', mark: 'm0' }]);
    expect(standing(marks).map(({ id }) => id)).toEqual(['m1']);
    const again = marksOf(
      [600, done(0)],
      [720, done(1)],
      [730, { kind: 'takenBack', mark: 'm0' }],
      [740, { kind: 'takenBack', mark: 'm2' }],
    );
    expect(standing(again).map(({ id }) => id)).toEqual(['m0', 'm1']);
  });

  it('tell the same folded at once or one after another', () => {
    const kinds: fc.Arbitrary<NewMark> = fc.oneof(
      fc.nat(6).map(done),
      fc.nat(9).map((n): NewMark => ({ kind: 'takenBack', mark: `m${n}` })),
      fc.constant<NewMark>({ kind: 'paused' }),
      fc.constant<NewMark>({ kind: 'goesOn' }),
      fc.integer({ min: 20, max: 50 }).map((c): NewMark => ({ kind: 'temperature', bowl: 0, c, by: 'hand' })),
    );
    fc.assert(
      fc.property(fc.array(kinds, { maxLength: 10 }), (noted) => {
        const marks = marksOf(...noted.map((mark, i) => [i, mark] as const));
        const stood = standing(marks);
        expect(runState(marks)).toEqual(runState(stood));
        expect(stood.every((mark) => marks.includes(mark))).toBe(true);
      }),
      { seed: 21, numRuns: 300 },
    );
  });
});

describe('a bowl', () => {
  const melted = [[600, done(0)]] as const;

  it('gives all that its castings use to their tasks, and no more', () => {
    const taken = takenOf(run).reduce((sum, own) => sum + (own.get(0) ?? 0), 0);
    expect(taken).toBeCloseTo(run.bowls[0].usedKg, 12);
  });

  it('has less left with every coat, and what a scale says instead', () => {
    const bowl = (atS: number, ...more: readonly (readonly [number, NewMark])[]) =>
      bowlsNow(run, runState(marksOf(...melted, ...more)), BEGINS_S + atS)[0];
    expect(bowl(600).leftKg).toBeCloseTo(0.12, 9);
    expect(bowl(720, [720, done(1)]).leftKg).toBeCloseTo(0.096, 9);
    // Looked at by a clock that is some seconds behind, it still tells what was noted.
    expect(bowl(716, [720, done(1)]).leftKg).toBeCloseTo(0.096, 9);
    const weighed: NewMark = { kind: 'weight', bowl: 0, kg: 0.05, by: 'hand' };
    expect(bowl(840, [720, done(1)], [800, weighed], [840, done(2)]).leftKg).toBeCloseTo(0.026, 9);
    expect(bowl(840, [720, done(1)], [800, weighed], [840, done(2)]).wantedKg).toBeCloseTo(0.048, 9);
  });

  it('cools toward the room from its last reading, and is worked from for less and less', () => {
    const state = runState(marksOf(...melted));
    const all = Array.from({ length: 200 }, (_, k) => bowlsNow(run, state, BEGINS_S + 600 + 9 * k)[0]);
    all.slice(1).forEach(({ c, workableS }, k) => {
      expect(c).toBeLessThanOrEqual(all[k].c);
      expect(c).toBeGreaterThan(run.castings[0].kitchen.roomC);
      expect(workableS).toBeLessThanOrEqual(all[k].workableS);
      // No step of nine seconds is as much as a fifth of a degree.
      expect(all[k].c - c).toBeLessThan(0.2);
    });
    expect(all[0].c).toBeCloseTo(run.bowls[0].workingC, 6);
    const read: NewMark = { kind: 'temperature', bowl: 0, c: 33, by: 'probe' };
    expect(bowlsNow(run, runState(marksOf(...melted, [700, read])), BEGINS_S + 700)[0].c).toBeCloseTo(33, 6);
  });

  it('is not there before it is melted, nor when nothing is wanted of it', () => {
    expect(bowlsNow(run, runState([]), BEGINS_S)).toEqual([]);
    const noted = [0, 1, 2, 3, 4].map((i) => [600 + 120 * i, done(i)] as const);
    expect(bowlsNow(run, runState(marksOf(...noted)), BEGINS_S + 1200)).toEqual([]);
  });

  it('leaves over what was melted and is not in any piece, or what was weighed last', () => {
    const noted = [0, 1, 2, 3, 4].map((i) => [600 + 120 * i, done(i)] as const);
    const [left] = leftOver(run, runState(marksOf(...noted)));
    expect(left.kg + run.bowls[0].usedKg).toBeCloseTo(run.bowls[0].kg, 12);
    const weighed: NewMark = { kind: 'weight', bowl: 0, kg: 0.011, by: 'scale' };
    expect(leftOver(run, runState(marksOf(...noted, [1300, weighed])))[0].kg).toBe(0.011);
    expect(leftOver(run, runState([]))).toEqual([]);
  });

  it('has used up what was melted less what is left, and all of it where it was coloured', () => {
    const weighed: NewMark = { kind: 'weight', bowl: 0, kg: 0.05, by: 'scale' };
    const state = runState(marksOf([600, done(0)], [900, weighed]));
    expect([...usedUp(run, state)]).toEqual([['pebble', expect.closeTo(0.07, 9) as number]]);
    expect(usedUp(run, runState([])).size).toBe(0);
    const mix = [
      { component: 'pebble', name: 'Pebble', share: 0.9 },
      { component: 'red', name: 'Red', share: 0.1 },
    ];
    const tinted = { ...run, bowls: run.bowls.map((bowl) => ({ ...bowl, mix })) };
    expect(usedUp(tinted, state).get('pebble')).toBeCloseTo(0.9 * 0.12, 9);
  });

  it('that runs short says how much more is to be melted, and none where it is enough', () => {
    const short: NewMark = { kind: 'weight', bowl: 0, kg: 0.03, by: 'scale' };
    const [one] = mendings(run, runState(marksOf(...melted, [650, short])), BEGINS_S + 660);
    // 96 g are wanted, 30 are there; what sticks is melted with them.
    expect(one.moreKg).toBeGreaterThan(0.066);
    expect(one.moreKg).toBeLessThan(0.08);
    expect(one.moreS).toBeGreaterThan(30);
    expect(mendings(run, runState(marksOf(...melted)), BEGINS_S + 660)[0].moreKg).toBe(0);
  });
});

describe('what is looked after meanwhile', () => {
  const now = (atS: number, way: 'microwave' | 'tube') => {
    const [bowl] = run.bowls;
    const other = { ...run, bowls: [{ ...bowl, way }] };
    const state = runState(marksOf([600, done(0)]));
    return nudgeOfBowl(other, bowlsNow(other, state, BEGINS_S + atS)[0], BEGINS_S + atS);
  };

  it('is a bowl that is stirred every five minutes, and a tube that is kneaded every one to two', () => {
    expect(now(660, 'microwave')).toEqual({ kind: 'stir', times: 0, leftS: 240 });
    expect(now(900, 'microwave')).toMatchObject({ times: 1, leftS: 300 });
    // Practitioners knead every 1 to 2 min: common practice, no source.
    const knead = now(600, 'tube');
    expect(knead.kind).toBe('knead');
    expect(knead.leftS).toBeGreaterThanOrEqual(60);
    expect(knead.leftS).toBeLessThanOrEqual(120);
  });

  it('is a vessel that goes on being turned until its wait is over, and no mold', () => {
    const [casting] = run.castings;
    const [part] = casting.parts;
    const turned = part.coats.map((coat) => ({ ...coat, method: 'turn' as const }));
    const name = run.names[casting.id].parts[0].name;
    const bottle = { ...run, castings: [{ ...casting, parts: [{ ...part, name, coats: turned }] }] };
    const [clock] = clocksOf(run, runState(marksOf([600, done(0)], [720, done(1)])), BEGINS_S + 780);
    expect(nudgeOfWait(bottle, clock, BEGINS_S + 780)).toEqual({ kind: 'turn', times: 0, leftS: 60 });
    expect(nudgeOfWait(bottle, clock, clock.dueS)).toBeUndefined();
    expect(nudgeOfWait(run, clock, BEGINS_S + 780)).toBeUndefined();
  });
});
