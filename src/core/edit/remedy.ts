import { isClamped, laidAnywhere } from '../record/method';
import { depthCurve } from '../cavity/depth-curve';
import { amountOf } from '../fill/fill';
import { LIMITS } from '../record/limits';
import type { Casting, Coat, Part } from '../record/casting';
import { isCap, isOnPlate } from '../record/closing';
import { copyOf } from '../record/copy';
import { dropUnused } from './melting';
import { computedPaint, paintToFridge } from './prep';
import { restFirst, setIn, stayFor } from './sets';
import { meltOf, partOf } from '../record/references';
import { schoolRow } from '../record/school';
import { RESTS_S } from '../record/sets';
import { inBowl } from '../plan/melts';
import { brushSides, evenLayers, freshCoatId, lastStaysOn } from './methods';
import type { CastingPlan, Remedy } from '../plan/plan-types';

/** What a remedy changes: the casting, the part that the note is about, and the plan it stands in. */
interface Mended {
  readonly casting: Casting;
  readonly part: Part;
  readonly plan: CastingPlan;
}

type Mend<K extends Remedy['key']> = (on: Mended, remedy: Extract<Remedy, { key: K }>) => void;

const MENDS: { readonly [K in Remedy['key']]: Mend<K> } = {
  addCoat: ({ part }) => {
    addCoat(part);
  },
  brushSides: ({ part, plan }) => {
    keepCoatsAsMade(part, plan.coatsMade);
    brushSides(part, plan);
  },
  paintToFridge: ({ part }, { stepId }) => paintToFridge(part, stepId),
  computedPaint: ({ part }, { stepId }) => computedPaint(part, stepId),
  laterSides: ({ part }) => {
    for (const coat of part.coats.slice(1)) if (laidAnywhere(coat.method)) coat.where = 'sides';
  },
  wipeMold: ({ part }) => {
    delete part.moldC;
  },
  splitCoats: ({ part }) => {
    part.coatsBy = { by: 'count' };
    const dose = part.coats.reduce((sum, coat) => sum + coat.doseM3, 0);
    addCoat(part);
    for (const coat of part.coats) coat.doseM3 = Math.max(LIMITS.doseM3.low, dose / part.coats.length);
  },
  wantRim: ({ part }, { rimM }) => {
    part.coatsBy = { by: 'thickness', rimM };
  },
  setWorking: ({ casting }, { meltId, workingC }) => {
    for (const melt of casting.melts) if (melt.id === meltId) melt.workingC = workingC;
  },
  meltBy: ({ casting }, { meltId, way }) => {
    for (const melt of casting.melts) if (melt.id === meltId) melt.way = way;
  },
  temperBy: ({ casting }, { meltId, school }) => {
    for (const melt of casting.melts) {
      if (melt.id !== meltId) continue;
      melt.school = school;
      // Seed cannot be stirred into a bag or tube.
      if (schoolRow(school).seed !== 'none' && !inBowl(melt.way)) melt.way = 'microwave';
    }
  },
  lowCeiling: ({ casting }, { meltId }) => {
    const { source } = meltOf(casting, meltId);
    // A tint has the bands of what it is mixed of.
    const ids = source.kind === 'chocolate' ? [source.chocolateId] : tintedOf(casting, source.tintId);
    for (const chocolate of casting.chocolates)
      if (ids.includes(chocolate.id) && chocolate.kind === 'compound') Object.assign(chocolate, LOW_CEILING);
  },
  moveTo: ({ part }, { place }) => {
    for (const coat of part.coats) setIn(coat, place);
  },
  computedInterval: ({ part }, { coatIndex }) =>
    stayFor(part.coats[Math.min(coatIndex, part.coats.length - 1)], undefined),
  restFirst: ({ part }) => restFirst(part.coats[part.coats.length - 1], RESTS_S),
  restCapped: ({ casting }) => {
    if (isCap(casting.closure)) restFirst(casting.closure, RESTS_S);
  },
  moveCapTo: ({ casting }, { place }) => {
    if (casting.closure) setIn(casting.closure, place);
  },
  computedCapped: ({ casting }) => {
    if (casting.closure) stayFor(casting.closure, undefined);
  },
  capFlush: ({ casting }) => {
    if (!isCap(casting.closure)) return;
    const { meltId, sets } = casting.closure;
    casting.closure = { kind: 'cap', meltId, sets };
  },
  turnEvery: ({ part }, { seconds }) => {
    for (const coat of part.coats) coat.turnSeconds = seconds;
  },
  fitFill: ({ casting, plan }) => fitFill(casting, plan),
  fitCap: ({ casting, plan }, { belowRimM }) => fitCap(casting, plan, belowRimM),
  emptyFill: ({ casting, part }) => {
    casting.fill = casting.fill.filter((layer) => layer.partId !== part.id);
    dropUnused(casting);
  },
  plateAt: ({ casting }, { plateC }) => {
    if (isOnPlate(casting.closure)) casting.closure.plateC = plateC;
  },
  onPlateFor: ({ casting }, { seconds }) => {
    if (isOnPlate(casting.closure)) casting.closure.seconds = seconds;
  },
  coverRest: ({ part }) => {
    part.coveredRest = true;
  },
  addMold: ({ casting }, { moldId }) => {
    for (const mold of casting.molds) {
      if (mold.id === moldId) mold.atHand = Math.min(LIMITS.moldsAtHand.high, mold.atHand + 1);
    }
  },
};

/** The bands of a coating whose packet warns of more than 32 °C. Common practice, no source. */
const LOW_CEILING = { workFromC: 30, workToC: 32, ceilingC: 32, meltToC: 32, seedToC: 30 };

function tintedOf({ tints }: Casting, tintId: string): readonly string[] {
  return tints.find(({ id }) => id === tintId)?.chocolates.map(({ chocolateId }) => chocolateId) ?? [];
}

/**
 * Makes the change a note offers, on a draft of the casting that may be written to.
 * @param plan the plan the note stands in, seen from the part that the note is about, for what it computed
 */
export function applyRemedy(casting: Casting, remedy: Remedy, plan: CastingPlan): void {
  const mend = MENDS[remedy.key] as Mend<Remedy['key']>;
  mend({ casting, part: partOf(casting, plan.part.id), plan }, remedy as never);
}

/** Adds one more coat like the last, up to four; of two clamped halves one more layer under what is clamped. Tells whether it did. */
export function addCoat({ coats }: Part): boolean {
  if (coats.length >= LIMITS.coats.high) return false;
  const clamped = isClamped(coats[coats.length - 1].method);
  const like = coats[clamped ? coats.length - 2 : coats.length - 1];
  const { then } = coats[coats.length - 1];
  coats.splice(clamped ? coats.length - 1 : coats.length, 0, {
    ...copyOf(like),
    id: freshCoatId(coats.map((coat) => coat.id)),
  });
  lastStaysOn(coats, then);
  evenLayers(coats);
  return true;
}

/** Goes back from a wanted thickness to counted coats, as they were made for it, so that nothing jumps. */
export function keepCoatsAsMade(part: Part, made: readonly Coat[]): void {
  if (part.coatsBy.by === 'count') return;
  part.coatsBy = { by: 'count' };
  part.coats = made.map((coat) => ({
    ...coat,
    shares: coat.shares.map((share) => ({ ...share })),
    sets: coat.sets.map((set) => ({ ...set })),
    then: coat.then.map((rest) => ({ ...rest })),
  }));
}

/** Takes the last coat away, or the last layer under what is clamped; one always stays. Tells whether it did. */
export function removeCoat({ coats }: Part): boolean {
  const clamped = isClamped(coats[coats.length - 1].method);
  if (coats.length <= (clamped ? 2 : 1)) return false;
  const { then } = coats[coats.length - 1];
  coats.splice(clamped ? -2 : -1, 1);
  lastStaysOn(coats, then);
  evenLayers(coats);
  return true;
}

/** Brings every layer of the part down to what fits, in the way it was asked for. */
function fitFill(casting: Casting, { fill }: CastingPlan): void {
  const curve = depthCurve(fill.inside);
  for (const layer of casting.fill) {
    const fitted = fill.layers.find((candidate) => candidate.choice.id === layer.id);
    if (fitted && fitted.leftOver.value > 0) layer.amount = amountOf(fitted, fitted.volume.value, curve);
  }
}

/** Lowers what stands too high for a cap: the topmost layer, and those below it where that is not enough. */
function fitCap(casting: Casting, { fill }: CastingPlan, belowRimM: number): void {
  const curve = depthCurve(fill.inside);
  let top = Math.max(0, curve.depthM - belowRimM);
  for (const fitted of [...fill.layers].reverse()) {
    const layer = casting.fill.find(({ id }) => id === fitted.choice.id);
    if (!layer || fitted.toM <= top) return;
    const volume = Math.max(0, curve.volumeAt(top) - curve.volumeAt(fitted.fromM));
    layer.amount = amountOf(fitted, volume, curve, Math.max(top, fitted.fromM));
    top = Math.min(top, fitted.fromM);
  }
}
