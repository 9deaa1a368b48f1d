import { Injectable, computed, inject } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { castingChocolate, castingFilling } from '../../core/record/copies';
import { putCopy } from '../../core/record/copy';
import type { PantryFilling } from '../../core/record/filling';
import { dropUnusedCopies } from '../../core/edit/melting';
import { hasRoomFor } from '../../core/record/melting';
import { alike } from '../../core/record/merge';
import type { Option } from '../wording/option';
import { FILLING_NAMES } from '../wording/names';
import { CastingStore } from './casting-store';
import { Pantry } from './pantry';

/** Every edit of the casting asks anew; where nothing came of it, the lists on screen stay as they are. */
const SAME_LIST = { equal: alike };

/** What the open casting can be filled and finished with: the pantry's fillings, and the casting's own copies that the pantry has none of. */
@Injectable({ providedIn: 'root' })
export class Fillings {
  private readonly pantry = inject(Pantry);
  private readonly store = inject(CastingStore);

  readonly options = computed<readonly Option<string>[]>(() => {
    const there = this.pantry.fillings().map(({ id, name, kind }) => ({ value: id, name, group: FILLING_NAMES[kind] }));
    const own = (this.store.current()?.fillings ?? [])
      .filter(({ id }) => !there.some(({ value }) => value === id))
      .map(({ id, name }) => ({ value: id, name: this.pantry.loaded() ? `${name} (this casting’s own)` : name }));
    return [...own, ...there];
  }, SAME_LIST);

  /** Whether the pantry holds another state of a filling, or of one in it, than the open casting's copy. */
  differs(id: string): boolean {
    const entry = this.entry(id);
    const own = this.store.current()?.fillings ?? [];
    return (
      entry !== undefined &&
      this.withInner(entry).some((there) => {
        const copy = own.find((filling) => filling.id === there.id);
        return copy !== undefined && !alike(castingFilling(there), copy);
      })
    );
  }

  /**
   * Brings a filling into a casting that may be written to, as a copy, with the fillings and chocolates it is mixed of. Copies that are
   * there already stay, unless they are to be renewed. False, and nothing changed, where it cannot be had.
   */
  take(casting: Casting, id: string, renewed = false): boolean {
    const entry = this.entry(id);
    if (!entry) return casting.fillings.some((filling) => filling.id === id);
    if (!hasRoomFor(casting, 2 * this.withInner(entry).length)) dropUnusedCopies(casting);
    for (const filling of this.withInner(entry)) {
      putCopy(casting.fillings, castingFilling(filling), renewed);
      for (const { chocolateId } of filling.recipe) {
        const chocolate = this.pantry.chocolates().find((candidate) => candidate.id === chocolateId);
        if (chocolate && !casting.chocolates.some((own) => own.id === chocolate.id))
          casting.chocolates.push(castingChocolate(chocolate));
      }
    }
    // What a recipe names and is neither in the pantry nor in the casting is known by its name alone.
    for (const filling of casting.fillings) {
      for (const part of filling.recipe) {
        if (part.fillingId !== undefined && !casting.fillings.some((one) => one.id === part.fillingId))
          delete part.fillingId;
        if (part.chocolateId !== undefined && !casting.chocolates.some((one) => one.id === part.chocolateId))
          delete part.chocolateId;
      }
    }
    return true;
  }

  private entry(id: string): PantryFilling | undefined {
    return this.pantry.fillings().find((filling) => filling.id === id);
  }

  private withInner(entry: PantryFilling, seen: readonly string[] = []): PantryFilling[] {
    if (seen.includes(entry.id)) return [];
    const inner = entry.recipe.flatMap(({ fillingId }) =>
      fillingId === undefined ? [] : (this.entry(fillingId) ?? []),
    );
    return [...inner.flatMap((one) => this.withInner(one, [...seen, entry.id])), entry];
  }
}
