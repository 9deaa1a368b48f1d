import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { StepWording } from '../../wording/melting';

/** Steps of melting and tempering as items of a list: what, how, and when it is done. */
@Component({
  selector: '[ksMeltSteps]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (step of ksMeltSteps(); track $index) {
      <li>
        <b>{{ step.what }}</b><span>{{ step.how }}</span
        ><em>{{ step.after }}</em>
      </li>
    }
  `,
  styleUrl: './melt-steps.less',
})
export class MeltSteps {
  readonly ksMeltSteps = input.required<readonly StepWording[]>();
}
