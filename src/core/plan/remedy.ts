import { pieceKg } from '../fill/fill';
import { LIMITS } from '../record/limits';
import type { Casting, Coat } from '../record/casting';
import { restFirst, setIn, stayFor } from '../record/sets';
import type { MeltingWay, Place, School } from '../record/choices';
import { inBowl } from './melts';
import { evenLayers } from './methods';
import type { CastingPlan } from './plan';

/** Tempered work in a rigid mold rests so long in the room before the cold, s. Common practice, no source. */
export const RESTS_S = 20 * 60;

/** A change to a casting that a note offers. */
export type Remedy =
  | { readonly key: 'addCoat' }
  | { readonly key: 'splitCoats' }
  | { readonly key: 'wantRim'; readonly rimM: number }
  | { readonly key: 'setWorking'; readonly meltId: string; readonly workingC: number }
  | { readonly key: 'meltBy'; readonly meltId: string; readonly way: MeltingWay }
  | { readonly key: 'temperBy'; readonly meltId: string; readonly school: School }
  | { readonly key: 'moveTo'; readonly place: Place }
  | { readonly key: 'computedInterval'; readonly coatIndex: number }
  | { readonly key: 'restFirst' }
  | { readonly key: 'turnEvery'; readonly seconds: number }
  | { readonly key: 'fitFill' }
  | { readonly key: 'emptyFill' }
  | { readonly key: 'coverRest' }
  | { readonly key: 'addMold'; readonly moldId: string };

/**
 * Makes the change a note offers, on a draft of the casting that may be written to.
 * @param plan the plan the note stands in, for what it computed
 */
export function applyRemedy(casting: Casting, remedy: Remedy, plan: CastingPlan): void {
  const part = casting.parts[0];
  switch (remedy.key) {
    case 'addCoat': return addCoat(casting);
    case 'splitCoats': {
      part.coatsBy = { by: 'count' };
      const dose = part.coats.reduce((sum, coat) => sum + coat.doseM3, 0);
      addCoat(casting);
      for (const coat of part.coats) coat.doseM3 = Math.max(LIMITS.doseM3.low, dose / part.coats.length);
      return;
    }
    case 'wantRim':
      part.coatsBy = { by: 'thickness', rimM: remedy.rimM };
      return;
    case 'setWorking':
      for (const melt of casting.melts) if (melt.id === remedy.meltId) melt.workingC = remedy.workingC;
      return;
    case 'meltBy':
      for (const melt of casting.melts) if (melt.id === remedy.meltId) melt.way = remedy.way;
      return;
    case 'temperBy':
      for (const melt of casting.melts) {
        if (melt.id !== remedy.meltId) continue;
        melt.school = remedy.school;
        // Seed cannot be stirred into a bag or tube.
        if (remedy.school !== 'meltOnly' && !inBowl(melt.way)) melt.way = 'microwave';
      }
      return;
    case 'moveTo':
      for (const coat of part.coats) setIn(coat, remedy.place);
      return;
    case 'computedInterval': {
      stayFor(part.coats[Math.min(remedy.coatIndex, part.coats.length - 1)], undefined);
      return;
    }
    case 'restFirst':
      restFirst(part.coats[part.coats.length - 1], RESTS_S);
      return;
    case 'turnEvery':
      for (const coat of part.coats) coat.turnSeconds = remedy.seconds;
      return;
    case 'fitFill': return fitFill(casting, plan);
    case 'emptyFill':
      casting.fill = casting.fill.filter((layer) => layer.partId !== part.id);
      return;
    case 'coverRest':
      part.coveredRest = true;
      return;
    case 'addMold':
      for (const mold of casting.molds) if (mold.id === remedy.moldId) mold.atHand = Math.min(LIMITS.moldsAtHand.high, mold.atHand + 1);
  }
}

/** Adds one more coat like the last, up to four. */
export function addCoat(casting: Casting): void {
  const { coats } = casting.parts[0];
  if (coats.length >= LIMITS.coats.high) return;
  const last = coats[coats.length - 1];
  const sets = last.sets.map((set) => ({ ...set }));
  coats.push({ ...last, shares: last.shares.map((share) => ({ ...share })), sets, id: freshCoatId(coats.map((coat) => coat.id)) });
  evenLayers(coats);
}

/** Goes back from a wanted thickness to counted coats, as they were made for it, so that nothing jumps. */
export function keepCoatsAsMade(casting: Casting, made: readonly Coat[]): void {
  const part = casting.parts[0];
  if (part.coatsBy.by === 'count') return;
  part.coatsBy = { by: 'count' };
  part.coats = made.map((coat) => ({ ...coat, shares: coat.shares.map((share) => ({ ...share })), sets: coat.sets.map((set) => ({ ...set })) }));
}

/** Takes the last coat away; one always stays. */
export function removeCoat(casting: Casting): void {
  const { coats } = casting.parts[0];
  if (coats.length > 1) coats.pop();
  evenLayers(coats);
}

function freshCoatId(taken: readonly string[]): string {
  let n = taken.length + 1;
  while (taken.includes(`coat-${n}`)) n++;
  return `coat-${n}`;
}

/** Brings every layer down to what fits, in the way it was asked for. */
function fitFill(casting: Casting, plan: CastingPlan): void {
  for (const layer of casting.fill) {
    const fitted = plan.fill.layers.find((candidate) => candidate.choice.id === layer.id);
    if (!fitted || fitted.leftOver.value <= 0) continue;
    const { filling } = fitted.choice;
    if (layer.amount.by === 'volume') layer.amount.m3 = fitted.volume.value;
    else if (layer.amount.by === 'mass') layer.amount.kg = fitted.volume.value * filling.bulkDensity;
    else if (layer.amount.by === 'count') layer.amount.count = Math.floor((fitted.volume.value * filling.bulkDensity) / pieceKg(filling));
  }
}
