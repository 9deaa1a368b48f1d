import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { SCALE_STEPS, STAND_IN_SPEEDS, type DeskCommand } from '../../core/devices/desk-command';
import { DEVICES, type Device } from '../../core/devices/device-message';
import { Units } from '../state/units';
import { ChoiceList } from '../ui/choice-list';
import { Pick } from '../ui/pick';
import {
  DEVICE_NAMES,
  SCENARIO_OPTIONS,
  SPEED_OPTIONS,
  STEP_OPTIONS,
  shownText,
  standingText,
} from '../wording/devices';
import { text } from '../wording/format';
import { Devices } from './devices';

/** An empty scale, among what may lie on it. */
const NOTHING = 'nothing';

/** Drives the simulated probe and scale: how the kitchen goes, what lies on the scale, what is unplugged. */
@Component({
  selector: 'ks-device-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, NzButtonComponent, Pick],
  template: `
    @if (devices.desk(); as desk) {
      <ks-choice-list
        label="How the kitchen goes"
        [options]="scenarios"
        [value]="desk.scenario"
        (chosen)="tell({ kind: 'scenario', scenario: $event })"
      />
      <ul>
        @for (device of list(); track device.device) {
          <li>
            <b>{{ device.name }}</b> <strong>{{ device.shown }}</strong> <span>{{ device.standing }}</span>
            <button
              nz-button
              type="button"
              [attr.aria-label]="(device.plugged ? 'Unplug: ' : 'Plug in: ') + device.name"
              (click)="tell({ kind: 'plug', device: device.device, plugged: !device.plugged })"
            >
              {{ device.plugged ? 'Unplug' : 'Plug in' }}
            </button>
          </li>
        }
      </ul>
      <ks-choice-list label="On the scale lies" [options]="things()" [value]="load()" (chosen)="put($event)" />
      <ks-pick label="The scale counts by" [options]="steps" [value]="'' + desk.step" (chosen)="setStep($event)" />
      <ks-pick label="Their time runs" [options]="speeds" [value]="'' + desk.speed" (chosen)="setSpeed($event)" />
      <div class="row">
        <button nz-button type="button" (click)="tell({ kind: 'warm' })">Warm the bowl back</button>
        <button nz-button type="button" (click)="tell({ kind: 'tare' })">Tare the scale</button>
      </div>
    } @else {
      <p role="status">Looking for the devices…</p>
    }
  `,
  styleUrl: './device-desk.less',
})
export class DeviceDesk {
  protected readonly devices = inject(Devices);
  private readonly units = inject(Units);
  protected readonly scenarios = SCENARIO_OPTIONS;
  protected readonly steps = STEP_OPTIONS;
  protected readonly speeds = SPEED_OPTIONS;

  protected readonly list = computed(() =>
    DEVICES.map((device: Device) => {
      const heard = this.devices[device]();
      return {
        device,
        name: DEVICE_NAMES[device],
        shown: shownText(heard, this.units.system()),
        standing: standingText(heard),
        plugged: !this.devices.desk()?.unplugged.includes(device),
      };
    }),
  );
  protected readonly things = computed(() => [
    { value: NOTHING, name: 'Nothing' },
    ...(this.devices.desk()?.things ?? []).map(({ name, kg }) => ({
      value: name,
      name: `${name}, ${text(kg, 'mass', this.units.system())}`,
    })),
  ]);
  /** What lies on it may not be of this job any more. */
  protected readonly load = computed(() => {
    const load = this.devices.desk()?.load;
    return this.things().find(({ value }) => value === load)?.value ?? NOTHING;
  });

  constructor() {
    this.devices.listening.pipe(takeUntilDestroyed(inject(DestroyRef))).subscribe();
  }

  protected tell(command: DeskCommand): void {
    this.devices.tell(command);
  }

  protected put(name: string): void {
    this.tell({ kind: 'load', thing: this.devices.desk()?.things.find((thing) => thing.name === name) });
  }

  protected setStep(value: string): void {
    const step = SCALE_STEPS.find((one) => String(one) === value);
    if (step) this.tell({ kind: 'step', step });
  }

  protected setSpeed(value: string): void {
    const speed = STAND_IN_SPEEDS.find((one) => String(one) === value);
    if (speed) this.tell({ kind: 'speed', speed });
  }
}
