import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { LucideRedo2, LucideUndo2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CastingStore } from '../state/casting-store';
import { Tool } from './tool';

/** Undo and redo, each saying what it would touch. */
@Component({
  selector: 'ks-undo-redo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideRedo2, LucideUndo2, NzButtonComponent, Tool],
  template: `
    <button
      nz-button
      nzType="text"
      type="button"
      [disabled]="!store.canUndo()"
      (click)="store.undo()"
      [ksTool]="('Undo ' + store.undoLabel()).trim()"
    >
      <svg lucideUndo2 [size]="18" aria-hidden="true"></svg>
    </button>
    <button
      nz-button
      nzType="text"
      type="button"
      [disabled]="!store.canRedo()"
      (click)="store.redo()"
      [ksTool]="('Redo ' + store.redoLabel()).trim()"
    >
      <svg lucideRedo2 [size]="18" aria-hidden="true"></svg>
    </button>
  `,
  styles: `
    :host {
      display: flex;
      gap: 4px;
    }
  `,
})
export class UndoRedo {
  protected readonly store = inject(CastingStore);
}
