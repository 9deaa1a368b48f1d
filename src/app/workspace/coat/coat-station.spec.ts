import { Bench, withDemo } from '../../../testing/bench';
import { CoatStation } from './coat-station';

const { casting } = withDemo();

describe('Coat station', () => {
  it('works a newly chosen chocolate in the middle of its band', async () => {
    const bench = await Bench.of(CoatStation);
    const linen = casting().chocolates.find((chocolate) => chocolate.kind === 'white');
    if (!linen) throw new Error('no white chocolate');
    await bench.choose('Chocolate', linen.id);
    expect(casting().melts[0]).toMatchObject({
      source: { kind: 'chocolate', chocolateId: linen.id },
      workingC: (linen.workFromC + linen.workToC) / 2,
    });
  });

  it('thins and thickens the shell as the chocolate runs', async () => {
    const bench = await Bench.of(CoatStation);
    const rim = (): number => Number(/Rim in all([\d.]+)/.exec(bench.text)?.[1]);
    const medium = rim();
    await bench.choose('How it runs', 'veryFluid');
    expect(rim()).toBeLessThan(medium);
    await bench.choose('How it runs', 'veryThick');
    expect(rim()).toBeGreaterThan(medium);
  });

  it('adds and takes coats, and finds them for a wanted thickness', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.press('3');
    expect(casting().parts[0].coats).toHaveLength(3);
    expect(new Set(casting().parts[0].coats.map((coat) => coat.id)).size).toBe(3);
    await bench.press('1');
    expect(casting().parts[0].coats).toHaveLength(1);
    await bench.press('to thickness');
    await bench.type('Wanted at the rim', '2.5 mm');
    expect(casting().parts[0].coatsBy).toEqual({ by: 'thickness', rimM: 0.0025 });
    expect(bench.text).toMatch(/Coats that do it2/);
  });

  it('asks of a method only what it needs', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.type('Stands', '30 s');
    await bench.type('Tipped out', '15 s');
    await bench.type('Tapped', '5 s');
    expect(casting().parts[0].coats[1]).toMatchObject({ dwellSeconds: 30, drainSeconds: 15, tappingSeconds: 5 });
    await bench.choose('How it is made', 'spoon');
    expect(() => bench.field('Stands')).toThrow();
    await bench.type('In each cavity, per coat', '1.5 tsp');
    expect(casting().parts[0].coats[0].doseM3 * 1e6).toBeCloseTo(7.393, 2);
    await bench.press('sides');
    expect(casting().parts[0].coats.map((coat) => coat.where)).toEqual(['all', 'sides']);
    await bench.choose('How it is made', 'dump');
    expect(casting().parts[0].coats.map((coat) => coat.where)).toEqual(['all', 'all']);
    await bench.press('upright');
    expect(casting().parts[0].coats.every((coat) => coat.wayUp === 'upright')).toBe(true);
  });

  it('fills in layers that together take no more than the cavity, and goes back', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.choose('How it is made', 'solid');
    expect(casting().parts[0].coats.map(({ method, volumeShare }) => [method, volumeShare])).toEqual([['solid', 1]]);
    expect(bench.text).toContain('Deep in the middle32 mm');
    expect(bench.text).not.toContain('Rim in all');
    await bench.press('2');
    expect(casting().parts[0].coats.map(({ volumeShare }) => volumeShare)).toEqual([0.5, 0.5]);
    await bench.type('Layer 1', '60 %');
    expect(casting().parts[0].coats[0].volumeShare).toBe(0.5);
    expect(bench.text).toContain('The other layers take 50 %; together they cannot be more than the cavity.');
    await bench.type('Layer 1', '30 %');
    expect(casting().parts[0].coats.map(({ volumeShare }) => volumeShare)).toEqual([0.3, 0.5]);
    await bench.choose('How it is made', 'dump');
    expect(bench.text).toContain('Rim in all');
  });

  it('clamps two halves, and turns a closed one', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.choose('How it is made', 'clamp');
    await bench.type('First filled to', '85 %');
    expect(casting().parts[0].coats.map(({ method, volumeShare }) => [method, volumeShare])).toEqual([
      ['solid', 0.85],
      ['clamp', expect.closeTo(0.15, 9)],
    ]);
    expect(bench.text).not.toMatch(/Coats1|Layers/);
    await bench.choose('How it is made', 'turn');
    await bench.type('Turned every', '1 min');
    expect(casting().parts[0].coats.every(({ method, turnSeconds }) => method === 'turn' && turnSeconds === 60)).toBe(
      true,
    );
    expect(bench.text).not.toContain('Sets');
  });

  it('chills a full mold where it is told, for minutes', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.choose('How it is made', 'chillDump');
    await bench.press('freezer');
    await bench.type('Stands', '3 min');
    expect(casting().parts[0].coats).toHaveLength(1);
    expect(casting().parts[0].coats[0]).toMatchObject({ method: 'chillDump', standsIn: 'freezer', dwellSeconds: 180 });
  });

  it('makes each coat in its own way, tells what each adds, and makes them alike again', async () => {
    const bench = await Bench.of(CoatStation);
    const [, second] = casting().parts[0].coats;
    await bench.press('each its own way');
    await bench.press('coat 2');
    await bench.choose('How it is made', 'brush');
    await bench.press('sides');
    // By weight: 6 g of dark chocolate melted, 1.26 g/mL.
    await bench.type('In each cavity', '6 g');
    expect(casting().parts[0].coats.map(({ method, where }) => [method, where])).toEqual([
      ['dump', 'all'],
      ['brush', 'sides'],
    ]);
    expect(casting().parts[0].coats[1].doseM3 * 1e6).toBeCloseTo(6 / 1.26, 6);
    expect(casting().parts[0].coats[1]).toMatchObject({ shares: second.shares, sets: second.sets });
    expect(bench.text).toMatch(/Coat 2\s*6\.0 g.*rim\s*[\d.]+ mm.*wall\s*[\d.]+ mm.*base\s*0 mm/s);
    // What a filled cavity or a closed vessel asks for, one coat among others cannot have.
    expect(await bench.names('How it is made')).toEqual([
      'fill and dump',
      'spoon and swirl',
      'brush',
      'chill, then dump',
      'paint',
    ]);
    await bench.press('coat 1');
    expect(bench.field('Stands').value).toBe('10 s');
    await bench.press('alike');
    expect(casting().parts[0].coats.map(({ method, where }) => [method, where])).toEqual([
      ['dump', 'all'],
      ['dump', 'all'],
    ]);
  });

  it('lets a coat thicken upright, starts with a cold mold, and goes back', async () => {
    const bench = await Bench.of(CoatStation);
    await bench.press('let it thicken upright first');
    await bench.type('Upright first', '2 min');
    expect(casting().parts[0].coats.map(({ uprightSeconds }) => uprightSeconds)).toEqual([120, 120]);
    await bench.press('mold from the fridge');
    await bench.type('The mold starts at', '0 °C');
    expect(casting().parts[0].moldC).toBe(0);
    expect(bench.text).toContain('As warm as the room');
    await bench.press('As warm as the room');
    expect(casting().parts[0].moldC).toBeUndefined();
  });
});
