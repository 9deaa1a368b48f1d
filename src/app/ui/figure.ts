import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Answer } from '../../core/quantity/answer';
import { Units } from '../state/units';
import { WorkingPanel } from '../state/working-panel';
import { RULES } from '../wording/rules';
import { answerText, rangeText, spoons } from '../wording/format';

/** A computed figure that opens its working when it is pressed. */
@Component({
  selector: 'ks-figure',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" [class.strong]="strong()" (click)="panel.open(answer)" [attr.aria-label]="spoken()">
      @if (!rangeOnly()) {
        <span class="value">{{ value() }}</span>
      }
      @if (range()) {
        <span class="range">{{ range() }}</span>
      }
    </button>
  `,
  styleUrl: './figure.less',
})
export class Figure {
  protected readonly panel = inject(WorkingPanel);
  private readonly units = inject(Units);

  readonly answer = input.required<Answer>();
  readonly strong = input(false);
  readonly showRange = input(false);
  /** Show the likely range alone. */
  readonly rangeOnly = input(false);
  /** How the figure is written where it stands in a sum that has to add up as shown. */
  readonly as = input('');
  /** Write a volume in kitchen spoons whatever the units. */
  readonly inSpoons = input(false);

  protected readonly value = computed(() => {
    const answer = this.answer();
    if (this.as()) return this.as();
    if (!this.inSpoons()) return answerText(answer, this.units.system());
    const { number, unit } = spoons(answer.value);
    return `${number} ${unit}`;
  });
  protected readonly range = computed(() =>
    this.showRange() || this.rangeOnly()
      ? rangeText(this.answer(), this.units.system()).slice(this.rangeOnly() ? 'likely '.length : 0)
      : '',
  );
  protected readonly spoken = computed(
    () =>
      `${RULES[this.answer().rule].title}: ${this.value()}${this.range() ? `, ${this.range()}` : ''}. Show the working`,
  );
}
