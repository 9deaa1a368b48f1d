import { Bench, withDemo } from '../../../testing/bench';
import { readCasting } from '../../../core/record/read-casting';
import { MOST } from '../../../core/record/limits';
import { PrepList } from './prep-list';

const { casting, store } = withDemo('demo-bonbons');
const prep = () => casting().parts[0].prep;
const whole = (): void => expect(readCasting(structuredClone(casting()))).toMatchObject({ ok: true });

describe('what is put into the empty mold first', () => {
  it('is sprayed in two halves of two colours, each with what goes beside, the second rested for hours', async () => {
    const bench = await Bench.of(PrepList);
    expect(bench.text).toContain('Put in first');
    await bench.press('sprayed colour');
    await bench.press('half');
    // Half of 14.7 cm², 0.1 mm of cocoa butter: 0.066 g, and as much again beside.
    expect(bench.text).toContain('A cavity holds 0.066 g of it and takes 0.13 g');
    expect(bench.text).toContain('then waits 4 h');
    await bench.press('sprayed colour');
    await bench.enter('Colour', 'White cocoa butter');
    await bench.press('half');
    expect(prep().map(({ kind, pattern, name }) => [kind, pattern, name])).toEqual([
      ['sprayed', 'half', 'Red cocoa butter'],
      ['sprayed', 'half', 'White cocoa butter'],
    ]);
    await bench.press(/^1. Red/);
    expect(bench.text).not.toContain('then waits 4 h');
    whole();
  });

  it('is painted with another chocolate, in spots of a number and width, which is then a melt of its own', async () => {
    const bench = await Bench.of(PrepList);
    await bench.press('chocolate details');
    expect(casting().melts).toHaveLength(1);
    await bench.choose('Of', 'linen');
    expect(casting().melts).toHaveLength(2);
    await bench.type('In a cavity', '2');
    await bench.type('Wide', '1/4 in');
    expect(prep()[0]).toMatchObject({ count: 2, spotM: expect.closeTo(0.00635, 9) as number, meltId: 'melt-2' });
    await bench.press('freezer');
    expect(prep()[0].sets).toEqual([{ place: 'freezer' }]);
    await bench.press('set my own time');
    await bench.type('Your own time for it', '3 min');
    expect(prep()[0].sets).toEqual([{ place: 'freezer', seconds: 180 }]);
    await bench.choose('How', 'dust');
    expect(prep()[0]).toMatchObject({ kind: 'dust', name: 'Gold dust' });
    expect(casting().melts).toHaveLength(1);
    whole();
  });

  it('keeps its order, says when a mold takes no more, and is taken out again', async () => {
    const bench = await Bench.of(PrepList);
    for (let k = 0; k < MOST.prep; k++) await bench.press(k % 2 ? 'dust' : 'brushed colour');
    expect(bench.text).toContain('8 steps are as many as one mold takes.');
    await bench.press('do it earlier');
    expect(
      prep()
        .map(({ kind }) => kind)
        .slice(-2),
    ).toEqual(['dust', 'brushed']);
    for (let k = 0; k < MOST.prep; k++) await bench.press(/^Take .* out$/, 0);
    expect(prep()).toEqual([]);
    store().undo();
    expect(prep()).toHaveLength(1);
    whole();
  });
});
