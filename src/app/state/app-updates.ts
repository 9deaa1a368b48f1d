import { Injectable, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { SwUpdate } from '@angular/service-worker';
import { filter, interval, map } from 'rxjs';

/** A page that stays open asks so often whether there is a new version, ms. */
const ASK_MS = 3_600_000;
/** The bench of a run. */
const RUN = /^\/bench\/[^/]+$/;

/** Newer versions of the app: offered, never taken by themselves, and not spoken of at the bench. */
@Injectable({ providedIn: 'root' })
export class AppUpdates {
  private readonly updates = inject(SwUpdate, { optional: true });
  private readonly router = inject(Router);
  private readonly ready = signal(false);
  private readonly broken = signal(false);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(() => this.router.url),
    ),
    { initialValue: this.router.url },
  );
  private readonly atBench = computed(() => RUN.test(this.url().split('?')[0]));

  /** What is to be offered now. */
  readonly offer = computed<'newVersion' | 'broken' | undefined>(() => {
    if (this.broken()) return 'broken';
    return this.ready() && !this.atBench() ? 'newVersion' : undefined;
  });

  constructor() {
    const { updates } = this;
    if (!updates?.isEnabled) return;
    updates.versionUpdates
      .pipe(
        filter(({ type }) => type === 'VERSION_READY'),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.ready.set(true));
    updates.unrecoverable.pipe(takeUntilDestroyed()).subscribe(() => this.broken.set(true));
    interval(ASK_MS)
      .pipe(takeUntilDestroyed())
      .subscribe(() => void updates.checkForUpdate().catch(() => undefined));
  }

  /** Loads the page anew, with the newest version that is there. */
  async load(): Promise<void> {
    await this.updates?.activateUpdate().catch(() => undefined);
    location.reload();
  }
}
