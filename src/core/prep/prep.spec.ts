import { chillNominal } from '../chill/chill';
import { newCasting } from '../../data/demo';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import { MOLD_MATTER } from '../matter/mold-material';
import { addPrep } from '../edit/prep';
import type { Casting, Prep } from '../record/casting';
import { PATTERNS, PREP_KINDS, prepRow } from '../record/prep';
import type { PlaceKitchen } from '../shell/place-air';
import { paintSetsSeconds, type PaintedMold, type SettingFilm } from '../shell/film-sets';
import { prepStation, type PrepInput } from './prep';

const KITCHEN: PlaceKitchen = { roomC: 19.5, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false };
/** The wall of a 28 mm half sphere: 2πR². */
const WALL_M2 = 2 * Math.PI * 0.014 ** 2;

function step(kind: Prep['kind'], more: Partial<Prep> = {}): Prep {
  const casting: Casting = newCasting('c', 'c', new Date('2026-10-12T08:00:00Z'));
  const [part] = casting.parts;
  addPrep(part, kind, 'p', 'colour');
  return { ...part.prep[0], ...more } as Prep;
}

function input(of: Prep, more: Partial<PrepInput> = {}): PrepInput {
  return {
    step: of,
    wallM2: WALL_M2,
    floorShare: 0,
    material: 'polycarbonate',
    moldWallM: 0.003,
    kitchen: KITCHEN,
    melt: 'meltId' in of ? { kind: 'white', fatShare: 0.36, workingC: 29.5 } : undefined,
    followed: false,
    ...more,
  };
}

type Painted = SettingFilm & PaintedMold;
const filmSetsSeconds = (of: Painted): number => paintSetsSeconds(of, of);
const film: Painted = {
  of: { kind: 'dark', fatShare: 0.38 },
  thickM: 0.0004,
  laidC: 31.5,
  material: 'polycarbonate',
  wallM: 0.003,
  floorShare: 0,
  kitchen: KITCHEN,
  rests: [],
  place: 'fridge',
};

describe('what is painted into a mold', () => {
  it('weighs what it covers times its thickness and density; sprayed, as much again goes beside', () => {
    for (const kind of PREP_KINDS) {
      const { mass, takes, covers } = prepStation(input(step(kind, { pattern: 'half' })));
      const density = { detail: CHOCOLATE_MATTER.white.meltedDensity, brushed: 900, sprayed: 900, dust: 400 }[kind];
      expect(covers.value).toBeCloseTo(WALL_M2 / 2, 12);
      expect(mass.value).toBeCloseTo((WALL_M2 / 2) * prepRow(kind).usualM * density, 12);
      expect(takes.value).toBeCloseTo(prepRow(kind).takes * mass.value, 12);
    }
    expect(prepRow('sprayed').takes).toBe(2);
    // Brushed on thickly, about twice what clings to a finished piece. Common practice, no source: 8 g on a square metre there.
    expect(prepStation(input(step('dust'))).mass.value / WALL_M2).toBeCloseTo(0.016, 9);
  });

  it('covers by its pattern, and never more than there is of the wall', () => {
    const covers = PATTERNS.map((pattern) => prepStation(input(step('brushed', { pattern, share: 0.3 }))).covers.value);
    const spots = (12 * Math.PI * 0.003 ** 2) / 4;
    [1, 0.5, 0.3].forEach((share, i) => expect(covers[i]).toBeCloseTo(share * WALL_M2, 12));
    expect(covers[3]).toBeCloseTo(spots, 12);
    const all = prepStation(input(step('detail', { pattern: 'spots', count: 200, spotM: 0.03 })));
    expect(all.covers.value).toBe(WALL_M2);
  });

  it('of two sprayed halves rests after the second alone, 4 h at least, as long as somebody wants', () => {
    const first = prepStation(input(step('sprayed'), { followed: true }));
    const last = prepStation(input(step('sprayed')));
    expect(first.stay.value).toBe(first.sets?.value);
    expect([first.restS, last.restS]).toEqual([0, 4 * 3600]);
    // Common practice, no source: 4 to 8 h.
    expect(last.stay).toMatchObject({ value: 4 * 3600, low: 4 * 3600, high: 8 * 3600 });
    const own = prepStation(input(step('sprayed', { sets: [{ place: 'room', seconds: 7 * 3600 }] })));
    expect(own.stay.value).toBe(7 * 3600);
    expect(prepStation(input(step('dust')))).toMatchObject({ sets: undefined, stay: { value: 0 } });
  });

  it('is set in the fridge within about two minutes when it is thin. Common practice, no source', () => {
    const { sets } = prepStation(input(step('detail')));
    expect(sets?.value).toBeGreaterThan(20);
    expect(sets?.value).toBeLessThan(200);
  });
});

describe('how a painted film sets', () => {
  it('is the limit of the chill for a thin coat: the same in every mold and place', () => {
    for (const material of ['silicone', 'polycarbonate', 'thinPlastic'] as const)
      for (const place of ['fridge', 'freezer', 'room'] as const) {
        const wallM = MOLD_MATTER[material].usualWallM;
        const seconds = filmSetsSeconds({ ...film, material, wallM, place });
        const chill = chillNominal({
          material,
          wallM,
          meanCurvature: 0,
          gaussCurvature: 0,
          floorShare: 0,
          kitchen: KITCHEN,
          coats: [
            {
              kind: 'dark',
              fatShare: 0.38,
              workingC: 31.5,
              thicknessM: { value: film.thickM, low: film.thickM, high: film.thickM },
              wallC: KITCHEN.roomC,
              wayUp: 'upright',
              inside: 'open',
              handlingSeconds: 0,
              rests: [],
              place,
            },
          ],
        }).coats[0].chosen.touch.value;
        expect(seconds / chill).toBeGreaterThan(0.9);
        expect(seconds / chill).toBeLessThan(1.1);
      }
  });

  it('takes longer the thicker it is, the warmer it is laid and the warmer its place, without a jump', () => {
    const scan = (at: (share: number) => Partial<Painted>): void => {
      const seconds = Array.from({ length: 201 }, (_, i) => filmSetsSeconds({ ...film, ...at(i / 200) }));
      for (let i = 1; i < seconds.length; i++) {
        expect(seconds[i]).toBeGreaterThanOrEqual(seconds[i - 1] * (1 - 2e-3));
        expect(seconds[i] - seconds[i - 1]).toBeLessThan(0.02 * seconds[200] + 0.5);
      }
      expect(seconds[200]).toBeGreaterThan(seconds[0]);
    };
    scan((share) => ({ thickM: 0.0001 + 0.0019 * share }));
    scan((share) => ({ laidC: 29 + 4 * share }));
    scan((share) => ({ kitchen: { ...KITCHEN, fridgeC: 1 + 11 * share } }));
  });

  it('says so where it never sets, and counts what it rests before', () => {
    const warm = { ...film, kitchen: { ...KITCHEN, roomC: 30 }, place: 'room' as const };
    expect(filmSetsSeconds(warm)).toBe(Infinity);
    expect(filmSetsSeconds({ ...warm, rests: [{ place: 'fridge', seconds: 600 }] })).toBe(0);
    const alone = filmSetsSeconds(film);
    const rested = filmSetsSeconds({ ...film, rests: [{ place: 'fridge', seconds: alone / 2 }] });
    expect(rested / (alone / 2)).toBeCloseTo(1, 1);
  });
});
