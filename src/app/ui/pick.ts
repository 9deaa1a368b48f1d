import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzRadioModule } from 'ng-zorro-antd/radio';
import type { Option } from '../wording/option';

let picks = 0;

/** A short row of choices, all in sight. */
@Component({
  selector: 'ks-pick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, NzRadioModule],
  template: `
    <span class="label" [id]="id" [class.unseen]="!showLabel()">{{ label() }}</span>
    <nz-radio-group
      nzButtonStyle="solid"
      role="radiogroup"
      [attr.aria-labelledby]="id"
      [ngModel]="value()"
      (ngModelChange)="chosen.emit($event)"
      [nzName]="id"
    >
      @for (option of options(); track option.value) {
        <label nz-radio-button [nzValue]="option.value">{{ option.name }}</label>
      }
    </nz-radio-group>
  `,
  styleUrl: './pick.less',
})
export class Pick<T extends string> {
  readonly label = input.required<string>();
  readonly showLabel = input(true);
  readonly options = input.required<readonly Option<T>[]>();
  readonly value = input.required<T>();
  readonly chosen = output<T>();
  protected readonly id = `pick-${++picks}`;
}
