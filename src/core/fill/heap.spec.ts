import { cavityOf } from '../cavity/cavity';
import { insetLine } from '../cavity/inset';
import type { ChocolateKind } from '../matter/chocolate';
import type { Filling } from '../record/filling';
import { fillStation, heaps } from './fill';
import { heapM, heapRoomM3 } from './heap';
import { warmestC } from './warmth';

const { profile } = cavityOf({ kind: 'hemisphere', diameterM: 0.064 });
const inside = insetLine(profile, new Float64Array(profile.arcM.length).fill(0.002));
const flat = cavityOf({ kind: 'tile', lengthM: 0.064, widthM: 0.064, depthM: 0.004, cornerM: 0.032 }).profile;
const lentils: Filling = {
  id: 'l',
  name: 'Lentils',
  kind: 'sweets',
  bulkDensity: 880,
  pieceKg: 0.0009,
  allergens: [],
  recipe: [],
};
const cream: Filling = { id: 'g', name: 'Ganache', kind: 'ganache', bulkDensity: 1100, allergens: [], recipe: [] };
const fill = (filling: Filling, m3: number, heapInto = inside) =>
  fillStation({
    profile,
    shellM: new Float64Array(profile.arcM.length).fill(0.002),
    layers: [{ id: 'a', filling, amount: { by: 'volume', m3 } }],
    heapInto,
  });

describe('a heap', () => {
  it('under a dome is a cone as steep as loose things lie: π r³ tan 35° / 3 (mensuration)', () => {
    expect(heapRoomM3(inside, inside) / ((Math.PI * 0.03 ** 3 * Math.tan((35 * Math.PI) / 180)) / 3)).toBeCloseTo(1, 2);
  });

  it('under a lid of no depth is next to nothing, and of little depth no higher than it', () => {
    const lid = { radiusM: Float64Array.from(flat.radiusM), heightM: Float64Array.from(flat.heightM) };
    const room = heapRoomM3(inside, lid);
    expect(heapM(inside, room)).toBeLessThanOrEqual(0.004 + 1e-9);
    expect(room).toBeGreaterThan(0);
  });

  it('takes what stands above the rim, of loose things alone', () => {
    const heaped = fill(lentils, 70e-6);
    expect(heaped.closes).toBe(true);
    expect(heaped.heapM).toBeGreaterThan(0.005);
    expect(heaped.headspace.value).toBeCloseTo(0, 9);
    expect(fill(lentils, 90e-6).closes).toBe(false);
    expect(fill(cream, 70e-6).closes).toBe(false);
    expect([heaps(lentils), heaps(cream)]).toEqual([true, false]);
  });
});

describe('the warmest a filling may be', () => {
  // Common practice, no source: into dark at 27 to 30 °C at the most; most wait to 18 to 22 °C.
  it('is what people say for dark, lower in milk and white, and higher in a coating', () => {
    const at = (kind: ChocolateKind): number => warmestC(cream, kind) ?? NaN;
    expect(at('dark')).toBeGreaterThanOrEqual(27);
    expect(at('dark')).toBeLessThanOrEqual(30);
    expect(at('milk')).toBeLessThan(at('dark'));
    expect(at('white')).toBeLessThanOrEqual(at('milk'));
    expect(at('compound')).toBeGreaterThan(at('dark'));
    expect(warmestC(lentils, 'dark')).toBeUndefined();
  });
});
