import type { CastingPlan } from '../../core/plan/plan-types';
import { sortsOf } from '../../core/plan/sorts';
import type { UnitSystem } from '../../core/quantity/units';
import { schoolRow } from '../../core/record/school';
import { guestCautions } from './cautions';
import { KEEPING_TEXTS } from './closing';
import { text } from './format';
import { ALLERGEN_NAMES, listed } from './names';
import { fieldText } from './times';

/** What goes with a piece to whoever is given it. */
export interface GuestTag {
  readonly title: string;
  readonly lines: readonly string[];
}

/** The allergens of a piece, as they are told everywhere. */
export function containsText({ allergens }: CastingPlan['piece']): string {
  return `Contains ${listed(allergens.map((allergen) => ALLERGEN_NAMES[allergen])) || 'none of the listed allergens'}`;
}

/** Whether a piece was cast of a melt out of temper, which stays in the cold. */
export function keptCold({ melts }: Pick<CastingPlan, 'melts'>): boolean {
  return melts.some(({ input }) => schoolRow(input.school).works === 'anywhere');
}

/** A tag and how many pieces it is for. */
export interface CountedTag {
  readonly tag: GuestTag;
  readonly pieces: number;
}

/** The tags of a casting: one for each sort of its pieces. */
export function guestTags(plan: CastingPlan, system: UnitSystem): readonly CountedTag[] {
  return sortsOf(plan, plan.casting.pieces).map(({ pieces, name, draft }) => {
    const tag = guestTag({ ...plan, ...draft }, system);
    return { pieces, tag: name === undefined ? tag : { ...tag, title: `${tag.title}, ${name}` } };
  });
}

/** Words the tag: what it is of and weighs, allergens, when it was made and how it keeps, and what the guest has to mind. */
function guestTag(plan: CastingPlan, system: UnitSystem): GuestTag {
  const { casting, parts, piece } = plan;
  const chocolates = new Set(parts.flatMap((part) => part.chocolates.map(({ name }) => name)));
  const inside = new Set(parts.flatMap(({ fill }) => fill.layers.map(({ choice }) => choice.filling.name)));
  const keeps = keptCold(plan) ? 'Keep it closed in the fridge and eat it cold' : `It ${KEEPING_TEXTS[piece.keeping]}`;
  return {
    title: casting.name,
    lines: [
      `${text(piece.mass.value, 'mass', system)}. ${listed([...chocolates])}${inside.size > 0 ? `; inside ${listed([...inside])}` : ''}.`,
      `${containsText(piece)}.`,
      `Made ${fieldText(casting.due.local.slice(0, 10))}. ${keeps}.`,
      ...guestCautions(plan),
    ],
  };
}
