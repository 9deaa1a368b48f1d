import { Bench, withDemo } from '../../../testing/bench';
import { MoldStation } from './mold-station';

const { casting } = withDemo();

describe('Mold station', () => {
  it('takes width, cavities and molds in any unit, and answers for the new mold', async () => {
    const bench = await Bench.of(MoldStation);
    // A 64 mm half sphere: 2πR³/3 = 68.6 mL, 2πR² = 64.3 cm².
    expect(bench.text).toContain('69 mL');
    expect(bench.text).toContain('64.3 cm²');
    await bench.type('Width of a cavity', '3 in');
    expect(casting().molds[0].cavities[0].shape).toMatchObject({ diameterM: expect.closeTo(0.0762, 9) as number });
    await bench.type('Cavities', '8');
    await bench.type('At hand', '2');
    expect(bench.text).toMatch(/Parts in a round16/);
  });

  it('brings the usual wall with a material, and its care', async () => {
    const bench = await Bench.of(MoldStation);
    expect(bench.text).toContain('on a tray');
    await bench.choose('Material', 'polycarbonate');
    expect(casting().molds[0]).toMatchObject({ material: 'polycarbonate', wallM: 0.003 });
    expect(bench.text).toContain('water spot');
  });

  it('takes any mold of the library as a copy of its own, and every figure follows', async () => {
    const bench = await Bench.of(MoldStation);
    await bench.choose('From your molds', 'bonbons');
    expect(casting().molds).toHaveLength(1);
    expect(casting().molds[0]).toMatchObject({ id: 'bonbons', material: 'polycarbonate' });
    expect(casting().parts[0]).toMatchObject({ moldId: 'bonbons', perPiece: 1 });
    expect(bench.text).toContain('A cavity holds7.3 mL');
    expect(bench.text).toContain('A pillow is not turned about an axis');
    await bench.type('Depth', '20 mm');
    expect(bench.text).toContain('A cavity holds9.7 mL');
    // The copy now differs from the library's, which can be taken again.
    await bench.press('Take the library’s');
    expect(bench.text).toContain('A cavity holds7.3 mL');
  });

  it('casts in the cavity that is chosen, as many of it as a piece takes', async () => {
    const bench = await Bench.of(MoldStation);
    await bench.choose('From your molds', 'mixed');
    await bench.choose('Cast in', 'cup');
    expect(casting().parts[0]).toMatchObject({ cavityId: 'cup', perPiece: 1 });
    expect(bench.text).toMatch(/Parts in a round3/);
    // What a piece takes several parts of comes with all of them.
    await bench.choose('From your molds', 'petal-cup');
    expect(casting().parts.map(({ cavityId, perPiece }) => [cavityId, perPiece])).toEqual([
      ['base', 1],
      ['leaf', 5],
    ]);
    expect(casting().closure).toBeNull();
  });

  it('says why a measure makes no cavity, and keeps the last good shape', async () => {
    const bench = await Bench.of(MoldStation);
    await bench.choose('From your molds', 'caps');
    await bench.type('Depth', '50 mm');
    expect(bench.text).toContain('Deeper than half a sphere of that width');
    expect(casting().molds[0].cavities[0].shape).toMatchObject({ depthM: 0.018 });
    await bench.type('Depth', '20 mm');
    expect(bench.text).not.toContain('Deeper than half');
  });

  it('tells whether a bomb goes into its mug', async () => {
    const bench = await Bench.of(MoldStation);
    expect(bench.text).toContain('Goes into the mug, with 12 mm to spare');
    await bench.type('Mug, across inside', '65 mm');
    expect(bench.text).toContain('Too wide for the mug by 5.0 mm');
    await bench.press('Not served in a mug');
    expect(casting().mugDiameterM).toBeUndefined();
  });

  it('refuses a width out of range where it stands, and plans on', async () => {
    const bench = await Bench.of(MoldStation);
    await bench.type('Width of a cavity', '999 mm');
    expect(bench.field('Width of a cavity').getAttribute('aria-invalid')).toBe('true');
    expect(bench.text).toMatch(/10 to 400 mm/);
    expect(casting().molds[0].cavities[0].shape).toMatchObject({ diameterM: 0.064 });
  });
});
