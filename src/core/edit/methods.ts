import {
  fillsLevel,
  isChilled,
  isClamped,
  isDosed,
  isPainted,
  isTurned,
  laidAnywhere,
  onOpenWall,
  type Method,
  tippedOut,
} from '../record/method';
import type { Casting, Coat, Part } from '../record/casting';
import { copyOf } from '../record/copy';
import { partOf } from '../record/references';
import { doseFor, filmVolume } from '../shell/laid-film';
import { LIMITS, within } from '../record/limits';
import type { PartDraft, PlanDraft } from '../plan/plan-types';

/** A brushed or painted layer, m: thin enough to stay where it is put. Working rule. */
const PAINTED_M = 0.0008;
/** How long a filled mold stands in the room. Working rule. */
const STANDS_S = 10;
/** How long a filled mold is chilled so that only its skin sets, s, and how often a closed one is turned. Common practice, no source. */
const CHILLED_S = 90;
const TURNED_S = 20;
/** How far two halves are filled before they are topped up and clamped. Common practice, no source: nearly to the top. */
const FIRST_FILL = 0.92;

/**
 * Makes every coat of the part that a plan is seen from by another method, on a draft of the casting that may be written to, with what that method is usually
 * begun from: a dose that makes the rim thick enough, a chill, a turn, the cavity filled. Going back to a method that needs none of it
 * leaves what was chosen before.
 */
export function makeBy(casting: Casting, method: Method, plan: Pick<PartDraft, 'part' | 'cavity' | 'coat'>): void {
  const part = partOf(casting, plan.part.id);
  const wasClamped = isClamped(part.coats[part.coats.length - 1].method);
  if (fillsLevel(method)) {
    part.coatsBy = { by: 'count' };
    if (wasClamped || !fillsLevel(part.coats[0].method)) part.coats = [part.coats[0]];
  }
  // A skin set in the cold is thick enough by itself.
  if (isChilled(method) && !isChilled(part.coats[0].method)) part.coats = [part.coats[0]];
  if (isClamped(method)) return clamp(part, plan);
  for (const coat of part.coats) startBy(coat, method, dosed(method, part, plan));
  evenLayers(part.coats);
}

/**
 * Makes one of the part's coats by another method, and leaves the others as they are, on a draft of the casting that may be written to.
 * @param index of the record's coats
 */
export function makeCoatBy(
  casting: Casting,
  index: number,
  method: Method,
  plan: Pick<PartDraft, 'part' | 'cavity' | 'coat'>,
): void {
  const part = partOf(casting, plan.part.id);
  startBy(part.coats[index], method, dosed(method, part, plan));
}

/** What a coat keeps to itself where the others are made as it is: what it is melted from, where it is laid and where it sets. */
const OWN: Partial<Record<keyof Coat, true>> = { id: true, shares: true, where: true, sets: true, then: true };

function wayOf(coat: Coat): Partial<Coat> {
  return Object.fromEntries(Object.entries(coat).filter(([key]) => !(key in OWN)));
}

/** Whether all coats are made in one way, and all but the first laid in one area. */
export function madeAlike([first, ...later]: readonly Coat[]): boolean {
  const way = JSON.stringify(wayOf(first));
  return later.every((coat) => JSON.stringify(wayOf(coat)) === way && coat.where === later[0].where);
}

/** Makes all of a part's coats in the way that one of them is. */
export function makeAlike({ coats }: Part, index: number): void {
  const { where } = coats[index];
  for (const [i, coat] of coats.entries()) Object.assign(coat, wayOf(coats[index]), i > 0 ? { where } : {});
}

/** The thinnest and the thickest that a touch-up is brushed, m. Working rules. */
const TOUCH_M = [0.0004, 0.002] as const;

/** Adds a coat that is brushed on the sides alone, as thick as the rim is short of what it needs. Tells whether it did. */
export function brushSides(part: Part, { cavity, coat }: Pick<PartDraft, 'cavity' | 'coat'>): boolean {
  const { coats } = part;
  if (coats.length >= LIMITS.coats.high || coats.some(({ method }) => !onOpenWall(method))) return false;
  const short = 1.2 * coat.neededRim.value - coat.total.rim.value;
  const thickM = Math.min(TOUCH_M[1], Math.max(TOUCH_M[0], short));
  coats.push({
    ...copyOf(coats[coats.length - 1]),
    id: freshCoatId(coats.map(({ id }) => id)),
    method: 'brush',
    where: 'sides',
    doseM3: within(LIMITS.doseM3, doseFor(cavity, 'sides', thickM)),
  });
  lastStaysOn(coats, coats[coats.length - 2].then);
  return true;
}

/** What stays on in its mold once it has set is the last of its coats, however many there are. */
export function lastStaysOn(coats: readonly Coat[], then: Coat['then']): void {
  for (const [i, coat] of coats.entries()) coat.then = i === coats.length - 1 ? [...then] : [];
}

/** An id that none of the coats has. */
export function freshCoatId(taken: readonly string[]): string {
  let n = taken.length + 1;
  while (taken.includes(`coat-${n}`)) n++;
  return `coat-${n}`;
}

/**
 * Makes the part that a plan is seen from by another method, and with it the parts it is clamped to, or is to be: the halves of a figure
 * are topped up and closed together.
 */
export function makeTogether(casting: Casting, method: Method, plan: PlanDraft): void {
  const clamped = isClamped(method) || isClamped(plan.coatsMade[plan.coatsMade.length - 1].method);
  const together =
    clamped && plan.moldRecord.composition.kind === 'figure'
      ? plan.parts.filter(({ part }) => part.moldId === plan.part.moldId)
      : [plan];
  for (const part of together) makeBy(casting, method, part);
}

/** Filled nearly to the top, set, topped up, closed with the other half and clamped. */
function clamp(part: Part, plan: Pick<PartDraft, 'cavity' | 'coat'>): void {
  const [first] = part.coats;
  startBy(first, 'solid', dosed('solid', part, plan));
  first.volumeShare = FIRST_FILL;
  part.coats = [first, { ...copyOf(first), id: `${first.id}-top`, method: 'clamp', volumeShare: 1 - FIRST_FILL }];
}

function startBy(coat: Coat, method: Method, doseM3: number): void {
  const hadDose = isDosed(coat.method);
  if (isChilled(method) && !isChilled(coat.method))
    Object.assign(coat, { dwellSeconds: CHILLED_S, standsIn: 'fridge' });
  if (tippedOut(method) && !isChilled(method) && isChilled(coat.method)) coat.dwellSeconds = STANDS_S;
  if (isTurned(method)) coat.turnSeconds = TURNED_S;
  if (isDosed(method) && (!hadDose || isPainted(method) !== isPainted(coat.method))) coat.doseM3 = doseM3;
  if (!laidAnywhere(method)) coat.where = 'all';
  if (fillsLevel(method)) coat.volumeShare = 1;
  coat.method = method;
}

/** The dose for one of the part's coats that makes it thick enough in all, or as thick as one paints. */
function dosed(method: Method, { coats }: Part, { cavity, coat }: Pick<PartDraft, 'cavity' | 'coat'>): number {
  const even = isPainted(method) ? PAINTED_M : (1.2 * coat.neededRim.value) / coats.length;
  return within(LIMITS.doseM3, filmVolume(cavity, new Float64Array(cavity.profile.arcM.length).fill(even)));
}

/** Divides a cavity, but for what is clamped, evenly among the layers of a solid fill; other coats are left as they are. */
export function evenLayers(coats: Coat[]): void {
  const layers = coats.filter(({ method }) => fillsLevel(method) && !isClamped(method));
  const room = coats.reduce((left, { method, volumeShare }) => (isClamped(method) ? left - volumeShare : left), 1);
  if (coats.every(({ method }) => fillsLevel(method)))
    for (const coat of layers) coat.volumeShare = room / layers.length;
}
