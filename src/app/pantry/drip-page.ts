import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { FluidityClass } from '../../core/matter/chocolate';
import type { DripReading } from '../../core/record/chocolate';
import { Pantry } from '../state/pantry';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { DripClasses } from './drip-classes';
import { DripSteps } from './drip-steps';
import { FieldScope } from '../ui/field-scope';

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
  imports: [DripClasses, DripSteps, FieldScope, Gone, PageHeader],
  templateUrl: './drip-page.html',
  styleUrl: '../ui/measuring-page.less',
})
export class DripPage {
  protected readonly pantry = inject(Pantry);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly chocolate = computed(() => {
    const entry = this.pantry.byId().get(this.id());
    return entry?.entry === 'chocolate' ? entry : undefined;
  });
  private readonly changed = signal<DripReading | undefined>(undefined);
  protected readonly reading = computed(() => this.changed() ?? this.chocolate()?.drip ?? START);
  protected readonly weighed = computed(() => this.changed() !== undefined || this.chocolate()?.drip !== undefined);

  protected set(change: Partial<DripReading>): void {
    this.changed.set({ ...this.reading(), ...change });
  }

  protected use(picked: FluidityClass): void {
    const drip = structuredClone(this.reading());
    this.pantry.edit(this.id(), 'drip test', (entry) => {
      if (entry.entry !== 'chocolate') return;
      entry.fluidity = picked;
      entry.drip = drip;
    });
    void this.router.navigate(['/pantry', this.id()]);
  }
}
