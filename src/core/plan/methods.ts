import { insteadOf, laidAnywhere, type Method, setsUpright } from '../record/method';
import type { Casting, Coat, Part } from '../record/casting';
import type { Mold } from '../record/mold';
import { cavityRecordOf, moldOf } from '../record/references';

/** Methods that a mold allows for one of its cavities, the likeliest first. A pressed shell is what its insert leaves, spooned in. */
export function methodsFor({ composition }: Mold, { shape }: Mold['cavities'][number]): readonly Method[] {
  if (composition.kind === 'press') return ['spoon'];
  if (composition.kind === 'former') return ['dump', 'brush', 'paint'];
  const halves = composition.kind === 'halves' || composition.kind === 'figure';
  // A vessel to be turned has to be closed: by its other half, or by a cap on its neck.
  const closes = halves || shape.kind === 'ball' || shape.kind === 'turned';
  return [
    ...(shape.kind === 'liner' ? (['spreadUp'] as const) : []),
    'dump',
    'spoon',
    'brush',
    'chillDump',
    ...(closes ? (['turn'] as const) : []),
    'paint',
    'solid',
    ...(halves ? (['clamp'] as const) : []),
  ];
}

/** The coats of the record as they are taken in the part's mold: by what it allows, and pressed there is one. */
export function coatModels(casting: Pick<Casting, 'molds'>, part: Part): readonly Coat[] {
  const mold = moldOf(casting, part);
  const allowed = methodsFor(mold, cavityRecordOf(mold, part));
  const coats = mold.composition.kind === 'press' ? part.coats.slice(0, 1) : part.coats;
  return coats.map((coat) => taken(coat, allowed));
}

function taken(coat: Coat, allowed: readonly Method[]): Coat {
  const { method } = coat;
  const instead = insteadOf(method);
  const by = allowed.includes(method) ? method : instead && allowed.includes(instead) ? instead : allowed[0];
  const where = laidAnywhere(by) ? coat.where : 'all';
  const wayUp = setsUpright(by) ? 'upright' : coat.wayUp;
  return by === method && where === coat.where && wayUp === coat.wayUp ? coat : { ...coat, method: by, where, wayUp };
}
