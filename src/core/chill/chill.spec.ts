import fc from 'fast-check';
import { CHOCOLATE_KINDS, CHOCOLATE_MATTER } from '../matter/chocolate';
import { PLACES, WAYS_UP, type Place } from '../record/choices';
import { insideOf } from '../shell/coat-choice';
import { chillCapped, chillCasting, chillNominal } from './chill';
import type { ChillCap, ChillCoat, ChillInput } from './chill-input';

const coat: ChillCoat = {
  kind: 'dark',
  fatShare: 0.4,
  workingC: 31.5,
  thicknessM: { value: 0.0013, low: 0.0011, high: 0.0016 },
  wallC: 23,
  wayUp: 'upsideDown',
  inside: 'dome',
  rests: [],
  handlingSeconds: 60,
  place: 'fridge',
};
const input = (
  change: Partial<ChillCoat> = {},
  coats = 2,
  kitchen: Partial<ChillInput['kitchen']> = {},
): ChillInput => ({
  material: 'silicone',
  wallM: 0.0025,
  meanCurvature: 1 / 0.032,
  gaussCurvature: 1 / 0.032 ** 2,
  floorShare: 0,
  kitchen: { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false, ...kitchen },
  coats: Array.from({ length: coats }, () => ({ ...coat, ...change })),
});
const MINUTE = 60;

describe('chill', () => {
  // Intervals of the trade, with the default kitchen, for every kind and either way up. Common practice, no source.
  it.each([
    ['between coats in the fridge, 5 to 10 min', 0, 'fridge', [5, 10], 'touch'],
    ['between coats in the freezer, about 5 min', 0, 'freezer', [5], 'touch'],
    ['before unmolding in the fridge, about 10 min', 1, 'fridge', [10], 'unmold'],
  ] as const)(
    'holds both ends of the usual interval %s inside its window widened by a fifth',
    (_, index, place, ends, waitsFor) => {
      for (const wayUp of WAYS_UP) {
        for (const kind of CHOCOLATE_KINDS) {
          const { fatShare, workFromC, workToC } = CHOCOLATE_MATTER[kind];
          const chill = chillCasting(
            input({
              wayUp,
              inside: insideOf({ outward: false }, { method: 'dump', wayUp }),
              place,
              kind,
              fatShare,
              workingC: (workFromC + workToC) / 2,
            }),
          ).coats[index].chosen;
          for (const minutes of ends) {
            expect(minutes * MINUTE).toBeGreaterThan(chill[waitsFor].value * 0.8);
            expect(minutes * MINUTE).toBeLessThan(chill.latest.value * 1.2);
          }
        }
      }
    },
  );

  it('gives the same nominal figures quickly as with ranges', () => {
    const quick = chillNominal(input()).coats;
    const full = chillCasting(input()).coats;
    quick.forEach((one, i) => expect(one.chosen.unmold.value).toBe(full[i].chosen.unmold.value));
    expect(full[1].chosen.unmold.low).toBeLessThan(full[1].chosen.unmold.value);
    expect(full[1].chosen.unmold.high).toBeGreaterThan(full[1].chosen.unmold.value);
  });

  it('is quicker in colder places and slower for thicker coats', () => {
    const [fridge, freezer, room] = chillCasting(input({}, 1)).coats[0].places;
    expect(freezer.touch.value).toBeLessThan(fridge.touch.value);
    expect(fridge.touch.value).toBeLessThan(room.touch.value);
    const thick = chillNominal(input({ thicknessM: { value: 0.003, low: 0.002, high: 0.004 } }, 1)).coats[0].chosen;
    expect(thick.unmold.value).toBeGreaterThan(fridge.unmold.value);
  });

  // Common practice, no source: a thin shell is firm in the room after 15 to 40 min; about 27 °C dark, and 25 to 26 milk and white, stays soft.
  it.each(CHOCOLATE_KINDS)(
    '%s sets the more slowly the warmer the room, without a jump, and stays soft only where it is hot',
    (kind) => {
      const { fatShare, workFromC } = CHOCOLATE_MATTER[kind];
      const minutes = Array.from({ length: 201 }, (_, k) => {
        const roomC = 12 + (k * 18) / 200;
        const change = { kind, fatShare, workingC: workFromC + 0.5, place: 'room', wallC: roomC + 3 } as const;
        return chillNominal(input(change, 1, { roomC })).coats[0].chosen.unmold.value / MINUTE;
      });
      const finite = minutes.filter(Number.isFinite);
      for (let k = 1; k < finite.length; k++) expect(finite[k]).toBeGreaterThan(finite[k - 1]);
      // Where it comes to its end it is slow beyond any use, and then never.
      for (let k = 1; k < 120; k++) expect(minutes[k] / minutes[k - 1]).toBeLessThan(1.05);
      const softFromC = 12 + (finite.length * 18) / 200;
      expect(softFromC).toBeGreaterThan(24.5);
      expect(softFromC).toBeLessThan(27.5);
      expect(minutes[89]).toBeLessThan(40);
    },
  );

  it('never sets real chocolate in a room above its setting range', () => {
    const chill = chillNominal(input({ place: 'room' }, 1, { roomC: 33.5 })).coats[0].chosen;
    expect(chill.equilibrium).toBe(0);
    expect(chill.touch.value).toBe(Infinity);
    expect(chill.unmold.value).toBe(Infinity);
  });

  const rigidIn = (fridgeC: number, cutAway = false, place: Place = 'fridge') => {
    const rigid = { ...input({ place }, 1, { fridgeC }), material: 'polycarbonate' as const, cutAway };
    return chillNominal(rigid).coats[0].chosen.unmold.value;
  };

  // Common practice, no source: cabinets of 10 to 14 °C are usual.
  // Common practice, no source: only melted, it sets clean in the cold, and is soft in a warm room. From memory: the fourth form of cocoa butter melts some 6 K below the fifth.
  it('sets later without seed, in the cold none the less, and not in a room of 23 °C; a coating is the same either way', () => {
    for (const kind of CHOCOLATE_KINDS) {
      for (const place of PLACES) {
        const at = (unseeded: boolean, roomC: number) =>
          chillNominal(input({ kind, place, unseeded }, 1, { roomC })).coats[0].chosen;
        const [seeded, not] = [at(false, 20), at(true, 20)];
        if (kind === 'compound') expect(not).toEqual(seeded);
        else {
          expect(not.touch.value).toBeGreaterThan(seeded.touch.value);
          expect(not.equilibrium).toBeLessThanOrEqual(seeded.equilibrium);
          expect(Number.isFinite(not.unmold.value)).toBe(place !== 'room' || kind === 'dark');
          if (place === 'room') expect(at(true, 23).unmold.value).toBe(Infinity);
        }
      }
    }
  });

  it('lets a rigid mold go when the chocolate has shrunk: in a cabinet of 14 °C the later, in a room of 19.5 °C never', () => {
    expect(rigidIn(5, false, 'room')).toBe(Infinity);
    const minutes = [5, 8, 10, 12, 14].map((celsius) => rigidIn(celsius) / MINUTE);
    for (let k = 1; k < minutes.length; k++) expect(minutes[k]).toBeGreaterThan(minutes[k - 1]);
    expect(minutes[0]).toBeLessThan(30);
    expect(minutes[4]).toBeLessThan(90);
  });

  it('does not wait for a vessel that is cut away to shrink free', () => {
    expect(rigidIn(5, true, 'room')).toBeLessThan(3 * 3600);
    expect(rigidIn(5, true)).toBeLessThanOrEqual(rigidIn(5));
  });

  it('lets a later coat start from what the one before it left behind', () => {
    const long = chillNominal(input({ overruledSeconds: 30 * MINUTE }, 2)).coats[1].chosen.touch.value;
    const short = chillNominal(input({ overruledSeconds: 4 * MINUTE }, 2)).coats[1].chosen.touch.value;
    expect(long).toBeLessThan(short);
  });

  // Common practice, no source: bonbons rest about 20 min in the room before the fridge, and then want 15 to 20 there.
  it('takes a rest into account: less is left to do in the cold, and a rest as long as it takes leaves only the cooling', () => {
    const unmold = (minutes: number): number =>
      chillNominal({
        ...input({ rests: minutes > 0 ? [{ place: 'room', seconds: minutes * MINUTE }] : [] }, 1),
        material: 'polycarbonate',
      }).coats[0].chosen.unmold.value;
    expect(unmold(20)).toBeLessThan(0.8 * unmold(0));
    expect(unmold(60)).toBeGreaterThan(2 * MINUTE);
    const elsewhere = chillNominal(input({ rests: [{ place: 'freezer', seconds: 3 * MINUTE }] }, 1)).coats[0].chosen
      .touch.value;
    expect(elsewhere).toBeLessThan(
      chillNominal(input({ rests: [{ place: 'room', seconds: 3 * MINUTE }] }, 1)).coats[0].chosen.touch.value,
    );
  });

  it('comes to the room while it stands on after the cold, and what is cut short there is ready when it has set on the bench', () => {
    const stays = (seconds: number, own?: number) =>
      chillCasting(
        input(
          {
            ...(own === undefined ? {} : { overruledSeconds: own }),
            then: seconds > 0 ? [{ place: 'room', seconds }] : [],
          },
          1,
        ),
      ).coats[0];
    const warmth = [0, 20, 60, 150, 7200].map((seconds) => stays(seconds).surfaceC);
    warmth.slice(0, -1).forEach((celsius, i) => i > 0 && expect(celsius).toBeGreaterThan(warmth[i - 1]));
    expect(warmth[warmth.length - 1]).toBeCloseTo(input().kitchen.roomC, 0);
    // What it does in its place is told alike, wherever it goes from there.
    expect(stays(600).chosen).toEqual(stays(0).chosen);
    const needed = stays(0).chosen.unmold.value;
    expect([stays(0, 0.9 * needed), stays(3600, 0.9 * needed)].map(({ ready }) => ready.unmold)).toEqual([false, true]);
    expect(stays(3600, needed + 1).ready.unmold).toBe(true);
  });

  it('cools two joined halves through the mold alone: as a plate of twice the depth cooled from both sides', () => {
    const thick = { value: 0.008, low: 0.008, high: 0.008 };
    const flat = { meanCurvature: 0, gaussCurvature: 0, material: 'thinPlastic' as const, wallM: 0.0006 };
    const unmold = (inside: ChillCoat['inside']): number =>
      chillNominal({ ...input({ inside, thicknessM: thick }, 1), ...flat }).coats[0].chosen.unmold.value;
    expect(unmold('joined')).toBeGreaterThan(1.3 * unmold('open'));
    // Lumped: the heat of 8 mm (1650 J/kg K over 20 K and the setting of 40 % fat) through one face at 12 W/m²K over about 16 K.
    const lumped = (0.008 * 1260 * 1.03 * (1650 * 20 + 157e3 * 0.4)) / (12 * 16);
    expect(unmold('joined') / lumped).toBeGreaterThan(0.7);
    expect(unmold('joined') / lumped).toBeLessThan(1.5);
  });

  it('follows a very thick piece to its end, or says that it has none', () => {
    const thick = { value: 0.06, low: 0.06, high: 0.06 };
    const deep = { ...input({ inside: 'joined', thicknessM: thick }, 1), meanCurvature: 0, gaussCurvature: 0 };
    const { unmold } = chillNominal(deep).coats[0].chosen;
    expect(unmold.value).toBeGreaterThan(4 * 3600);
    expect(Number.isFinite(unmold.value)).toBe(true);
  });

  it('sets later when the chocolate, the mold or the place is warmer, and when the coat is thicker, over the whole input space', () => {
    const any = fc.record({
      kind: fc.constantFrom(...CHOCOLATE_KINDS),
      overK: fc.double({ min: 0, max: 3, noNaN: true }),
      mm: fc.double({ min: 0.5, max: 6, noNaN: true }),
      wallC: fc.double({ min: 0, max: 26, noNaN: true }),
      fridgeC: fc.double({ min: 0, max: 12, noNaN: true }),
      wayUp: fc.constantFrom(...WAYS_UP),
      floorShare: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    const seconds = ({
      kind,
      overK,
      mm,
      wallC,
      fridgeC,
      wayUp,
      floorShare,
    }: typeof any extends fc.Arbitrary<infer T> ? T : never) => {
      const m = mm / 1000;
      const { fatShare, workFromC } = CHOCOLATE_MATTER[kind];
      const change = {
        kind,
        fatShare,
        workingC: workFromC + overK,
        thicknessM: { value: m, low: m, high: m },
        wallC,
        wayUp,
      };
      const { touch, unmold } = chillNominal({ ...input(change, 1, { fridgeC }), floorShare }).coats[0].chosen;
      return [touch.value, unmold.value];
    };
    fc.assert(
      fc.property(any, (one) => {
        const now = seconds(one);
        const later = [
          { overK: one.overK + 1 },
          { mm: one.mm * 1.15 },
          { wallC: one.wallC + 3 },
          { fridgeC: one.fridgeC + 2 },
        ];
        for (const change of later)
          seconds({ ...one, ...change }).forEach((then, i) => expect(then).toBeGreaterThanOrEqual(now[i] * 0.999));
      }),
      { numRuns: 120 },
    );
  });

  it('gives ordered, finite or plainly infinite times over the whole input space', () => {
    const any = fc.record({
      kind: fc.constantFrom(...CHOCOLATE_KINDS),
      workingC: fc.double({ min: 26, max: 45, noNaN: true }),
      mm: fc.double({ min: 0.01, max: 20, noNaN: true }),
      wayUp: fc.constantFrom(...WAYS_UP),
      place: fc.constantFrom(...PLACES),
      handlingSeconds: fc.integer({ min: 0, max: 3600 }),
      roomC: fc.double({ min: 10, max: 35, noNaN: true }),
      fridgeC: fc.double({ min: 0, max: 12, noNaN: true }),
      freezerC: fc.double({ min: -30, max: -5, noNaN: true }),
      wallMm: fc.double({ min: 0.2, max: 20, noNaN: true }),
    });
    fc.assert(
      fc.property(any, ({ mm, wallMm, roomC, fridgeC, freezerC, ...rest }) => {
        const m = mm / 1000;
        const result = chillNominal({
          ...input({ ...rest, thicknessM: { value: m, low: m, high: m } }, 2, { roomC, fridgeC, freezerC }),
          wallM: wallMm / 1000,
        });
        for (const { chosen, surfaceC } of result.coats) {
          for (const t of [chosen.touch.value, chosen.unmold.value, chosen.latest.value])
            expect(t).toBeGreaterThanOrEqual(0);
          expect(chosen.unmold.value).toBeGreaterThanOrEqual(chosen.touch.value);
          expect(chosen.latest.value).toBeGreaterThanOrEqual(chosen.unmold.value);
          expect(Number.isFinite(surfaceC)).toBe(true);
        }
      }),
      { numRuns: 80 },
    );
  });
});

describe('a capped piece', () => {
  const cap: ChillCap = {
    kind: 'dark',
    fatShare: 0.4,
    workingC: 31.5,
    thicknessM: 0.002,
    faceShare: 0.4,
    handlingSeconds: 60,
    rests: [{ place: 'room', seconds: 20 * MINUTE }],
    place: 'fridge',
    filling: { thicknessM: 0.006, volumetricHeat: 2.2e6 },
  };
  const bonbon: ChillInput = { ...input({ place: 'room' }, 1), material: 'polycarbonate', wallM: 0.003 };

  // Common practice, no source: 20 min in the room, then 15 to 20 min in the fridge; filled once the shell holds, long before it could come out.
  it('is filled when its shell holds, and comes out some 15 to 25 min after its rest', () => {
    const { holds, touch, unmold } = chillNominal(bonbon).coats[0].chosen;
    expect(holds.value).toBeLessThan(touch.value);
    expect(unmold.value).toBe(Infinity);
    const { chosen } = chillCapped(bonbon, cap);
    expect(chosen.unmold.value / MINUTE).toBeGreaterThan(15);
    expect(chosen.unmold.value / MINUTE).toBeLessThan(25);
    expect(chosen.unmold.low).toBeLessThan(chosen.unmold.value);
    expect(chosen.unmold.high).toBeGreaterThan(chosen.unmold.value);
  });

  it('on nothing, and as wide as its wall, is one coat more', () => {
    const flat = { ...bonbon, material: 'silicone', meanCurvature: 0, gaussCurvature: 0 } as const;
    const first: ChillCoat = { ...coat, place: 'room', overruledSeconds: 600 };
    const level = { ...coat, inside: 'level', wayUp: 'upright', thicknessM: { value: 0.002, low: 0.002, high: 0.002 } };
    const asCoat = chillNominal({ ...flat, coats: [first, level as ChillCoat] }).coats[1].chosen;
    const bare = { ...cap, rests: [], faceShare: 1, filling: { thicknessM: 0, volumetricHeat: 1 } };
    const asCap = chillCapped({ ...flat, coats: [first] }, bare).chosen;
    expect(asCap.touch.value).toBeCloseTo(asCoat.touch.value, 6);
    expect(asCap.unmold.value).toBeCloseTo(asCoat.unmold.value, 6);
  });

  it('is out later where the place is warmer and where the cap is thicker, and sets to the touch before that', () => {
    const any = fc.record({
      kind: fc.constantFrom(...CHOCOLATE_KINDS),
      capMm: fc.double({ min: 0.5, max: 8, noNaN: true }),
      fillingMm: fc.double({ min: 3, max: 20, noNaN: true }),
      fridgeC: fc.double({ min: 0, max: 10, noNaN: true }),
      restMin: fc.constantFrom(0, 5, 20),
      faceShare: fc.double({ min: 0.35, max: 1, noNaN: true }),
    });
    type Any = typeof any extends fc.Arbitrary<infer T> ? T : never;
    const out = ({ kind, capMm, fillingMm, fridgeC, restMin, faceShare }: Any) => {
      const { fatShare, workFromC } = CHOCOLATE_MATTER[kind];
      const chocolate = { kind, fatShare, workingC: workFromC };
      const shell = { ...input({ ...chocolate, place: 'room' }, 1, { fridgeC }), meanCurvature: 1 / 0.012 };
      return chillCapped(shell, {
        ...cap,
        ...chocolate,
        thicknessM: capMm / 1000,
        faceShare,
        rests: restMin > 0 ? [{ place: 'room', seconds: restMin * MINUTE }] : [],
        filling: { ...cap.filling, thicknessM: fillingMm / 1000 },
      }).chosen;
    };
    fc.assert(
      fc.property(any, (one) => {
        const now = out(one);
        expect(now.holds.value).toBeLessThanOrEqual(now.touch.value);
        expect(now.touch.value).toBeLessThanOrEqual(now.unmold.value);
        expect(now.unmold.value).toBeLessThanOrEqual(now.latest.value);
        expect(Number.isFinite(now.unmold.value)).toBe(true);
        for (const change of [{ capMm: one.capMm * 1.2 }, { fridgeC: one.fridgeC + 2 }])
          expect(out({ ...one, ...change }).unmold.value).toBeGreaterThanOrEqual(now.unmold.value * 0.999 - 0.1);
      }),
      { numRuns: 40 },
    );
  });

  it('goes through 200 fridges and 200 caps without a jump', () => {
    const scan = (at: (share: number) => number): void => {
      const values = Array.from({ length: 201 }, (_, i) => at(i / 200));
      for (let i = 1; i < values.length; i++)
        expect(Math.abs(values[i] - values[i - 1])).toBeLessThan(0.03 * values[i] + 15);
    };
    const silicone = input({ place: 'room' }, 1);
    scan((share) => chillCapped(silicone, { ...cap, thicknessM: 0.0005 + 0.0055 * share }).chosen.unmold.value);
    scan((share) => {
      const { kitchen } = silicone;
      return chillCapped({ ...silicone, kitchen: { ...kitchen, fridgeC: 9 * share } }, cap).chosen.unmold.value;
    });
  });
});
