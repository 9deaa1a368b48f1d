import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { UNITS } from '../../core/quantity/units';
import type { DripReading } from '../../core/record/chocolate';
import { AmountField } from '../ui/amount-field';
import { Stopwatch } from '../ui/stopwatch';
import { dripWaits } from '../wording/measuring';

/** Where a second weighing goes on from. */
const SECOND: DripReading['first'] = { seconds: 60, kg: 0.004 };

/** The drip test, step by step: the card, the chocolate, the waits and what stayed. */
@Component({
  selector: 'ks-drip-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Stopwatch],
  templateUrl: './drip-steps.html',
  styleUrl: '../ui/measuring-steps.less',
})
export class DripSteps {
  readonly reading = input.required<DripReading>();
  readonly changed = output<Partial<DripReading>>();

  protected readonly gram = UNITS.gram;
  protected readonly second = computed(() => this.reading().second ?? SECOND);
  protected readonly waits = computed(() => dripWaits(this.reading()));

  protected setFirst(change: Partial<DripReading['first']>): void {
    this.changed.emit({ first: { ...this.reading().first, ...change } });
  }

  protected setSecond(change: Partial<DripReading['first']>): void {
    this.changed.emit({ second: { ...this.second(), ...change } });
  }
}
