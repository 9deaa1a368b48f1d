import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzDrawerComponent, NzDrawerContentDirective } from 'ng-zorro-antd/drawer';
import { Tool } from './tool';

let panels = 0;

/** A panel that comes in from the right over the page: it keeps the focus, and Escape or a press beside it closes it. */
@Component({
  selector: 'ks-side-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideX, NzButtonComponent, NzDrawerComponent, NzDrawerContentDirective, Tool],
  template: `
    <nz-drawer
      nzWidth="min(400px, 100vw)"
      [nzVisible]="open()"
      [nzClosable]="false"
      [nzNoAnimation]="true"
      [nzBodyStyle]="{ padding: 0 }"
      (nzOnClose)="closed.emit()"
    >
      <ng-container *nzDrawerContent>
        <!-- The kit keeps what was in it; here it goes, and what had the keys in it gives them back. -->
        @if (open()) {
          <div class="sheet" role="dialog" aria-modal="true" [attr.aria-labelledby]="id">
            <header>
              <h2 [id]="id">{{ heading() }}</h2>
              <button nz-button nzType="text" type="button" ksTool="Close" (click)="closed.emit()">
                <svg lucideX [size]="20" aria-hidden="true"></svg>
              </button>
            </header>
            <div class="body" tabindex="0" role="group" [attr.aria-labelledby]="id"><ng-content /></div>
          </div>
        }
      </ng-container>
    </nz-drawer>
  `,
  styleUrl: './side-panel.less',
})
export class SidePanel {
  readonly open = input.required<boolean>();
  readonly heading = input.required<string>();
  readonly closed = output<void>();
  protected readonly id = `panel-${++panels}`;
}
