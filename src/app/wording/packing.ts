import type { Packable } from '../../core/occasion/packing';
import type { Casting } from '../../core/record/casting';
import type { PackedSet } from '../../core/record/occasion';
import { insideOf } from '../../core/record/variants';

/** What pieces that are packed are called: "Hedgerow bombs", and of a casting with variants "Hedgerow bombs, as chosen", "Hedgerow bombs, White ones". */
export function packableName({ castingId, variantId }: Packable, castings: readonly Casting[]): string {
  const casting = castings.find(({ id }) => id === castingId);
  if (!casting) return '';
  if (variantId === undefined) return casting.variants.length > 0 ? `${casting.name}, as chosen` : casting.name;
  const variant = casting.variants.find(({ id }) => id === variantId);
  return `${casting.name}, ${variant?.name ?? 'a variant that is gone'}`;
}

/** What is in them: "Cider-spice powder, Small marshmallows"; empty for what is not filled. */
export function insideText({ castingId, variantId }: Packable, castings: readonly Casting[]): string {
  const casting = castings.find(({ id }) => id === castingId);
  return casting ? insideOf(casting, variantId).join(', ') : '';
}

/** What is in each of a set: "2 Hedgerow bombs (Cider-spice powder), 1 Bites". */
export function contentsText({ contents }: PackedSet, castings: readonly Casting[]): string {
  return contents
    .filter(({ pieces }) => pieces > 0)
    .map((one) => {
      const inside = insideText(one, castings);
      return `${one.pieces} ${packableName(one, castings)}${inside ? ` (${inside})` : ''}`;
    })
    .join(', ');
}

/** What goes into which pieces, where it is not the same in all: "as chosen: Cider-spice powder; White ones: Small marshmallows". */
export function insertsText(casting: Casting): string {
  const sorts = [undefined, ...casting.variants].map((variant) => ({
    name: variant?.name ?? 'as chosen',
    inside: insideOf(casting, variant?.id).join(', '),
  }));
  return sorts.some(({ inside }) => inside !== sorts[0].inside)
    ? sorts.map(({ name, inside }) => `${name}: ${inside || 'nothing'}`).join('; ')
    : '';
}
