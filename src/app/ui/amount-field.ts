import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import type { Dimension } from '../../core/quantity/answer';
import { displayUnit, editableText } from '../../core/quantity/display-unit';
import {
  parseAmount,
  type AmountProblem,
  type AmountReading,
  type ParsedAmount,
} from '../../core/quantity/parse-amount';
import { UNITS, type Unit } from '../../core/quantity/units';
import { LIMITS, type Limit, type LimitName } from '../../core/record/limits';
import { KeptText, type TypedTurn } from '../state/typed-texts';
import { Units } from '../state/units';
import { amountProblemText, type FieldProblem } from '../wording/fields';
import { nameInScope } from './field-scope';
import { Labelled } from './labelled';

/** An amount as understood from a field, in SI, with the kind of quantity that was typed. */
export interface TypedAmount {
  readonly value: number;
  readonly dimension: Dimension;
}

let fields = 0;

/**
 * A field for any amount: takes every unit always, keeps what it cannot read as typed and marked,
 * and gives out only amounts within its limits. The last good value stays in the plan meanwhile.
 */
@Component({
  selector: 'ks-amount-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Labelled, NzButtonComponent, NzInputDirective, ReactiveFormsModule],
  template: `
    <ks-labelled
      #around="ksLabelled"
      [for]="id"
      [label]="label()"
      [bare]="bare()"
      [wrong]="wrongText()"
      [hint]="hint()"
    >
      <input
        nz-input
        #box
        [id]="id"
        [formControl]="control"
        autocomplete="off"
        spellcheck="false"
        [attr.inputmode]="whole() ? 'numeric' : 'text'"
        [attr.aria-invalid]="problem() ? true : null"
        [attr.aria-describedby]="around.told()"
        [nzStatus]="problem() ? 'error' : ''"
        (focus)="focused.set(true)"
        (blur)="leave()"
        (keydown.enter)="leave()"
      />
      <ng-container ngProjectAs="[mend]">
        @for (reading of readings(); track reading.text) {
          <button nz-button type="button" class="reading" (click)="take(reading)">{{ reading.text }}</button>
        }
      </ng-container>
    </ks-labelled>
  `,
  styleUrl: './amount-field.less',
})
export class AmountField {
  private readonly units = inject(Units);
  private readonly typed = new KeptText();
  private readonly name = nameInScope(() => this.field() ?? this.limit() ?? this.label());

  readonly label = input.required<string>();
  /** Current value, SI. */
  readonly value = input.required<number>();
  /** The limit it is held to, which also says what kind of quantity it takes. */
  readonly limit = input<LimitName>();
  /** Where it takes several kinds of quantity, or has a limit of its own: one limit for each kind, instead of `limit`. */
  readonly limits = input<readonly Limit[]>();
  /** Kind of quantity of the value, where it is not that of the first limit. */
  readonly dimension = input<Dimension>();
  /** What tells it from the others in its scope; its limit does, where no other is held to the same. */
  readonly field = input<string>();
  readonly whole = input(false);
  /** The label is not shown, where the place says what it is. */
  readonly bare = input(false);
  readonly hint = input('');
  /** Unit to show and to read bare numbers in, where it is not the usual one. */
  readonly unit = input<Unit>();
  /** Says why an amount within the limits cannot be taken all the same; empty where it can. */
  readonly refusal = input<(value: number, dimension: Dimension) => string>();
  readonly amount = output<TypedAmount>();

  protected readonly id = `amount-${++fields}`;
  protected readonly control = new FormControl('', { nonNullable: true });
  protected readonly focused = signal(false);
  protected readonly problem = signal<AmountProblem | FieldProblem | undefined>(undefined);
  protected readonly wrongText = computed(() => {
    const problem = this.problem();
    return problem ? amountProblemText(problem, this.held(), this.units.system()) : '';
  });
  /** What may have been meant, where it can be read in more than one way. */
  protected readonly readings = computed<readonly AmountReading[]>(() => {
    const problem = this.problem();
    return (problem?.problem === 'ambiguousComma' && problem.readings) || [];
  });
  private readonly held = computed<readonly Limit[]>(() => {
    const name = this.limit();
    return this.limits() ?? (name ? [LIMITS[name]] : []);
  });
  private readonly kind = computed(() => this.dimension() ?? this.held()[0].dimension);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  private readonly shown = computed(() => {
    const unit = this.unit();
    return unit
      ? `${Number((this.value() / unit.factor).toPrecision(3))} ${unit.symbol}`
      : editableText(this.value(), this.kind(), this.units.system());
  });
  constructor() {
    this.control.valueChanges.pipe(takeUntilDestroyed(inject(DestroyRef))).subscribe((text) => this.read(text));
    effect(() => {
      const shown = this.shown();
      const turn = this.typed.turn(this.name());
      untracked(() => this.refresh(shown, turn));
    });
  }

  /** Puts the cursor into the field. */
  focus(): void {
    this.box().nativeElement.focus();
  }

  private refresh(shown: string, { kept, anew }: TypedTurn): void {
    if (!anew && (this.focused() || this.problem())) return;
    this.problem.set(undefined);
    this.control.setValue(kept ?? shown, { emitEvent: kept !== undefined });
  }

  private read(text: string): void {
    const limits = this.held();
    const bare = this.unit() ?? displayUnit(this.kind(), this.units.system()) ?? UNITS.piece;
    const parsed = parseAmount(
      text,
      limits.map((limit) => limit.dimension),
      bare,
      (value, dimension) => this.within(value, this.limitOf(dimension)),
    );
    if (!parsed.ok) return this.refuse(parsed, text);
    this.accept(parsed, text);
  }

  private limitOf(dimension: Dimension): Limit {
    return this.held().find((limit) => limit.dimension === dimension) ?? this.held()[0];
  }

  private within(value: number, { low, high }: Limit): boolean {
    // A hair of tolerance, so that a limit shown rounded can be typed back.
    const slack = 1e-9 * Math.max(1, Math.abs(high));
    return value >= low - slack && value <= high + slack;
  }

  private accept(parsed: ParsedAmount, text: string): void {
    const limit = this.limitOf(parsed.dimension);
    if (!this.within(parsed.value, limit)) return this.refuse({ ok: false, problem: 'outOfRange' }, text);
    if (parsed.dimension === 'count' && !Number.isInteger(parsed.value))
      return this.refuse({ ok: false, problem: 'notWhole' }, text);
    const why = this.refusal()?.(parsed.value, parsed.dimension);
    if (why) return this.refuse({ ok: false, problem: 'refused', detail: why }, text);
    this.problem.set(undefined);
    this.typed.drop();
    this.amount.emit({ value: Math.min(limit.high, Math.max(limit.low, parsed.value)), dimension: parsed.dimension });
  }

  private refuse(problem: AmountProblem | FieldProblem, text: string): void {
    this.problem.set(problem);
    this.typed.keep(text);
  }

  protected take(reading: AmountReading): void {
    this.control.setValue(reading.text, { emitEvent: false });
    this.accept(reading, reading.text);
    this.leave();
    this.focus();
  }

  /** On leaving, a good amount is written out tidily; one that cannot be read stays as it is. */
  protected leave(): void {
    this.focused.set(false);
    if (!this.problem()) this.control.setValue(this.shown(), { emitEvent: false });
  }
}
