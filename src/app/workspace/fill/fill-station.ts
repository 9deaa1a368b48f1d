import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideArrowUp, LucideGripVertical, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { heaps, type LayerAnswer } from '../../../core/fill/fill';
import { FILLING_MATTER } from '../../../core/matter/filling';
import { otherHalf } from '../../../core/plan/draft';
import type { Casting, FillAmount } from '../../../core/record/casting';
import { LIMITS, MOST, type Limit } from '../../../core/record/limits';
import { CastingStore } from '../../state/casting-store';
import { Fillings } from '../../state/fillings';
import { newId } from '../../state/new-id';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { AmountField, type TypedAmount } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { KEEPING_TEXTS } from '../../wording/closing';
import { text } from '../../wording/format';
import { ALLERGEN_NAMES, listed } from '../../wording/names';
import { Tool } from '../../ui/tool';

const STEP_IN_M = 0.003;
/** A layer to begin with, where there is room for it: a teaspoon. */
const USUAL_LAYER_M3 = 5e-6;

type AskedBy = 'amount' | 'share' | 'line';

/** What goes inside the open part, in layers from the bottom up, and whether it closes. */
@Component({
  selector: 'ks-fill-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    ChoiceList,
    Figure,
    LucideArrowUp,
    LucideGripVertical,
    LucideTrash2,
    NzButtonComponent,
    Pick,
    RouterLink,
    Tool,
  ],
  templateUrl: './fill-station.html',
  styleUrls: ['../station.less', './fill-station.less'],
})
export class FillStation {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  private readonly plans = inject(PlanService);
  protected readonly fillings = inject(Fillings);
  protected readonly plan = this.plans.draft;
  protected readonly ways = [
    { value: 'amount' as const, name: 'an amount' },
    { value: 'share' as const, name: 'a share' },
    { value: 'line' as const, name: 'to the line' },
  ];
  protected readonly filledWays = [
    { value: 'one' as const, name: 'one of them' },
    { value: 'all' as const, name: 'every one' },
  ];
  protected readonly heapWays = [
    { value: 'no' as const, name: 'up to the rim' },
    { value: 'yes' as const, name: 'heaped' },
  ];
  protected readonly full = computed(() => (this.plan()?.casting.fill.length ?? 0) >= MOST.fill);
  protected readonly allergens = computed(() =>
    listed((this.plan()?.piece.allergens ?? []).map((allergen) => ALLERGEN_NAMES[allergen])),
  );
  protected readonly keeping = computed(() => KEEPING_TEXTS[this.plan()?.piece.keeping ?? 'dry']);
  private readonly kinds = computed(
    () => new Set(this.plan()?.parts.flatMap(({ fill }) => fill.layers.map(({ choice }) => choice.filling.kind))),
  );
  protected readonly hasDrink = computed(() => this.kinds().has('powder'));
  protected readonly hasCustard = computed(() => this.kinds().has('custard'));
  protected readonly hasSugar = computed(() => this.kinds().has('caramel'));
  /** Loose things on top, and another half for them to stand up into. */
  protected readonly mayHeap = computed(() => {
    const plan = this.plan();
    const top = plan?.fill.layers.at(-1);
    return (
      plan !== undefined &&
      top !== undefined &&
      heaps(top.choice.filling) &&
      otherHalf(plan.part, plan.parts) !== undefined
    );
  });
  /** What the job takes of each layer, mixed of what. */
  protected readonly needs = computed(() => {
    const system = this.units.system();
    return new Map(
      (this.plans.plan()?.fillings ?? []).map(({ fillingId, mass, components }) => {
        const mixed =
          components.length > 1
            ? `: ${components.map(({ name, kg }) => `${text(kg, 'mass', system)} ${name}`).join(', ')}`
            : '';
        return [fillingId, `${text(mass.value, 'mass', system)} for the job${mixed}`];
      }),
    );
  });

  protected limitsOf(layer: LayerAnswer): readonly Limit[] {
    const countable = FILLING_MATTER[layer.choice.filling.kind].pieceKg !== undefined;
    return countable
      ? [LIMITS.fillVolumeM3, LIMITS.fillMassKg, LIMITS.fillCount]
      : [LIMITS.fillVolumeM3, LIMITS.fillMassKg];
  }

  protected hintOf(layer: LayerAnswer): string {
    return this.limitsOf(layer).length > 2 ? 'spoons, mL, g or pcs' : 'spoons, mL or g';
  }

  protected askedBy({ choice }: LayerAnswer): AskedBy {
    return choice.amount.by === 'line' || choice.amount.by === 'share' ? choice.amount.by : 'amount';
  }

  protected valueOf(amount: FillAmount): number {
    switch (amount.by) {
      case 'volume':
        return amount.m3;
      case 'mass':
        return amount.kg;
      case 'count':
        return amount.count;
      case 'share':
        return amount.share;
      case 'line':
        return amount.belowRimM;
    }
  }

  protected kindOf(amount: FillAmount): 'volume' | 'mass' | 'count' | 'share' | 'length' {
    return amount.by === 'line' ? 'length' : amount.by;
  }

  protected setAmount(id: string, { value, dimension }: TypedAmount): void {
    const amounts: Readonly<Partial<Record<TypedAmount['dimension'], FillAmount>>> = {
      mass: { by: 'mass', kg: value },
      count: { by: 'count', count: value },
      length: { by: 'line', belowRimM: value },
      share: { by: 'share', share: value },
      volume: { by: 'volume', m3: value },
    };
    const amount = amounts[dimension];
    if (amount) this.editLayer(id, 'fill amount', (layer) => (layer.amount = amount), `fill ${id}`);
  }

  protected setWay(answer: LayerAnswer, way: AskedBy): void {
    const { headspace, capacity } = this.plan()?.fill ?? {};
    const amounts: Readonly<Record<AskedBy, FillAmount>> = {
      line: { by: 'line', belowRimM: Math.max(0, Math.min(headspace?.value ?? 0, STEP_IN_M)) },
      share: {
        by: 'share',
        share: Math.min(1, Math.round((100 * answer.volume.value) / (capacity?.value ?? 1)) / 100),
      },
      amount: { by: 'volume', m3: Math.min(LIMITS.fillVolumeM3.high, answer.volume.value) },
    };
    this.editLayer(answer.choice.id, 'fill by', (layer) => (layer.amount = amounts[way]));
  }

  protected setFilling(id: string, fillingId: string): void {
    this.editLayer(id, 'filling', (layer, casting) => {
      if (!this.fillings.take(casting, fillingId)) return;
      layer.fillingId = fillingId;
      // A count means nothing for a filling that is not in pieces; its volume stays.
      const volume = this.plan()?.fill.layers.find((candidate) => candidate.choice.id === id)?.volume.value;
      if (layer.amount.by === 'count' && volume !== undefined) layer.amount = { by: 'volume', m3: volume };
    });
  }

  protected add(): void {
    this.open.edit('add a layer', (part, casting) => {
      const roomM3 = this.roomLeftM3();
      const next =
        casting.fillings.find((filling) => !casting.fill.some((layer) => layer.fillingId === filling.id))?.id ??
        this.fillings.options()[0]?.value;
      if (next === undefined || !this.fillings.take(casting, next)) return;
      casting.fill.push({
        id: `layer-${newId().slice(0, 8)}`,
        partId: part.id,
        fillingId: next,
        amount: { by: 'volume', m3: Math.min(USUAL_LAYER_M3, roomM3) },
      });
    });
  }

  /** Takes the pantry's present state of a filling, over this casting's copy. */
  protected renew(fillingId: string): void {
    this.store.edit('filling', (casting) => void this.fillings.take(casting, fillingId, true));
  }

  protected remove(id: string): void {
    this.store.edit('remove a layer', (casting) => {
      casting.fill = casting.fill.filter((layer) => layer.id !== id);
    });
  }

  /** What is free inside the open part, in whole tenths of a millilitre. */
  private roomLeftM3(): number {
    const fill = this.plan()?.fill;
    const taken = fill?.layers.reduce((sum, { volume }) => sum + volume.value, 0) ?? 0;
    return Math.max(0, Math.floor(((fill?.capacity.value ?? 0) - taken) * 1e7) / 1e7);
  }

  /** Puts one of the part's layers in another place among them. */
  protected move(from: number, to: number): void {
    if (from === to) return;
    this.open.edit('order of layers', (part, casting) => {
      const own = casting.fill.filter((layer) => layer.partId === part.id);
      const [layer] = own.splice(from, 1);
      own.splice(to, 0, layer);
      casting.fill = [...casting.fill.filter(({ partId }) => partId !== part.id), ...own];
    });
  }

  protected dropped({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.move(previousIndex, currentIndex);
  }

  protected setFilled(filled: 'one' | 'all'): void {
    this.open.edit('which are filled', (part) => (part.filled = filled));
  }

  protected setHeaped(choice: 'yes' | 'no'): void {
    this.open.edit('heaped', (part) => (part.heaped = choice === 'yes'));
  }

  private editLayer(
    id: string,
    label: string,
    change: (layer: Casting['fill'][number], casting: Casting) => void,
    gesture?: string,
  ): void {
    this.store.edit(
      label,
      (casting) => {
        const layer = casting.fill.find((candidate) => candidate.id === id);
        if (layer) change(layer, casting);
      },
      gesture,
    );
  }
}
