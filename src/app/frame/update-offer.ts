import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { NzAlertComponent } from 'ng-zorro-antd/alert';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { AppUpdates } from '../state/app-updates';

const TEXTS = {
  newVersion: 'A new version of Kilnstone is here. All you have entered is kept.',
  broken: 'The browser has lost a part of Kilnstone that it kept. All you have entered is kept.',
} as const;

/** Offers to load a new version. */
@Component({
  selector: 'ks-update-offer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzAlertComponent, NzButtonComponent],
  template: `
    @if (updates.offer(); as offer) {
      <nz-alert
        role="status"
        nzType="info"
        nzBanner
        [nzShowIcon]="false"
        [nzMessage]="texts[offer]"
        [nzAction]="load"
      />
    }
    <ng-template #load>
      <button nz-button nzType="link" type="button" (click)="updates.load()">Load it now</button>
    </ng-template>
  `,
})
export class UpdateOffer {
  protected readonly updates = inject(AppUpdates);
  protected readonly texts = TEXTS;
}
