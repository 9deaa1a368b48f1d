import fc from 'fast-check';
import { movedBy, readDay, readMoment } from './typed-moment';

const BRITISH = { dayFirst: true };
const AMERICAN = { dayFirst: false };
const STOOD = '2026-10-17T18:00';

const moments = fc
  .date({ min: new Date('2000-01-01T00:00Z'), max: new Date('2199-12-31T23:59Z'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 16));

/** A moment as the browser's own formats write it, by the Unicode Common Locale Data Repository. */
const asWritten = (local: string, locale: string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options }).format(new Date(`${local}:00Z`));

describe('a date and time as typed', () => {
  it.each([
    ['Sat 17 Oct 2026, 18:00', '2026-10-17T18:00'],
    ['17 october 2026 6pm', '2026-10-17T18:00'],
    ['17/10/26 18.00', '2026-10-17T18:00'],
    ['Oct 3, 2026 at 7:15 a.m.', '2026-10-03T07:15'],
    ['3rd October 18:00', '2026-10-03T18:00'],
    ['3 Sept. 2026, 18:00', '2026-09-03T18:00'],
    ['1.2.2027 9:05', '2027-02-01T09:05'],
    ['2026-10-18T12:30', '2026-10-18T12:30'],
    ['18:30', '2026-10-17T18:30'],
    ['12 am', '2026-10-17T00:00'],
    ['12:00 pm', '2026-10-17T12:00'],
  ])('%s', (text, local) => expect(readMoment(text, STOOD, BRITISH)).toBe(local));

  it.each([
    '',
    '  ',
    'tomorrow',
    '17 Oct 2026',
    '24:00',
    '31/2/2026 12:00',
    '17 Oct 202 18:00',
    '999',
    '1/1/2200 12:00',
  ])('is none in “%s”', (text) => expect(readMoment(text, STOOD, BRITISH)).toBeUndefined());

  it('is the one that the locale data write, in either order and by either clock', () => {
    const full = { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' } as const;
    const figures = { day: 'numeric', month: 'numeric', year: 'numeric' } as const;
    const time = { hour: '2-digit', minute: '2-digit' } as const;
    fc.assert(
      fc.property(moments, (local) => {
        const british = (date: Intl.DateTimeFormatOptions): string =>
          asWritten(local, 'en-GB', { ...date, ...time, hourCycle: 'h23' });
        const american = (date: Intl.DateTimeFormatOptions): string =>
          asWritten(local, 'en-US', { ...date, ...time, hourCycle: 'h12' });
        expect(readMoment(british(full), STOOD, BRITISH)).toBe(local);
        expect(readMoment(british(figures), STOOD, BRITISH)).toBe(local);
        expect(readMoment(american(full), STOOD, AMERICAN)).toBe(local);
        expect(readMoment(american(figures), STOOD, AMERICAN)).toBe(local);
      }),
    );
  });

  it('may be in an hour that some zone’s clocks skip', () => {
    for (const local of ['2026-03-29T02:30', '2026-03-08T02:30', '2026-03-29T00:30'])
      expect(readMoment(local, STOOD, BRITISH)).toBe(local);
  });
});

describe('a day as typed', () => {
  it('goes by the order of the land where it is all figures', () => {
    expect(readDay('6/5/2027', STOOD, BRITISH)).toBe('2027-05-06');
    expect(readDay('6/5/2027', STOOD, AMERICAN)).toBe('2027-06-05');
    expect(readDay('30/6/2027', STOOD, AMERICAN)).toBeUndefined();
  });

  it('has 29 February in leap years alone', () => {
    expect(readDay('29 Feb 2028', STOOD, BRITISH)).toBe('2028-02-29');
    expect(readDay('29 Feb 2027', STOOD, BRITISH)).toBeUndefined();
    expect(readDay('29 Feb 2100', STOOD, BRITISH)).toBeUndefined();
  });
});

describe('stepping', () => {
  it('goes over the ends of months and years, and back to where it was', () => {
    expect(movedBy('2026-10-31T23:50', 15)).toBe('2026-11-01T00:05');
    expect(movedBy('2026-12-31', 24 * 60)).toBe('2027-01-01');
    fc.assert(
      fc.property(moments, fc.integer({ min: -9999, max: 9999 }), (local, minutes) => {
        expect(movedBy(movedBy(local, minutes), -minutes)).toBe(local);
      }),
    );
  });
});
