import { readFileSync } from 'node:fs';
import { readCasting } from './read-casting';
import { upgradeCasting } from './upgrade';

const OLD = JSON.parse(readFileSync('src/core/record/fixtures/castings-v1.json', 'utf8')) as Record<string, unknown>[];

describe('a casting of version 1', () => {
  it('reads as one of today, its cavities in rows and columns', () => {
    for (const raw of OLD) expect(raw['schemaVersion']).toBe(1);
    const [bombs, bites] = OLD.map((raw) => readCasting(raw));
    if (!bombs.ok || !bites.ok) throw new Error('not read');
    expect(bombs.casting.schemaVersion).toBe(2);
    expect(bombs.casting.molds[0]).toMatchObject({ name: 'Half spheres, 64 mm', composition: { kind: 'halves' }, care: ['tray'], notes: '' });
    expect(bombs.casting.molds[0].cavities).toEqual([{ id: 'cavity-1', name: 'Cavity', shape: { kind: 'hemisphere', diameterM: 0.064 }, rows: 2, columns: 3 }]);
    expect(bites.casting.molds[0].cavities[0]).toMatchObject({ rows: 3, columns: 4 });
    // Everything else is as it was.
    const { schemaVersion, molds, ...rest } = bombs.casting;
    const { schemaVersion: oldVersion, molds: oldMolds, ...old } = OLD[0];
    expect([schemaVersion, oldVersion, molds.length, (oldMolds as unknown[]).length]).toEqual([2, 1, 1, 1]);
    expect(rest).toEqual(old);
  });

  it('is not changed by being read, and one of today comes back as it is', () => {
    const before = JSON.stringify(OLD[0]);
    upgradeCasting(OLD[0]);
    expect(JSON.stringify(OLD[0])).toBe(before);
    const today = { schemaVersion: 2, molds: 'whatever' };
    expect(upgradeCasting(today)).toBe(today);
  });

  it('with broken molds is refused by its place, not thrown over', () => {
    expect(readCasting({ ...OLD[0], molds: 'none' })).toMatchObject({ ok: false, problem: 'badValue' });
    expect(readCasting({ ...OLD[0], molds: [{ id: 'm', cavities: [{ id: 'c', count: 2.5 }] }] })).toMatchObject({ ok: false, problem: 'badValue' });
    expect(readCasting({ schemaVersion: 1 })).toMatchObject({ ok: false, problem: 'badValue' });
  });
});
