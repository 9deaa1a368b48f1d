import type { Allergen } from '../record/choices';
import type { Chocolate } from '../record/chocolate';
import type { Filling } from '../record/filling';

/** Something that a filling comes down to: bought as it is, or a chocolate. */
export interface Component {
  readonly name: string;
  readonly chocolateId?: string;
  readonly fillingId?: string;
  readonly kg: number;
}

/**
 * What an amount of a filling comes down to, its recipe scaled by parts of weight and those of the fillings in it in turn.
 * What has no recipe stands for itself. The components sum to the amount. A filling in itself, which reading a record rules out, is left as it is.
 */
export function components(
  fillings: readonly Filling[],
  filling: Filling,
  kg: number,
  within: readonly string[] = [],
): Component[] {
  if (filling.recipe.length === 0 || within.includes(filling.id))
    return [{ name: filling.name, fillingId: filling.id, kg }];
  const all = filling.recipe.reduce((sum, { parts }) => sum + parts, 0);
  return filling.recipe.flatMap(({ name, parts, chocolateId, fillingId }): Component[] => {
    const own = (kg * parts) / all;
    const inner = fillingId === undefined ? undefined : fillings.find(({ id }) => id === fillingId);
    if (inner) return components(fillings, inner, own, [...within, filling.id]);
    return [{ name, kg: own, ...(chocolateId === undefined ? {} : { chocolateId }) }];
  });
}

/** Adds components that are the same thing. */
export function gathered(parts: readonly Component[]): Component[] {
  const byThing = new Map<string, Component>();
  for (const part of parts) {
    const key = part.chocolateId ?? part.fillingId ?? part.name.trim().toLowerCase();
    const before = byThing.get(key);
    byThing.set(key, before ? { ...before, kg: before.kg + part.kg } : part);
  }
  return [...byThing.values()];
}

/** Allergens of a filling: its own, and those of everything it is mixed of. */
export function allergensOf(
  fillings: readonly Filling[],
  chocolates: readonly Pick<Chocolate, 'id' | 'allergens'>[],
  filling: Filling,
  within: readonly string[] = [],
): Allergen[] {
  if (within.includes(filling.id)) return [];
  const inner = filling.recipe.flatMap(({ allergens, chocolateId, fillingId }) => {
    const part = fillings.find(({ id }) => id === fillingId);
    return [
      ...allergens,
      ...(chocolates.find(({ id }) => id === chocolateId)?.allergens ?? []),
      ...(part ? allergensOf(fillings, chocolates, part, [...within, filling.id]) : []),
    ];
  });
  return [...new Set([...filling.allergens, ...inner])];
}
