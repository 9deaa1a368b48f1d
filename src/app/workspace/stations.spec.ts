import { Bench, closeWorkers, openDemo, wait } from '../../testing/bench';
import type { Casting } from '../../core/record/casting';
import type { CastingStore } from '../state/casting-store';
import { BatchStation } from './batch/batch-station';
import { ChillStation } from './chill/chill-station';
import { CoatStation } from './coat/coat-station';
import { FillStation } from './fill/fill-station';
import { MoldStation } from './mold/mold-station';

let store: CastingStore;
const casting = (): Casting => {
  const current = store.current();
  if (!current) throw new Error('nothing open');
  return current;
};

beforeEach(async () => {
  store = await openDemo();
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

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
});

describe('Chill station', () => {
  it('keeps the kitchen, and says when it never sets', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.type('Room', '86F');
    expect(casting().kitchen.roomC).toBeCloseTo(30, 6);
    await bench.type('Humidity', '80 %');
    expect(casting().kitchen.humidity).toBeCloseTo(0.8, 9);
    await bench.press('room', 1);
    expect(casting().parts[0].coats.map((coat) => coat.sets[0].place)).toEqual(['fridge', 'room']);
    await wait(150);
    await bench.settle();
    expect(bench.text).toContain('does not set here');
  });

  it('lets the user’s own minutes stand, and takes the computed ones back', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('set my own time', 0);
    await bench.type('Your own time for coat 1', '12 min');
    expect(casting().parts[0].coats[0].sets).toEqual([{ place: 'fridge', seconds: 720 }]);
    await wait(150);
    await bench.settle();
    await bench.press('Use the computed time');
    expect(casting().parts[0].coats[0].sets).toEqual([{ place: 'fridge' }]);
  });

  it('rests a coat in the room before its place, as long as wanted, or not', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('rest it in the room first', 1);
    expect(casting().parts[0].coats[1].sets).toEqual([{ place: 'room', seconds: 1200 }, { place: 'fridge' }]);
    await bench.type('Rests in the room first', '30 min');
    await bench.press('freezer', 1);
    expect(casting().parts[0].coats[1].sets).toEqual([{ place: 'room', seconds: 1800 }, { place: 'freezer' }]);
    await bench.press('Straight into its place');
    expect(casting().parts[0].coats[1].sets).toEqual([{ place: 'freezer' }]);
  });

  it('keeps the covered rest', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('covered');
    expect(casting().parts[0].coveredRest).toBe(true);
    await bench.press('in the open');
    expect(casting().parts[0].coveredRest).toBe(false);
  });
});

describe('Fill station', () => {
  it('understands spoons, grams and pieces, each as it was meant', async () => {
    const bench = await Bench.of(FillStation);
    await bench.type('In each piece', '2 tbsp');
    expect(casting().fill[0].amount).toMatchObject({ by: 'volume', m3: expect.closeTo(29.57e-6, 8) });
    await bench.type('In each piece', '12,5 g');
    expect(casting().fill[0].amount).toEqual({ by: 'mass', kg: 0.0125 });
  });

  it('adds, orders, changes and removes layers', async () => {
    const bench = await Bench.of(FillStation);
    const had = casting().fill.length;
    await bench.press('Add a layer');
    expect(casting().fill).toHaveLength(had + 1);
    const ids = casting().fill.map((layer) => layer.id);
    await bench.press(/one layer lower/, had - 1);
    expect(casting().fill.map((layer) => layer.id)).toEqual([...ids.slice(0, had - 1), ids[had], ids[had - 1]]);
    const other = casting().fillings.find((filling) => filling.id !== casting().fill[0].fillingId);
    await bench.choose('Layer 1, at the bottom', other?.id ?? '');
    expect(casting().fill[0].fillingId).toBe(other?.id);
    for (let k = 0; k <= had; k++) await bench.press(/^Remove/, 0);
    expect(casting().fill).toEqual([]);
    expect(bench.text).toContain('Hollow so far');
  });

  it('fills to the line, and says what does not fit', async () => {
    const bench = await Bench.of(FillStation);
    await bench.choose('By', 'line');
    await bench.type('Below the rim', '4 mm');
    expect(casting().fill[0].amount).toEqual({ by: 'line', belowRimM: 0.004 });
    await bench.choose('By', 'share');
    await bench.type('Of the room inside', '30 %');
    expect(casting().fill[0].amount).toEqual({ by: 'share', share: 0.3 });
    await bench.choose('By', 'amount');
    await bench.type('In each piece', '1 cup');
    expect(bench.text).toContain('does not fit');
    expect(bench.text).toContain('It does not close');
  });

  it('names the allergens of shell and filling, and the cautions of what is inside', async () => {
    const bench = await Bench.of(FillStation);
    expect(bench.text).toMatch(/Contains .*milk/i);
    expect(bench.text).toContain('Hot drinks burn');
    expect(bench.text).toContain('Follow your local rules');
  });
});

describe('Batch station', () => {
  it('follows the pieces', async () => {
    const bench = await Bench.of(BatchStation);
    expect(bench.text).toMatch(/Rounds7/);
    await bench.type('Pieces', '30');
    await wait(120);
    await bench.settle();
    expect(bench.text).toMatch(/Rounds11/);
  });

  it('spares by a flat share or by confidence', async () => {
    const bench = await Bench.of(BatchStation);
    await bench.press('flat share');
    expect(casting().spareRule).toEqual({ by: 'share', share: 0.2 });
    await wait(120);
    await bench.settle();
    // A fifth more than 36 halves are 44, in eight rounds of six (common practice, no source).
    expect(bench.text).toMatch(/Rounds8/);
    await bench.type('Spare share', '50 %');
    expect(casting().spareRule).toEqual({ by: 'share', share: 0.5 });
    await bench.press('by confidence');
    expect(casting().spareRule).toEqual({ by: 'confidence', confidence: 0.95 });
  });

  it('counts breakages that were seen, and refuses more broken than cast', async () => {
    const bench = await Bench.of(BatchStation);
    await bench.press('You know how many broke before?');
    await bench.type('Cast before', '40');
    await bench.type('Of them broke', '12');
    expect(casting().breakages).toEqual({ cast: 40, broken: 12 });
    await wait(120);
    await bench.settle();
    expect(bench.text).toMatch(/Rounds(9|1\d)/);
    await bench.type('Of them broke', '50');
    expect(bench.text).toContain('More than were cast');
    expect(casting().breakages).toEqual({ cast: 40, broken: 12 });
    await bench.press('Go by the computed chance alone');
    expect(casting().breakages).toBeUndefined();
  });

  it('keeps a half-typed due time out of the plan', async () => {
    const bench = await Bench.of(BatchStation);
    await bench.enter('Ready by', '18 Oct 12:');
    expect(bench.text).toContain('such as Sat 17 Oct 2026, 18:00; the last one stays');
    expect(casting().due.local).toBe('2026-10-17T18:00');
    await bench.enter('Ready by', '18 oct 12:30');
    expect(casting().due.local).toBe('2026-10-18T12:30');
    expect(bench.field('Ready by').value).toBe('Sun 18 Oct 2026, 12:30');
    await bench.enter('Ready by', '9pm');
    expect(casting().due.local).toBe('2026-10-18T21:00');
  });

  it('answers how many the chocolate on hand makes', async () => {
    const bench = await Bench.of(BatchStation);
    const makes = (): number => Number(/on hand makes(\d+)/.exec(bench.text)?.[1]);
    await bench.type('Quarry 64 on hand', '400 g');
    const few = makes();
    await bench.type('Quarry 64 on hand', '1.2 kg');
    await wait(120);
    await bench.settle();
    expect(few).toBeGreaterThan(0);
    expect(makes()).toBeGreaterThan(2 * few);
  });
});
