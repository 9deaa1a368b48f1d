import { FilmEquations, type FilmProblem, type FilmStage } from '../src/testing/film-equations';

/**
 * The yardstick: the same film and heat by a plain explicit scheme with steps as short as stability forces them to be, written apart
 * from the simulation; there is nothing clever in it.
 * @returns thickness in each cell after all stages, m
 */
export function explicitFilm(
  problem: FilmProblem,
  filmM: number,
  filmC: number,
  wallC: number,
  stages: readonly (readonly [FilmStage, number])[],
): Float64Array {
  const equations = new FilmEquations(problem);
  const y = Float64Array.from(equations.start(filmM, filmC, wallC));
  for (const [stage, seconds] of stages) {
    for (let t = 0; t < seconds - 1e-9;) {
      const rates = equations.derivative(y, stage);
      const dt = Math.min(0.4 * equations.stableS, 1, seconds - t);
      for (let i = 0; i < y.length; i++) y[i] += dt * rates[i];
      t += dt;
    }
  }
  return Float64Array.from({ length: problem.cells }, (_, i) => equations.thickness(y[6 * i], i));
}
