import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideTrash2, LucideArrowUp } from '@lucide/angular';
import type { LayerAnswer } from '../../../core/fill/fill';
import { FILLING_MATTER } from '../../../core/matter/filling';
import type { FillAmount } from '../../../core/record/casting';
import { LIMITS, type Limit } from '../../../core/record/limits';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { AmountField, type TypedAmount } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { ALLERGEN_NAMES, listed } from '../../wording/names';

/** What goes inside, in layers from the bottom up, and whether it closes. */
@Component({
  selector: 'ks-fill-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure, Pick, LucideTrash2, LucideArrowUp],
  templateUrl: './fill-station.html',
  styleUrls: ['../station.less', './fill-station.less'],
})
export class FillStation {
  private readonly store = inject(CastingStore);
  protected readonly plan = inject(PlanService).draft;
  protected readonly limits = LIMITS;
  protected readonly ways = [{ value: 'amount' as const, name: 'an amount' }, { value: 'line' as const, name: 'to the line' }];
  protected readonly fillings = computed(() => (this.plan()?.casting.fillings ?? []).map(({ id, name }) => ({ value: id, name })));
  protected readonly full = computed(() => (this.plan()?.casting.fill.length ?? 0) >= 12);
  protected readonly allergens = computed(() => listed((this.plan()?.fill.allergens ?? []).map((allergen) => ALLERGEN_NAMES[allergen])));
  protected readonly hasGanache = computed(() => this.plan()?.fill.layers.some((layer) => layer.choice.filling.kind === 'ganache') ?? false);
  protected readonly hasDrink = computed(() => this.plan()?.fill.layers.some((layer) => layer.choice.filling.kind === 'powder') ?? false);

  protected limitsOf(layer: LayerAnswer): readonly Limit[] {
    const countable = FILLING_MATTER[layer.choice.filling.kind].pieceKg !== undefined;
    return countable ? [LIMITS.fillVolumeM3, LIMITS.fillMassKg, LIMITS.fillCount] : [LIMITS.fillVolumeM3, LIMITS.fillMassKg];
  }

  protected hintOf(layer: LayerAnswer): string {
    return this.limitsOf(layer).length > 2 ? 'Spoons, mL, grams or pieces (“9 pcs”)' : 'Spoons, mL or grams';
  }

  protected valueOf(amount: FillAmount): number {
    return amount.by === 'volume' ? amount.m3 : amount.by === 'mass' ? amount.kg : amount.by === 'count' ? amount.count : amount.belowRimM;
  }

  protected kindOf(amount: FillAmount): 'volume' | 'mass' | 'count' | 'length' {
    return amount.by === 'line' ? 'length' : amount.by;
  }

  protected setAmount(id: string, { value, dimension }: TypedAmount): void {
    const amount: FillAmount =
      dimension === 'mass' ? { by: 'mass', kg: value } : dimension === 'count' ? { by: 'count', count: value } : dimension === 'length' ? { by: 'line', belowRimM: value } : { by: 'volume', m3: value };
    this.editLayer(id, 'fill amount', (layer) => (layer.amount = amount), `fill ${id}`);
  }

  protected setWay(answer: LayerAnswer, way: 'amount' | 'line'): void {
    const headspace = this.plan()?.fill.headspace.value ?? 0;
    this.editLayer(answer.choice.id, 'fill by', (layer) => {
      layer.amount = way === 'line' ? { by: 'line', belowRimM: Math.max(0, Math.min(headspace, 0.003)) } : { by: 'volume', m3: answer.volume.value };
    });
  }

  protected setFilling(id: string, fillingId: string): void {
    this.editLayer(id, 'filling', (layer) => {
      layer.fillingId = fillingId;
      // A count means nothing for a filling that is not in pieces; its volume stays.
      const volume = this.plan()?.fill.layers.find((candidate) => candidate.choice.id === id)?.volume.value;
      if (layer.amount.by === 'count' && volume !== undefined) layer.amount = { by: 'volume', m3: volume };
    });
  }

  protected add(): void {
    const part = this.plan()?.part.id;
    if (!part) return;
    this.store.edit('add a layer', (casting) => {
      const id = `layer-${crypto.randomUUID().slice(0, 8)}`;
      const next = casting.fillings.find((filling) => !casting.fill.some((layer) => layer.fillingId === filling.id)) ?? casting.fillings[0];
      casting.fill.push({ id, partId: part, fillingId: next.id, amount: { by: 'volume', m3: 5e-6 } });
    });
  }

  protected remove(id: string): void {
    this.store.edit('remove a layer', (casting) => {
      casting.fill = casting.fill.filter((layer) => layer.id !== id);
    });
  }

  protected moveDown(index: number): void {
    this.store.edit('order of layers', (casting) => {
      const [layer] = casting.fill.splice(index, 1);
      casting.fill.splice(index - 1, 0, layer);
    });
  }

  private editLayer(id: string, label: string, change: (layer: { fillingId: string; amount: FillAmount }) => void, gesture?: string): void {
    this.store.edit(label, (casting) => {
      const layer = casting.fill.find((candidate) => candidate.id === id);
      if (layer) change(layer);
    }, gesture);
  }
}
