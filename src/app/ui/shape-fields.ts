import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  FACETED_FORMS,
  OUTLINE_FORMS,
  type CavityShape,
  type FacetedForm,
  type OutlineForm,
} from '../../core/cavity/shape';
import { checkShape } from '../../core/cavity/check-shape';
import type { Dimension } from '../../core/quantity/answer';
import { LIMITS, type Limit } from '../../core/record/limits';
import { UNITS } from '../../core/quantity/units';
import { FORM_NAMES, shapeProblemText } from '../wording/shapes';
import { AmountField } from './amount-field';
import { Pick } from './pick';

interface ShapeField {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly limit: Limit;
  readonly whole: boolean;
}

const field = (key: string, label: string, limit: Limit, whole = false): ShapeField => ({
  key,
  label,
  dimension: limit.dimension,
  limit,
  whole,
});
const WIDTH = field('diameterM', 'Width at the rim', LIMITS.cavityDiameterM);
const DEPTH = field('depthM', 'Depth', LIMITS.cavityDepthM);
const LENGTH = field('lengthM', 'Length', LIMITS.cavityDiameterM);
const ACROSS = field('widthM', 'Width', LIMITS.cavityDiameterM);
const BASE = field('baseDiameterM', 'Width at the base', LIMITS.baseDiameterM);
const CORNER = field('cornerM', 'Corner radius', LIMITS.cornerM);

const FIELDS: Readonly<Record<CavityShape['kind'], readonly ShapeField[]>> = {
  hemisphere: [field('diameterM', 'Width of a cavity', LIMITS.cavityDiameterM)],
  cap: [WIDTH, DEPTH],
  egg: [LENGTH, ACROSS, DEPTH],
  cylinder: [WIDTH, DEPTH],
  cup: [WIDTH, BASE, DEPTH],
  liner: [WIDTH, BASE, DEPTH, field('pleatFactor', 'Pleat factor', LIMITS.pleatFactor)],
  tile: [LENGTH, ACROSS, DEPTH, CORNER],
  pillow: [LENGTH, ACROSS, DEPTH, CORNER],
  faceted: [
    field('diameterM', 'Width over corners', LIMITS.cavityDiameterM),
    field('facets', 'Facets around', LIMITS.facets, true),
    DEPTH,
  ],
  heart: [ACROSS, LENGTH, DEPTH],
  star: [
    field('diameterM', 'Width over tips', LIMITS.cavityDiameterM),
    field('tips', 'Tips', LIMITS.starTips, true),
    field('waist', 'Between tips', LIMITS.starWaist),
    DEPTH,
  ],
  drawn: [DEPTH],
  turned: [],
  measured: [field('volumeM3', 'Measured volume', LIMITS.cavityVolumeM3), WIDTH, DEPTH],
  ball: [
    field('diameterM', 'Width of the ball', LIMITS.cavityDiameterM),
    field('openingM', 'Width of its opening', LIMITS.openingM),
  ],
};

/** The measures of a cavity's shape, whichever it is; a change that makes no cavity is said and not made. */
@Component({
  selector: 'ks-shape-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Pick],
  template: `
    @if (form(); as form) {
      <ks-pick label="Form" [options]="forms()" [value]="form" (chosen)="setForm($event)" />
    }
    <div class="pairs">
      @for (field of fields(); track field.key) {
        <ks-amount-field
          [label]="field.label"
          [field]="field.key"
          [value]="valueOf(field.key)"
          [dimension]="field.dimension"
          [whole]="field.whole"
          [unit]="field.dimension === 'volume' ? millilitre : undefined"
          [limits]="[limitOf(field)]"
          (amount)="set(field.key, $event.value)"
        />
      }
    </div>
    @if (problem()) {
      <p class="problem" role="alert">{{ problem() }} The last good shape stays.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .pairs {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 10px 12px;
    }
    .pairs > :only-child {
      grid-column: 1 / -1;
    }
    .problem {
      color: #a3281c;
      font-size: 13px;
      line-height: 1.35;
    }
  `,
})
export class ShapeFields {
  readonly shape = input.required<CavityShape>();
  readonly changed = output<{ readonly shape: CavityShape; readonly key: string }>();

  protected readonly millilitre = UNITS.millilitre;
  protected readonly forms = computed(() =>
    (this.shape().kind === 'faceted' ? FACETED_FORMS : OUTLINE_FORMS).map((value) => ({
      value,
      name: FORM_NAMES[value],
    })),
  );
  protected readonly fields = computed(() => FIELDS[this.shape().kind]);
  protected readonly form = computed(() => {
    const shape = this.shape();
    return 'form' in shape ? shape.form : undefined;
  });
  /** Why a shape just typed was not taken; gone as soon as the shape changes. */
  private readonly note = signal<{ readonly shape: CavityShape; readonly text: string } | undefined>(undefined);
  protected readonly problem = computed(() => {
    const note = this.note();
    return note?.shape === this.shape() ? note.text : '';
  });

  protected valueOf(key: string): number {
    return Number((this.shape() as unknown as Record<string, number>)[key]);
  }

  /** A corner is no rounder than the shape is wide. */
  protected limitOf({ key, limit }: ShapeField): Limit {
    const shape = this.shape();
    return key === 'cornerM' && 'cornerM' in shape
      ? { ...limit, high: Math.min(limit.high, shape.lengthM / 2, shape.widthM / 2) }
      : limit;
  }

  protected setForm(form: FacetedForm | OutlineForm): void {
    this.changed.emit({ shape: { ...this.shape(), form } as CavityShape, key: 'form' });
  }

  protected set(key: string, value: number): void {
    const typed = { ...this.shape(), [key]: value } as CavityShape;
    // Made narrower than its corners, its corners are as round as that.
    const wanted =
      'cornerM' in typed ? { ...typed, cornerM: Math.min(typed.cornerM, typed.lengthM / 2, typed.widthM / 2) } : typed;
    const problem = checkShape(wanted);
    if (problem) {
      this.note.set({ shape: this.shape(), text: shapeProblemText(problem) });
      return;
    }
    this.note.set(undefined);
    this.changed.emit({ shape: wanted, key });
  }
}
