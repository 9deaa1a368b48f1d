import { demoOccasions } from '../../data/demo';
import { readOccasion } from './occasion';

const [supper] = demoOccasions(new Date('2026-10-12T08:00:00Z'));

describe('an occasion’s record', () => {
  it('is read as it was written', () => {
    expect(readOccasion(JSON.parse(JSON.stringify(supper)))).toEqual({ ok: true, record: supper });
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
    expect(wrong({ schemaVersion: 2 })).toBe('newerVersion schemaVersion');
  });
});
