import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { LucideRedo2, LucideUndo2 } from '@lucide/angular';
import { CastingStore } from '../state/casting-store';

/** Undo and redo, each saying what it would touch. */
@Component({
  selector: 'ks-undo-redo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideRedo2, LucideUndo2],
  template: `
    <button
      type="button"
      [disabled]="!store.canUndo()"
      (click)="store.undo()"
      [attr.aria-label]="('Undo ' + store.undoLabel()).trim()"
    >
      <svg lucideUndo2 [size]="18" aria-hidden="true"></svg>
    </button>
    <button
      type="button"
      [disabled]="!store.canRedo()"
      (click)="store.redo()"
      [attr.aria-label]="('Redo ' + store.redoLabel()).trim()"
    >
      <svg lucideRedo2 [size]="18" aria-hidden="true"></svg>
    </button>
  `,
  styles: `
    :host {
      display: flex;
      gap: 4px;
    }
    button {
      width: 38px;
      height: 38px;
      display: grid;
      place-items: center;
      border: 0;
      border-radius: 6px;
      background: none;
      color: var(--ink);
      cursor: pointer;
    }
    button:hover:not(:disabled) {
      background: var(--panel);
    }
    button:disabled {
      color: var(--edge);
      cursor: default;
    }
    @media (max-width: 1000px) {
      button {
        width: 44px;
        height: 44px;
      }
    }
  `,
})
export class UndoRedo {
  protected readonly store = inject(CastingStore);
}
