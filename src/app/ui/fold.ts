import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { LucideChevronRight } from '@lucide/angular';
import { NzCollapseModule } from 'ng-zorro-antd/collapse';

/** A part of a page that is folded away until it is wanted. */
@Component({
  selector: 'ks-fold',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideChevronRight, NzCollapseModule],
  template: `
    <nz-collapse nzGhost>
      <nz-collapse-panel
        [nzShowArrow]="false"
        [nzHeader]="head"
        [nzActive]="open()"
        (nzActiveChange)="turn($event)"
        (keydown)="press($event)"
      >
        <ng-content />
      </nz-collapse-panel>
    </nz-collapse>
    <ng-template #head><svg lucideChevronRight [size]="16" aria-hidden="true"></svg>{{ name() }}</ng-template>
  `,
  styleUrl: './fold.less',
})
export class Fold {
  readonly name = input.required<string>();
  readonly turned = output<boolean>();
  protected readonly open = signal(false);

  protected turn(open: boolean): void {
    this.open.set(open);
    this.turned.emit(open);
  }

  /** The kit's head is a button to those who hear it, and answers to a press alone. */
  protected press(event: KeyboardEvent): void {
    const head = event.target as HTMLElement;
    if (!head.classList.contains('ant-collapse-header') || (event.key !== 'Enter' && event.key !== ' ')) return;
    event.preventDefault();
    head.click();
  }
}
