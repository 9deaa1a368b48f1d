import { ChangeDetectionStrategy, Component } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';

/** Stands where a part of the page could not be loaded: what happened, what was kept, and the way on. */
@Component({
  selector: 'ks-missing-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `<p role="alert">
    This part of the page could not be loaded. All you have entered is kept.
    <button nz-button nzType="link" type="button" (click)="reload()">Load the page again</button>
  </p>`,
  styles: `
    :host {
      display: block;
      padding: 16px 24px;
      color: var(--soft);
    }
  `,
})
export class MissingPart {
  protected reload(): void {
    location.reload();
  }
}
