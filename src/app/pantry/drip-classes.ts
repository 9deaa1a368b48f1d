import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CHOCOLATE_MATTER, type FluidityClass } from '../../core/matter/chocolate';
import { dripTest } from '../../core/melt/drip-test';
import type { DripReading, PantryChocolate } from '../../core/record/chocolate';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { dripDoubtText, dripProblemText, dripWaits } from '../wording/measuring';
import { FLUIDITY_NAMES } from '../wording/names';

/** What the card's weights tell: the class they point to, beside what every class would have left. */
@Component({
  selector: 'ks-drip-classes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  templateUrl: './drip-classes.html',
  styleUrls: ['../ui/measured-result.less', '../ui/measured-table.less', './drip-classes.less'],
})
export class DripClasses {
  private readonly units = inject(Units);

  readonly chocolate = input.required<PantryChocolate>();
  readonly reading = input.required<DripReading>();
  /** Own weights, not the example's. */
  readonly weighed = input.required<boolean>();
  /** The class is to be taken for the chocolate. */
  readonly used = output<FluidityClass>();

  private readonly test = computed(() =>
    dripTest(this.reading(), CHOCOLATE_MATTER[this.chocolate().kind].meltedDensity),
  );
  protected readonly problem = computed(() => {
    const test = this.test();
    return test.ok ? '' : dripProblemText(test);
  });
  protected readonly told = computed(() => {
    const test = this.test();
    if (!test.ok) return undefined;
    const { first, second } = this.reading();
    const system = this.units.system();
    const density = CHOCOLATE_MATTER[this.chocolate().kind].meltedDensity;
    const mass = (kg: number | undefined): string => (kg === undefined ? '' : text(kg, 'mass', system));
    return {
      picked: test.picked,
      name: FLUIDITY_NAMES[test.picked],
      film: `${mass(first.kg)} over ${text(test.wettedM2, 'area', system)} of card, both sides, at ${text(density, 'density', system)} is a film of ${text(test.filmM, 'length', system)}.`,
      doubt: dripDoubtText(test),
      rows: test.expected.map((row) => ({
        name: FLUIDITY_NAMES[row.fluidity],
        first: mass(row.firstKg),
        second: mass(row.secondKg),
        picked: row.fluidity === test.picked,
      })),
      own: { first: mass(first.kg), second: mass(second?.kg) },
    };
  });
  protected readonly waits = computed(() => dripWaits(this.reading()));
}
