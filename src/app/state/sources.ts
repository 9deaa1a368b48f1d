import { Injectable, computed, inject } from '@angular/core';
import type { Casting } from '../../core/record/casting';
import { castingChocolate, castingTint } from '../../core/record/copies';
import { alike } from '../../core/record/merge';
import { sourceKey, type MeltSource } from '../../core/record/melting';
import type { Option } from '../wording/option';
import { KIND_NAMES } from '../wording/names';
import { CastingStore } from './casting-store';
import { Pantry, bringIn } from './pantry';

/** Every edit of the casting asks anew; where nothing came of it, the lists on screen stay as they are. */
const SAME_LIST = { equal: alike };

/** What the open casting can be poured from: the pantry's chocolates and tints, and the casting's own copies that the pantry has none of. */
@Injectable({ providedIn: 'root' })
export class Sources {
  private readonly pantry = inject(Pantry);
  private readonly store = inject(CastingStore);

  readonly options = computed<readonly Option<string>[]>(() => {
    const there = [
      ...this.pantry
        .chocolates()
        .map(({ id, name, kind, colour }) => ({ value: id, name, group: KIND_NAMES[kind], colour })),
      // A tint that lacks one of its chocolates cannot be mixed; the pantry says so.
      ...this.pantry
        .tints()
        .filter((tint) => tint.chocolates.every(({ chocolateId }) => this.pantry.byId().has(chocolateId)))
        .map(({ id, name, colour }) => ({ value: id, name, group: 'tint', colour })),
    ];
    const casting = this.store.current();
    const used = new Set(casting?.melts.map(({ source }) => sourceKey(source)));
    const own = [...(casting?.chocolates ?? []), ...(casting?.tints ?? [])].filter(
      ({ id }) => used.has(id) && !there.some(({ value }) => value === id),
    );
    return [
      ...own.map(({ id, name, colour }) => ({
        value: id,
        name: this.pantry.loaded() ? `${name} (this casting’s own)` : name,
        colour,
      })),
      ...there,
    ];
  }, SAME_LIST);

  /** Whether the pantry holds another state of a chocolate or tint than a casting's copy. */
  differs({ chocolates, tints }: Pick<Casting, 'chocolates' | 'tints'>, id: string): boolean {
    const entry = this.pantry.byId().get(id);
    if (entry?.entry !== 'chocolate' && entry?.entry !== 'tint') return false;
    const tint = tints.find((one) => one.id === id);
    if (entry.entry === 'tint')
      return (
        tint !== undefined &&
        (!alike(castingTint(entry), tint) ||
          tint.chocolates.some(({ chocolateId }) => this.differs({ chocolates, tints }, chocolateId)))
      );
    const own = chocolates.find((one) => one.id === id);
    return own !== undefined && !alike(castingChocolate(entry), own);
  }

  /**
   * Brings what an option stands for into a casting that may be written to; undefined where it cannot be had. A copy that is there
   * already stays, unless it is to be renewed.
   */
  take(casting: Casting, id: string, renewed = false): MeltSource | undefined {
    const entry = this.pantry.byId().get(id);
    if (entry?.entry === 'chocolate' || entry?.entry === 'tint')
      return bringIn(casting, entry, this.pantry.chocolates(), renewed);
    if (casting.tints.some((tint) => tint.id === id)) return { kind: 'tint', tintId: id };
    return casting.chocolates.some((chocolate) => chocolate.id === id)
      ? { kind: 'chocolate', chocolateId: id }
      : undefined;
  }
}
