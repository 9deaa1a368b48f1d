import { demoCastings } from '../../data/demo';
import { CASTING_SCHEMA_VERSION, type Casting } from './casting';
import { LIMITS } from './limits';
import { readCasting, readChanged } from './read-casting';

type Loose = Record<string, never> & { [key: string]: unknown };
const demo = (change: (casting: Loose) => void): unknown => {
  const casting = JSON.parse(JSON.stringify(demoCastings(new Date('2026-10-12T08:00:00Z'))[0])) as Loose;
  change(casting);
  return casting;
};
const at = (casting: Loose, path: string): [Record<string, unknown>, string] => {
  const steps = path.split('.');
  const last = steps.pop() ?? '';
  return [
    steps.reduce(
      (inner, step) => (inner as Record<string, Record<string, unknown>>)[step],
      casting as Record<string, unknown>,
    ),
    last,
  ];
};

describe('reading a casting', () => {
  it('takes the demo as it is', () => {
    expect(readCasting(demo(() => undefined)).ok).toBe(true);
  });

  // Both ends of every range that a field and a record are held to, and a hair beyond.
  it.each([
    ['pieces', LIMITS.pieces],
    ['kitchen.roomC', LIMITS.roomC],
    ['kitchen.fridgeC', LIMITS.fridgeC],
    ['kitchen.freezerC', LIMITS.freezerC],
    ['kitchen.humidity', LIMITS.humidity],
    ['molds.0.cavities.0.shape.diameterM', LIMITS.cavityDiameterM],
    ['molds.0.emptyKg', LIMITS.moldMassKg],
    ['molds.0.atHand', LIMITS.moldsAtHand],
    ['molds.0.wallM', LIMITS.moldWallM],
    ['melts.0.workingC', LIMITS.workingC],
    ['parts.0.coats.0.doseM3', LIMITS.doseM3],
    ['parts.0.coats.0.drainSeconds', LIMITS.drainSeconds],
    ['parts.0.coats.0.dwellSeconds', LIMITS.dwellSeconds],
    ['chocolates.0.fatShare', LIMITS.fatShare],
  ])('holds %s to its range', (path, { low, high }) => {
    const set = (value: number): unknown =>
      demo((casting) => {
        const [place, key] = at(casting, path);
        place[key] = value;
      });
    const beyond = (high - low) * 1e-3 + 1;
    expect([low, high].map((value) => readCasting(set(value)).ok)).toEqual([true, true]);
    expect([low - beyond, high + beyond, NaN, Infinity].map((value) => readCasting(set(value)))).toEqual(
      Array(4).fill(expect.objectContaining({ ok: false, problem: 'badValue', path })),
    );
    // Of an edit alone likewise, whatever else it left as it was.
    const before = demo(() => undefined) as Casting;
    const key = path.split('.')[0] as keyof Casting;
    const edited = (value: number): Casting => ({ ...before, [key]: (set(value) as Casting)[key] });
    expect([low, high + beyond].map((value) => readChanged(before, edited(value)))).toEqual([
      { ok: true, casting: edited(low) },
      readCasting(set(high + beyond)),
    ]);
  });

  it.each([
    ['not an object', 'text', 'notARecord'],
    ['nothing', null, 'notARecord'],
    ['a list', [], 'notARecord'],
    [
      'a newer record',
      demo((c) => {
        (c as Record<string, unknown>)['schemaVersion'] = CASTING_SCHEMA_VERSION + 1;
      }),
      'newerVersion',
    ],
    [
      'a record without a version',
      demo((c) => {
        delete (c as Record<string, unknown>)['schemaVersion'];
      }),
      'badValue',
    ],
    [
      'half a piece',
      demo((c) => {
        (c as Record<string, unknown>)['pieces'] = 2.5;
      }),
      'badValue',
    ],
    [
      'five coats',
      demo((c) => {
        const [part] = c['parts'] as unknown as { coats: unknown[] }[];
        part.coats = [1, 2, 3, 4, 5].map((n) => ({ ...(part.coats[0] as object), id: `c${n}` }));
      }),
      'badValue',
    ],
    [
      'a due day that is none',
      demo((c) => {
        (c as Record<string, unknown>)['due'] = { local: 'soon', zone: 'Europe/Berlin' };
      }),
      'badValue',
    ],
  ])('refuses %s', (_, raw, problem) => {
    expect(readCasting(raw)).toMatchObject({ ok: false, problem });
  });

  it.each([
    ['melts.0.source.chocolateId'],
    ['melts.0.bowlId'],
    ['parts.0.moldId'],
    ['parts.0.cavityId'],
    ['parts.0.coats.1.shares.0.meltId'],
    ['fill.1.fillingId'],
    ['fill.0.partId'],
    ['closure.meltId'],
  ])('names the place of a reference to nothing: %s', (path) => {
    const broken = demo((casting) => {
      const [place, key] = at(casting, path);
      place[key] = 'gone';
    });
    expect(readCasting(broken)).toMatchObject({ ok: false, problem: 'brokenReference', path });
  });
});
