import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { NzNoAnimationDirective } from 'ng-zorro-antd/core/animation';
import { NzFormControlComponent, NzFormItemComponent } from 'ng-zorro-antd/form';

/**
 * What stands around a control: its name above it, and below it what is wrong with it, or else what one should know.
 * The control says `[attr.aria-describedby]="around.told()"` to have that read with it. What mends it is put in as `[mend]`.
 */
@Component({
  selector: 'ks-labelled',
  exportAs: 'ksLabelled',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzFormControlComponent, NzFormItemComponent, NzNoAnimationDirective],
  template: `
    <nz-form-item>
      <label [for]="for()" [class.unseen]="bare()">{{ label() }}</label>
      <nz-form-control
        nzNoAnimation
        [nzValidateStatus]="wrong() ? 'error' : ''"
        [nzErrorTip]="problem"
        [nzExtra]="wrong() || !hint() ? undefined : known"
      >
        <ng-content />
      </nz-form-control>
    </nz-form-item>
    <ng-template #problem
      ><p class="problem" [id]="for() + '-problem'">{{ wrong() }} <ng-content select="[mend]" /></p
    ></ng-template>
    <ng-template #known
      ><p class="hint" [id]="for() + '-hint'">{{ hint() }}</p></ng-template
    >
  `,
  styleUrl: './labelled.less',
})
export class Labelled {
  readonly label = input.required<string>();
  /** Id of the control. */
  readonly for = input.required<string>();
  /** The label is not shown, where the place says what it is. */
  readonly bare = input(false);
  readonly wrong = input('');
  readonly hint = input('');

  /** Id of what is said below the control; null where nothing is. */
  told(): string | null {
    if (this.wrong()) return `${this.for()}-problem`;
    return this.hint() ? `${this.for()}-hint` : null;
  }
}
