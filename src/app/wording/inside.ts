import type { PartDraft } from '../../core/plan/plan-types';

/** What a layer is called: dipped where it is, and where it lies when several parts of a piece are filled. */
export function insideName(parts: readonly PartDraft[], { part, dips, fill }: PartDraft, index: number): string {
  const { id, filling } = fill.layers[index].choice;
  const several = parts.filter((one) => one.fill.layers.length > 0).length > 1;
  return [
    filling.name,
    ...(dips.some(({ layerId }) => layerId === id) ? ['dipped'] : []),
    ...(several ? [`in ${part.name.toLowerCase()}`] : []),
  ].join(', ');
}
