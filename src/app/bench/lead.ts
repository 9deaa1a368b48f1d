import { DestroyRef, Injectable, inject, signal } from '@angular/core';

/**
 * Which of several tabs runs a run: the first that asks leads, the others follow, and any can take over. A tab that is closed or has crashed lets go by itself. Where
 * the browser has no locks, every tab leads.
 */
@Injectable()
export class Lead {
  private readonly locks = (navigator as Partial<Navigator>).locks;
  private release: () => void = () => undefined;
  private gone = false;
  private name = '';
  private requests = 0;
  /** The request by which it has the lead. */
  private holds = 0;
  readonly leads = signal(this.locks === undefined);

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.gone = true;
      this.release();
    });
  }

  /** Asks for it, and waits behind whoever has it. */
  ask(run: string): void {
    this.release();
    this.name = `kilnstone run ${run}`;
    this.leads.set(this.locks === undefined);
    void this.hold({});
  }

  /** Takes it from whoever has it. */
  take(): void {
    void this.hold({ steal: true });
  }

  private async hold(options: LockOptions): Promise<void> {
    if (!this.locks || this.gone) return;
    const [mine, name] = [++this.requests, this.name];
    try {
      await this.locks.request(name, options, () => {
        if (this.gone || name !== this.name) return undefined;
        this.holds = mine;
        this.leads.set(true);
        return new Promise<void>((resolve) => (this.release = resolve));
      });
    } catch {
      // Taken by this tab once more, as by a second press, it is still had.
      if (this.holds !== mine) return;
      // Another tab took it: this one follows, and waits for it to be free again.
      this.leads.set(false);
      void this.hold({});
    }
  }
}
