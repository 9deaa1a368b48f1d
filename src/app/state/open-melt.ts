import { Injectable, computed, inject, signal } from '@angular/core';
import { partOf } from '../../core/record/references';
import { CastingStore } from './casting-store';
import { OpenPart } from './open-part';

/** The melt of the open casting that its station and thermometer show: that of the open part's first coat, until another is chosen. */
@Injectable({ providedIn: 'root' })
export class OpenMelt {
  private readonly store = inject(CastingStore);
  private readonly part = inject(OpenPart);
  private readonly wanted = signal<{ readonly partId: string | undefined; readonly meltId: string } | undefined>(
    undefined,
  );

  readonly id = computed(() => {
    const casting = this.store.current();
    const wanted = this.wanted();
    if (!casting) return undefined;
    // Another part brings its own melt with it.
    if (wanted && wanted.partId === this.part.id() && casting.melts.some(({ id }) => id === wanted.meltId))
      return wanted.meltId;
    return partOf(casting, this.part.id()).coats[0].shares[0].meltId;
  });

  open(meltId: string): void {
    this.wanted.set({ partId: this.part.id(), meltId });
  }
}
