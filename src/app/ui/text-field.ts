import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { LONGEST_NAME } from '../wording/naming';
import { Labelled } from './labelled';

let fields = 0;

/** A field for a few words, read when it is left. */
@Component({
  selector: 'ks-text-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Labelled, NzInputDirective],
  template: `
    <ks-labelled [for]="id" [label]="label()" [bare]="bare()">
      <input
        nz-input
        #box
        [id]="id"
        [value]="value()"
        [attr.maxlength]="longest()"
        autocomplete="off"
        (change)="leave()"
      />
    </ks-labelled>
  `,
  styleUrl: './amount-field.less',
  host: { '(window:beforeunload)': 'leave()' },
})
export class TextField {
  // Before all else that ends with the field, so that what was typed is still heard: Back takes the page without leaving the field.
  protected readonly ending = inject(DestroyRef).onDestroy(() => this.leave());
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  readonly longest = input(LONGEST_NAME);
  /** The label is not shown, where the place says what it is. */
  readonly bare = input(false);
  readonly entered = output<string>();
  protected readonly id = `text-${++fields}`;
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');

  /** Left, or about to be gone with the page. */
  protected leave(): void {
    const text = this.box().nativeElement.value;
    if (text !== this.value()) this.entered.emit(text);
  }
}
