import { Directive, inject, input } from '@angular/core';
import { NzTooltipDirective } from 'ng-zorro-antd/tooltip';

/** A button that is an icon alone: its name is told to those who hear the page, and shown when it is pointed at or come to by Tab. */
@Directive({
  selector: 'button[ksTool]',
  hostDirectives: [{ directive: NzTooltipDirective, inputs: ['nzTooltipTitle: ksTool'] }],
  host: {
    class: 'tool',
    '[attr.aria-label]': 'ksTool()',
    '(keyup.tab)': 'tip.show()',
    '(keyup.shift.tab)': 'tip.show()',
    '(blur)': 'tip.hide()',
    '(click)': 'tip.hide()',
  },
})
export class Tool {
  readonly ksTool = input.required<string>();
  protected readonly tip = inject(NzTooltipDirective);

  constructor() {
    this.tip.placement = ['bottom', 'top'];
  }
}
