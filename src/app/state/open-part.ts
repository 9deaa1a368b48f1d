import { Injectable, computed, inject, signal } from '@angular/core';
import type { Casting, Part } from '../../core/record/casting';
import { partOf } from '../../core/record/references';
import { CastingStore } from './casting-store';

/** The part of the open casting that mold, coat, chill and section show: the first, until another is chosen. */
@Injectable({ providedIn: 'root' })
export class OpenPart {
  private readonly store = inject(CastingStore);
  private readonly wanted = signal<string | undefined>(undefined);

  readonly id = computed<string | undefined>(() => {
    const parts = this.store.current()?.parts ?? [];
    return (parts.find(({ id }) => id === this.wanted()) ?? parts[0])?.id;
  });

  open(partId: string | undefined): void {
    this.wanted.set(partId);
  }

  /**
   * Changes the open part, in a draft of its casting.
   * @param label what was changed, for undo
   * @param gesture changes of the same part with the same gesture are undone as one
   */
  edit(label: string, change: (part: Part, casting: Casting) => void, gesture?: string): void {
    const id = this.id();
    this.store.edit(label, (casting) => change(partOf(casting, id), casting), gesture && `${gesture} ${id}`);
  }
}
