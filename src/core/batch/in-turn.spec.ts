import fc from 'fast-check';
import { inTurn } from './in-turn';

const hands = (name: string, seconds: number) => ({ name, handsOn: true, seconds });
const wait = (name: string, seconds: number) => ({ name, handsOn: false, seconds });
const said = (tasks: readonly { readonly name: string; readonly seconds: number }[]) =>
  tasks.map(({ name, seconds }) => [name, seconds]);

describe('work in turn', () => {
  it('of one line is that line', () => {
    expect(said(inTurn([[hands('coat', 100), wait('rest', 50), wait('fridge', 300), hands('unmold', 40)]]))).toEqual([
      ['coat', 100],
      ['rest', 50],
      ['fridge', 300],
      ['unmold', 40],
    ]);
  });

  it('of two goes on with what is ready, and waits for what is ready first (worked by hand)', () => {
    const lines = [
      [hands('a', 100), wait('cold a', 300), hands('out a', 40)],
      [hands('b', 50), wait('cold b', 100), hands('out b', 20)],
    ];
    // a to 100, cold until 400; b to 150, cold until 250, out until 270; then a is waited for.
    expect(said(inTurn(lines))).toEqual([
      ['a', 100],
      ['b', 50],
      ['cold b', 100],
      ['out b', 20],
      ['cold a', 130],
      ['out a', 40],
    ]);
  });

  it('does all that is to be done, and takes no longer than one line after the other, for any work', () => {
    const line = fc.array(fc.record({ handsOn: fc.boolean(), seconds: fc.integer({ min: 1, max: 1000 }) }), {
      minLength: 1,
      maxLength: 8,
    });
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 5 }), (lines) => {
        const all = lines.flat();
        const done = inTurn(lines);
        const sum = (
          tasks: readonly { readonly handsOn: boolean; readonly seconds: number }[],
          handsOn?: boolean,
        ): number => tasks.reduce((s, t) => s + (handsOn === undefined || t.handsOn === handsOn ? t.seconds : 0), 0);
        expect(sum(done, true)).toBe(sum(all, true));
        expect(sum(done)).toBeLessThanOrEqual(sum(all));
        expect(sum(done)).toBeGreaterThanOrEqual(Math.max(...lines.map((one) => sum(one))));
      }),
    );
  });
});
