import type { Casting, Chocolate, Filling, Melt, Part } from './casting';
import type { Mold } from './mold';
import { brokenComposition } from './mold-cavities';

/** The path of the first id in a casting that points at nothing, or undefined when all are whole. */
export function brokenReference(casting: Casting): string | undefined {
  const has = (list: readonly { id: string }[], id: string): boolean => list.some((entry) => entry.id === id);
  for (const [i, melt] of casting.melts.entries()) {
    if (!has(casting.chocolates, melt.chocolateId)) return `melts.${i}.chocolateId`;
  }
  for (const [i, mold] of casting.molds.entries()) {
    const broken = brokenComposition(mold);
    if (broken) return `molds.${i}.${broken}`;
  }
  for (const [i, part] of casting.parts.entries()) {
    const mold = casting.molds.find((m) => m.id === part.moldId);
    if (!mold) return `parts.${i}.moldId`;
    if (!has(mold.cavities, part.cavityId)) return `parts.${i}.cavityId`;
    for (const [k, coat] of part.coats.entries()) {
      const broken = coat.shares.findIndex((share) => !has(casting.melts, share.meltId));
      if (broken >= 0) return `parts.${i}.coats.${k}.shares.${broken}.meltId`;
    }
  }
  if (casting.closure && !has(casting.melts, casting.closure.meltId)) return 'closure.meltId';
  for (const [i, finish] of casting.finishes.entries()) {
    if (finish.meltId !== undefined && !has(casting.melts, finish.meltId)) return `finishes.${i}.meltId`;
  }
  for (const [i, layer] of casting.fill.entries()) {
    if (!has(casting.parts, layer.partId)) return `fill.${i}.partId`;
    if (!has(casting.fillings, layer.fillingId)) return `fill.${i}.fillingId`;
  }
  return undefined;
}

function found<T extends { readonly id: string }>(list: readonly T[], id: string, what: string): T {
  const entry = list.find((candidate) => candidate.id === id);
  if (!entry) throw new Error(`no ${what} with id ${id}`);
  return entry;
}

/** The mold a part is cast in. Throws on a broken reference, which reading a record rules out. */
export function moldOf(casting: Casting, part: Part): Mold {
  return found(casting.molds, part.moldId, 'mold');
}

/** The cavity of its mold that a part is cast in. */
export function cavityRecordOf(mold: Mold, part: Part): Mold['cavities'][number] {
  return found(mold.cavities, part.cavityId, 'cavity');
}

/** A melt by its id. */
export function meltOf(casting: Casting, meltId: string): Melt {
  return found(casting.melts, meltId, 'melt');
}

/** The chocolate a melt is made of. */
export function chocolateOf(casting: Casting, melt: Melt): Chocolate {
  return found(casting.chocolates, melt.chocolateId, 'chocolate');
}

/** A filling by its id. */
export function fillingOf(casting: Casting, fillingId: string): Filling {
  return found(casting.fillings, fillingId, 'filling');
}
