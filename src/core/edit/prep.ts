import type { Casting, Part, Prep } from '../record/casting';
import { MOST } from '../record/limits';
import { prepRow, type PrepKind } from '../record/prep';
import { stayFor } from './sets';
import { dropUnused } from './melting';

/** What a colour and a dust are drawn in until one says otherwise. */
const USUAL_COLOURS: Readonly<Record<'cocoaButter' | 'dust', string>> = { cocoaButter: '#b8402a', dust: '#c9a24a' };

/**
 * Adds a step of painting to a part's empty mold, after those that are there. Tells whether there was room for it.
 * @param name what the colour or the dust is called
 */
export function addPrep(part: Part, kind: PrepKind, id: string, name: string): boolean {
  if (part.prep.length >= MOST.prep) return false;
  const pattern = prepRow(kind).of === 'melt' ? 'spots' : 'all';
  part.prep.push(stepAs(kind, part, { id, name, pattern, share: 0.2, count: 12, spotM: 0.003 }));
  return true;
}

/** Makes a step of another kind: as thick as that usually lies, and set where it usually sets; its pattern stays. */
export function makePrep(casting: Casting, part: Part, stepId: string, kind: PrepKind, name: string): void {
  const at = part.prep.findIndex(({ id }) => id === stepId);
  if (at < 0) return;
  const { id, pattern, share, count, spotM } = part.prep[at];
  part.prep[at] = stepAs(kind, part, { id, name, pattern, share, count, spotM });
  dropUnused(casting);
}

/** A step of a kind: as thick as that usually lies, and set where it usually sets. */
function stepAs(
  kind: PrepKind,
  part: Part,
  pattern: Pick<Prep, 'id' | 'name' | 'pattern' | 'share' | 'count' | 'spotM'>,
): Prep {
  const { usualM, place, of } = prepRow(kind);
  const common = { ...pattern, thickM: usualM, sets: [{ place }] };
  return of === 'melt' ? { ...common, ...withMelt(kind, part) } : { ...common, ...withColour(kind) };
}

type Melted = Extract<Prep, { meltId: string }>;
type Coloured = Exclude<Prep, Melted>;

/** Of the melt that the part is cast from, until another is chosen. */
function withMelt(kind: PrepKind, { coats }: Part): Pick<Melted, 'kind' | 'meltId'> {
  return { kind: kind as Melted['kind'], meltId: coats[0].shares[0].meltId };
}

function withColour(kind: PrepKind): Pick<Coloured, 'kind' | 'colour'> {
  return {
    kind: kind as Coloured['kind'],
    colour: USUAL_COLOURS[prepRow(kind).of === 'dust' ? 'dust' : 'cocoaButter'],
  };
}

/** Takes a step out, and with it a melt that nothing else is made of. */
export function removePrep(casting: Casting, part: Part, stepId: string): void {
  part.prep = part.prep.filter(({ id }) => id !== stepId);
  dropUnused(casting);
}

/** Moves a step one place forward or back; at either end it stays. */
export function movePrep({ prep }: Part, stepId: string, by: -1 | 1): void {
  const from = prep.findIndex(({ id }) => id === stepId);
  const to = from + by;
  if (from < 0 || to < 0 || to >= prep.length) return;
  [prep[from], prep[to]] = [prep[to], prep[from]];
}

/** Sets a step in the fridge, without rests elsewhere, for as long as it takes. */
export function paintToFridge({ prep }: Part, stepId: string): void {
  for (const step of prep) if (step.id === stepId) step.sets = [{ place: 'fridge' }];
}

/** Gives a step the time that is computed for it. */
export function computedPaint({ prep }: Part, stepId: string): void {
  for (const step of prep) if (step.id === stepId) stayFor(step, undefined);
}
