import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { LucideFileUp } from '@lucide/angular';
import { NzUploadComponent, type NzUploadFile } from 'ng-zorro-antd/upload';
import { Labelled } from './labelled';

/** A field that takes a file; it is read here, and sent nowhere. */
@Component({
  selector: 'ks-file-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Labelled, LucideFileUp, NzUploadComponent],
  template: `
    <ks-labelled [for]="name()" [label]="label()">
      <nz-upload [nzId]="name()" [nzAccept]="accept()" [nzBeforeUpload]="take" [nzShowUploadList]="false">
        <svg lucideFileUp [size]="17" aria-hidden="true"></svg>
        {{ says() }}
      </nz-upload>
    </ks-labelled>
  `,
  styles: `
    :host {
      display: block;
    }
    :host ::ng-deep .ant-upload[role='button'] {
      display: inline-flex;
      align-items: center;
      gap: 8px;
      min-height: 44px;
      padding: 6px 16px;
      border: 1px dashed var(--edge);
      border-radius: 6px;
      background: var(--page);
      color: var(--ink);
      cursor: pointer;
    }
    svg {
      flex: none;
    }
    :host ::ng-deep .ant-upload[role='button']:hover {
      border-color: var(--ember);
    }
  `,
})
export class FileField {
  readonly label = input.required<string>();
  /** Names the field on its page. */
  readonly name = input.required<string>();
  readonly says = input('Choose a file, or drop one anywhere on the page');
  /** Which kinds are offered; all where it is empty. */
  readonly accept = input('');
  readonly chosen = output<File>();

  protected readonly take = (file: NzUploadFile): boolean => {
    // The kit hands on the browser's own file, with what it needs to list it.
    this.chosen.emit(file as unknown as File);
    return false;
  };
}
