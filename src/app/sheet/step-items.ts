import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { SheetStep } from './sheet-content';

/** Steps of the sheet as items of a list: what, and how. */
@Component({
  selector: '[ksStepItems]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (step of ksStepItems(); track $index) {
      <li>
        @if (step.what) {
          <strong>{{ step.what }}</strong>
        }
        {{ step.how }}
      </li>
    }
  `,
  styles: `
    li {
      padding: 3px 0;
    }
    @media print {
      li {
        padding: 0;
        break-inside: avoid;
      }
    }
  `,
})
export class StepItems {
  readonly ksStepItems = input.required<readonly SheetStep[]>();
}
