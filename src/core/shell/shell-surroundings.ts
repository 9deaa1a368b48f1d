import type { Place } from '../record/choices';
import type { CoatChoice, Inside } from './coat-choice';
import type { DwellInput } from './dwell-skin';
import { tippedOut } from '../record/choices';
import { pressedFilm, spreadFilm, startThicknessM, timesThicker } from './laid-film';
import { airInsideH, airOutsideH, placeC } from './place-air';
import type { ShellInput, ShellVariation } from './shell';
import { layerOn, toCells, type WallCells } from './wall-cells';
import type { WallAir } from './wall-heat';

/** Air on both sides of the wall in a place, open or closed above as the mold is held there; under an insert the inside is cooled through it. */
export function airAround({ kitchen, press, moldWallM }: ShellInput, { placeK, cooling }: ShellVariation, inside: Inside, place: Place): WallAir {
  const c = placeC(kitchen, place) + placeK;
  return { outsideC: c, insideC: c, outsideH: airOutsideH(kitchen, place) * cooling, insideH: airInsideH(inside, press && moldWallM) * cooling };
}

/** The air a mold stands full in: the room's, or that of the cold place it is chilled in. */
export function standingAir({ kitchen }: ShellInput, { placeK, cooling }: ShellVariation, { stands }: CoatChoice): Pick<DwellInput, 'airC' | 'airH'> {
  return stands ? { airC: stands.airC + placeK, airH: stands.airH * cooling } : { airC: placeC(kitchen, 'room') + placeK };
}

/** Thickness of the film a coat starts from in each cell, m: what is tipped out, spooned in or pressed. */
export function startingFilm({ cavity, press }: ShellInput, choice: CoatChoice, doseFactor: number, cells: WallCells, belowM: Float64Array): Float64Array {
  if (!press && tippedOut(choice.method)) {
    const start = startThicknessM(cavity);
    return belowM.map((b) => Math.max(0, Math.min(start, cavity.depthM - b)));
  }
  if (press) return toCells(cells, pressedFilm(cavity, press), cavity.profile.arcM);
  const doseM3 = choice.doseM3 * doseFactor;
  const laid = toCells(cells, spreadFilm(cavity, doseM3, choice.where), cavity.profile.arcM);
  // The whole dose lies on what has set, and not what would lie there on the bare wall.
  const held = (times: number): number => cells.areaM2.reduce((sum, area, i) => sum + area * (layerOn(cells, i, belowM[i] + times * laid[i]) - layerOn(cells, i, belowM[i])), 0);
  const times = timesThicker(cavity, laid, belowM, held, doseM3);
  return laid.map((h) => h * times);
}
