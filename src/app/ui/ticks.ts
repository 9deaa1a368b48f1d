import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import type { Option } from '../wording/option';

/** Things of which any number holds, each ticked by itself. */
@Component({
  selector: 'ks-ticks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, NzCheckboxModule],
  template: `
    <fieldset>
      <legend [class.unseen]="!showLabel()">{{ label() }}</legend>
      @for (option of options(); track option.value) {
        <label nz-checkbox [ngModel]="ticked().includes(option.value)" (ngModelChange)="turn(option.value, $event)">{{
          option.name
        }}</label>
      }
    </fieldset>
  `,
  styleUrl: './ticks.less',
})
export class Ticks<T extends string> {
  readonly label = input.required<string>();
  readonly showLabel = input(true);
  readonly options = input.required<readonly Option<T>[]>();
  readonly ticked = input.required<readonly T[]>();
  /** What is ticked now, in the order of the options. */
  readonly turned = output<T[]>();

  protected turn(value: T, on: boolean): void {
    const ticked = this.ticked();
    this.turned.emit(
      this.options()
        .map((option) => option.value)
        .filter((one) => (one === value ? on : ticked.includes(one))),
    );
  }
}
