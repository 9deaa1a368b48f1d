import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { cavityOf } from '../../core/cavity/cavity';
import { checkShape } from '../../core/cavity/check-shape';
import type { CavityShape } from '../../core/cavity/shape';
import { moldStation } from '../../core/mold/mold';
import { rulerMethod, rulerReadingOf, type RulerReading } from '../../core/mold/ruler-method';
import { waterMethod } from '../../core/mold/water-method';
import { displayUnit } from '../../core/quantity/display-unit';
import { parseAmount } from '../../core/quantity/parse-amount';
import { UNITS } from '../../core/quantity/units';
import { LIMITS } from '../../core/record/limits';
import type { MoldCavity, WaterReadings } from '../../core/record/mold';
import { MoldLibrary } from '../state/mold-library';
import { Units } from '../state/units';
import { Gone } from '../ui/gone';
import { Labelled } from '../ui/labelled';
import { PageHeader } from '../ui/page-header';
import { AmountField } from '../ui/amount-field';
import { Pick } from '../ui/pick';
import { amountProblemText } from '../wording/fields';
import { rangeText, text } from '../wording/format';
import { waterProblemText } from '../wording/measuring';
import { shapeProblemText } from '../wording/shapes';
import { cutPath } from './sheet-drawing';
import { Tool } from '../ui/tool';

type Way = 'water' | 'ruler';

/** Measuring a cavity: by the water it holds, weighed more than once, or with a ruler; either gives its volume and the bowl that fits it. */
@Component({
  selector: 'ks-measure-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    Gone,
    Labelled,
    LucideX,
    NzButtonComponent,
    NzInputDirective,
    PageHeader,
    Pick,
    ReactiveFormsModule,
    Tool,
  ],
  templateUrl: './measure-page.html',
  styleUrl: './measure-page.less',
})
export class MeasurePage {
  protected readonly library = inject(MoldLibrary);
  protected readonly units = inject(Units);
  private readonly router = inject(Router);

  /** Route parameter. */
  readonly id = input.required<string>();

  protected readonly gram = UNITS.gram;
  protected readonly ways = [
    { value: 'water' as const, name: 'with water' },
    { value: 'ruler' as const, name: 'with a ruler' },
  ];
  protected readonly way = signal<Way>('water');
  protected readonly mold = computed(() => this.library.byId().get(this.id()));
  protected readonly cavity = computed(() => this.mold()?.cavities[0]);
  protected readonly water = computed<WaterReadings>(
    () => this.cavity()?.water ?? { readings: [], cavities: 1, waterC: 20, scaleStepKg: 0.001 },
  );
  protected readonly empty = new FormControl('', { nonNullable: true });
  protected readonly full = new FormControl('', { nonNullable: true });
  private readonly wrong = signal<{ readonly which: 'empty' | 'full'; readonly text: string } | undefined>(undefined);
  private readonly measured = signal<Partial<RulerReading>>({});

  /** Widths and depth: as measured here, or of the shape as it stands. */
  protected readonly ruler = computed<RulerReading>(() => {
    const shape = this.cavity()?.shape ?? { kind: 'hemisphere', diameterM: 0.06 };
    return { ...rulerReadingOf(cavityOf(shape)), ...this.measured() };
  });
  protected readonly weighed = computed(() => waterMethod(this.water()));
  protected readonly result = computed(() => {
    const { volumeM3, uncertaintyM3 } = this.way() === 'water' ? this.weighed() : rulerMethod(this.ruler());
    if (!(volumeM3 > 0)) return undefined;
    const { rimM, depthM } = this.ruler();
    const shape: CavityShape = { kind: 'measured', volumeM3, uncertaintyM3, diameterM: rimM, depthM };
    const problem = checkShape(shape);
    const system = this.units.system();
    const came = moldStation({ cavity: cavityOf(shape), shape, cavities: 1, atHand: 1, chocolateKind: 'dark' });
    return {
      shape,
      volume: text(volumeM3, 'volume', system),
      sure: rangeText(came.volume, system),
      wall: text(came.wallArea.value, 'area', system),
      solid: text(came.solid.value, 'mass', system),
      problem: problem ? shapeProblemText(problem) : '',
      cut: problem ? undefined : cutPath(shape),
    };
  });
  protected readonly rows = computed(() => {
    const { readings } = this.water();
    const { eachM3, problems } = this.weighed();
    const system = this.units.system();
    return readings.map((reading, i) => {
      const problem = problems.find((candidate) => 'reading' in candidate && candidate.reading === i);
      return {
        empty: text(reading.emptyKg, 'mass', system),
        full: text(reading.fullKg, 'mass', system),
        each: eachM3[i] > 0 ? text(eachM3[i], 'volume', system) : '',
        problem: problem ? waterProblemText(problem) : '',
      };
    });
  });
  protected readonly spread = computed(() => {
    const problem = this.weighed().problems.find((candidate) => candidate.key === 'disagree');
    return problem ? waterProblemText(problem) : '';
  });

  protected wrongOf(which: 'empty' | 'full'): string {
    const wrong = this.wrong();
    return wrong?.which === which ? wrong.text : '';
  }

  protected add(): void {
    const emptyKg = this.weight('empty', this.empty.value);
    const fullKg = emptyKg === undefined ? undefined : this.weight('full', this.full.value);
    if (emptyKg === undefined || fullKg === undefined) return;
    this.wrong.set(undefined);
    this.set((water) => ({ ...water, readings: [...water.readings, { emptyKg, fullKg }].slice(-20) }), 'reading');
    // The dry mold weighs the same next time, or it is wet: it is typed again on purpose.
    this.full.setValue('');
  }

  protected drop(index: number): void {
    this.set((water) => ({ ...water, readings: water.readings.filter((_, i) => i !== index) }), 'reading');
  }

  protected setWater(key: 'cavities' | 'waterC' | 'scaleStepKg', value: number): void {
    this.set((water) => ({ ...water, [key]: value }), key);
  }

  protected setRuler(key: keyof RulerReading, value: number): void {
    this.measured.update((measured) => ({ ...measured, [key]: value }));
  }

  protected use(shape: CavityShape): void {
    if (checkShape(shape)) return;
    this.change('measured volume', (cavity) => (cavity.shape = structuredClone(shape) as MoldCavity['shape']));
    void this.router.navigate(['/molds', this.id()]);
  }

  private weight(which: 'empty' | 'full', typed: string): number | undefined {
    const parsed = parseAmount(typed, ['mass'], displayUnit('mass', this.units.system()) ?? UNITS.gram);
    const { low, high } = LIMITS.waterMassKg;
    if (parsed.ok && parsed.value >= low && parsed.value <= high) return parsed.value;
    this.wrong.set({
      which,
      text: amountProblemText(
        parsed.ok ? { problem: 'outOfRange' } : parsed,
        [LIMITS.waterMassKg],
        this.units.system(),
      ),
    });
    return undefined;
  }

  private set(next: (water: WaterReadings) => WaterReadings, gesture: string): void {
    const water = structuredClone(next(this.water()));
    this.change(
      'water weighed',
      (cavity) => (cavity.water = water),
      gesture === 'reading' ? undefined : `${this.id()} water ${gesture}`,
    );
  }

  private change(label: string, change: (cavity: MoldCavity) => void, gesture?: string): void {
    this.library.edit(this.id(), label, (mold) => change(mold.cavities[0]), gesture);
  }
}
