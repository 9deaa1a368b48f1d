import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';

/** Stands where a record was that is not here any more: what may have happened, and the way to the others. */
@Component({
  selector: 'ks-gone',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, RouterLink],
  template: `
    <h1>{{ heading() }}</h1>
    <p>{{ why() }}</p>
    <a nz-button nzType="primary" [routerLink]="to()">{{ toText() }}</a>
  `,
  styles: `
    :host {
      padding: 60px 40px;
      display: grid;
      gap: 12px;
      justify-items: start;
      align-content: start;
    }
  `,
})
export class Gone {
  readonly heading = input('This casting is not here any more');
  readonly why = input('It was deleted, perhaps in another tab, or it lives in another browser.');
  readonly to = input('/castings');
  readonly toText = input('See all castings');
}
