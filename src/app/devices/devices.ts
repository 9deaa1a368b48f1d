import { Injectable, inject, signal } from '@angular/core';
import {
  EMPTY,
  catchError,
  defer,
  finalize,
  ignoreElements,
  share,
  switchMap,
  tap,
  throwError,
  timer,
  type Observable,
} from 'rxjs';
import { DeskStateSchema, type DeskCommand, type DeskState } from '../../core/devices/desk-command';
import { readDeviceMessage } from '../../core/devices/device-message';
import { heard, nothingHeard } from '../../core/devices/heard';
import { DEVICE_LINKS, OPENED, type DeviceLink } from './device-link';

/** Nothing has been said for so long: whoever spoke is gone, ms. */
const SILENT_MS = 3000;

/** What of what is told has to be told again where the devices begin anew: all that follows from the job. */
const OF_THE_JOB: ReadonlySet<DeskCommand['kind']> = new Set(['speed', 'bowl', 'things']);

/** Probe and scale, as they are heard; who answers for them is not known here. */
@Injectable({ providedIn: 'root' })
export class Devices {
  private readonly links = inject(DEVICE_LINKS);
  readonly probe = signal(nothingHeard('probe'));
  readonly scale = signal(nothingHeard('scale'));
  /** How simulated devices are driven; undefined where nobody has told. */
  readonly desk = signal<DeskState | undefined>(undefined);
  private link: DeviceLink | undefined;
  private readonly told = new Map<DeskCommand['kind'], DeskCommand>();

  /** The devices are heard for as long as somebody listens; several may. */
  readonly listening: Observable<never> = defer(() => this.from(0)).pipe(
    tap((said) => this.hear(said)),
    switchMap(() => timer(SILENT_MS)),
    tap(() => this.silent()),
    // Nobody answers: they are as if unplugged.
    catchError(() => EMPTY),
    finalize(() => this.silent()),
    ignoreElements(),
    share(),
  );

  /** Drives simulated devices. */
  tell(command: DeskCommand): void {
    if (OF_THE_JOB.has(command.kind)) this.told.set(command.kind, command);
    this.link?.tell(command);
  }

  /** All that is said by the first link from this one on that answers. */
  private from(i: number): Observable<unknown> {
    const link = this.links.at(i);
    if (!link) return throwError(() => new Error('nobody answers for the devices'));
    return defer(() => {
      this.link = link;
      return link.said;
    }).pipe(catchError(() => this.from(i + 1)));
  }

  private hear(said: unknown): void {
    if (said === OPENED) {
      for (const command of this.told.values()) this.link?.tell(command);
      return;
    }
    const message = readDeviceMessage(said);
    if (message) {
      const device = message.device === 'probe' ? this.probe : this.scale;
      device.update((before) => heard(before, message));
      return;
    }
    const desk = DeskStateSchema.safeParse(said);
    if (desk.success) this.desk.set(desk.data);
  }

  private silent(): void {
    this.probe.set(nothingHeard('probe'));
    this.scale.set(nothingHeard('scale'));
    this.desk.set(undefined);
  }
}
