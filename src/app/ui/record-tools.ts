import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { LucideCopy, LucideDownload, LucideTrash2 } from '@lucide/angular';
import { Once } from './once';

/** What can be done with one record of a list: copy, export, delete. */
@Component({
  selector: 'ks-record-tools',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideCopy, LucideDownload, LucideTrash2, Once],
  template: `
    <button type="button" (ksOnce)="copied.emit()" [attr.aria-label]="'Copy ' + name()">
      <svg lucideCopy [size]="17" aria-hidden="true"></svg>
    </button>
    <button type="button" (click)="exported.emit()" [attr.aria-label]="'Export ' + name()">
      <svg lucideDownload [size]="17" aria-hidden="true"></svg>
    </button>
    <button type="button" (click)="deleted.emit()" [attr.aria-label]="'Delete ' + name()">
      <svg lucideTrash2 [size]="17" aria-hidden="true"></svg>
    </button>
  `,
  styles: `
    :host {
      display: flex;
    }
    button {
      width: 36px;
      height: 36px;
      display: grid;
      place-items: center;
      border: 0;
      border-radius: 6px;
      background: none;
      color: var(--soft);
      cursor: pointer;
    }
    button:hover {
      background: var(--panel);
      color: var(--ink);
    }
    @media (max-width: 900px) {
      button {
        width: 44px;
        height: 44px;
      }
    }
  `,
})
export class RecordTools {
  readonly name = input.required<string>();
  readonly copied = output<void>();
  readonly exported = output<void>();
  readonly deleted = output<void>();
}
