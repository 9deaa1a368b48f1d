import { Subject, defer, merge, of, type Observable } from 'rxjs';
import { OPENED, type DeviceLink } from '../app/devices/device-link';
import type { DeskCommand } from '../core/devices/desk-command';
import { StandIns } from '../core/devices/stand-ins';

const EVERY_MS = 250;

/** The simulated devices themselves, whose time passes only when a test lets it. */
export class StandInLink implements DeviceLink {
  private readonly standIns = new StandIns(0, 7);
  private readonly words = new Subject<unknown>();
  private nowMs = 0;
  readonly told: DeskCommand[] = [];
  readonly said: Observable<unknown> = defer(() => merge(of(OPENED), this.words));

  tell(command: DeskCommand): void {
    this.told.push(command);
    this.standIns.command(command, this.nowMs);
    this.words.next(this.standIns.desk());
  }

  pass(seconds: number): void {
    for (let k = 0; k < (seconds * 1000) / EVERY_MS; k++) {
      this.nowMs += EVERY_MS;
      for (const message of this.standIns.messages(this.nowMs)) this.words.next(message);
    }
  }

  /** The line breaks and is there again: whoever answers now knows nothing. */
  openAgain(): void {
    this.words.next(OPENED);
  }

  say(anything: unknown): void {
    this.words.next(anything);
  }

  break(): void {
    this.words.error(new Error('gone'));
  }
}
