import { demoCastings, demoOccasions } from './demo';
import { readOccasionFile, writeOccasionFile } from './occasion-file';
import { readWhole } from '../testing/read-whole';

const MONDAY = new Date('2026-10-12T08:00:00Z');
const [supper] = demoOccasions(MONDAY);
const packed = { ...supper, castings: demoCastings(MONDAY) };

describe('a file of occasions', () => {
  it('carries the castings of each, and is read as it was written', () => {
    const reading = readWhole(readOccasionFile(writeOccasionFile([packed], MONDAY)));
    expect(reading).toEqual({ ok: true, records: [packed], bad: [] });
  });

  it('names an occasion one of whose castings cannot be read; one without castings is taken with what it says', () => {
    const bad = { ...packed, castings: [{ ...packed.castings[0], pieces: 0 }] };
    const text = writeOccasionFile([bad as never, supper as never], MONDAY);
    const reading = readWhole(readOccasionFile(text));
    expect(reading).toMatchObject({
      ok: true,
      records: [{ id: 'demo-supper', castings: [] }],
      bad: [{ position: 1, name: 'Hedgerow supper', problem: { path: 'castings.0.pieces' } }],
    });
  });
});
