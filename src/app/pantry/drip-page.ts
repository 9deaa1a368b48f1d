import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CHOCOLATE_MATTER } from '../../core/matter/chocolate';
import { dripTest } from '../../core/melt/drip-test';
import { UNITS } from '../../core/quantity/units';
import type { DripReading } from '../../core/record/chocolate';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { AmountField } from '../ui/amount-field';
import { Stopwatch } from '../ui/stopwatch';
import { text } from '../wording/format';
import { FLUIDITY_NAMES } from '../wording/names';

const START: DripReading = {
  cardWidthM: 0.04,
  dippedM: 0.05,
  celsius: 40,
  first: { seconds: 10, kg: 0.0065 },
  second: { seconds: 60, kg: 0.0042 },
};

/** The drip test: a card of known size dipped, hung up and weighed twice tells how thick a chocolate runs; the arithmetic is shown. */
@Component({
  selector: 'ks-drip-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Gone, NzButtonComponent, PageHeader, Stopwatch],
  templateUrl: './drip-page.html',
  styleUrl: '../molds/measure-page.less',
})
export class DripPage {
  protected readonly pantry = inject(Pantry);
  private readonly units = inject(Units);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly gram = UNITS.gram;
  protected readonly chocolate = computed(() => {
    const entry = this.pantry.byId().get(this.id());
    return entry?.entry === 'chocolate' ? entry : undefined;
  });
  private readonly changed = signal<DripReading | undefined>(undefined);
  protected readonly reading = computed(() => this.changed() ?? this.chocolate()?.drip ?? START);
  protected readonly weighed = computed(() => this.changed() !== undefined || this.chocolate()?.drip !== undefined);
  protected readonly result = computed(() => {
    const chocolate = this.chocolate();
    if (!chocolate) return undefined;
    const reading = this.reading();
    const system = this.units.system();
    const density = CHOCOLATE_MATTER[chocolate.kind].meltedDensity;
    const test = dripTest(reading, density);
    if (!test.ok)
      return {
        problem:
          test.problem === 'gains'
            ? 'A card cannot hold more later than before: weigh it without the drops that fell, and with the same card.'
            : 'The second weighing has to come after the first.',
      };
    const mass = (kg: number | undefined): string => (kg === undefined ? '' : text(kg, 'mass', system));
    return {
      picked: test.picked,
      name: FLUIDITY_NAMES[test.picked],
      film: `${mass(reading.first.kg)} over ${text(test.wettedM2, 'area', system)} of card, both sides, at ${text(density, 'density', system)} is a film of ${text(test.filmM, 'length', system)}.`,
      doubt:
        test.beyond === 'thicker'
          ? 'It hangs on thicker than any class: is it warm enough, and dry?'
          : test.beyond === 'thinner'
            ? 'It runs thinner than any class: did drops fall while it was weighed?'
            : test.disagree
              ? 'The two weighings tell different classes. Weigh once more.'
              : '',
      rows: test.expected.map((row) => ({
        name: FLUIDITY_NAMES[row.fluidity],
        first: mass(row.firstKg),
        second: mass(row.secondKg),
        picked: row.fluidity === test.picked,
      })),
      own: { first: mass(reading.first.kg), second: mass(reading.second?.kg) },
    };
  });
  protected readonly secondsText = computed(() => {
    const { first, second } = this.reading();
    return {
      first: text(first.seconds, 'duration', 'metric'),
      second: second ? text(second.seconds, 'duration', 'metric') : '',
    };
  });

  protected set(change: Partial<DripReading>): void {
    this.changed.set({ ...this.reading(), ...change });
  }

  protected setWeighing(which: 'first' | 'second', change: Partial<DripReading['first']>): void {
    const before = this.reading()[which] ?? { seconds: 60, kg: 0.004 };
    this.set({ [which]: { ...before, ...change } });
  }

  protected use(): void {
    const result = this.result();
    if (!result || !('picked' in result) || !result.picked) return;
    const { picked } = result;
    const drip = structuredClone(this.reading());
    this.pantry.edit(this.id(), 'drip test', (entry) => {
      if (entry.entry !== 'chocolate') return;
      entry.fluidity = picked;
      entry.drip = drip;
    });
    void this.router.navigate(['/pantry', this.id()]);
  }
}
