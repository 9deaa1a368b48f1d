import { allergensOf } from '../fill/recipe';
import { FILLING_MATTER, KEEPING } from '../matter/filling';
import { answer, term } from '../quantity/answer';
import type { TermName } from '../quantity/keys';
import type { Casting } from '../record/casting';
import type { Chocolate } from '../record/chocolate';
import { chocolateOf, fillingOf, meltOf } from '../record/references';
import type { FinishAnswer } from '../finish/finish';
import type { PartDraft, PieceClosing, PieceResult } from './plan-types';

/** How many of a part in a piece hold the filling. */
export function filledPerPiece({ part, fill }: Pick<PartDraft, 'part' | 'fill'>): number {
  return fill.layers.length === 0 ? 0 : part.filled === 'all' ? part.perPiece : 1;
}

/** Weighs a piece and says what is in it. */
export function pieceOf(
  casting: Casting,
  parts: readonly PartDraft[],
  closings: readonly PieceClosing[],
  finishes: readonly FinishAnswer[],
): PieceResult {
  const shellKg = parts.reduce((sum, { coat, part }) => sum + coat.mass.value * part.perPiece, 0);
  const paintKg = parts.reduce(
    (sum, { preps, part }) => sum + part.perPiece * preps.reduce((all, { mass }) => all + mass.value, 0),
    0,
  );
  const fillKg = parts.reduce((sum, one) => sum + one.fill.fillMass.value * filledPerPiece(one), 0);
  const end = (side: 'low' | 'high'): number =>
    parts.reduce((sum, one) => sum + (one.fill.fillMass[side] ?? one.fill.fillMass.value) * filledPerPiece(one), 0);
  const closingKg = closings.reduce(
    (sum, { count, close: { mass, plate } }) => sum + count * (mass.value - (plate?.lostMass.value ?? 0)),
    0,
  );
  const finishingKg = finishes.reduce(
    (sum, { chocolate, material }) => sum + (chocolate?.value ?? 0) + (material?.value ?? 0),
    0,
  );
  const fillings = [
    ...parts.flatMap(({ fill }) => fill.layers.map(({ choice }) => choice.filling)),
    ...parts.flatMap(({ part }) =>
      part.coats.flatMap(({ mixIn }) => (mixIn ? [fillingOf(casting, mixIn.fillingId)] : [])),
    ),
    ...finishes.flatMap(({ finish }) =>
      'fillingId' in finish && finish.fillingId !== undefined ? [fillingOf(casting, finish.fillingId)] : [],
    ),
  ];
  const chocolates = chocolatesIn(casting, parts, closings, finishes);
  const layers = parts.flatMap((one) =>
    one.fill.layers.flatMap((layer) =>
      Array.from({ length: filledPerPiece(one) }, () => term('layerMass', layer.mass.value, 'mass')),
    ),
  );
  const mixedKg = stirredInKg(parts);
  const optional = (name: TermName, kg: number) => (kg === 0 ? [] : [term(name, kg, 'mass')]);
  return {
    mass: answer(shellKg + mixedKg + paintKg + fillKg + closingKg + finishingKg, 'mass', 'fill.pieceMass', [
      term('shellMass', shellKg, 'mass'),
      term('fillMass', fillKg, 'mass'),
      ...optional('mixedIn', mixedKg),
      ...optional('painting', paintKg),
      ...optional('closing', closingKg),
      ...optional('finishing', finishingKg),
    ]),
    fillMass: answer(fillKg, 'mass', 'fill.massInAll', layers, [end('low'), end('high')]),
    allergens: [
      ...new Set([
        ...chocolates.flatMap(({ allergens }) => allergens),
        ...fillings.flatMap((filling) => allergensOf(casting.fillings, casting.chocolates, filling)),
      ]),
    ],
    keeping: KEEPING[Math.max(0, ...fillings.map(({ kind }) => KEEPING.indexOf(FILLING_MATTER[kind].keeping)))],
    inedible: fillings.some(({ kind }) => FILLING_MATTER[kind].inedible),
  };
}

/** What is stirred into the coats of a piece, kg. */
function stirredInKg(parts: readonly PartDraft[]): number {
  return parts.reduce(
    (sum, { coat, part }) => sum + part.perPiece * coat.coats.reduce((all, { mixed }) => all + (mixed?.value ?? 0), 0),
    0,
  );
}

/** Every chocolate in a piece: of its coats, of what is painted in, closes and finishes it. */
function chocolatesIn(
  casting: Casting,
  parts: readonly PartDraft[],
  closings: readonly PieceClosing[],
  finishes: readonly FinishAnswer[],
): Chocolate[] {
  const melts = [
    ...parts.flatMap(({ part }) => part.prep.flatMap((step) => ('meltId' in step ? [step.meltId] : []))),
    ...parts.flatMap(({ dips }) => dips.map(({ meltId }) => meltId)),
    ...closings.flatMap(({ close: { closure, mass } }) => (mass.value > 0 ? [closure.meltId] : [])),
    ...finishes.flatMap(({ finish, chocolate }) => (chocolate && 'meltId' in finish ? [finish.meltId] : [])),
  ];
  return [
    ...parts.flatMap((one) => one.chocolates),
    ...melts.map((meltId) => chocolateOf(casting, meltOf(casting, meltId))),
  ];
}
