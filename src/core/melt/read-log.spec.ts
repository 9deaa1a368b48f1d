import fc from 'fast-check';
import papaparse from 'papaparse';
import { MOST_ROWS, delimiterOf, readLog, type LogRead } from './read-log';

const read = (text: string) => readLog(papaparse.parse<string[]>(text, { delimiter: delimiterOf(text) }).data);
const good = (text: string): LogRead => {
  const log = read(text);
  if (!log.ok) throw new Error(`${log.problem} ${log.detail}`);
  return log;
};
const values = ({ readings: { seconds, celsius } }: LogRead): [number, number][] =>
  Array.from(seconds, (s, i) => [s, celsius[i]]);

describe('a table of readings', () => {
  it.each([
    [
      'seconds and Celsius',
      'seconds,celsius\n0,20\n30,35.5\n60,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'minutes, named',
      'Elapsed (min),Temp (°C)\n0,20\n0.5,35.5\n1,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'a clock and a decimal comma',
      'Uhrzeit;Temperatur °C\n18:00:00;20,0\n18:00:30;35,5\n18:01:00;45,0\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'minutes and seconds',
      'temps\ttempérature\n0:00\t20\n0:30\t35,5\n1:00\t45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'dates',
      'Date/Time,Probe 1\n2026-10-12 18:00:00,20\n2026-10-12 18:00:30,35.5\n2026-10-12T18:01:00Z,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'day before month',
      'Datum;Fühler\n12.10.2026 18:00:00;20\n12.10.2026 18:00:30;35,5\n12.10.2026 18:01:00;45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'half days',
      'time,reading\n11:59 AM,20\n12:00 PM,35.5\n12:01 PM,45\n',
      [
        [0, 20],
        [60, 35.5],
        [120, 45],
      ],
    ],
    [
      'no header at all',
      '0,20\n30,35.5\n60,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'a header in a language unheard of',
      'qqq,xxx\n0,20\n30,35.5\n60,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'a counter before the time, and another column',
      '#,time,battery,temperature\n1,18:00:00,99,20\n2,18:00:30,99,35.5\n3,18:01:00,98,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'lines of the logger above it',
      'Logger X9\nserial 123\n\ntime (s),T (°C)\n0,20\n30,35.5\n60,45\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'units behind the numbers',
      'time,temp\n0 s,20 °C\n30 s,35.5°C\n60 s,45 C\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
    [
      'the byte mark of some programs and Windows line ends',
      'seconds,celsius\r\n0,20\r\n30,35.5\r\n60,45\r\n',
      [
        [0, 20],
        [30, 35.5],
        [60, 45],
      ],
    ],
  ] as const)('with %s is read', (_, text, expected) => {
    expect(values(good(text))).toEqual(expected);
    expect(good(text).problems).toEqual([]);
  });

  it('in Fahrenheit is told by its name, its cells, or by readings no kitchen has in Celsius', () => {
    for (const text of [
      's,temp (°F)\n0,68\n60,113\n',
      's,reads\n0,68 °F\n60,113 °F\n',
      's,reads\n0,88\n60,113\n120,90\n',
    ]) {
      expect(good(text).unit).toBe('F');
      expect(values(good(text))[1][1]).toBeCloseTo(45, 9);
    }
  });

  it('goes on past midnight', () => {
    expect(values(good('time,temp\n23:59:30,31\n00:00:00,30.5\n00:00:30,30\n')).map(([s]) => s)).toEqual([0, 30, 60]);
  });

  it('names by its line what cannot be, and keeps the rest', () => {
    const log = good('time,temp\n0,31\n10,-300\n20,900\n30,abc\nlater,30\n40,30\n35,29\n40,29.5\n50,29\n');
    expect(values(log)).toEqual([
      [0, 31],
      [10, NaN],
      [20, NaN],
      [30, NaN],
      [40, 29.5],
      [50, 29],
    ]);
    expect(log.problems).toEqual([
      { key: 'outOfRange', line: 3, text: '-300', count: 2 },
      { key: 'notANumber', line: 5, text: 'abc', count: 1 },
      { key: 'notATime', line: 6, text: 'later', count: 1 },
      { key: 'backwards', line: 8, text: '35', count: 1 },
      { key: 'repeated', line: 9, text: '40', count: 1 },
    ]);
  });

  it('tells a gap', () => {
    expect(good('s,c\n0,31\n10,30.8\n20,30.6\n600,27\n').problems).toEqual([
      { key: 'gap', line: 5, text: '600', count: 1 },
    ]);
  });

  it.each([
    ['', 'empty'],
    ['\n\n', 'empty'],
    ['hello', 'noTable'],
    ['{"not": "a table"}', 'noTable'],
    ['name,colour\nann,red\nbob,blue\n', 'noTime'],
    ['time,name\n0,ann\n1,bob\n2,cy\n', 'noTemperature'],
  ])('refuses %j: %s', (text, problem) => {
    expect(read(text)).toMatchObject({ ok: false, problem });
  });

  it('refuses more rows than a day of quick readings', () => {
    expect(readLog(Array.from({ length: MOST_ROWS + 1 }, (_, i) => [String(i), '30']))).toMatchObject({
      ok: false,
      problem: 'tooLong',
    });
  });

  it('never throws, and gives times that grow, whatever stands in it', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.integer().map(String),
      fc.double().map(String),
      fc.constantFrom('12:30', '12:30:15', '31,5', '2026-10-12 12:00', '', 'time', 'temp'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 4 }), { maxLength: 30 }), (rows) => {
        const log = readLog(rows);
        if (!log.ok) return;
        const { seconds, celsius } = log.readings;
        expect(seconds.length).toBe(celsius.length);
        for (let i = 1; i < seconds.length; i++) expect(seconds[i]).toBeGreaterThan(seconds[i - 1]);
        for (const c of celsius) expect(Number.isNaN(c) || (c >= -40 && c <= 250)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});
