import { cavityOf } from '../cavity/cavity';
import { rheologyAt, type Rheology } from '../matter/chocolate';
import { cassonFlux, cassonWaveSpeed } from './casson';
import { drainedThicknessM } from './drained-film';
import { drainLengths } from '../coat/drain-length';

const DENSITY = 1260;
const RADIUS = 0.032;
const cavity = cavityOf({ kind: 'hemisphere', diameterM: 2 * RADIUS });
const lengths = drainLengths(cavity.profile);
const last = lengths.length - 1;
const at40: Rheology = rheologyAt('medium', 40);

describe('drain lengths', () => {
  // Similarity profile on a dome (Takagi & Huppert 2010; same scaling in Lee et al. 2016): h/√(ηR/(ρgt)).
  it.each([
    [0, 0.866],
    [30, 0.8903],
    [45, 0.9224],
    [60, 0.9708],
    [90, 1.1373],
  ])('give the dome’s similarity profile at %i degrees', (degrees, factor) => {
    expect(Math.sqrt(lengths[(degrees / 90) * last] / RADIUS)).toBeCloseTo(factor, 3);
  });

  it('upright grow toward the pole and vanish at the rim', () => {
    const up = drainLengths(cavity.profile, true);
    expect(up[last]).toBe(0);
    for (let i = 1; i < last; i++) expect(up[i]).toBeGreaterThan(up[i + 1]);
  });
});

describe('drained film', () => {
  it('without yield stress is Jeffreys’ film, h = √(ηz/(ρgt)) (Jeffreys 1930)', () => {
    const z = 0.02;
    const flow = { yieldPa: 0, viscosityPas: 2 };
    expect(drainedThicknessM([{ seconds: 20, flow }], DENSITY, z, 1)).toBeCloseTo(
      Math.sqrt((2 * z) / (DENSITY * 9.81 * 20)),
      12,
    );
  });

  // Closed form worked by hand for medium chocolate at 40 °C, 20 s, no rocking, no tapping.
  it('comes to 1.54 mm at the rim and 1.64 mm at 45 degrees', () => {
    const at = (i: number, pull: number): number =>
      drainedThicknessM([{ seconds: 20, flow: at40 }], DENSITY, lengths[i], pull) * 1e3;
    expect(at(last, 1)).toBeCloseTo(1.54, 2);
    expect(at(last / 2, Math.SQRT1_2)).toBeCloseTo(1.64, 2);
  });

  it.each([
    ['a flat wall’s volume', 0],
    ['the dome’s volume', 1 / RADIUS],
  ])('stays within 4 %% of the full equation with %s, after 20 and 60 s', (_, mean) => {
    const curvature = { mean, gauss: mean * mean };
    for (const [seconds, full] of fullEquation(at40, [20, 60], mean)) {
      for (const degrees of [45, 60, 75, 87]) {
        const closed = drainedThicknessM(
          [{ seconds, flow: at40 }],
          DENSITY,
          lengthAt(degrees),
          Math.sin((degrees * Math.PI) / 180),
          curvature,
        );
        expect(Math.abs(closed / full(degrees) - 1)).toBeLessThan(0.04);
      }
    }
  });

  it('thins with time, is thinner for tapping, and two halves of one drain are the whole', () => {
    const film = (...stages: { seconds: number; flow: Rheology }[]): number =>
      drainedThicknessM(stages, DENSITY, lengths[last], 1);
    expect(film({ seconds: 40, flow: at40 })).toBeLessThan(film({ seconds: 20, flow: at40 }));
    expect(
      film({ seconds: 10, flow: at40 }, { seconds: 10, flow: { ...at40, yieldPa: at40.yieldPa * 0.3 } }),
    ).toBeLessThan(film({ seconds: 20, flow: at40 }));
    expect(film({ seconds: 10, flow: at40 }, { seconds: 10, flow: at40 })).toBeCloseTo(
      film({ seconds: 20, flow: at40 }),
      9,
    );
  });
});

/** Drain length between the points of the profile, m. */
function lengthAt(degrees: number): number {
  const place = (degrees / 90) * last;
  const i = Math.min(last - 1, Math.floor(place));
  return lengths[i] + (place - i) * (lengths[i + 1] - lengths[i]);
}

/**
 * The full thin-film equation on the dome by a plain explicit scheme, written apart from the closed form:
 * ∂v/∂t + (1/r) ∂(r q)/∂s = 0 with v(h) = h - H h² + H² h³/3, upside down, upwind, free outflow at the rim.
 */
function fullEquation(
  flow: Rheology,
  moments: readonly number[],
  mean: number,
): [number, (degrees: number) => number][] {
  const cells = 120;
  const ds = (RADIUS * Math.PI) / 2 / cells;
  const sine = Array.from({ length: cells + 1 }, (_, i) => Math.sin((i * ds) / RADIUS));
  const area = Array.from(
    { length: cells },
    (_, i) => RADIUS * RADIUS * (Math.cos((i * ds) / RADIUS) - Math.cos(((i + 1) * ds) / RADIUS)),
  );
  const h = new Float64Array(cells).fill(0.008);
  const volume = (x: number): number => x - mean * x * x + (mean * mean * x ** 3) / 3;
  let t = 0;
  return moments.map((moment) => {
    while (t < moment - 1e-12) {
      let fastest = 0;
      for (let i = 0; i < cells; i++)
        fastest = Math.max(fastest, cassonWaveSpeed(DENSITY * 9.81 * sine[i + 1], h[i], flow) / (1 - mean * h[i]) ** 2);
      const dt = Math.min((0.5 * ds) / fastest, moment - t);
      let inflow = 0;
      for (let i = 0; i < cells; i++) {
        const outflow = RADIUS * sine[i + 1] * cassonFlux(DENSITY * 9.81 * sine[i + 1], h[i], flow);
        const target = volume(h[i]) + (dt * (inflow - outflow)) / area[i];
        for (let k = 0; k < 3; k++) h[i] -= (volume(h[i]) - target) / (1 - mean * h[i]) ** 2;
        inflow = outflow;
      }
      t += dt;
    }
    const now = h.slice();
    return [
      moment,
      (degrees) => {
        const place = (degrees / 90) * cells - 0.5;
        const i = Math.floor(place);
        return now[i] + (place - i) * (now[i + 1] - now[i]);
      },
    ];
  });
}
