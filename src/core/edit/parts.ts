import type { Casting, Part } from '../record/casting';
import { isLid, joinsRims } from '../record/closing';
import type { PartRole } from '../record/choices';
import { copyOf, putCopy } from '../record/copy';
import { MOST } from '../record/limits';
import { dropUnused } from './melting';
import type { Mold } from '../record/mold';
import { partsPerPiece } from '../record/mold-cavities';
import { moldById, moldOf } from '../record/references';
import { joinsOf } from '../record/closing';
import { usualClosing } from './closing';

/** One kind of part that a mold gives. */
export interface MoldPart {
  readonly cavityId: string;
  readonly perPiece: number;
  readonly role: PartRole;
  readonly name: string;
}

/** What a piece takes from a mold: both halves of a figure, every kind of an assembly, else its first kind of cavity. */
export function partsOfMold(mold: Mold): readonly MoldPart[] {
  const { composition, cavities } = mold;
  const named = (cavityId: string): string => cavities.find(({ id }) => id === cavityId)?.name ?? '';
  if (composition.kind === 'figure')
    return [composition.frontId, composition.backId].map((cavityId) => ({
      cavityId,
      perPiece: 1,
      role: 'shell',
      name: named(cavityId),
    }));
  if (composition.kind === 'assembly')
    return composition.parts.map(({ cavityId, perPiece }, i) => ({
      cavityId,
      perPiece,
      role: i === 0 ? 'base' : 'ornament',
      name: named(cavityId),
    }));
  const [{ id }] = cavities;
  const perPiece = partsPerPiece(mold, id);
  return [{ cavityId: id, perPiece, role: 'shell', name: perPiece === 2 ? 'Half' : 'Part' }];
}

/**
 * Casts a part in another mold, on a draft of the casting that may be written to: the mold comes in as a copy, and parts that it gives
 * beside this one come with it, made alike. Molds that nothing is cast in any more are dropped. A seam goes where there is nothing left
 * to join, and comes where there is.
 * @param renewed the copy takes the place of one that is there already, which else stays
 */
export function castIn(casting: Casting, partId: string, library: Mold, renewed = false): void {
  const part = casting.parts.find(({ id }) => id === partId);
  if (!part) return;
  const before = moldOf(casting, part);
  const { id: moldId } = library;
  const atHand = casting.molds.find(({ id }) => id === moldId)?.atHand ?? library.atHand;
  putCopy(casting.molds, { ...copyOf(library), atHand }, renewed);
  const mold = moldById(casting, moldId);
  if (before.id !== moldId) moveTo(casting, part, before, mold);
  for (const one of casting.parts)
    if (one.moldId === moldId && !mold.cavities.some(({ id }) => id === one.cavityId))
      one.cavityId = mold.cavities[0].id;
  dropMolds(casting);
  joinAsNeeded(casting, joinsOf(partsOfMold(mold)) === 'halves');
}

function moveTo(casting: Casting, part: Part, before: Mold, mold: Mold): void {
  part.moldId = mold.id;
  const set = before.composition.kind === 'figure' || before.composition.kind === 'assembly';
  // The other halves or pieces of a figure or an assembly go as it goes.
  if (set) {
    for (const { id } of casting.parts.filter((one) => one !== part && one.moldId === before.id))
      removePart(casting, id);
  }
  const [first, ...more] = partsOfMold(mold);
  const alone = !casting.parts.some((one) => one !== part && one.role === 'shell');
  Object.assign(
    part,
    more.length > 0 || (alone && (set || part.role === 'shell')) ? first : { cavityId: first.cavityId },
  );
  for (const one of more.slice(0, MOST.parts - casting.parts.length))
    casting.parts.push({ ...copyOf(part), ...one, id: freshPartId(casting) });
}

/** Takes so many of a part in a piece; two shells are joined, and one is not. */
export function takePerPiece(casting: Casting, partId: string, count: number): void {
  const part = casting.parts.find(({ id }) => id === partId);
  if (!part) return;
  part.perPiece = count;
  joinAsNeeded(casting, part.role === 'shell');
}

/** A seam or a plate joins: taken away where a piece has nothing to join, put in where two are `joined` that were not closed yet. */
function joinAsNeeded(casting: Casting, joined: boolean): void {
  const joins = joinsOf(casting.parts);
  if (!joins && casting.closure && joinsRims(casting.closure.kind)) casting.closure = null;
  if (joins === 'halves' && !casting.closure && joined) casting.closure = usualClosing(casting, 'warmPlate');
}

/** Ways a part is added: the second of two halves that are alike so far, as much again of it in another size, or another part of a role. */
export type PartKind = 'secondHalf' | 'size' | Exclude<PartRole, 'shell'>;

/**
 * Adds a part, made like one that is there, and gives its id. Two halves alike become two parts that can differ in colour; another size is
 * filled as the first is.
 */
export function addPart(
  casting: Casting,
  like: string,
  kind: PartKind,
  name: string,
  otherName: string,
): string | undefined {
  const model = casting.parts.find(({ id }) => id === like);
  if (!model || casting.parts.length >= MOST.parts) return undefined;
  const id = freshPartId(casting);
  const part = { ...copyOf(model), id, name };
  if (kind === 'secondHalf') {
    part.perPiece = Math.max(1, model.perPiece - 1);
    Object.assign(model, { perPiece: 1, name: otherName });
  } else if (kind === 'size') fillAlike(casting, like, id);
  else Object.assign(part, { role: kind, perPiece: 1, filled: 'one', heaped: false, prep: [] });
  casting.parts.push(part);
  return id;
}

/** Fills a part as another is, as far as there is room for more layers. */
function fillAlike({ fill }: Casting, like: string, partId: string): void {
  const taken = new Set(fill.map(({ id }) => id));
  const alike = fill.filter((layer) => layer.partId === like).slice(0, MOST.fill - fill.length);
  for (const layer of alike) {
    let n = fill.length + 1;
    while (taken.has(`layer-${n}`)) n++;
    taken.add(`layer-${n}`);
    fill.push({ ...copyOf(layer), id: `layer-${n}`, partId });
  }
}

/** Takes a part out with all that is said of it; one always stays. */
export function removePart(casting: Casting, partId: string): void {
  if (casting.parts.length === 1) return;
  casting.parts = casting.parts.filter(({ id }) => id !== partId);
  casting.fill = casting.fill.filter((layer) => layer.partId !== partId);
  casting.finishes = casting.finishes.filter((finish) => !('partId' in finish && finish.partId === partId));
  if (isLid(casting.closure) && casting.closure.partId === partId) casting.closure = null;
  dropMolds(casting);
  dropUnused(casting);
  joinAsNeeded(casting, false);
}

function dropMolds(casting: Casting): void {
  casting.molds = casting.molds.filter(({ id }) => casting.parts.some(({ moldId }) => moldId === id));
}

function freshPartId({ parts }: Casting): string {
  const taken = new Set(parts.map(({ id }) => id));
  let n = parts.length + 1;
  while (taken.has(`part-${n}`)) n++;
  return `part-${n}`;
}
