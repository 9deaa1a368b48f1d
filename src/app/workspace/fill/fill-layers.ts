import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideArrowUp, LucideGripVertical, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { LayerAnswer } from '../../../core/fill/fill';
import { dropUnused, meltFrom } from '../../../core/edit/melting';
import { FILLING_MATTER } from '../../../core/matter/filling';
import type { PlanDraft } from '../../../core/plan/plan-types';
import type { Dimension } from '../../../core/quantity/answer';
import type { Casting, FillAmount } from '../../../core/record/casting';
import { LIMITS, MOST, type Limit } from '../../../core/record/limits';
import { sourceKey } from '../../../core/record/melting';
import { meltOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { Fillings } from '../../state/fillings';
import { newId } from '../../state/new-id';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { Units } from '../../state/units';
import { AmountField, type TypedAmount } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { Tool } from '../../ui/tool';
import { text } from '../../wording/format';
import { boilsDown } from '../../wording/larder';
import { CopyOffer } from '../offers/copy-offer';

const STEP_IN_M = 0.003;
/** A layer to begin with, where there is room for it: a teaspoon. */
const USUAL_LAYER_M3 = 5e-6;
/** What a kitchen scale shows of a layer that does not fit, kg. */
const TOLD_KG = 5e-5;

/** Not dipped at all. */
const BARE = '';

type AskedBy = 'amount' | 'share' | 'line';

/** How an amount is asked for. */
interface Asked {
  readonly label: string;
  readonly field: string;
  readonly value: number;
  readonly dimension: Dimension;
  readonly limits: readonly Limit[];
  readonly hint: string;
}

/** What goes inside the open part, in layers from the bottom up: of what, how much, and whether it fits. */
@Component({
  selector: 'ks-fill-layers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    ChoiceList,
    CopyOffer,
    Figure,
    LucideArrowUp,
    LucideGripVertical,
    LucideTrash2,
    NzButtonComponent,
    Tool,
  ],
  templateUrl: './fill-layers.html',
  styleUrls: ['../station.less', './fill-layers.less'],
})
export class FillLayers {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  private readonly plans = inject(PlanService);
  private readonly sources = inject(Sources);
  protected readonly fillings = inject(Fillings);
  private readonly plan = this.plans.draft;
  protected readonly ways = [
    { value: 'amount' as const, name: 'an amount' },
    { value: 'share' as const, name: 'a share' },
    { value: 'line' as const, name: 'to the line' },
  ];
  protected readonly full = computed(() => (this.plan()?.casting.fill.length ?? 0) >= MOST.fill);
  protected readonly rows = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    return plan.fill.layers.map((layer) => ({
      layer,
      id: layer.choice.id,
      filling: layer.choice.filling,
      by: askedBy(layer.choice.amount),
      asked: asked(plan, layer),
      over: layer.leftOver.value > TOLD_KG ? layer.leftOver : undefined,
      mayDip: FILLING_MATTER[layer.choice.filling.kind].packed !== undefined,
      dip: dipOf(plan, layer.choice.id),
    }));
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
        const job = `${text(mass.value, 'mass', system)} for the job${boilsDown(components, mass.value, system)}`;
        return [fillingId, job + mixed];
      }),
    );
  });

  /** What a layer can be dipped in, or not. */
  protected readonly dips = computed(() => [{ value: BARE, name: 'not dipped' }, ...this.sources.options()]);

  /** The chocolate of the open part's coats, which is melted anyway. */
  protected firstDip(): string {
    const plan = this.plan();
    const meltId = plan?.part.coats[0].shares[0].meltId;
    return plan && meltId !== undefined ? sourceKey(meltOf(plan.casting, meltId).source) : BARE;
  }

  protected setDip(id: string, key: string): void {
    this.editLayer(id, 'dipped', (layer, casting) => {
      const source = key === BARE ? undefined : this.sources.take(casting, key);
      if (source) layer.dip = { meltId: meltFrom(casting, source, casting.parts[0].coats[0].shares[0].meltId).id };
      else delete layer.dip;
      dropUnused(casting);
    });
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
      delete layer.dip;
      dropUnused(casting);
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
      dropUnused(casting);
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

/** What a layer is dipped in, and what that comes to. */
function dipOf({ casting, dips }: PlanDraft, layerId: string) {
  const dip = casting.fill.find(({ id }) => id === layerId)?.dip;
  return (
    dip && {
      value: sourceKey(meltOf(casting, dip.meltId).source),
      made: dips.find((one) => one.layerId === layerId)?.dip,
    }
  );
}

function askedBy({ by }: FillAmount): AskedBy {
  return by === 'line' || by === 'share' ? by : 'amount';
}

/** The field that asks for a layer's amount, in the way that was chosen. */
function asked({ part }: PlanDraft, { choice: { id, amount, filling } }: LayerAnswer): Asked {
  switch (amount.by) {
    case 'line':
      return {
        label: 'Below the rim',
        field: `line ${id}`,
        value: amount.belowRimM,
        dimension: 'length',
        limits: [LIMITS.belowRimM],
        hint: '',
      };
    case 'share':
      return {
        label: 'Of the room inside',
        field: `share ${id}`,
        value: amount.share,
        dimension: 'share',
        limits: [LIMITS.fillShare],
        hint: '',
      };
    default: {
      const countable = FILLING_MATTER[filling.kind].pieceKg !== undefined;
      return {
        label: part.filled === 'all' && part.perPiece > 1 ? 'In each part' : 'In each piece',
        field: `fill ${id}`,
        value: amount.by === 'volume' ? amount.m3 : amount.by === 'mass' ? amount.kg : amount.count,
        dimension: amount.by,
        limits: [LIMITS.fillVolumeM3, LIMITS.fillMassKg, ...(countable ? [LIMITS.fillCount] : [])],
        hint: countable ? 'spoons, mL, g or pcs' : 'spoons, mL or g',
      };
    }
  }
}
