import { madeRun } from '../../testing/made-run';
import { waitsOf } from '../../core/run/run-waits';
import type { RunClock } from '../../core/run/at-hand';
import { clockTitle, placesText, stepAt } from './bench';
import { lateText } from './marks';

describe('a clock in words', () => {
  it('counts by the minute in the row of tabs, by the second in the last one, and is marked once it is over', () => {
    const told = [3600, 61, 60, 59, 1, 0, -300].map((leftS) => clockTitle('Coat 1 sets', leftS));
    expect(told).toEqual([
      '60 min Coat 1 sets',
      '2 min Coat 1 sets',
      '1 min Coat 1 sets',
      '0:59 Coat 1 sets',
      '0:01 Coat 1 sets',
      '● Coat 1 sets',
      '● Coat 1 sets',
    ]);
  });

  it('says where it is and whereto next, until it is in its last place', () => {
    const wait = waitsOf(madeRun()).find(({ steps }) => steps.length === 2);
    if (!wait) throw new Error('no wait in two places');
    const [sinceS, turnS] = [Date.UTC(2026, 9, 16, 16) / 1000, Date.UTC(2026, 9, 16, 16, 5) / 1000];
    const clock: RunClock = { wait, sinceS, turnsS: [turnS], dueS: turnS + 600, latestS: undefined, rings: undefined };
    const at = (nowS: number): string => placesText(clock, stepAt(clock, nowS), 'Europe/Berlin');
    expect([at(sinceS), at(turnS - 1), at(turnS)]).toEqual([
      'in the room, from 18:05 in the fridge',
      'in the room, from 18:05 in the fridge',
      'in the fridge',
    ]);
  });
});

describe('by how much it was otherwise than planned', () => {
  it('is told by whole minutes, and by none below one', () => {
    expect([-90, -59, 0, 59, 61, 500, 5400].map((late) => lateText(late, 'metric'))).toEqual([
      '2 min earlier',
      'as planned',
      'as planned',
      'as planned',
      '1 min later',
      '8 min later',
      '90 min later',
    ]);
  });
});
