import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterNextRender,
  effect,
  input,
  output,
  viewChild,
} from '@angular/core';
import { LucideX } from '@lucide/angular';

let panels = 0;

/** A panel that comes in from the right over the page, by the browser's own dialog: it keeps the focus, and Escape or a press beside it closes it. */
@Component({
  selector: 'ks-side-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideX],
  template: `
    <dialog #dialog [attr.aria-labelledby]="id" (close)="closed.emit()">
      @if (open()) {
        <div class="sheet">
          <header>
            <h2 [id]="id">{{ heading() }}</h2>
            <button type="button" (click)="dialog.close()" aria-label="Close">
              <svg lucideX [size]="20" aria-hidden="true"></svg>
            </button>
          </header>
          <div class="body" tabindex="0" role="group" [attr.aria-labelledby]="id"><ng-content /></div>
        </div>
      }
    </dialog>
  `,
  styleUrl: './side-panel.less',
})
export class SidePanel {
  readonly open = input.required<boolean>();
  readonly heading = input.required<string>();
  readonly closed = output<void>();
  protected readonly id = `panel-${++panels}`;
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');

  constructor() {
    // A press on the dialog itself, not on its sheet, is one beside it.
    afterNextRender(() => {
      const dialog = this.dialog().nativeElement;
      dialog.addEventListener('click', (event) => event.target === dialog && dialog.close());
    });
    effect(() => {
      const dialog = this.dialog().nativeElement;
      if (this.open() && !dialog.open) dialog.showModal();
      else if (!this.open() && dialog.open) dialog.close();
    });
  }
}
