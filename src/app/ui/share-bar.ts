import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { NzProgressComponent } from 'ng-zorro-antd/progress';

/** How much of something that takes a while is done. */
@Component({
  selector: 'ks-share-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzProgressComponent],
  template: `<nz-progress [nzPercent]="percent()" nzSize="small" [nzShowInfo]="false" />`,
  styles: `
    :host {
      display: block;
      width: 220px;
    }
  `,
  host: {
    role: 'progressbar',
    'aria-valuemin': '0',
    'aria-valuemax': '100',
    '[attr.aria-valuenow]': 'percent()',
    '[attr.aria-label]': 'label()',
  },
})
export class ShareBar {
  readonly label = input.required<string>();
  /** 0 to 1. */
  readonly share = input.required<number>();
  protected readonly percent = computed(() => Math.round(this.share() * 100));
}
