import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PageHeader } from '../ui/page-header';
import { DeviceDesk } from './device-desk';

/** The device desk by itself, beside a bench in another window. */
@Component({
  selector: 'ks-devices-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DeviceDesk, PageHeader],
  template: `
    <ks-page-header heading="Device desk" [back]="['/bench']" backLabel="All runs" />
    <div class="page">
      <p>
        A probe and a scale that are not there: they measure what the bench tells them of its bowls, so that measuring
        can be rehearsed. Open a rehearsal in another window beside this one.
      </p>
      <ks-device-desk />
    </div>
  `,
  styles: `
    .page {
      padding: 20px 28px 96px;
    }
    p {
      max-width: 64ch;
      margin-bottom: 18px;
    }
    @media (max-width: 900px) {
      .page {
        padding: 14px 14px 96px;
      }
    }
  `,
})
export class DevicesPage {}
