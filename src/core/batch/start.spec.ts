import { answer } from '../quantity/answer';
import { dueSeconds, isLocalTime, isZone, localTime, skipped } from '../record/due';
import { lateness, startBy } from './start';

const due = { local: '2026-10-17T18:00', zone: 'Europe/Berlin' };
const total = (seconds: number) => answer(seconds, 'duration', 'batch.total');
const started = (seconds: number, of = due): string => localTime(startBy(of, total(seconds)).value, of.zone);

describe('when to start', () => {
  it('is the due time less the job, rounded down to five minutes, in the zone of the casting', () => {
    expect(started(3 * 3600 + 61)).toBe('2026-10-17T14:55');
    expect(started(20 * 3600)).toBe('2026-10-16T22:00');
    expect(startBy(due, total(3600))).toMatchObject({
      dimension: 'moment',
      rule: 'batch.start',
      zone: 'Europe/Berlin',
      terms: [
        { name: 'due', value: dueSeconds(due) },
        { name: 'total', value: 3600 },
      ],
    });
    expect(startBy(due, total(Infinity)).value).toBe(-Infinity);
  });

  it('counts the hour that a change of clocks takes or gives', () => {
    // Clocks go back at 03:00 on Sunday 25 October 2026 in Berlin: from 01:00 to 04:00 are four hours.
    expect(started(4 * 3600, { local: '2026-10-25T04:00', zone: 'Europe/Berlin' })).toBe('2026-10-25T01:00');
  });

  it('takes a time that the clocks skip as an hour later (RFC 5545, 3.3.5)', () => {
    // From 02:00 to 03:00 on Sunday 28 March 2027 in Berlin, and on Sunday 14 March 2027 in New York.
    for (const [date, zone] of [
      ['2027-03-28', 'Europe/Berlin'],
      ['2027-03-14', 'America/New_York'],
    ]) {
      const gap = { local: `${date}T02:30`, zone };
      expect([skipped(gap), localTime(dueSeconds(gap), zone)]).toEqual([true, `${date}T03:30`]);
      expect(skipped({ local: `${date}T03:30`, zone })).toBe(false);
    }
  });

  it('tells the time of another zone in the hour that one’s own clocks skip', () => {
    // Clocks in Berlin skip 02:00 to 03:00 on that Sunday, those in New York do not.
    const there = { local: '2026-03-29T02:30', zone: 'America/New_York' };
    expect([skipped(there), localTime(dueSeconds(there), there.zone)]).toEqual([false, '2026-03-29T02:30']);
    // 06:30 UTC, by the rules of the IANA time zone database: New York is four hours behind UTC in summer.
    expect(dueSeconds(there)).toBe(Date.UTC(2026, 2, 29, 6, 30) / 1000);
  });

  it('knows zones and days of the calendar from what only looks like them', () => {
    expect(['Europe/Berlin', 'UTC', 'Z', 'Mars/Olympus', ''].map(isZone)).toEqual([true, true, false, false, false]);
    expect(
      [
        '2026-10-17T18:00',
        '2028-02-29T00:00',
        '2026-02-29T00:00',
        '2026-13-01T00:00',
        '2026-10-17T24:10',
        '17.10.2026',
      ].map(isLocalTime),
    ).toEqual([true, true, false, false, false, false]);
  });
});

describe('how a job stands against the clock', () => {
  const at = (local: string, seconds: number) =>
    lateness(due, startBy(due, total(seconds)), total(seconds), dueSeconds({ ...due, local }));

  it('is in time until the last minute to start, late from then, and over once it was due', () => {
    expect(at('2026-10-12T10:00', 7800).kind).toBe('inTime');
    expect(at('2026-10-17T15:50', 7800).kind).toBe('inTime');
    const late = at('2026-10-17T17:30', 7800);
    expect(late.kind === 'late' && localTime(late.readyS, due.zone)).toBe('2026-10-17T19:40');
    const over = at('2026-10-24T10:00', 7800);
    expect(over.kind === 'over' && localTime(over.readyS, due.zone)).toBe('2026-10-24T12:10');
  });

  it('is without an end where the work has none', () => {
    expect(at('2026-10-12T10:00', Infinity).kind).toBe('never');
  });
});
