import { SUPPLIES, type SupplyKind } from '../record/choices';
import { cavityRecordOf, moldOf } from '../record/references';
import { castOf } from './batch-input';
import type { CastingPlan } from './plan-types';

/** So many of something that is used up in pieces; gloves in pairs. */
export interface Supply {
  readonly kind: SupplyKind;
  readonly count: number;
  /** Of a stick: how thick it is, and how far it reaches in, m. */
  readonly stick?: { readonly thickM: number; readonly insideM: number };
}

/** What a casting takes in pieces: a stick for each part that has one, a liner for each that is cast in one, those cast to spare as well. */
export function suppliesOf({
  casting,
  parts,
  batch,
}: Pick<CastingPlan, 'casting' | 'parts' | 'batch'>): readonly Supply[] {
  const cast = castOf(batch);
  return allSupplies(
    parts.flatMap(({ part }): Supply[] => [
      ...(part.stick ? [{ kind: 'stick' as const, count: cast(part.id), stick: part.stick }] : []),
      ...(cavityRecordOf(moldOf(casting, part), part).shape.kind === 'liner'
        ? [{ kind: 'liner' as const, count: cast(part.id) }]
        : []),
    ]),
  );
}

/** The same of a casting that is made alone: with a pair of gloves for who makes it. */
export function suppliesAlone(plan: CastingPlan): readonly Supply[] {
  return allSupplies([...suppliesOf(plan), { kind: 'gloves', count: 1 }]);
}

/** The same of several lists, what is alike counted together, in the order of the kinds. */
export function allSupplies(supplies: readonly Supply[]): readonly Supply[] {
  const all = new Map<string, Supply>();
  for (const supply of supplies) {
    if (supply.count === 0) continue;
    const key = [supply.kind, supply.stick?.thickM, supply.stick?.insideM].join(' ');
    all.set(key, { ...supply, count: (all.get(key)?.count ?? 0) + supply.count });
  }
  return [...all.values()].sort((a, b) => SUPPLIES.indexOf(a.kind) - SUPPLIES.indexOf(b.kind));
}
