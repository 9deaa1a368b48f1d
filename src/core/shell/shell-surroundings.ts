import type { Place, WayUp } from '../record/choices';
import { meltDepthM, type CoatChoice, type Inside } from './coat-choice';
import { dwellSkin, type DwellInput, type DwellSkin } from './dwell-skin';
import { tippedOut } from '../record/method';
import type { Cavity } from '../cavity/cavity';
import { rootUpward } from '../quantity/root';
import { pressedFilm, spreadFilm, startThicknessM } from './laid-film';
import { draughtIn, placeC, surroundingsIn, varied, type Surroundings } from './place-air';
import { layerOn, toCells, type WallCells } from './wall-cells';
import type { ShellInput, ShellVariation } from './shell-types';

/** What surrounds the shell in a place, open or closed above as the mold is held there; under an insert the inside is cooled through it. */
export function around(
  { kitchen, press, moldWallM, material, cavity: { floorShare } }: ShellInput,
  { placeK, cooling }: ShellVariation,
  held: { readonly wayUp: WayUp; readonly inside: Inside },
  place: Place,
): Surroundings {
  const insertM = press && moldWallM;
  return varied(surroundingsIn(kitchen, place, { material, floorShare, insertM, ...held }), placeK, cooling);
}

/** The skin that sets while a mold stands full: in the room's air, or in that of the cold place it is chilled in. */
export function standingSkin(
  { cavity, material, moldWallM: wallM, kitchen }: ShellInput,
  { placeK, cooling }: ShellVariation,
  { chocolate: { kind, fatShare, unseeded }, stands }: CoatChoice,
  from: Pick<DwellInput, 'workingC' | 'dwellSeconds' | 'setThicknessM' | 'wallC'>,
): DwellSkin {
  const { airC, draught } = stands ?? { airC: placeC(kitchen, 'room'), draught: draughtIn(kitchen, 'room') };
  const air = { airC: airC + placeK, draught: draught * cooling };
  return dwellSkin({ kind, fatShare, unseeded, meltDepthM: meltDepthM(cavity), material, wallM, ...from, ...air });
}

/** Thickness of the film a coat starts from in each cell, m: what is tipped out, spooned in or pressed. */
export function startingFilm(
  { cavity, press }: ShellInput,
  choice: CoatChoice,
  doseFactor: number,
  cells: WallCells,
  belowM: Float64Array,
): Float64Array {
  if (!press && tippedOut(choice.method)) {
    const start = startThicknessM(cavity);
    return belowM.map((b) => Math.max(0, Math.min(start, cavity.depthM - b)));
  }
  if (press) return toCells(cells, pressedFilm(cavity, press), cavity.profile.arcM);
  if (choice.where === 'thin') return filledUp(cavity, cells, belowM, choice.doseM3 * doseFactor);
  return dosedFilm(
    cavity,
    cells,
    toCells(cells, spreadFilm(cavity, choice.doseM3, choice.where), cavity.profile.arcM),
    belowM,
    choice.doseM3 * doseFactor,
  );
}

/** A dose that would lie so many times as thick as it is spread has no room. */
const MOST_TIMES = 60;

/** A film spread in a shape, as thick as it has to be for the cells to hold the whole dose; as much of it as there is room for. */
function dosedFilm(
  cavity: Cavity,
  cells: WallCells,
  shapeM: Float64Array,
  belowM: Float64Array,
  doseM3: number,
): Float64Array {
  const most = thickestM(cavity);
  const laid = (times: number): Float64Array =>
    shapeM.map((h, i) => Math.max(0, Math.min(times * h, most - belowM[i])));
  const over = (times: number): number => heldBy(cells, belowM, laid(times)) - doseM3;
  return laid(rootUpward(over, -doseM3, 1, MOST_TIMES, 1e-10 * doseM3));
}

/** A dose that fills up what has set, the thinnest cells first. */
function filledUp(cavity: Cavity, cells: WallCells, belowM: Float64Array, doseM3: number): Float64Array {
  const thinnest = Math.min(...belowM);
  const most = thickestM(cavity);
  const laid = (more: number): Float64Array =>
    belowM.map((below) => Math.max(0, Math.min(thinnest + more, most) - below));
  const over = (more: number): number => heldBy(cells, belowM, laid(more)) - doseM3;
  const first = (2 * doseM3) / cells.areaM2.reduce((sum, area) => sum + area, 0);
  return laid(rootUpward(over, -doseM3, first, 2 * most, 1e-10 * doseM3));
}

/** Volume of a film on what has set, m³. */
function heldBy(cells: WallCells, belowM: Float64Array, filmM: Float64Array): number {
  return filmM.reduce(
    (sum, h, i) => sum + cells.areaM2[i] * (layerOn(cells, i, belowM[i] + h) - layerOn(cells, i, belowM[i])),
    0,
  );
}

/** More than this would stand over a cavity, and is no layer on its wall, m. */
export function thickestM({ depthM, rimDiameterM }: Pick<Cavity, 'depthM' | 'rimDiameterM'>): number {
  return Math.min(depthM, rimDiameterM / 2);
}
