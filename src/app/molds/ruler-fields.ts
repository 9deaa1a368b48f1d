import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { RulerReading } from '../../core/mold/ruler-method';
import type { LimitName } from '../../core/record/limits';
import { AmountField } from '../ui/amount-field';

/** One of the ruler's lengths. */
export type RulerKey = keyof RulerReading;

interface RulerField {
  readonly label: string;
  readonly limit: LimitName;
}

const FIELDS: Readonly<Record<RulerKey, RulerField>> = {
  rimM: { label: 'Width at the rim', limit: 'cavityDiameterM' },
  depthM: { label: 'Depth', limit: 'cavityDepthM' },
  halfwayM: { label: 'Width halfway down', limit: 'baseDiameterM' },
  baseM: { label: 'Width at the bottom', limit: 'baseDiameterM' },
};

/** Lengths of a cavity as a ruler tells them, side by side in a pair. */
@Component({
  selector: 'ks-ruler-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField],
  template: `
    @for (row of rows(); track row.key) {
      <ks-amount-field
        [label]="row.label"
        [field]="row.key"
        [value]="ruler()[row.key]"
        [limit]="row.limit"
        (amount)="ruled.emit({ key: row.key, value: $event.value })"
      />
    }
  `,
  styles: ':host { display: contents; }',
})
export class RulerFields {
  readonly ruler = input.required<RulerReading>();
  readonly keys = input.required<readonly RulerKey[]>();
  /** A length that was typed, m. */
  readonly ruled = output<{ readonly key: RulerKey; readonly value: number }>();

  protected readonly rows = computed(() => this.keys().map((key) => ({ key, ...FIELDS[key] })));
}
