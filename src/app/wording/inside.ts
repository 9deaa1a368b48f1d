import type { PartDraft } from '../../core/plan/plan-types';
import type { UnitSystem } from '../../core/quantity/units';
import { text } from './format';

/** Whose something is, before its name: that of variants alone. */
export function variantPrefix(names: readonly (string | undefined)[]): string {
  return names.length === 0 || names.includes(undefined) ? '' : `${names.join(', ')}: `;
}

/** Which pieces something is for: "as chosen", or variants by their names. */
export function sortsText(names: readonly (string | undefined)[]): string {
  return [...new Set(names.map((name) => name ?? 'as chosen'))].join(', ');
}

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

/** What is dipped before it goes into a part: how many for a part, what each takes, and until when it sets. */
export function dipTexts({ dips, fill }: PartDraft, system: UnitSystem): readonly string[] {
  return dips.flatMap(({ layerId, dip: { mass, thickness, sets } }) => {
    const layer = fill.layers.find(({ choice }) => choice.id === layerId);
    if (!layer?.count) return [];
    const set = Number.isFinite(sets.value)
      ? `set after ${text(sets.value, 'duration', system)} in the room`
      : 'which does not set in this room: chill it';
    return [
      `${layer.count.value} ${layer.choice.filling.name} for each: held over the bowl until they hardly drip, then onto parchment. About ${text(mass.value, 'mass', system)} stays on one, a film of ${text(thickness.value, 'length', system)}, ${set}.`,
    ];
  });
}
