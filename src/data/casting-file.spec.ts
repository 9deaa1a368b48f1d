import { CASTING_SCHEMA_VERSION } from '../core/record/casting';
import fc from 'fast-check';
import { readWhole } from '../testing/read-whole';
import { simulatedPlan } from '../core/plan/simulated-plan';
import { readCasting } from '../core/record/read-casting';
import { arbitraryCasting } from '../testing/arbitrary-casting';
import { readCastingFile, writeCastingFile } from './casting-file';
import { demoCastings } from './demo';

const now = new Date('2026-10-12T08:00:00Z');
const demo = demoCastings(now).slice(0, 2);
const file = writeCastingFile(demo, now);
const raw = (): { format: string; formatVersion: number; castings: Record<string, unknown>[] } => JSON.parse(file);

describe('casting file', () => {
  it('gives back exactly the castings it was given, 1,000 times', () => {
    fc.assert(
      fc.property(arbitraryCasting, (casting) => {
        const read = readWhole(readCastingFile(writeCastingFile([casting], now)));
        expect(read).toEqual({ ok: true, records: [casting], bad: [] });
      }),
      { numRuns: 1000 },
    );
  });

  it.each([
    ['text', 'not json at all', 'notJson'],
    ['nothing', '', 'empty'],
    ['another program’s file', '{"recipes": []}', 'otherFile'],
    ['a list', '[1, 2]', 'otherFile'],
    ['a truncated file', file.slice(0, 900), 'truncated'],
    ['a file broken in the middle', file.replace('"pieces": 18', '"pieces" 18'), 'notJson'],
    ['no castings', '{"format": "kilnstone castings", "formatVersion": 1}', 'noRecords'],
    ['a newer file', file.replace('"formatVersion": 1', '"formatVersion": 7'), 'newerFile'],
    ['20 MB and more', 'x'.repeat(20_000_001), 'tooLarge'],
  ])('refuses %s', (_, content, problem) => {
    expect(readWhole(readCastingFile(content))).toMatchObject({ ok: false, problem });
  });

  it('names the line at which a file breaks off', () => {
    const cut = file.slice(0, 900);
    const read = readWhole(readCastingFile(cut));
    expect(read.ok || read.place).toBe(
      `line ${cut.split('\n').length}, column ${(cut.split('\n').at(-1) ?? '').length + 1}`,
    );
  });

  it.each(['  ', '\u200b', '\u2063\u00a0'])('gives a casting called %j a name that can be seen', (name) => {
    const given = raw();
    given.castings[0]['name'] = name;
    const read = readWhole(readCastingFile(JSON.stringify(given)));
    expect(read.ok && read.records.map((one) => one.name)).toEqual(['Nameless casting', demo[1].name]);
  });

  it('reads a file that begins with a byte order mark', () => {
    expect(readWhole(readCastingFile(`\uFEFF${file}`)).ok).toBe(true);
  });

  it('offers the good ones of a file with a bad one, and names the bad one’s place', () => {
    const broken = raw();
    broken.castings[0]['pieces'] = 'many';
    const read = readWhole(readCastingFile(JSON.stringify(broken)));
    expect(read.ok && read.records.map((casting) => casting.name)).toEqual(['Pebble bites']);
    expect(read.bad).toMatchObject([
      { position: 1, name: 'Cider-spice bombs', problem: { problem: 'badValue', path: 'pieces' } },
    ]);
  });

  it('tells a record of a newer version and a reference to nothing', () => {
    const broken = raw();
    broken.castings[0]['schemaVersion'] = CASTING_SCHEMA_VERSION + 1;
    (broken.castings[1]['melts'] as { bowlId: string }[])[0].bowlId = 'gone';
    const read = readWhole(readCastingFile(JSON.stringify(broken)));
    expect(read.ok).toBe(false);
    expect(read.bad.map((bad) => [bad.problem.problem, bad.problem.path])).toEqual([
      ['newerVersion', 'schemaVersion'],
      ['brokenReference', 'melts.0.bowlId'],
    ]);
  });
});

describe('demo', () => {
  it('is a whole supper, due the next Saturday at 18:00, that comes out of its molds', () => {
    for (const casting of demoCastings(now)) {
      expect(casting.due.local).toBe('2026-10-17T18:00');
      expect(readCasting(structuredClone(casting)).ok).toBe(true);
      // A first visit is not greeted with advice, but that some jobs are long.
      expect(
        simulatedPlan(casting)
          .problems.map(({ key }) => key)
          .filter((key) => key !== 'longJob'),
      ).toEqual([]);
    }
  });
});
