import { Injectable, signal } from '@angular/core';
import type { UnitSystem } from '../../core/quantity/units';

const KEY = 'kilnstone.units';

/** The one switch of units; remembered by the browser where it may be. */
@Injectable({ providedIn: 'root' })
export class Units {
  readonly system = signal<UnitSystem>(remembered(KEY) === 'us' ? 'us' : 'metric');

  use(system: UnitSystem): void {
    this.system.set(system);
    try {
      localStorage.setItem(KEY, system);
    } catch {
      // Storage may be blocked: the switch then holds for this visit, which the storage notice already says.
    }
  }
}

function remembered(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}
