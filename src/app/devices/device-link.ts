import { InjectionToken } from '@angular/core';
import { Observable } from 'rxjs';
import type { DeskCommand } from '../../core/devices/desk-command';

/** Who answers for the devices. What it says is read before it is believed. */
export interface DeviceLink {
  /** All that is said, 'opened' each time the line is there anew. Ends in an error where nobody answers at all. */
  readonly said: Observable<unknown>;
  /** Drives simulated devices; what cannot be told is left out. */
  tell(command: DeskCommand): void;
}

/** The line has been opened: what was told before is not known there. */
export const OPENED = 'opened';

/** The links that are tried, one after the other: the first that answers is kept. */
export const DEVICE_LINKS = new InjectionToken<readonly DeviceLink[]>('links to the devices', {
  providedIn: 'root',
  factory: () => [],
});

/** The devices that the app's own server answers for. A line that breaks is opened again by the browser. */
export function serverLink(): DeviceLink {
  return {
    said: new Observable((heard) => {
      const source = new EventSource('/devices/stream?ngsw-bypass');
      let answered = false;
      source.onopen = () => {
        answered = true;
        heard.next(OPENED);
      };
      source.onmessage = ({ data }) => heard.next(parsed(data));
      source.onerror = () => {
        if (!answered || source.readyState === EventSource.CLOSED) heard.error(new Error('the server does not answer'));
      };
      return () => source.close();
    }),
    tell: (command) => {
      fetch('/devices/desk', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(command),
        // A line that breaks tells it anew when it is there again.
      }).catch(() => undefined);
    },
  };
}

/** The same, simulated in this tab by a worker: without a server, as offline. */
export function workerLink(start: () => Worker): DeviceLink {
  let worker: Worker | undefined;
  return {
    said: new Observable((heard) => {
      const own = start();
      worker = own;
      own.onmessage = ({ data }) => heard.next(data);
      own.onerror = () => heard.error(new Error('the worker cannot be started'));
      heard.next(OPENED);
      return () => own.terminate();
    }),
    tell: (command) => worker?.postMessage(command),
  };
}

function parsed(data: unknown): unknown {
  try {
    return JSON.parse(String(data)) as unknown;
  } catch {
    return undefined;
  }
}
