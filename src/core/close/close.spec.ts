import fc from 'fast-check';
import { depthCurve } from '../cavity/depth-curve';
import { cavityOf } from '../cavity/cavity';
import { demoCastings } from '../../data/demo';
import { planned } from '../../testing/planned';
import type { Closure } from '../record/closing';
import type { PlaceKitchen } from '../shell/place-air';
import { closeStation, type CloseInput } from './close';
import { rimLossPerSecond } from './plate';

const KITCHEN: PlaceKitchen = { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false };
const curve = depthCurve(cavityOf({ kind: 'cylinder', diameterM: 0.03, depthM: 0.02 }).profile);
const close = (closure: Partial<Closure> & Pick<Closure, 'kind'>, more: Partial<CloseInput> = {}) =>
  closeStation({
    closure: {
      meltId: 'm',
      sets: [{ place: 'room' }],
      plateC: 45,
      seconds: 4,
      levelS: 0,
      rims: 'empty',
      lineM: 0.003,
      thicknessM: 0.002,
      doseM3: 2e-6,
      holeM: 0.01,
      partId: 'p',
      ...closure,
    } as unknown as Closure,
    depthM: 0.1,
    rimLengthM: 0.2,
    rimThicknessM: 0.0025,
    partKg: 0.05,
    rimColours: 1,
    inside: curve,
    filledToM: 0.017,
    rims: 2,
    squared: true,
    melt: { kind: 'dark', fatShare: 0.4, workingC: 31.5 },
    shell: { kind: 'dark', fatShare: 0.4 },
    kitchen: KITCHEN,
    pieces: 18,
    ...more,
  });

describe('closing', () => {
  it('pipes a seam of 3 mm round 200 mm: 1.41 mL, 1.8 g (mensuration)', () => {
    expect(close({ kind: 'pipedSeam' }).mass.value).toBeCloseTo(0.2 * Math.PI * 0.0015 ** 2 * 1260, 12);
    expect(close({ kind: 'lid' }).mass.value).toBe(close({ kind: 'pipedSeam' }).mass.value);
  });

  it('caps a straight cavity of 30 mm down to its filling, 3 mm below the rim, with 2.67 g (mensuration)', () => {
    const { mass, cap } = close({ kind: 'cap' });
    expect(mass.value / (Math.PI * 0.015 ** 2 * 0.003 * 1260)).toBeCloseTo(1, 6);
    expect(cap?.thickness.value).toBeCloseTo(0.003, 12);
    expect(cap?.meanM).toBeCloseTo(0.003, 6);
    expect([cap?.below.value, cap?.over.value]).toEqual([0, 0]);
  });

  it('cools through no more than it is thick, however narrow the neck it closes', () => {
    const necked = depthCurve(cavityOf({ kind: 'ball', diameterM: 0.05, openingM: 0.006 }).profile);
    const filledToM = necked.levelAt(0.9 * necked.capacityM3);
    const { cap } = close({ kind: 'cap' }, { inside: necked, filledToM });
    expect(cap?.meanM).toBe(cap?.thickness.value);
    expect(cap?.meanM).toBeCloseTo(necked.depthM - filledToM, 9);
  });

  it('lays a dose on the filling: as thick as it comes to, below the rim, or over it (mensuration)', () => {
    const faceM2 = Math.PI * 0.015 ** 2;
    const dosed = (m: number) => close({ kind: 'dosedCap', doseM3: faceM2 * m } as Closure);
    expect(dosed(0.001).cap?.thickness.value).toBeCloseTo(0.001, 6);
    expect(dosed(0.001).cap?.below.value).toBeCloseTo(0.002, 6);
    expect(dosed(0.004).cap?.thickness.value).toBeCloseTo(0.003, 9);
    expect((dosed(0.004).cap?.over.value ?? 0) / (faceM2 * 0.001 * 1260)).toBeCloseTo(1, 3);
    // The usual teaspoon on a liner cup: about 6 g. Common practice, no source.
    expect(close({ kind: 'dosedCap', doseM3: 4.93e-6 } as Closure).mass.value).toBeCloseTo(0.0062, 4);
  });

  it('is as thick as the room there is, from none to the whole depth, without a jump', () => {
    const at = (filledToM: number) => close({ kind: 'cap' }, { filledToM }).cap?.thickness.value ?? NaN;
    expect(at(curve.depthM)).toBe(0);
    expect(at(0)).toBeCloseTo(curve.depthM, 12);
    for (let i = 0; i < 200; i++) {
      const [a, b] = [at((curve.depthM * i) / 200), at((curve.depthM * (i + 1)) / 200)];
      expect(a - b).toBeCloseTo(curve.depthM / 200, 9);
    }
  });

  it('plugs a hole with a disc (mensuration)', () => {
    expect(close({ kind: 'plug' }).mass.value).toBeCloseTo(Math.PI * 0.005 ** 2 * 0.002 * 1260, 12);
  });

  // Common practice, no source: a few seconds until it is flat and melted all round; too long, lopsided and short; reheated every few pieces.
  it('melts some tenths of a millimetre of a rim in a few seconds on a warm plate, which serves a few pieces', () => {
    const { plate, mass } = close({ kind: 'warmPlate' });
    expect(mass.value).toBe(0);
    expect((plate?.lost.value ?? 0) * 1e3).toBeGreaterThan(0.15);
    expect((plate?.lost.value ?? 0) * 1e3).toBeLessThan(1);
    expect(plate?.perWarming.value).toBeGreaterThanOrEqual(3);
    expect(plate?.perWarming.value).toBeLessThanOrEqual(15);
    expect(plate?.warmings.value).toBe(Math.ceil(18 / (plate?.perWarming.value ?? 1)));
  });

  it('loses more the hotter the plate and the longer it stands there, and nothing on a cold one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 35, max: 90, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (plateC, seconds) => {
          const lost = (c: number, s: number): number =>
            close({ kind: 'warmPlate', plateC: c, seconds: s } as Closure).plate?.lost.value ?? NaN;
          expect(lost(plateC, seconds)).toBeGreaterThan(0);
          expect(lost(plateC + 5, seconds)).toBeGreaterThan(lost(plateC, seconds));
          expect(lost(plateC, seconds * 2)).toBeCloseTo(2 * lost(plateC, seconds), 12);
        },
      ),
    );
    expect(rimLossPerSecond({ kind: 'compound', fatShare: 0.32 }, 34, 20)).toBe(0);
    expect(close({ kind: 'warmPlate', plateC: 90, seconds: 60 } as Closure, { depthM: 0.003 }).plate?.lost.value).toBe(
      0.003,
    );
  });

  // Common practice, no source: bonbons about three quarters full leave a cap of 1.5 to 2.5 mm.
  it('leaves a bonbon that is three quarters full room for a usual cap', () => {
    const bonbons = demoCastings(new Date('2026-10-12T08:00:00Z')).find(({ id }) => id === 'demo-bonbons');
    if (!bonbons) throw new Error('no bonbons');
    bonbons.fill[0].amount = { by: 'share', share: 0.75 };
    const { close: made, fill } = planned(bonbons);
    expect(fill.headspace.value * 1e3).toBeGreaterThan(1.5);
    expect(fill.headspace.value * 1e3).toBeLessThan(3.5);
    expect(made?.cap?.thickness.value).toBeCloseTo(fill.headspace.value, 9);
  });

  it('levels every rim first and melts one or both again: the piece loses what all of them lose', () => {
    const plate = (more: object) => close({ kind: 'warmPlate', ...more } as Closure).plate;
    const rate = rimLossPerSecond({ kind: 'dark', fatShare: 0.4 }, 45, 19.5);
    const lost = (more: object): number => plate(more)?.lost.value ?? NaN;
    expect(lost({ seconds: 3 })).toBeCloseTo(3 * rate, 12);
    expect(lost({ seconds: 3, rims: 'both' })).toBeCloseTo(6 * rate, 12);
    // The one-pass heat balance, three times: both rims levelled for 2 s, one melted again for 3.
    expect(lost({ seconds: 3, levelS: 2 })).toBeCloseTo(7 * rate, 12);
    expect(lost({ seconds: 3, levelS: 2, rims: 'both' })).toBeCloseTo(10 * rate, 12);
    // A shell on its base has one rim.
    const onBase = close({ kind: 'warmPlate', seconds: 3, levelS: 2, rims: 'both' } as Closure, { rims: 1 }).plate;
    expect(onBase?.lost.value).toBeCloseTo(5 * rate, 12);
    expect(plate({ seconds: 3, levelS: 2 })?.warmings.value).toBeGreaterThan(
      plate({ seconds: 3 })?.warmings.value ?? NaN,
    );
  });

  it('takes up as glue what levelling left on the plate, and no more: nothing is made of nothing', () => {
    const plate = (more: object) => close({ kind: 'warmPlate', ...more } as Closure).plate;
    expect(plate({})?.glue).toBeUndefined();
    expect(plate({ levelS: 3, rims: 'both' })?.glue).toBeUndefined();
    const kgOf = (m: number): number => m * 0.2 * 0.0025 * 1260 * 1.03;
    for (let k = 1; k <= 200; k++) {
      const levelS = (60 * k) / 200;
      const one = plate({ levelS });
      const melted = (one?.lostMass.value ?? NaN) + (one?.glue?.value ?? NaN);
      expect(one?.glue?.value).toBeLessThanOrEqual(kgOf(0.0005) * 1.05);
      expect(one?.lostMass.value).toBeGreaterThan(0);
      expect(melted / kgOf(one?.lost.value ?? NaN)).toBeCloseTo(1, 1);
    }
  });

  it('needs a square rim fewer seconds on the plate, and one that was levelled fewest', () => {
    const flat = (more: object, squared: boolean): number =>
      close({ kind: 'warmPlate', ...more } as Closure, { squared }).plate?.flat.value ?? NaN;
    expect(flat({}, true)).toBeLessThan(flat({}, false));
    expect(flat({ levelS: 3 }, true)).toBeLessThan(flat({}, true));
    // A few seconds on a plate of 45 °C. Common practice, no source.
    expect(flat({}, true)).toBeGreaterThan(2);
    expect(flat({}, false)).toBeLessThan(8);
  });

  it('tells how long a joint sets: a thicker line longer, the fridge sooner, a warm room never', () => {
    const sets = (closure: object, more: Partial<CloseInput> = {}): number =>
      close(closure as Closure, more).sets?.value ?? NaN;
    const line = (lineM: number, place = 'room') => ({ kind: 'pipedSeam', lineM, sets: [{ place }] });
    for (let k = 1; k < 200; k++)
      expect(sets(line(0.001 + (0.006 * k) / 200))).toBeGreaterThanOrEqual(sets(line(0.001 + (0.006 * (k - 1)) / 200)));
    expect(sets(line(0.003, 'fridge'))).toBeLessThan(sets(line(0.003)));
    expect(sets(line(0.003), { kitchen: { ...KITCHEN, roomC: 30 } })).toBe(Infinity);
    expect(close({ kind: 'cap' }).sets).toBeUndefined();
    // A melted rim holds within minutes in the room. Common practice, no source.
    expect(sets({ kind: 'warmPlate' })).toBeGreaterThan(15);
    expect(sets({ kind: 'warmPlate' })).toBeLessThan(10 * 60);
    expect(close({ kind: 'pipedSeam', sets: [{ place: 'room', seconds: 60 }] } as unknown as Closure).stay?.value).toBe(
      60,
    );
  });
});
