import { Injectable, signal } from '@angular/core';
import type { CavityShape } from '../../core/cavity/shape';

/** Why a shape just typed was not taken; gone as soon as the shape changes. */
@Injectable({ providedIn: 'root' })
export class ShapeNotes {
  private readonly note = signal<{ readonly owner: string; readonly shape: CavityShape; readonly text: string } | undefined>(undefined);

  say(owner: string, shape: CavityShape, text: string): void {
    this.note.set({ owner, shape, text });
  }

  clear(owner: string): void {
    if (this.note()?.owner === owner) this.note.set(undefined);
  }

  /** The note on an owner's shape, or nothing. */
  of(owner: string, shape: CavityShape): string {
    const note = this.note();
    return note?.owner === owner && note.shape === shape ? note.text : '';
  }
}
