import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { SidePanel } from '../ui/side-panel';
import { Keys } from './keys';

/** The list of keys, in a panel of its own. */
@Component({
  selector: 'ks-key-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SidePanel],
  template: `
    <ks-side-panel [open]="keys.listOpen()" heading="Keys" (closed)="keys.listOpen.set(false)">
      <dl>
        @for (key of keys.list; track key.keys) {
          <dt>
            <kbd>{{ key.keys }}</kbd>
          </dt>
          <dd>{{ key.does }}</dd>
        }
      </dl>
    </ks-side-panel>
  `,
  styleUrl: './key-list.less',
})
export class KeyList {
  protected readonly keys = inject(Keys);
}
