import { readFileSync } from 'node:fs';
import { newCasting } from '../../data/demo';
import { CASTING_SCHEMA_VERSION } from './casting';
import { readCasting } from './read-casting';
import { readMold } from './read-mold';
import { upgradeCasting } from './upgrade';

const OLD = JSON.parse(readFileSync('src/core/record/fixtures/castings-v1.json', 'utf8')) as Record<string, unknown>[];

describe('a casting of version 1', () => {
  it('reads as one of today, its cavities in rows and columns', () => {
    for (const raw of OLD) expect(raw['schemaVersion']).toBe(1);
    const [bombs, bites] = OLD.map((raw) => readCasting(raw));
    if (!bombs.ok || !bites.ok) throw new Error('not read');
    expect(bombs.casting.schemaVersion).toBe(CASTING_SCHEMA_VERSION);
    expect(bombs.casting.molds[0]).toMatchObject({
      name: 'Half spheres, 64 mm',
      composition: { kind: 'halves' },
      care: ['tray'],
      notes: '',
    });
    expect(bombs.casting.molds[0].cavities).toEqual([
      { id: 'cavity-1', name: 'Cavity', shape: { kind: 'hemisphere', diameterM: 0.064 }, rows: 2, columns: 3 },
    ]);
    expect(bites.casting.molds[0].cavities[0]).toMatchObject({ rows: 3, columns: 4 });
    // What no later version touched is as it was.
    for (const key of ['name', 'pieces', 'due', 'spareRule', 'fill', 'finishes'] as const)
      expect(bombs.casting[key]).toEqual(OLD[0][key]);
  });

  it('is not changed by being read, and one of today comes back as it is', () => {
    const before = JSON.stringify(OLD[0]);
    upgradeCasting(OLD[0]);
    expect(JSON.stringify(OLD[0])).toBe(before);
    const today = { schemaVersion: CASTING_SCHEMA_VERSION, molds: 'whatever' };
    expect(upgradeCasting(today)).toBe(today);
  });

  it('with broken molds is refused by its place, not thrown over', () => {
    expect(readCasting({ ...OLD[0], molds: 'none' })).toMatchObject({ ok: false, problem: 'badValue' });
    expect(readCasting({ ...OLD[0], molds: [{ id: 'm', cavities: [{ id: 'c', count: 2.5 }] }] })).toMatchObject({
      ok: false,
      problem: 'badValue',
    });
    expect(readCasting({ schemaVersion: 1 })).toMatchObject({ ok: false, problem: 'badValue' });
  });
});

describe('a casting of version 2', () => {
  const SECOND = JSON.parse(readFileSync('src/core/record/fixtures/castings-v2.json', 'utf8')) as Record<
    string,
    unknown
  >[];

  it('reads as one of today: each melt has a way, a school and a bowl, each chocolate its bands in order', () => {
    const [bombs, bites] = SECOND.map((raw) => readCasting(raw));
    if (!bombs.ok || !bites.ok) throw new Error('not read');
    expect(bombs.casting.melts[0]).toEqual({
      id: 'melt-1',
      source: { kind: 'chocolate', chocolateId: 'quarry' },
      workingC: 31.5,
      way: 'microwave',
      school: 'seeding',
      power: 0.8,
      bowlId: 'plastic',
      coolBowl: false,
      jacket: 'none',
      tests: [],
    });
    expect(bites.casting.melts[0]).toMatchObject({ source: { chocolateId: 'pebble' }, school: 'meltOnly' });
    expect(bombs.casting.chocolates[0]).toMatchObject({
      meltToC: 45,
      seedToC: 32,
      workFromC: 31,
      workToC: 32,
      ceilingC: 33,
    });
    expect(bombs.casting.kitchen).toMatchObject({ fridgeFan: false, freezerFan: false, microwaveW: 800 });
    for (const key of ['name', 'pieces', 'molds', 'fill'] as const) expect(bombs.casting[key]).toEqual(SECOND[0][key]);
  });

  it('with bands that were out of order is brought into order, and not lost', () => {
    const [raw] = structuredClone(SECOND) as { chocolates: Record<string, unknown>[] }[];
    Object.assign(raw.chocolates[0], { workFromC: 33, workToC: 30, ceilingC: 29 });
    Object.assign(raw.chocolates[1], { workFromC: -20, workToC: 110, ceilingC: 50 });
    const read = readCasting(raw);
    if (!read.ok) throw new Error(read.path);
    expect(read.casting.chocolates[0]).toMatchObject({ workFromC: 30, workToC: 33, ceilingC: 33 });
    expect(read.casting.chocolates[1]).toMatchObject({ workFromC: 20, workToC: 55 });
  });

  it('with broken parts is refused by its place, not thrown over', () => {
    expect(readCasting({ ...SECOND[0], kitchen: 'none' })).toMatchObject({ ok: false, problem: 'badValue' });
    expect(readCasting({ ...SECOND[0], melts: [{ id: 'm', chocolateId: 'gone', workingC: 31 }] })).toMatchObject({
      ok: false,
      problem: 'brokenReference',
      path: 'melts.0.source.chocolateId',
    });
  });
});

describe('a casting of version 3', () => {
  const THIRD = JSON.parse(readFileSync('src/core/record/fixtures/castings-v3.json', 'utf8')) as {
    parts: { coats: Record<string, unknown>[] }[];
    closure: object;
    fillings: object[];
  }[];

  it('reads as one of today: its coats as they were, with what is new at its usual', () => {
    for (const raw of THIRD) {
      const read = readCasting(raw);
      if (!read.ok) throw new Error(read.path);
      expect(read.casting.parts[0].coats).toEqual(
        raw.parts[0].coats.map((coat) => ({
          ...coat,
          standsIn: 'fridge',
          turnSeconds: 20,
          volumeShare: 1,
          uprightSeconds: 0,
          then: [],
        })),
      );
      const rest: Record<string, unknown> = { ...raw };
      delete rest['atHandKg'];
      expect(read.casting).toMatchObject({
        ...rest,
        schemaVersion: CASTING_SCHEMA_VERSION,
        parts: [{}],
        onHand: [],
        closure: {},
      });
    }
  });

  it('keeps the one place of several that was gone by', () => {
    const [raw] = structuredClone(THIRD);
    raw.parts[0].coats[0]['sets'] = [{ place: 'freezer' }, { place: 'room' }];
    const read = readCasting(raw);
    if (!read.ok) throw new Error(read.path);
    expect(read.casting.parts[0].coats[0].sets).toEqual([{ place: 'freezer' }]);
  });

  it('with broken coats is refused by its place, not thrown over', () => {
    expect(readCasting({ ...THIRD[0], parts: 'none' })).toMatchObject({
      ok: false,
      problem: 'badValue',
      path: 'parts',
    });
    expect(readCasting({ ...THIRD[0], parts: [{ ...THIRD[0].parts[0], coats: 'none' }] })).toMatchObject({
      ok: false,
      problem: 'badValue',
      path: 'parts.0.coats',
    });
  });
});

describe('a casting of version 4', () => {
  const FOURTH = JSON.parse(readFileSync('src/core/record/fixtures/castings-v4.json', 'utf8')) as Record<
    string,
    unknown
  >[];

  it('reads as one of today: parts with names, one of them filled, fillings with no recipe, a plate that is warm', () => {
    const [bombs, owls] = FOURTH.map((raw) => readCasting(raw));
    if (!bombs.ok || !owls.ok) throw new Error('not read');
    expect(bombs.casting.parts.map(({ name, filled, heaped }) => [name, filled, heaped])).toEqual([
      ['Half', 'one', false],
    ]);
    expect(owls.casting.parts[0].name).toBe('Part');
    expect(bombs.casting.closure).toEqual({
      kind: 'warmPlate',
      meltId: 'melt-1',
      sets: [{ place: 'room' }],
      plateC: 45,
      seconds: 4,
      levelS: 0,
      rims: 'empty',
    });
    expect(owls.casting.closure).toBeNull();
    expect(bombs.casting.fillings.every(({ recipe }) => recipe.length === 0)).toBe(true);
    for (const key of ['name', 'pieces', 'due', 'molds', 'chocolates', 'melts', 'fill', 'kitchen'] as const)
      expect(bombs.casting[key]).toEqual(FOURTH[0][key]);
  });

  it('gives a piped seam a width and a finish a share', () => {
    const raw = {
      ...FOURTH[0],
      closure: { kind: 'pipedSeam', meltId: 'melt-1', sets: [] },
      finishes: [
        { id: 'a', kind: 'drizzle', name: 'Lines', meltId: 'melt-1', sets: [] },
        { id: 'b', kind: 'dust', name: 'Dust', sets: [] },
      ],
    };
    const read = readCasting(raw);
    if (!read.ok) throw new Error(read.path);
    expect(read.casting.closure).toMatchObject({ kind: 'pipedSeam', lineM: 0.003 });
    expect(read.casting.finishes).toEqual([
      { id: 'a', kind: 'drizzle', name: 'Lines', meltId: 'melt-1', sets: [], share: 0.2, lineM: 0.002 },
      { id: 'b', kind: 'dust', name: 'Dust', sets: [], share: 0.2 },
    ]);
  });

  it('with broken parts, fillings or finishes is refused by its place, not thrown over', () => {
    for (const key of ['parts', 'fillings', 'finishes', 'closure'])
      expect(readCasting({ ...FOURTH[0], [key]: 'none' })).toMatchObject({ ok: false, problem: 'badValue', path: key });
  });
});

describe('a casting of today', () => {
  const today = (): Record<string, unknown> =>
    JSON.parse(JSON.stringify(newCasting('c', 'c', new Date('2026-10-12T08:00:00Z')))) as Record<string, unknown>;
  const filling = (id: string, fillingId?: string): object => ({
    id,
    name: id,
    kind: 'ganache',
    bulkDensity: 1100,
    allergens: [],
    recipe: fillingId === undefined ? [] : [{ name: fillingId, parts: 1, fillingId, allergens: [] }],
  });

  it('whose fillings contain each other in a circle is refused, and the circle named', () => {
    const circle = readCasting({ ...today(), fillings: [filling('a', 'b'), filling('b', 'c'), filling('c', 'a')] });
    expect(circle).toMatchObject({ ok: false, problem: 'circularReference', detail: 'a → b → c → a' });
    expect(readCasting({ ...today(), fillings: [filling('a', 'b'), filling('b', 'c'), filling('c')] }).ok).toBe(true);
  });

  it('is refused where a filling has no density, or something points at nothing', () => {
    const bare = filling('a') as { bulkDensity?: number };
    delete bare.bulkDensity;
    expect(readCasting({ ...today(), fillings: [bare] })).toMatchObject({
      ok: false,
      problem: 'badValue',
      path: 'fillings.0.bulkDensity',
    });
    expect(readCasting({ ...today(), fillings: [filling('a', 'gone')] })).toMatchObject({
      ok: false,
      problem: 'brokenReference',
      path: 'fillings.0.recipe.0',
    });
    expect(
      readCasting({
        ...today(),
        closure: { kind: 'lid', meltId: 'melt-1', lineM: 0.003, partId: 'gone', sets: [{ place: 'room' }] },
      }),
    ).toMatchObject({ path: 'closure.partId' });
    const finishes = [{ id: 'x', kind: 'sprinkle', name: 'x', fillingId: 'gone', share: 0.2, sets: [] }];
    expect(readCasting({ ...today(), finishes })).toMatchObject({ path: 'finishes.0.fillingId' });
    expect(
      readCasting({
        ...today(),
        finishes: [
          { id: 'x', kind: 'stickOn', name: 'x', meltId: 'melt-1', partId: 'gone', count: 1, by: 'dot', sets: [] },
        ],
      }),
    ).toMatchObject({ path: 'finishes.0.partId' });
    expect(readCasting({ ...today(), pieces: 10000 })).toMatchObject({
      ok: false,
      problem: 'badValue',
      path: 'pieces',
    });
  });
});

describe('a casting of version 5', () => {
  const FIFTH = JSON.parse(readFileSync('src/core/record/fixtures/castings-v5.json', 'utf8')) as Record<
    string,
    unknown
  >[];

  it('goes by the pantry for what is on hand, unless another amount than the first was said; its corners are no rounder than it is wide', () => {
    const [bombs, bonbons] = FIFTH.map((raw) => readCasting(raw));
    if (!bombs.ok || !bonbons.ok) throw new Error('not read');
    expect([bombs.casting.onHand, bonbons.casting.onHand]).toEqual([[], [{ chocolateId: 'quarry', kg: 1.2 }]]);
    expect(bonbons.casting.molds[0].cavities[0].shape).toMatchObject({ lengthM: 0.028, cornerM: 0.014 });
    for (const key of ['name', 'pieces', 'due', 'chocolates', 'melts', 'fill', 'kitchen'] as const)
      expect(bonbons.casting[key]).toEqual(FIFTH[1][key]);
    expect(bonbons.casting.parts).toEqual(withCoats(FIFTH[1]['parts']));
  });
});

describe('a casting of version 6', () => {
  const [BONBONS] = JSON.parse(readFileSync('src/core/record/fixtures/castings-v6.json', 'utf8')) as [
    Record<string, unknown> & { closure: object },
  ];
  const closed = (closure: object) => readCasting({ ...BONBONS, closure });

  it('has a cap that lies on its filling, in the places and for the times it had', () => {
    const read = readCasting(BONBONS);
    if (!read.ok) throw new Error('not read');
    expect(read.casting.closure).toEqual({ kind: 'cap', meltId: 'melt-1', sets: [{ place: 'fridge', seconds: 900 }] });
    for (const key of ['name', 'pieces', 'fill', 'melts', 'kitchen'] as const)
      expect(read.casting[key]).toEqual(BONBONS[key]);
    expect(read.casting.parts).toEqual(withCoats(BONBONS['parts']));
  });

  it('sets a cap that had no place in the fridge, and leaves every other closing as it was', () => {
    const bare = closed({ ...BONBONS.closure, sets: [] });
    expect(bare.ok && bare.casting.closure?.sets).toEqual([{ place: 'fridge' }]);
    const plug = { kind: 'plug', meltId: 'melt-1', holeM: 0.01, thicknessM: 0.002, sets: [] };
    const plugged = closed(plug);
    expect(plugged.ok && plugged.casting.closure).toEqual({ ...plug, sets: [{ place: 'room' }] });
    expect(closed({ kind: 'cap' }).ok).toBe(false);
  });
});

describe('a casting of version 7', () => {
  const SEVENTH = JSON.parse(readFileSync('src/core/record/fixtures/castings-v7.json', 'utf8')) as Record<
    string,
    unknown
  >[];

  it('has coats that are turned over at once, and taken on when they have set; all else is as it was', () => {
    for (const raw of SEVENTH) {
      const read = readCasting(raw);
      if (!read.ok) throw new Error('not read');
      const closure = raw['closure'] as Record<string, unknown> | null;
      const onPlate = closure?.['kind'] === 'warmPlate' ? { levelS: 0, rims: 'empty' } : {};
      expect(read.casting).toEqual({
        ...raw,
        schemaVersion: CASTING_SCHEMA_VERSION,
        variants: [],
        parts: withCoats(raw['parts']),
        closure: closure && { ...closure, ...onPlate, sets: expect.any(Array) as unknown },
      });
    }
  });
});

describe('a casting of version 8', () => {
  const [BONBONS, PEARS] = JSON.parse(readFileSync('src/core/record/fixtures/castings-v8.json', 'utf8')) as Record<
    string,
    unknown
  >[];

  it('says of what was painted and dusted in how thick it lies, in what pattern and where it sets', () => {
    const read = readCasting(BONBONS);
    expect(read.ok && read.casting.parts[0].prep).toEqual([
      {
        id: 'prep-1',
        kind: 'brushed',
        name: 'painted details',
        colour: '#a8432c',
        pattern: 'stripes',
        share: 0.2,
        count: 12,
        spotM: 0.003,
        thickM: 0.00015,
        sets: [{ place: 'fridge' }],
      },
      expect.objectContaining({ id: 'prep-2', kind: 'dust', name: 'dust', pattern: 'all', sets: [{ place: 'room' }] }),
    ]);
  });

  it('is as it was where nothing was', () => {
    const read = readCasting(PEARS);
    const closure = { ...(PEARS['closure'] as object), sets: [{ place: 'room' }] };
    expect(read.ok && read.casting).toEqual({ ...PEARS, schemaVersion: CASTING_SCHEMA_VERSION, variants: [], closure });
  });
});

describe('a casting of version 9', () => {
  const NINTH = JSON.parse(readFileSync('src/core/record/fixtures/castings-v9.json', 'utf8')) as object[];

  it('is as it was', () => {
    expect(NINTH).toHaveLength(3);
    for (const raw of NINTH)
      expect(readCasting(raw)).toEqual({
        ok: true,
        casting: { ...raw, schemaVersion: CASTING_SCHEMA_VERSION, variants: [] },
      });
  });
});

describe('a casting of version 10', () => {
  const TENTH = JSON.parse(readFileSync('src/core/record/fixtures/castings-v10.json', 'utf8')) as object[];

  it('is as it was, with no variants', () => {
    expect(TENTH).toHaveLength(2);
    for (const raw of TENTH)
      expect(readCasting(raw)).toEqual({
        ok: true,
        casting: { ...raw, schemaVersion: CASTING_SCHEMA_VERSION, variants: [] },
      });
  });
});

/** Parts of before version 8 as they are read today. */
function withCoats(parts: unknown): object[] {
  return (parts as { coats: object[] }[]).map((part) => ({
    ...part,
    coats: part.coats.map((coat) => ({ ...coat, uprightSeconds: 0, then: [] })),
  }));
}

describe('a mold of the library of version 1', () => {
  it('reads with corners no rounder than it is wide', () => {
    const [
      {
        molds: [mold],
      },
    ] = [
      JSON.parse(readFileSync('src/core/record/fixtures/castings-v5.json', 'utf8'))[1] as {
        molds: Record<string, unknown>[];
      },
    ];
    const read = readMold({ ...mold, schemaVersion: 1, createdAt: '2026-10-12T08:00:00.000Z' });
    expect(read.ok && read.record.cavities[0].shape).toMatchObject({ cornerM: 0.014 });
    expect(readMold({ schemaVersion: 1 }).ok).toBe(false);
  });
});
