import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { type FormControl, ReactiveFormsModule } from '@angular/forms';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { displayUnit } from '../../core/quantity/display-unit';
import { parseAmount } from '../../core/quantity/parse-amount';
import { UNITS } from '../../core/quantity/units';
import { LIMITS } from '../../core/record/limits';
import type { WaterReadings } from '../../core/record/mold';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { Labelled } from '../ui/labelled';
import { amountProblemText } from '../wording/fields';

type Weighing = 'empty' | 'full';
/** The two weights as they stand in their fields; whoever shows the steps keeps them while other steps are shown. */
export type TypedWeights = Readonly<Record<Weighing, FormControl<string>>>;

/** Weighing the water a cavity holds, step by step. What it stands in as content are the widths it needs besides. */
@Component({
  selector: 'ks-water-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Labelled, NzButtonComponent, NzInputDirective, ReactiveFormsModule],
  templateUrl: './water-steps.html',
  styleUrl: '../ui/measuring-steps.less',
})
export class WaterSteps {
  private readonly units = inject(Units);

  readonly water = input.required<WaterReadings>();
  readonly typed = input.required<TypedWeights>();
  readonly set = output<Partial<Omit<WaterReadings, 'readings'>>>();
  readonly noted = output<WaterReadings['readings'][number]>();

  protected readonly gram = UNITS.gram;
  private readonly wrong = signal<{ readonly which: Weighing; readonly text: string } | undefined>(undefined);

  protected wrongOf(which: Weighing): string {
    const wrong = this.wrong();
    return wrong?.which === which ? wrong.text : '';
  }

  protected note(): void {
    const emptyKg = this.weight('empty');
    const fullKg = emptyKg === undefined ? undefined : this.weight('full');
    if (emptyKg === undefined || fullKg === undefined) return;
    this.wrong.set(undefined);
    this.noted.emit({ emptyKg, fullKg });
    // The dry mold weighs the same next time, or it is wet: it is typed again on purpose.
    this.typed().full.setValue('');
  }

  private weight(which: Weighing): number | undefined {
    const system = this.units.system();
    const parsed = parseAmount(this.typed()[which].value, ['mass'], displayUnit('mass', system) ?? UNITS.gram);
    const { low, high } = LIMITS.waterMassKg;
    if (parsed.ok && parsed.value >= low && parsed.value <= high) return parsed.value;
    const problem = parsed.ok ? { problem: 'outOfRange' as const } : parsed;
    this.wrong.set({ which, text: amountProblemText(problem, [LIMITS.waterMassKg], system) });
    return undefined;
  }
}
