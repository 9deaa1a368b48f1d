import { cavityOf } from '../cavity/cavity';
import { evenFilm } from './even-film';
import { wallCells } from './wall-cells';
import { WallFilm } from './wall-film';

const cells = wallCells(cavityOf({ kind: 'hemisphere', diameterM: 0.064 }).profile, 40);
const pooled = (): {
  readonly film: WallFilm;
  readonly filmC: Float64Array;
  readonly filmSet: Float64Array;
  readonly belowM: Float64Array;
} => {
  const film = new WallFilm(cells, 1260);
  const belowM = new Float64Array(cells.count).fill(0.001);
  film.lay(
    Float64Array.from({ length: cells.count }, (_, i) => 0.004 * (1 - i / cells.count)),
    belowM,
  );
  return {
    film,
    filmC: Float64Array.from({ length: cells.count }, (_, i) => 24 + i / 10),
    filmSet: Float64Array.from({ length: cells.count }, (_, i) => (i % 2) * 0.2),
    belowM,
  };
};
const sum = (values: ArrayLike<number>, weights: ArrayLike<number>): number =>
  Array.from(values).reduce((all, value, i) => all + value * weights[i], 0);

describe('a film that a turn evens out', () => {
  it('lies equally thick, with its volume, its heat and its set share kept', () => {
    const { film, filmC, filmSet, belowM } = pooled();
    const volumes = film.volumeM3.slice();
    const before = [sum(volumes, filmC), sum(volumes, filmSet)];
    evenFilm(film, cells, filmC, filmSet, belowM);
    expect(Math.max(...film.thicknessM) - Math.min(...film.thicknessM)).toBe(0);
    const all = (values: Float64Array): number => values.reduce((a, b) => a + b, 0);
    expect(all(film.volumeM3) / all(volumes)).toBeCloseTo(1, 12);
    expect(sum(film.volumeM3, filmC) / before[0]).toBeCloseTo(1, 12);
    expect(sum(film.volumeM3, filmSet) / before[1]).toBeCloseTo(1, 12);
  });

  it('leaves what flows no more where it is, and does nothing where nothing flows', () => {
    const { film, filmC, filmSet, belowM } = pooled();
    filmSet.fill(0.9, 0, 10);
    const [thick, warm] = [film.thicknessM.slice(0, 10), filmC.slice(0, 10)];
    evenFilm(film, cells, filmC, filmSet, belowM);
    expect(film.thicknessM.slice(0, 10)).toEqual(thick);
    expect(filmC.slice(0, 10)).toEqual(warm);
    filmSet.fill(0.9);
    const before = film.thicknessM.slice();
    evenFilm(film, cells, filmC, filmSet, belowM);
    expect(film.thicknessM).toEqual(before);
  });
});
