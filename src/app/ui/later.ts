import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, input, signal, type Type } from '@angular/core';
import { MissingPart } from './missing-part';

/** Loads a part of the page. */
export type Load = () => Promise<Type<unknown>>;

/** A part of the page that is loaded when it is wanted; what stands in it keeps its place until then. */
@Component({
  selector: 'ks-later',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MissingPart, NgComponentOutlet],
  template: `
    @if (loaded(); as part) {
      <ng-container *ngComponentOutlet="part" />
    } @else if (missing()) {
      <ks-missing-part />
    } @else {
      <ng-content />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class Later {
  readonly part = input.required<Load>();
  protected readonly loaded = signal<Type<unknown> | undefined>(undefined);
  protected readonly missing = signal(false);

  constructor() {
    effect((onCleanup) => {
      let wanted = true;
      onCleanup(() => (wanted = false));
      this.loaded.set(undefined);
      this.missing.set(false);
      this.part()().then(
        (part) => wanted && this.loaded.set(part),
        () => wanted && this.missing.set(true),
      );
    });
  }
}
