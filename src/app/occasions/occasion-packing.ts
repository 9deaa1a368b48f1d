import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { castSo, packablesOf, packedOf, type Packable } from '../../core/occasion/packing';
import { WRAPS } from '../../core/record/choices';
import { packedKey, type PackedSet } from '../../core/record/occasion';
import { CastingStore } from '../state/casting-store';
import { newId } from '../state/new-id';
import { Occasions } from '../state/occasions';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { TextField } from '../ui/text-field';
import { Tool } from '../ui/tool';
import { WRAP_NAMES } from '../wording/occasion';
import { insideText, packableName } from '../wording/packing';
import { OccasionView } from './occasion-view';

/** What is packed together: sets of pieces, each alike so many times, and what of the castings is left over or short. */
@Component({
  selector: 'ks-occasion-packing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, LucideX, NzButtonComponent, TextField, Tool],
  templateUrl: './occasion-packing.html',
  styleUrl: './occasion-packing.less',
})
export class OccasionPacking {
  private readonly view = inject(OccasionView);
  private readonly occasions = inject(Occasions);
  private readonly store = inject(CastingStore);
  protected readonly wraps = WRAPS.map((value) => ({ value, name: WRAP_NAMES[value] }));
  protected readonly packables = computed(() =>
    packablesOf(this.view.castings(), this.view.occasion()?.sets ?? []).map((one) => ({
      ...one,
      key: packedKey(one),
      name: packableName(one, this.view.castings()),
      inside: insideText(one, this.view.castings()),
    })),
  );

  protected readonly sets = computed(() =>
    (this.view.occasion()?.sets ?? []).map((set) => ({
      ...set,
      pieces: new Map(set.contents.map((one) => [packedKey(one), one.pieces])),
    })),
  );
  protected readonly packed = computed(() => {
    const sets = this.view.occasion()?.sets ?? [];
    if (sets.length === 0) return [];
    return packedOf(sets, this.packables()).map((one) => {
      const { variantId, variant, pieces, packed, left } = one;
      const rest = left > 0 ? `${left} left over` : left < 0 ? `${-left} short` : 'none left over';
      return {
        ...one,
        key: packedKey(one),
        short: left < 0,
        mayCast: left < 0 && (variantId === undefined || variant !== undefined),
        text: `${one.name}: ${packed} of ${pieces} packed, ${rest}`,
      };
    });
  });

  protected add(): void {
    const contents = this.packables()
      .filter(({ pieces }) => pieces > 0)
      .map(({ castingId, variantId }) => ({ castingId, ...(variantId === undefined ? {} : { variantId }), pieces: 1 }));
    this.edit('new set', (sets) => {
      const free = [1, 2, 3]
        .map((k) => `Set ${sets.length + k}`)
        .find((name) => sets.every((set) => set.name !== name));
      sets.push({ id: newId(), name: free ?? 'Set', count: 1, wrap: 'box', contents });
    });
  }

  protected takeOut(id: string): void {
    this.edit('set', (sets) =>
      sets.splice(
        sets.findIndex((set) => set.id === id),
        1,
      ),
    );
  }

  protected change(id: string, change: Partial<PackedSet>): void {
    this.edit(
      'set',
      (sets) => Object.assign(sets.find((set) => set.id === id) ?? {}, change),
      `${id} ${Object.keys(change)}`,
    );
  }

  protected setName(id: string, name: string): void {
    if (name.trim()) this.change(id, { name: name.trim() });
  }

  protected setPieces(id: string, { castingId, variantId }: Packable, pieces: number): void {
    const own = { castingId, ...(variantId === undefined ? {} : { variantId }) };
    this.edit(
      'set',
      (sets) => {
        const set = sets.find((one) => one.id === id);
        if (!set) return;
        const rest = set.contents.filter((one) => packedKey(one) !== packedKey(own));
        set.contents = pieces > 0 ? [...rest, { ...own, pieces }] : rest;
      },
      `${id} ${packedKey(own)}`,
    );
  }

  /** As many are cast as are packed. */
  protected cast({ castingId, variantId }: Packable, pieces: number): void {
    this.store.editOne(castingId, 'pieces', (draft) => castSo(draft, variantId, pieces));
  }

  private edit(label: string, change: (sets: PackedSet[]) => unknown, gesture?: string): void {
    const id = this.view.id();
    this.occasions.edit(id, label, (draft) => void change(draft.sets), gesture && `${id} set ${gesture}`);
  }
}
