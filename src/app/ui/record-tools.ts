import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { LucideCopy, LucideDownload, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { Once } from './once';
import { Tool } from './tool';

/** What can be done with one record of a list: copy, export, delete. */
@Component({
  selector: 'ks-record-tools',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideCopy, LucideDownload, LucideTrash2, NzButtonComponent, Once, Tool],
  template: `
    <button nz-button nzType="text" type="button" (ksOnce)="copied.emit()" [ksTool]="'Copy ' + name()">
      <svg lucideCopy [size]="17" aria-hidden="true"></svg>
    </button>
    <button nz-button nzType="text" type="button" (click)="exported.emit()" [ksTool]="'Export ' + name()">
      <svg lucideDownload [size]="17" aria-hidden="true"></svg>
    </button>
    <button nz-button nzType="text" type="button" (click)="deleted.emit()" [ksTool]="'Delete ' + name()">
      <svg lucideTrash2 [size]="17" aria-hidden="true"></svg>
    </button>
  `,
  styles: `
    :host {
      display: flex;
    }
  `,
})
export class RecordTools {
  readonly name = input.required<string>();
  readonly copied = output<void>();
  readonly exported = output<void>();
  readonly deleted = output<void>();
}
