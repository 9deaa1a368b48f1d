import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl } from '@angular/forms';
import { Router } from '@angular/router';
import { cavityOf } from '../../core/cavity/cavity';
import { checkShape } from '../../core/cavity/check-shape';
import type { CavityShape } from '../../core/cavity/shape';
import { rulerMethod, rulerReadingOf, type RulerReading } from '../../core/mold/ruler-method';
import { waterMethod } from '../../core/mold/water-method';
import type { MoldCavity, WaterReadings } from '../../core/record/mold';
import { MoldLibrary } from '../state/mold-library';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { Pick } from '../ui/pick';
import { MeasuredBowl } from './measured-bowl';
import { RulerFields, type RulerKey } from './ruler-fields';
import { type TypedWeights, WaterSteps } from './water-steps';
import { WaterTable } from './water-table';
import { FieldScope } from '../ui/field-scope';

type Way = 'water' | 'ruler';
/** More than an average needs. */
const MOST_READINGS = 20;

/** Measuring a cavity: by the water it holds, weighed more than once, or with a ruler; either gives its volume and the bowl that fits it. */
@Component({
  selector: 'ks-measure-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FieldScope, Gone, MeasuredBowl, PageHeader, Pick, RulerFields, WaterSteps, WaterTable],
  templateUrl: './measure-page.html',
  styleUrls: [
    '../ui/measuring-page.less',
    '../ui/measuring-steps.less',
    '../ui/measured-result.less',
    './measure-page.less',
  ],
})
export class MeasurePage {
  protected readonly library = inject(MoldLibrary);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly ways = [
    { value: 'water' as const, name: 'with water' },
    { value: 'ruler' as const, name: 'with a ruler' },
  ];
  protected readonly outside: readonly RulerKey[] = ['rimM', 'depthM'];
  protected readonly inside: readonly RulerKey[] = ['halfwayM', 'baseM'];
  protected readonly way = signal<Way>('water');
  protected readonly mold = computed(() => this.library.byId().get(this.id()));
  protected readonly cavity = computed(() => this.mold()?.cavities[0]);
  protected readonly water = computed<WaterReadings>(
    () => this.cavity()?.water ?? { readings: [], cavities: 1, waterC: 20, scaleStepKg: 0.001 },
  );
  protected readonly typed: TypedWeights = {
    empty: new FormControl('', { nonNullable: true }),
    full: new FormControl('', { nonNullable: true }),
  };
  private readonly measured = signal<Partial<RulerReading>>({});

  /** Widths and depth: as measured here, or of the shape as it stands. */
  protected readonly ruler = computed<RulerReading>(() => {
    const shape = this.cavity()?.shape ?? { kind: 'hemisphere', diameterM: 0.06 };
    return { ...rulerReadingOf(cavityOf(shape)), ...this.measured() };
  });
  /** The bowl of what was measured; none before anything was. */
  protected readonly shape = computed<CavityShape | undefined>(() => {
    const { volumeM3, uncertaintyM3 } = this.way() === 'water' ? waterMethod(this.water()) : rulerMethod(this.ruler());
    const { rimM, depthM } = this.ruler();
    return volumeM3 > 0 ? { kind: 'measured', volumeM3, uncertaintyM3, diameterM: rimM, depthM } : undefined;
  });

  protected note(reading: WaterReadings['readings'][number]): void {
    this.setReadings([...this.water().readings, reading].slice(-MOST_READINGS));
  }

  protected drop(index: number): void {
    this.setReadings(this.water().readings.filter((_, i) => i !== index));
  }

  protected setWater(change: Partial<WaterReadings>): void {
    this.weigh(change, `water ${Object.keys(change).join()}`);
  }

  protected setRuler(key: RulerKey, value: number): void {
    this.measured.update((measured) => ({ ...measured, [key]: value }));
  }

  protected use(shape: CavityShape): void {
    if (checkShape(shape)) return;
    const kept = structuredClone(shape) as MoldCavity['shape'];
    this.change('measured volume', (cavity) => (cavity.shape = kept));
    void this.router.navigate(['/molds', this.id()]);
  }

  private setReadings(readings: WaterReadings['readings']): void {
    this.weigh({ readings });
  }

  private weigh(change: Partial<WaterReadings>, gesture?: string): void {
    const water = structuredClone({ ...this.water(), ...change });
    this.change('water weighed', (cavity) => (cavity.water = water), gesture);
  }

  private change(label: string, change: (cavity: MoldCavity) => void, gesture?: string): void {
    const cavity = this.cavity();
    if (cavity) this.library.editCavity(this.id(), cavity.id, label, change, gesture);
  }
}
