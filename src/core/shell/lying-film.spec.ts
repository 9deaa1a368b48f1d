import { cavityOf } from '../cavity/cavity';
import { usualCoat } from '../../testing/coat-choice';
import { halfRing, LyingFilm } from './lying-film';
import { simulateShell } from './shell';
import type { ShellCoatResult } from './shell-types';
import { WallFilm } from './wall-film';

const DENSITY = 1260;
const GRAVITY = 9.81;

/** A film that is as thick and as stiff everywhere, as it lies along the vessel. */
function filmOf(radiusM: number, thicknessM: number, yieldPa: number, viscosityPas: number): WallFilm {
  const film = new WallFilm(halfRing(radiusM), DENSITY);
  film.lay(new Float64Array(film.thicknessM.length).fill(thicknessM), new Float64Array(film.thicknessM.length));
  film.yieldPa.fill(yieldPa);
  film.viscosityPas.fill(viscosityPas);
  return film;
}

/** Run for some seconds in many steps. */
function thinnest(seconds: number, film: WallFilm, radiusM: number): number {
  const lying = new LyingFilm(radiusM, DENSITY);
  for (let k = 0; k < 200; k++) lying.ran(seconds / 200, film);
  return lying.thinnestShare();
}

describe('a film round a vessel that lies on its side', () => {
  it('thins on the uppermost line as on a cylinder: h = (h₀⁻² + 2ρgt/3ηR)^(-1/2) (Takagi & Huppert 2010, from memory)', () => {
    const [radiusM, thicknessM, viscosityPas] = [0.2, 0.0005, 2];
    for (const seconds of [20, 100, 400]) {
      const expected =
        (thicknessM ** -2 + (2 * DENSITY * GRAVITY * seconds) / (3 * viscosityPas * radiusM)) ** -0.5 / thicknessM;
      const share = thinnest(seconds, filmOf(radiusM, thicknessM, 0, viscosityPas), radiusM);
      expect(Math.abs(share / expected - 1)).toBeLessThan(0.01);
    }
  });

  it('loses nothing: what is missing above lies below', () => {
    const film = filmOf(0.04, 0.003, 4, 2);
    const all = (): number => film.volumeM3.reduce((a, b) => a + b, 0);
    const before = all();
    for (let k = 0; k < 400; k++) expect(film.step(0.25, 'upright')).toBeGreaterThanOrEqual(0);
    expect(all() / before).toBeCloseTo(1, 12);
    expect(film.drippedM3).toBe(0);
    expect(film.thicknessM[0]).toBeGreaterThan(1.5 * film.thicknessM[35]);
  });

  it('runs the further the longer and the thinner liquid it is, and not at all where its yield holds it', () => {
    const share = (seconds: number, yieldPa: number, viscosityPas: number): number =>
      thinnest(seconds, filmOf(0.04, 0.002, yieldPa, viscosityPas), 0.04);
    const longer = [10, 30, 60, 120, 300].map((seconds) => share(seconds, 4, 2));
    longer.slice(1).forEach((one, k) => expect(one).toBeLessThan(longer[k]));
    expect(share(60, 4, 4)).toBeGreaterThan(share(60, 4, 2));
    expect(share(60, 8, 2)).toBeGreaterThan(share(60, 4, 2));
    expect(share(600, DENSITY * GRAVITY * 0.002, 2)).toBe(1);
  });

  it('comes out the evener the oftener it is turned', () => {
    const share = (turns: number): number => {
      const lying = new LyingFilm(0.04, DENSITY);
      for (let k = 0; k < 240; k++) {
        if (k > 0 && turns > 0 && k % (240 / (turns + 1)) === 0) lying.turned();
        // It thickens from 2 Pa s to what hardly runs any more.
        lying.ran(1, filmOf(0.04, 0.003, 2, 2 * Math.exp(k / 40)));
      }
      return lying.thinnestShare();
    };
    const shares = [0, 2, 11, 47].map(share);
    shares.slice(1).forEach((one, k) => expect(one).toBeGreaterThan(shares[k]));
    expect(shares[3]).toBeGreaterThan(0.95);
  });
});

describe('a bottle that is turned', () => {
  const points = [
    { radiusM: 0, heightM: 0 },
    { radiusM: 0.03, heightM: 0 },
    { radiusM: 0.03, heightM: 0.14 },
    { radiusM: 0.012, heightM: 0.2 },
  ];
  const turned = (turnSeconds: number, scale = 1): ShellCoatResult =>
    simulateShell({
      cavity: cavityOf({ kind: 'turned', points: points.map((p) => ({ ...p, heightM: p.heightM * scale })) }),
      material: 'thinPlastic',
      moldWallM: 0.0004,
      roomC: 20,
      kitchen: { roomC: 20, fridgeC: 5, freezerC: -18, fridgeFan: false, freezerFan: false },
      coats: [
        {
          choice: usualCoat({ method: 'turn', turnSeconds, doseM3: scale * 70e-6, workingC: 33 }),
          handlingSeconds: 30,
          sets: [{ place: 'room', seconds: 1800 }],
        },
      ],
    }).coats[0];

  it('comes out even along its length, and round it the less even the more seldom it is turned', () => {
    const lines = [5, 60, 600].map((every) => {
      const { thicknessM, thinnestAround } = turned(every);
      expect(Math.max(...thicknessM) / Math.min(...thicknessM)).toBeLessThan(1.02);
      return thinnestAround ?? NaN;
    });
    expect(lines[0]).toBeGreaterThan(0.85);
    expect(lines[1]).toBeLessThan(lines[0]);
    expect(lines[2]).toBeLessThan(lines[1]);
  });

  it('stands where it is hardly longer than wide, and has no line round it then', () => {
    expect(turned(60, 0.4).thinnestAround).toBeUndefined();
  });
});
