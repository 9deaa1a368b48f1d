import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { DeviceDesk } from '../devices/device-desk';
import { BenchRun } from './bench-run';
import { Measuring } from './measuring';

/** Whether the bench listens to probe and scale, and the desk that drives the simulated ones. */
@Component({
  selector: 'ks-bench-connect',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DeviceDesk, NzButtonComponent],
  template: `
    <p>
      The probe and the scale that come with Kilnstone are simulated: they measure what it reckons of your bowls, not
      the bowls themselves.
      @if (!bench.run()?.rehearsal) {
        In a real run, measure by hand and note it. What a simulated one shows is marked as such.
      }
    </p>
    <button nz-button type="button" [attr.aria-pressed]="measuring.connected()" (click)="turn()">
      {{ measuring.connected() ? 'Leave them aside' : 'Listen to them' }}
    </button>
    @if (measuring.connected()) {
      <ks-device-desk />
    }
  `,
  styles: `
    button {
      height: 44px;
      margin: 10px 0 18px;
    }
  `,
})
export class BenchConnect {
  protected readonly bench = inject(BenchRun);
  protected readonly measuring = inject(Measuring);

  protected turn(): void {
    this.measuring.connected.update((on) => !on);
  }
}
