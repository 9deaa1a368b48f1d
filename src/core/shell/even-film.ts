import { NO_FLOW_FROM } from '../flow/setting-rheology';
import { rootUpward } from '../quantity/root';
import { layerOn, type WallCells } from './wall-cells';
import type { WallFilm } from './wall-film';

/**
 * Spreads what still flows of a film evenly over the places where it does, its volume, heat and set share kept: what a turn of a closed
 * vessel does to what had run to its lowest place. What flows no more stays where it is.
 * @param filmC temperature in each cell, °C, and `filmSet` the set share; both are written to
 */
export function evenFilm(
  film: WallFilm,
  cells: WallCells,
  filmC: Float64Array,
  filmSet: Float64Array,
  belowM: ArrayLike<number>,
): void {
  const flowing: number[] = [];
  let volume = 0;
  let warmth = 0;
  let set = 0;
  for (let i = 0; i < cells.count; i++) {
    if (filmSet[i] >= NO_FLOW_FROM) continue;
    flowing.push(i);
    volume += film.volumeM3[i];
    warmth += film.volumeM3[i] * filmC[i];
    set += film.volumeM3[i] * filmSet[i];
  }
  if (volume <= 0) return;
  const on = (i: number, h: number): number =>
    cells.areaM2[i] * (layerOn(cells, i, belowM[i] + h) - layerOn(cells, i, belowM[i]));
  const over = (h: number): number => flowing.reduce((sum, i) => sum + on(i, h), 0) - volume;
  const even = rootUpward(over, -volume, 1e-4, Infinity, 1e-9 * volume);
  const rounding = volume / (over(even) + volume);
  for (const i of flowing) {
    film.thicknessM[i] = even;
    film.volumeM3[i] = rounding * on(i, even);
    filmC[i] = warmth / volume;
    filmSet[i] = set / volume;
  }
}
