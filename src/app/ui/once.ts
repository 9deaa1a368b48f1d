import { Directive, output } from '@angular/core';

/** A press that counts once: the second of a double click is the same wish, and not another. */
@Directive({ selector: 'button[ksOnce]', host: { '(click)': 'press($event)' } })
export class Once {
  readonly ksOnce = output<void>();

  protected press({ detail }: MouseEvent): void {
    // Pressed by key it has no count.
    if (detail <= 1) this.ksOnce.emit();
  }
}
