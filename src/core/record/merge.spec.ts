import fc from 'fast-check';
import { alike, mergeRecords } from './merge';

const base = {
  id: 'a',
  pieces: 18,
  due: { local: '18:00', zone: 'x' },
  molds: [
    { id: 'm', atHand: 1, wall: 2 },
    { id: 'n', atHand: 1, wall: 2 },
  ],
  closure: { kind: 'plate', seconds: 4 } as Record<string, unknown>,
};

describe('merging two changes of a record', () => {
  it('keeps both where they touch different fields, also of one entry of a list', () => {
    const mine = { ...base, pieces: 20, molds: [{ ...base.molds[0], atHand: 3 }, base.molds[1]] };
    const theirs = {
      ...base,
      due: { ...base.due, local: '19:00' },
      molds: [{ ...base.molds[0], wall: 4 }, base.molds[1]],
    };
    const both = {
      ...base,
      pieces: 20,
      due: { local: '19:00', zone: 'x' },
      molds: [{ id: 'm', atHand: 3, wall: 4 }, base.molds[1]],
    };
    expect(mergeRecords(base, mine, theirs, 'mine')).toEqual(both);
    expect(mergeRecords(base, theirs, mine, 'theirs')).toEqual(both);
  });

  it('takes the one that wins where both changed the same field', () => {
    expect(mergeRecords(base, { ...base, pieces: 20 }, { ...base, pieces: 30 }, 'mine').pieces).toBe(20);
    expect(mergeRecords(base, { ...base, pieces: 20 }, { ...base, pieces: 30 }, 'theirs').pieces).toBe(30);
  });

  it('keeps entries that either added, and drops what either took away and the other left alone', () => {
    const mine = { ...base, molds: [...base.molds, { id: 'mine', atHand: 1, wall: 1 }] };
    const theirs = { ...base, molds: [{ id: 'theirs', atHand: 1, wall: 1 }, base.molds[1]] };
    expect(mergeRecords(base, mine, theirs, 'mine').molds.map(({ id }) => id)).toEqual(['n', 'mine', 'theirs']);
  });

  it('keeps the order of the one that changed it', () => {
    const turned = { ...base, molds: [base.molds[1], base.molds[0]] };
    const changed = { ...base, molds: [{ ...base.molds[0], wall: 9 }, base.molds[1]] };
    expect(mergeRecords(base, turned, changed, 'mine').molds).toEqual([base.molds[1], { ...base.molds[0], wall: 9 }]);
    expect(mergeRecords(base, changed, turned, 'mine').molds).toEqual([base.molds[1], { ...base.molds[0], wall: 9 }]);
  });

  it('takes a record that took another form whole', () => {
    const mine = { ...base, closure: { kind: 'cap', thickness: 2 } };
    const theirs = { ...base, closure: { kind: 'plate', seconds: 6 } };
    expect(mergeRecords(base, mine, theirs, 'mine').closure).toEqual({ kind: 'cap', thickness: 2 });
    expect(mergeRecords(base, mine, theirs, 'theirs').closure).toEqual({ kind: 'plate', seconds: 6 });
  });

  const value: fc.Memo<unknown> = fc.memo((n): fc.Arbitrary<unknown> =>
    n <= 1
      ? fc.oneof(fc.integer({ min: 0, max: 3 }), fc.constant('x'))
      : fc.oneof(
          fc.dictionary(fc.constantFrom('a', 'b', 'kind'), value(n - 1)),
          fc.array(value(n - 1), { maxLength: 3 }),
          fc.uniqueArray(fc.record({ id: fc.constantFrom('1', '2', '3'), of: value(n - 1) }), {
            selector: ({ id }) => id,
          }),
        ),
  );

  it('gives the other change where one is none, and the change where both are the same, for any records', () => {
    fc.assert(
      fc.property(value(3), value(3), (before, after) => {
        for (const wins of ['mine', 'theirs'] as const) {
          expect(alike(mergeRecords(before, before, after, wins), after)).toBe(true);
          expect(alike(mergeRecords(before, after, before, wins), after)).toBe(true);
          expect(alike(mergeRecords(before, after, after, wins), after)).toBe(true);
        }
      }),
    );
  });
});
