import { cavityOf } from './cavity';
import { placesAlong, stretchOfArea } from './along-line';

const half = cavityOf({ kind: 'hemisphere', diameterM: 0.064 }).profile;
const cylinder = cavityOf({ kind: 'cylinder', diameterM: 0.04, depthM: 0.03 }).profile;

describe('along a line', () => {
  it('a share of half a sphere’s outside reaches as high as a cap of that area: 2 π R h (mensuration)', () => {
    for (const heightM of [0.004, 0.016, 0.028]) {
      const { heightM: z } = stretchOfArea(half, 2 * Math.PI * 0.032 * heightM);
      expect(z[z.length - 1] / heightM).toBeCloseTo(1, 2);
    }
  });

  it('a share that the floor of a straight cup holds ends on it, at the radius of that disc', () => {
    const { radiusM: r, heightM: z } = stretchOfArea(cylinder, Math.PI * 0.01 ** 2);
    expect(r[r.length - 1]).toBeCloseTo(0.01, 9);
    expect(z[z.length - 1]).toBe(0);
  });

  it('more than there is takes the whole line, and nothing a point', () => {
    expect(stretchOfArea(half, 1)).toEqual({ radiusM: half.radiusM, heightM: half.heightM });
    expect([...stretchOfArea(half, 0).radiusM].every((r) => r === 0)).toBe(true);
  });

  it('places lie at equal steps on half a sphere, looking away from its centre', () => {
    const places = placesAlong(half, 0.005);
    expect(places).toHaveLength(Math.floor((Math.PI * 0.016) / 0.005 + 0.5));
    places.forEach(({ radiusM, heightM, looks }, i) => {
      const angle = ((i + 0.5) * 0.005) / 0.032;
      expect(radiusM).toBeCloseTo(0.032 * Math.sin(angle), 4);
      expect(heightM).toBeCloseTo(0.032 * (1 - Math.cos(angle)), 4);
      expect(Math.abs(looks - angle)).toBeLessThan(0.05);
    });
  });

  it('may begin on the axis, looking straight down, and look straight out from an upright wall', () => {
    const places = placesAlong(cylinder, 0.008, 0);
    expect(places[0]).toEqual({ radiusM: 0, heightM: 0, looks: 0 });
    expect(places[places.length - 1].looks).toBeCloseTo(Math.PI / 2, 9);
    expect(places[places.length - 1].radiusM).toBeCloseTo(0.02, 9);
  });
});
