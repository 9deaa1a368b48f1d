import { Bench, withDemo } from '../../../testing/bench';
import { readCasting } from '../../../core/record/read-casting';
import { PartList } from '../parts/part-list';
import { FinishStation } from './finish-station';

const { casting } = withDemo();

const whole = (): void => expect(readCasting(structuredClone(casting()))).toMatchObject({ ok: true });

describe('Finish station', () => {
  it('adds each finish with its amounts, changes it, and takes it off', async () => {
    const bench = await Bench.of(FinishStation);
    for (const kind of ['drizzle', 'sprinkles', 'dust', 'paint', 'stuck on']) await bench.press(kind);
    expect(casting().finishes.map(({ kind }) => kind)).toEqual(['drizzle', 'sprinkle', 'dust', 'paint', 'stickOn']);
    expect(bench.text).toContain('Spirits catch fire');
    expect(bench.text).toContain('each held 18 s');
    whole();
    await bench.choose('With', 'linen');
    expect(casting().melts).toHaveLength(2);
    await bench.type('Of the outside', '40 %');
    expect(casting().finishes[0]).toMatchObject({ share: 0.4 });
    await bench.type('On a piece', '3');
    expect(casting().finishes[4]).toMatchObject({ count: 3 });
    await bench.type('Dries for', '30 min');
    expect(casting().finishes[0].sets).toEqual([{ place: 'room', seconds: 1800 }]);
    for (let k = 0; k < 5; k++) await bench.press(/^Take .* off$/, 0);
    expect(casting().finishes).toEqual([]);
    expect(casting().melts).toHaveLength(1);
  });

  it('sticks on a part that is cast here', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add an ornament');
    const bench = await Bench.of(FinishStation);
    await bench.press('stuck on');
    expect(casting().finishes[0]).toMatchObject({ kind: 'stickOn', partId: 'part-2', name: 'Ornament' });
    await bench.choose('Held by', 'melted');
    expect(casting().finishes[0]).toMatchObject({ by: 'melted' });
    expect(bench.text).toContain('A knife heated for melting');
    await bench.choose('What', 'f:lentils');
    expect(casting().finishes[0]).toMatchObject({ fillingId: 'lentils', name: 'Sugar lentils' });
    expect(casting().finishes[0]).not.toHaveProperty('partId');
    whole();
  });
});
