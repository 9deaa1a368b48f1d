import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { UNITS } from '../../core/quantity/units';
import type { DripReading } from '../../core/record/chocolate';
import { AmountField } from '../ui/amount-field';
import { FieldScope } from '../ui/field-scope';
import { Stopwatch } from '../ui/stopwatch';
import { dripWaits } from '../wording/measuring';

type Weighing = DripReading['first'];
/** Where a second weighing goes on from. */
const SECOND: Weighing = { seconds: 60, kg: 0.004 };

/** The card is weighed twice. */
const WEIGHINGS = [
  { which: 'first', after: 'First, after', weighed: 'it weighed', limit: 'dripFirstS' },
  { which: 'second', after: 'Again, after', weighed: 'it weighed then', limit: 'dripSecondS' },
] as const;
type Which = (typeof WEIGHINGS)[number]['which'];

/** The drip test, step by step: the card, the chocolate, the waits and what stayed. */
@Component({
  selector: 'ks-drip-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, FieldScope, Stopwatch],
  templateUrl: './drip-steps.html',
  styleUrl: '../ui/measuring-steps.less',
})
export class DripSteps {
  readonly reading = input.required<DripReading>();
  readonly changed = output<Partial<DripReading>>();

  protected readonly gram = UNITS.gram;
  protected readonly waits = computed(() => dripWaits(this.reading()));
  protected readonly weighings = computed(() => WEIGHINGS.map((row) => ({ ...row, reading: this.weighed(row.which) })));

  protected weigh(which: Which, change: Partial<Weighing>): void {
    this.changed.emit({ [which]: { ...this.weighed(which), ...change } });
  }

  private weighed(which: Which): Weighing {
    return this.reading()[which] ?? SECOND;
  }
}
