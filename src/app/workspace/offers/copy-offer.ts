import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';

/** Says that a casting's own copy differs from what it was taken from, and offers to take it anew. */
@Component({
  selector: 'ks-copy-offer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <p class="plain">
      This casting keeps its own copy, and it differs from the {{ whose() }}.
      <button nz-button nzType="link" type="button" class="small" (click)="taken.emit()">
        {{ 'Take the ' + whose() }}
      </button>
    </p>
  `,
  styleUrl: '../station.less',
})
export class CopyOffer {
  /** Where the other state is, in the genitive. */
  readonly whose = input.required<'pantry’s' | 'library’s'>();
  readonly taken = output();
}
