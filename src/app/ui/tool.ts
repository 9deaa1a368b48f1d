import { Directive, inject, input, type AfterViewInit } from '@angular/core';
import { NzTooltipDirective } from 'ng-zorro-antd/tooltip';

/** The kit's tooltip, made when it is first wanted: a list has hundreds of tools, and one of them is pointed at. */
@Directive()
export class TipWhenWanted extends NzTooltipDirective implements AfterViewInit {
  private wanted = false;

  override ngAfterViewInit(): void {
    if (this.wanted) super.ngAfterViewInit();
  }

  want(): void {
    if (this.wanted) return;
    this.wanted = true;
    this.ngAfterViewInit();
  }
}

/** A button that is an icon alone: its name is told to those who hear the page, and shown when it is pointed at or come to by Tab. */
@Directive({
  selector: 'button[ksTool]',
  hostDirectives: [{ directive: TipWhenWanted, inputs: ['nzTooltipTitle: ksTool'] }],
  host: {
    class: 'tool',
    '[attr.aria-label]': 'ksTool()',
    // Comes before the mouse's own event, which the tip shows itself by.
    '(pointerenter)': 'tip.want()',
    '(keyup.tab)': 'come()',
    '(keyup.shift.tab)': 'come()',
    '(blur)': 'tip.hide()',
    '(click)': 'tip.hide()',
  },
})
export class Tool {
  readonly ksTool = input.required<string>();
  protected readonly tip = inject(TipWhenWanted);

  constructor() {
    this.tip.placement = ['bottom', 'top'];
  }

  protected come(): void {
    this.tip.want();
    this.tip.show();
  }
}
