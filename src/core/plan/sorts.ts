import { piecesOfEach } from '../record/variants';
import { isCapped } from './capping';
import { toppedFace } from './open-face';
import type { ChilledDraft, PartDraft, PlanDraft } from './plan-types';

/** So many pieces of a job that are all made alike: as the casting is chosen, or as one of its variants. */
export interface Sort<D extends PlanDraft = PlanDraft> {
  readonly pieces: number;
  /** The variant's; undefined for those that are as the casting is chosen. */
  readonly name: string | undefined;
  readonly draft: D;
}

/** What of so many pieces is made alike, the casting's own first; none of which there is no piece. */
export function sortsOf(plan: ChilledDraft, pieces: number): readonly Sort<ChilledDraft>[];
export function sortsOf(plan: PlanDraft, pieces: number): readonly Sort[];
export function sortsOf(plan: PlanDraft, pieces: number): readonly Sort[] {
  const counts = piecesOfEach(plan.casting, pieces);
  return [{ name: undefined, draft: plan }, ...plan.variants.map(({ variant: { name }, draft }) => ({ name, draft }))]
    .map((one, i) => ({ ...one, pieces: counts[i] }))
    .filter((sort) => sort.pieces > 0);
}

/** Of a part, those that are cast alike: the same coats on the same paint, and where they are filled or topped in the mold the same in that. */
export interface Cast<D extends PlanDraft = PlanDraft> {
  readonly pieces: number;
  /** Of the sorts of pieces that they are for. */
  readonly names: readonly Sort['name'][];
  readonly draft: D;
  readonly made: D['parts'][number];
  /** Whole ones that were cast before: as the casting is chosen. */
  readonly there: number;
}

/** Those of a part that are cast alike for so many pieces of a plan, in the order of the pieces. */
export function castsOf(plan: ChilledDraft, partId: string, pieces: number): readonly Cast<ChilledDraft>[];
export function castsOf(plan: PlanDraft, partId: string, pieces: number): readonly Cast[];
export function castsOf(plan: PlanDraft, partId: string, pieces: number): readonly Cast[] {
  const partOf = ({ parts }: PlanDraft): PartDraft | undefined => parts.find(({ part }) => part.id === partId);
  const chosen = partOf(plan);
  const inMold = isCapped(plan, partId) || (toppedFace(plan)?.parts.some(({ part }) => part.id === partId) ?? false);
  // Without variants all are alike, and nothing need be compared.
  const keyOf = (draft: PlanDraft, { part }: PartDraft): string =>
    plan.variants.length === 0 ? '' : JSON.stringify([part.prep, part.coats, inMold && insideOf(draft, partId)]);
  const casts = new Map<string, Cast>();
  for (const sort of sortsOf(plan, pieces)) {
    const made = partOf(sort.draft);
    if (!made || !chosen) continue;
    const key = keyOf(sort.draft, made);
    const { pieces: count = 0, names = [] } = casts.get(key) ?? {};
    const there = key === keyOf(plan, chosen) ? (chosen.part.there?.parts ?? 0) : 0;
    const { draft, name } = sort;
    casts.set(key, { draft, made, there, ...casts.get(key), pieces: count + sort.pieces, names: [...names, name] });
  }
  return [...casts.values()];
}

/** What goes into a part and on it before it leaves its mold. */
function insideOf({ casting: { fill, closure, finishes } }: PlanDraft, partId: string): unknown {
  return [fill.filter((layer) => layer.partId === partId), closure?.meltId, finishes];
}
