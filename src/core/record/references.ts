import type { Casting, Coat, Filling, Melt, Part } from './casting';
import { isLid } from './closing';
import { thinnerKg } from '../matter/thinning';
import type { Chocolate, Tint } from './chocolate';
import { THINNER_GOODS } from './choices';
import type { BowlRecord } from './kitchen';
import { asMelted, marbled, tintAmounts, tintAsChocolate } from './melted';
import type { Mold } from './mold';
import { brokenComposition } from './mold-cavities';

/** What a casting's parts are cast in and of, with what is stirred in, and where: all that their shells depend on beside the parts themselves. */
export type Sources = Pick<Casting, 'molds' | 'chocolates' | 'tints' | 'fillings' | 'melts' | 'kitchen'>;

/** The path of the first id in a casting that points at nothing, or undefined when all are whole. */
export function brokenReference(casting: Casting): string | undefined {
  const has = (list: readonly { id: string }[], id: string): boolean => list.some((entry) => entry.id === id);
  const unknown = casting.onHand.findIndex(({ chocolateId }) => !has(casting.chocolates, chocolateId));
  if (unknown >= 0) return `onHand.${unknown}.chocolateId`;
  for (const [i, melt] of casting.melts.entries()) {
    const { source } = melt;
    if (source.kind === 'chocolate' && !has(casting.chocolates, source.chocolateId))
      return `melts.${i}.source.chocolateId`;
    if (source.kind === 'tint' && !has(casting.tints, source.tintId)) return `melts.${i}.source.tintId`;
    if (!has(casting.kitchen.bowls, melt.bowlId)) return `melts.${i}.bowlId`;
  }
  for (const [i, tint] of casting.tints.entries()) {
    const broken = tint.chocolates.findIndex(({ chocolateId }) => !has(casting.chocolates, chocolateId));
    if (broken >= 0) return `tints.${i}.chocolates.${broken}.chocolateId`;
  }
  for (const [i, mold] of casting.molds.entries()) {
    const broken = brokenComposition(mold);
    if (broken) return `molds.${i}.${broken}`;
  }
  for (const [i, part] of casting.parts.entries()) {
    const mold = casting.molds.find((m) => m.id === part.moldId);
    if (!mold) return `parts.${i}.moldId`;
    if (!has(mold.cavities, part.cavityId)) return `parts.${i}.cavityId`;
    const unmelted = part.prep.findIndex((step) => 'meltId' in step && !has(casting.melts, step.meltId));
    if (unmelted >= 0) return `parts.${i}.prep.${unmelted}.meltId`;
    for (const [k, coat] of part.coats.entries()) {
      const broken = coat.shares.findIndex((share) => !has(casting.melts, share.meltId));
      if (broken >= 0) return `parts.${i}.coats.${k}.shares.${broken}.meltId`;
      if (coat.mixIn && !has(casting.fillings, coat.mixIn.fillingId)) return `parts.${i}.coats.${k}.mixIn.fillingId`;
    }
  }
  if (casting.closure && !has(casting.melts, casting.closure.meltId)) return 'closure.meltId';
  if (isLid(casting.closure) && !has(casting.parts, casting.closure.partId)) return 'closure.partId';
  for (const [i, finish] of casting.finishes.entries()) {
    if ('meltId' in finish && !has(casting.melts, finish.meltId)) return `finishes.${i}.meltId`;
    if ('partId' in finish && finish.partId !== undefined && !has(casting.parts, finish.partId))
      return `finishes.${i}.partId`;
    if ('fillingId' in finish && finish.fillingId !== undefined && !has(casting.fillings, finish.fillingId))
      return `finishes.${i}.fillingId`;
  }
  for (const [i, { recipe }] of casting.fillings.entries()) {
    const broken = recipe.findIndex(
      ({ chocolateId, fillingId }) =>
        (chocolateId !== undefined && !has(casting.chocolates, chocolateId)) ||
        (fillingId !== undefined && !has(casting.fillings, fillingId)),
    );
    if (broken >= 0) return `fillings.${i}.recipe.${broken}`;
  }
  for (const [i, layer] of casting.fill.entries()) {
    if (!has(casting.parts, layer.partId)) return `fill.${i}.partId`;
    if (!has(casting.fillings, layer.fillingId)) return `fill.${i}.fillingId`;
    if (layer.dip && !has(casting.melts, layer.dip.meltId)) return `fill.${i}.dip.meltId`;
  }
  return brokenVariant(casting);
}

/** The same of what variants are made of instead; what they leave as it is, or go without, need not be there. */
function brokenVariant({ variants, melts, fillings }: Casting): string | undefined {
  const [melted, filled] = [melts, fillings].map((list) => new Set(list.map(({ id }) => id)));
  for (const [i, variant] of variants.entries()) {
    const unmelted = variant.melts.findIndex(({ insteadId }) => !melted.has(insteadId));
    if (unmelted >= 0) return `variants.${i}.melts.${unmelted}.insteadId`;
    const unfilled = variant.fillings.findIndex(({ fillingId }) => !filled.has(fillingId));
    if (unfilled >= 0) return `variants.${i}.fillings.${unfilled}.fillingId`;
  }
  return undefined;
}

function found<T extends { readonly id: string }>(list: readonly T[], id: string, what: string): T {
  const entry = list.find((candidate) => candidate.id === id);
  if (!entry) throw new Error(`no ${what} with id ${id}`);
  return entry;
}

/** A part by its id, or the first. */
export function partOf(casting: Casting, partId: string | undefined): Part {
  return casting.parts.find(({ id }) => id === partId) ?? casting.parts[0];
}

/** A mold by its id. Throws on a broken reference, which reading a record rules out. */
export function moldById(casting: Pick<Casting, 'molds'>, moldId: string): Mold {
  return found(casting.molds, moldId, 'mold');
}

/** The mold a part is cast in. */
export function moldOf(casting: Pick<Casting, 'molds'>, part: Part): Mold {
  return moldById(casting, part.moldId);
}

/** The cavity of its mold that a part is cast in. */
export function cavityRecordOf(mold: Mold, part: Part): Mold['cavities'][number] {
  return found(mold.cavities, part.cavityId, 'cavity');
}

/** A melt by its id. */
export function meltOf(casting: Pick<Casting, 'melts'>, meltId: string): Melt {
  return found(casting.melts, meltId, 'melt');
}

/** The tint of a melt that has one. */
export function tintOf(casting: Pick<Casting, 'tints'>, { source }: Melt): Tint | undefined {
  return source.kind === 'tint' ? found(casting.tints, source.tintId, 'tint') : undefined;
}

/** The chocolate a melt is made of as it is in the bowl: a tint mixed, thinned where it is. */
export function chocolateOf(casting: Pick<Casting, 'chocolates' | 'tints'>, melt: Melt): Chocolate {
  const tint = tintOf(casting, melt);
  const { source } = melt;
  return asMelted(
    tint
      ? tintAsChocolate(tint, casting.chocolates)
      : found(casting.chocolates, source.kind === 'chocolate' ? source.chocolateId : '', 'chocolate'),
    melt,
  );
}

/** What a coat is made of: its melt, or several of them streaked into each other, taken as mixed. */
export function coatChocolate(casting: Sources, { shares }: Pick<Coat, 'shares'>): Chocolate {
  const melted = shares.map(({ meltId }) => chocolateOf(casting, meltOf(casting, meltId)));
  return shares.length === 1
    ? melted[0]
    : marbled(
        melted,
        shares.map(({ share }) => share),
      );
}

/** How warm a coat is worked: its melts in the shares that it has of them, °C. */
export function coatWorkingC(casting: Pick<Casting, 'melts'>, { shares }: Pick<Coat, 'shares'>): number {
  const all = shares.reduce((sum, { share }) => sum + share, 0);
  return shares.reduce((sum, { meltId, share }) => sum + (share / all) * meltOf(casting, meltId).workingC, 0);
}

/** One thing that a melt is mixed of. */
export interface MeltPart {
  /** Its chocolate's id, or by what it is told from others that are not chocolate. */
  readonly component: string;
  readonly name: string;
  readonly chocolateId?: string;
  /** Of the melt's weight; all of them sum to 1. */
  readonly share: number;
}

/** What is not chocolate is the same wherever it is called the same. */
export const goodsKey = (name: string): string => name.trim().toLowerCase();

/** All that a melt is mixed of: its chocolates, the colours of a tint, and the fat that it is thinned with. */
export function mixedOf(casting: Casting, melt: Melt): readonly MeltPart[] {
  const { source, thinning } = melt;
  const tint = tintOf(casting, melt);
  const { chocolatesKg, coloursKg } = tint ? tintAmounts(tint, 1) : { chocolatesKg: [1], coloursKg: [] };
  const ids = tint
    ? tint.chocolates.map(({ chocolateId }) => chocolateId)
    : [source.kind === 'chocolate' ? source.chocolateId : ''];
  const fat = thinning ? thinnerKg(1, thinning.share) : 0;
  const other = (name: string, share: number): MeltPart => ({ component: goodsKey(name), name, share });
  return [
    ...ids.map((chocolateId, i) => ({
      component: chocolateId,
      name: casting.chocolates.find(({ id }) => id === chocolateId)?.name ?? '',
      chocolateId,
      share: (1 - fat) * chocolatesKg[i],
    })),
    ...(tint?.colours ?? []).map(({ name }, i) => other(name, (1 - fat) * coloursKg[i])),
    ...(thinning ? [other(THINNER_GOODS[thinning.fat], fat)] : []),
  ];
}

/** Each chocolate in a melt with its share of the melt's weight; what is left of 1 is colour and fat. */
export function sharesOf(
  casting: Casting,
  melt: Melt,
): readonly { readonly chocolateId: string; readonly share: number }[] {
  return mixedOf(casting, melt).flatMap(({ chocolateId, share }) =>
    chocolateId === undefined ? [] : [{ chocolateId, share }],
  );
}

/** The bowl a melt is worked from. */
export function bowlOf(casting: Casting, melt: Melt): BowlRecord {
  return found(casting.kitchen.bowls, melt.bowlId, 'bowl');
}

/** A filling by its id. */
export function fillingOf(casting: Pick<Casting, 'fillings'>, fillingId: string): Filling {
  return found(casting.fillings, fillingId, 'filling');
}
