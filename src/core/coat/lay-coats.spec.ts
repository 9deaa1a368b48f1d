import fc from 'fast-check';
import { usualCoat } from '../../testing/coat-choice';
import { cavityOf } from '../cavity/cavity';
import { CHOCOLATE_KINDS, FLUIDITY_CLASSES } from '../matter/chocolate';
import { WAYS_UP } from '../record/choices';
import { aimCoats } from './aim';
import type { CoatChoice, CoatPlaceInput } from '../shell/coat-choice';
import { filmVolume, readings, spreadFilm } from '../shell/laid-film';
import { settledFilm, type Wall } from './film';
import { drainLengths } from './drain-length';
import { CoatLayer, NOMINAL, THICKEST, THINNEST } from './lay-coats';

const place: CoatPlaceInput = {
  cavity: cavityOf({ kind: 'hemisphere', diameterM: 0.064 }),
  material: 'silicone',
  moldWallM: 0.0025,
  roomC: 19.5,
};
const coat = usualCoat({ chocolate: { kind: 'dark', fluidity: 'medium', fatShare: 0.38 } });
const { profile } = place.cavity;
const rimOf = (layer: CoatLayer, coats: readonly CoatChoice[]): number =>
  layer.lay(coats).reduce((sum, laid) => sum + readings(profile, laid.thicknessM).rimM, 0);

describe('coats one on another', () => {
  it('lie thicker from stiffer, cooler chocolate, and thinner from warmer', () => {
    const layer = new CoatLayer(place);
    const rim = (variation = NOMINAL): number => readings(profile, layer.lay([coat], variation)[0].thicknessM).rimM;
    expect(rim(THINNEST)).toBeLessThan(rim());
    expect(rim(THICKEST)).toBeGreaterThan(rim());
    const cooler = readings(profile, new CoatLayer(place).lay([{ ...coat, workingC: 28 }])[0].thicknessM).rimM;
    expect(cooler).toBeGreaterThan(rim());
  });

  it('come out more even as two thin ones than as one of the same weight (common practice, no source)', () => {
    const evenness = (coats: readonly CoatChoice[]): number => {
      const laid = new CoatLayer(place).lay(coats);
      const at = laid.map((one) => readings(profile, one.thicknessM));
      return at.reduce((sum, r) => sum + r.rimM, 0) / at.reduce((sum, r) => sum + r.baseM, 0);
    };
    const spooned: CoatChoice = { ...coat, method: 'spoon', wayUp: 'upright', doseM3: 14.8e-6 };
    const thin = [
      { ...spooned, doseM3: 7.4e-6 },
      { ...spooned, id: 'b', doseM3: 7.4e-6 },
    ];
    expect(evenness([spooned])).toBeLessThan(1);
    expect(evenness(thin)).toBeGreaterThan(evenness([spooned]));
  });

  it('pool at the base upright and at the rim upside down, where they have not thickened first (common practice, no source)', () => {
    const spooned = (wayUp: CoatChoice['wayUp']): number => {
      const { rimM, baseM } = readings(
        profile,
        new CoatLayer(place).lay([{ ...coat, method: 'spoon', doseM3: 12e-6, wayUp }])[0].thicknessM,
      );
      return rimM / baseM;
    };
    expect(spooned('upright')).toBeLessThan(1);
    expect(spooned('upsideDown')).toBeGreaterThan(spooned('upright') * 1.05);
  });

  it('no longer mind the way up after a long tapped drain (common practice, no source)', () => {
    const rim = (wayUp: CoatChoice['wayUp']): number =>
      rimOf(new CoatLayer(place), [{ ...coat, drainSeconds: 90, tappingSeconds: 60, wayUp }]);
    expect(Math.abs(rim('upright') / rim('upsideDown') - 1)).toBeLessThan(0.03);
  });

  it('read the same at the rim alone as over the whole wall, for any coats', () => {
    const any = fc.record({
      kind: fc.constantFrom(...CHOCOLATE_KINDS),
      fluidity: fc.constantFrom(...FLUIDITY_CLASSES),
      workingC: fc.double({ min: 26, max: 45, noNaN: true }),
      drainSeconds: fc.double({ min: 2, max: 120, noNaN: true }),
      tappingSeconds: fc.double({ min: 0, max: 120, noNaN: true }),
      dwellSeconds: fc.double({ min: 0, max: 60, noNaN: true }),
      wayUp: fc.constantFrom(...WAYS_UP),
      count: fc.integer({ min: 1, max: 4 }),
      diameterM: fc.double({ min: 0.01, max: 0.4, noNaN: true }),
    });
    fc.assert(
      fc.property(any, ({ kind, fluidity, count, diameterM, ...rest }) => {
        const layer = new CoatLayer({ ...place, cavity: cavityOf({ kind: 'hemisphere', diameterM }) });
        const coats = Array.from({ length: count }, (_, i) => ({
          ...coat,
          ...rest,
          id: String(i),
          chocolate: { kind, fluidity, fatShare: 0.4 },
        }));
        const whole = layer
          .lay(coats)
          .reduce(
            (sum, laid) => sum + readings(cavityOf({ kind: 'hemisphere', diameterM }).profile, laid.thicknessM).rimM,
            0,
          );
        expect(layer.rimM(coats)).toBeCloseTo(whole, 9);
      }),
      { numRuns: 80 },
    );
  });
});

describe('a floor', () => {
  const withFloor = (riseM: number): number => {
    const cavity = cavityOf({
      kind: 'turned',
      points: [
        { radiusM: 0, heightM: 0 },
        { radiusM: 0.025, heightM: riseM },
        { radiusM: 0.03, heightM: 0.04 },
      ],
    });
    return readings(cavity.profile, new CoatLayer({ ...place, cavity }).lay([coat])[0].thicknessM).baseM;
  };

  it('drains much alike whether it is level, all but level, or a shallow cone: the hand rocks it', () => {
    const level = withFloor(0);
    for (const riseM of [1e-5, 1e-4, 5e-4, 1e-3, 2e-3])
      expect(Math.abs(withFloor(riseM) / level - 1)).toBeLessThan(0.15);
  });

  it('that is level leaves a coat of millimetres, not of the whole dump', () => {
    expect(withFloor(0) * 1e3).toBeGreaterThan(1.5);
    expect(withFloor(0) * 1e3).toBeLessThan(5);
  });
});

describe('aim', () => {
  it.each([0.0012, 0.0016, 0.0026, 0.0036])('lands on %f m at the rim', (rimM) => {
    const layer = new CoatLayer(place);
    const aimed = aimCoats(place, [coat], rimM, layer);
    expect(aimed.reached).toBe(true);
    expect(rimOf(new CoatLayer(place), aimed.coats)).toBeCloseTo(rimM, 5);
  });

  it('takes no coat more than it needs', () => {
    const layer = new CoatLayer(place);
    const { coats } = aimCoats(place, [coat], 0.0036, layer);
    expect(coats).toHaveLength(2);
    // One coat, tipped out as shortly as the aim allows, stays below.
    expect(rimOf(layer, [{ ...coat, drainSeconds: 5, tappingSeconds: 2.5 }])).toBeLessThan(0.0036);
  });

  it('aims a spooned shell by its dose', () => {
    const spooned: CoatChoice = { ...coat, method: 'spoon' };
    const layer = new CoatLayer(place);
    const thin = aimCoats(place, [spooned], 0.0005, layer);
    expect(thin.reached).toBe(true);
    expect(rimOf(layer, thin.coats)).toBeCloseTo(0.0005, 5);
  });

  it('says when a coat cannot be made as thin, or four as thick', () => {
    const layer = new CoatLayer(place);
    expect(aimCoats(place, [coat], 0.0001, layer).reached).toBe(false);
    expect(aimCoats(place, [coat], 0.02, new CoatLayer(place))).toMatchObject({ reached: false, coats: { length: 4 } });
  });
});

describe('films', () => {
  const { cavity } = place;
  const wall: Wall = { cavity, towardRim: drainLengths(profile), towardPole: drainLengths(profile, true) };

  it('hold the whole dose: 1.5 teaspoons over a 63.5 mm half are 1.21 mm (volume over mold area 1.17)', () => {
    const half = cavityOf({ kind: 'hemisphere', diameterM: 0.0635 });
    const dose = 1.5 * 4.93e-6;
    const film = spreadFilm(half, dose, 'all');
    expect(film[10] * 1e3).toBeCloseTo(1.21, 2);
    expect((dose / half.wallAreaM2) * 1e3).toBeCloseTo(1.17, 2);
    expect(filmVolume(half, film) / dose).toBeCloseTo(1, 2);
  });

  it('put a rim coat on the rim alone, and a sides coat off the base', () => {
    const rim = readings(profile, spreadFilm(cavity, 2e-6, 'rim'));
    expect(rim.baseM).toBe(0);
    expect(rim.wallM).toBe(0);
    expect(rim.rimM).toBeGreaterThan(0.0005);
    const sides = readings(profile, spreadFilm(cavity, 2e-6, 'sides'));
    expect(sides.baseM).toBe(0);
    expect(sides.wallM).toBeGreaterThan(0);
  });

  it('keep their mass while they settle, and stay where a film is thinner than it holds', () => {
    const flow = { yieldPa: 7, viscosityPas: 2.2 };
    const thick = spreadFilm(cavity, 12e-6, 'all');
    for (const wayUp of WAYS_UP) {
      const settled = settledFilm(wall, thick, flow, 1260, 10, wayUp);
      expect(filmVolume(cavity, settled) / filmVolume(cavity, thick)).toBeCloseTo(1, 5);
    }
    // Hold thickness on an upright wall: 7 / (1260 × 9.81) = 0.57 mm.
    const thin = spreadFilm(cavity, 3e-6, 'all');
    expect(readings(profile, thin).rimM).toBeLessThan(0.00057);
    expect(settledFilm(wall, thin, flow, 1260, 10, 'upright')[40]).toBe(thin[40]);
  });
});
