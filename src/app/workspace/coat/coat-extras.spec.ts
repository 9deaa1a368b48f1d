import { readCasting } from '../../../core/record/read-casting';
import { Bench, withDemo } from '../../../testing/bench';
import { FillStation } from '../fill/fill-station';
import { CoatStation } from './coat-station';

describe('what goes in beside chocolate', () => {
  const { casting, store } = withDemo();
  const whole = (): void => expect(readCasting(structuredClone(casting()))).toMatchObject({ ok: true });

  it('is stirred into every coat, told by its look, and taken out again', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.press('Stir something in');
    expect(casting().parts[0].coats.map(({ mixIn }) => mixIn?.share)).toEqual([0.05, 0.05]);
    expect(bench.text).toContain('Too large for a coat');
    expect(bench.text).toMatch(/Stirred into a part0\.\d+ g/);
    await bench.type('Of its weight', '8 %');
    expect(casting().parts[0].coats[1].mixIn).toMatchObject({ share: 0.08 });
    await bench.choose('Stirred in', 'spice');
    expect(bench.text).toContain('duller and thicker');
    whole();
    await bench.press('Nothing stirred in');
    expect(casting().parts[0].coats.some(({ mixIn }) => mixIn)).toBe(false);
    store().undo();
    expect(casting().parts[0].coats[0].mixIn).toMatchObject({ fillingId: 'spice' });
  });

  it('is a stick where it is filled from below, and only there', async () => {
    const bench = await Bench.of(CoatStation);
    expect(bench.text).not.toContain('Put a stick in');
    await bench.choose('How it is made', 'solid');
    await bench.press('Put a stick in');
    expect(casting().parts[0].stick).toEqual({ thickM: 0.004, insideM: 0.025 });
    await bench.type('Reaches in', '30 mm');
    expect(casting().parts[0].stick?.insideM).toBeCloseTo(0.03, 9);
    whole();
    await bench.press('No stick');
    expect(casting().parts[0].stick).toBeUndefined();
  });

  it('is chocolate round the pieces of a filling, from a melt of its own where that is wanted', async () => {
    const bench = await Bench.of(FillStation);
    await bench.press('Dip them first');
    expect(casting().fill[1].dip).toEqual({ meltId: 'melt-1' });
    expect(bench.text).toMatch(/Each takes ?[\d.]+ g, a film of ?[\d.]+ mm, and is set after ?[\d.]+ min in the room/);
    await bench.choose('Dipped in', 'linen');
    expect(casting().melts).toHaveLength(2);
    whole();
    await bench.choose('Dipped in', '');
    expect(casting().fill[1].dip).toBeUndefined();
    expect(casting().melts).toHaveLength(1);
  });
});
