import { readFileSync } from 'node:fs';
import { demoOccasions } from '../../data/demo';
import { OCCASION_SCHEMA_VERSION, readOccasion } from './occasion';

const [supper] = demoOccasions(new Date('2026-10-12T08:00:00Z'));

describe('an occasion’s record', () => {
  it('is read as it was written', () => {
    expect(readOccasion(JSON.parse(JSON.stringify(supper)))).toEqual({ ok: true, record: supper });
  });

  it('of version 1 reads as one of today, with nothing packed', () => {
    const [old] = JSON.parse(readFileSync('src/core/record/fixtures/occasions-v1.json', 'utf8')) as object[];
    expect(readOccasion(old)).toEqual({
      ok: true,
      record: { ...old, schemaVersion: OCCASION_SCHEMA_VERSION, breakS: 0, inTurn: false, fromLeft: [], sets: [] },
    });
  });

  it('of version 2 reads as one of today: what is packed is as the casting is chosen', () => {
    const [old] = JSON.parse(readFileSync('src/core/record/fixtures/occasions-v2.json', 'utf8')) as object[];
    expect(readOccasion(old)).toEqual({
      ok: true,
      record: { ...old, schemaVersion: OCCASION_SCHEMA_VERSION, breakS: 0 },
    });
  });

  it('of version 3 reads as one of today: no break is had', () => {
    const [old] = JSON.parse(readFileSync('src/core/record/fixtures/occasions-v3.json', 'utf8')) as object[];
    expect(readOccasion(old)).toEqual({
      ok: true,
      record: { ...old, schemaVersion: OCCASION_SCHEMA_VERSION, breakS: 0 },
    });
  });

  it('is refused with the place that is wrong', () => {
    const wrong = (change: object): unknown => {
      const read = readOccasion({ ...supper, ...change });
      return read.ok ? 'taken' : `${read.problem} ${read.path}`;
    };
    expect(wrong({ stays: [{ from: '2026-10-17T14:00', to: '2026-10-17T14:00' }] })).toBe('badValue stays.0');
    expect(wrong({ stays: [{ from: 'soon', to: '2026-10-17T14:00' }] })).toBe('badValue stays.0.from');
    expect(wrong({ castingIds: ['a', 'b', 'a'] })).toBe('badValue castingIds');
    expect(wrong({ castingIds: Array.from({ length: 41 }, (_, i) => `c${i}`) })).toBe('badValue castingIds');
    expect(wrong({ castingIds: Array.from({ length: 40 }, (_, i) => `c${i}`) })).toBe('taken');
    expect(wrong({ people: 0 })).toBe('badValue people');
    expect(wrong({ people: 1.5 })).toBe('badValue people');
    expect(wrong({ due: { local: '2026-02-30T18:00', zone: 'Europe/Berlin' } })).toBe('badValue due.local');
    expect(wrong({ fridge: { widthM: 0.01, depthM: 0.3 } })).toBe('badValue fridge.widthM');
    const set = { id: 's', name: 'Gift', count: 2, wrap: 'box', contents: [{ castingId: 'a', pieces: 1 }] };
    expect(wrong({ sets: [set] })).toBe('taken');
    expect(wrong({ sets: [{ ...set, count: 0 }] })).toBe('badValue sets.0.count');
    expect(wrong({ sets: [{ ...set, contents: [...set.contents, ...set.contents] }] })).toBe(
      'badValue sets.0.contents',
    );
    expect(
      wrong({ sets: [{ ...set, contents: [...set.contents, { castingId: 'a', variantId: 'v', pieces: 2 }] }] }),
    ).toBe('taken');
    expect(wrong({ schemaVersion: OCCASION_SCHEMA_VERSION + 1 })).toBe('newerVersion schemaVersion');
  });
});
