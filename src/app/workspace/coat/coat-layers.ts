import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { isClamped } from '../../../core/record/method';
import type { Dimension } from '../../../core/quantity/answer';
import { type Limit, LIMITS } from '../../../core/record/limits';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { AmountField, type TypedAmount } from '../../ui/amount-field';
import { spoons, text } from '../../wording/format';

/** How far each layer of a solid part fills its cavity: told by its share, its weight or its volume. */
@Component({
  selector: 'ks-coat-layers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField],
  template: `
    <div class="pair">
      @for (layer of layers(); track layer.index) {
        <ks-amount-field
          [label]="layer.label"
          [field]="layer.field"
          [value]="layer.share"
          [limits]="limits()"
          [refusal]="layer.refusal"
          [hint]="layer.hint"
          (amount)="fill(layer.index, $event)"
        />
      }
    </div>
    <p class="plain">{{ how() }}</p>
  `,
  styleUrl: '../station.less',
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
  `,
})
export class CoatLayers {
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  private readonly plan = inject(PlanService).draft;

  private readonly clamped = computed(() => isClamped(this.plan()?.coatsMade.at(-1)?.method ?? 'solid'));
  protected readonly how = computed(() =>
    this.clamped()
      ? 'Each half sets nearly full, is topped up, closed on its marks and clamped, and sets again. Topped up to the brim, or over it, so that the surplus is squeezed out as flash.'
      : 'Drop the mold a few times from 10 cm: bubbles come up.',
  );
  /** What is filled from below, and what is topped up before it is clamped. */
  protected readonly layers = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const { coatsMade } = plan;
    return coatsMade.map(({ method, volumeShare }, index) => ({
      index,
      label: isClamped(method) ? 'Topped up by' : this.name(index, coatsMade.length),
      field: `share ${index}`,
      share: volumeShare,
      refusal: (value: number, dimension: Dimension) =>
        isClamped(method) ? '' : this.refusal(index, this.shareOf(value, dimension)),
      hint: this.hint(index),
    }));
  });
  protected readonly limits = computed<readonly Limit[]>(() => {
    const mold = this.plan()?.mold;
    const { low, high } = LIMITS.volumeShare;
    const scaled = (dimension: Dimension, whole: number): Limit => ({
      dimension,
      low: low * whole,
      high: high * whole,
    });
    return mold
      ? [LIMITS.volumeShare, scaled('mass', mold.solid.value), scaled('volume', mold.volume.value)]
      : [LIMITS.volumeShare];
  });

  protected fill(index: number, { value, dimension }: TypedAmount): void {
    this.open.edit(
      'layer',
      ({ coats }) => {
        const top = coats[coats.length - 1];
        const over = Math.max(0, coats.reduce((sum, { volumeShare }) => sum + volumeShare, 0) - 1);
        coats[index].volumeShare = this.shareOf(value, dimension);
        if (isClamped(coats[index].method)) return;
        const filled = coats.reduce((sum, { method, volumeShare }) => (isClamped(method) ? sum : sum + volumeShare), 0);
        if (isClamped(top.method)) top.volumeShare = Math.max(LIMITS.volumeShare.low, Math.min(1, 1 - filled + over));
      },
      `share ${index}`,
    );
  }

  private name(index: number, count: number): string {
    if (count === 1) return 'Filled to';
    return this.clamped() && count === 2 ? 'First filled to' : `Layer ${index + 1}`;
  }

  /** Layers together fill no more than the cavity: why a share of one cannot be taken. */
  private refusal(index: number, share: number): string {
    const others = (this.plan()?.part.coats ?? []).reduce(
      (sum, coat, i) => sum + (i === index || isClamped(coat.method) ? 0 : coat.volumeShare),
      0,
    );
    return share + others > 1 + 1e-9
      ? `The other layers take ${text(others, 'share', this.units.system())}; together they cannot be more than the cavity.`
      : '';
  }

  /** What a layer comes to in weight and spoons. */
  private hint(index: number): string {
    const coat = this.plan()?.coat.coats[index];
    if (!coat) return '';
    const { number, unit } = spoons(coat.spooned.value);
    return `${text(coat.mass.value, 'mass', this.units.system())}, ${number} ${unit}; a share, grams or spoons`;
  }

  /** A share of the cavity, a weight or a volume as that share. */
  private shareOf(value: number, dimension: Dimension): number {
    const mold = this.plan()?.mold;
    const whole = dimension === 'mass' ? mold?.solid.value : dimension === 'volume' ? mold?.volume.value : 1;
    return value / (whole ?? 1);
  }
}
