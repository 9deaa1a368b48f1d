import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { GuestTag } from '../wording/guest-tag';

/** The tag that goes with a piece, as often as it is wanted. */
@Component({
  selector: 'ks-guest-tags',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (copy of copies(); track $index) {
      <section>
        <h2>{{ tag().title }}</h2>
        @for (line of tag().lines; track line) {
          <p>{{ line }}</p>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(280px, 100%), 420px));
      gap: 10px;
    }
    section {
      padding: 12px 16px;
      border: 1px dashed var(--soft);
      font-size: 15px;
      break-inside: avoid;
    }
    h2 {
      margin: 0 0 4px;
      font-size: 17px;
      overflow-wrap: anywhere;
    }
    p {
      margin: 4px 0 0;
    }
    @media print {
      section {
        font-size: 9pt;
      }
      h2 {
        font-size: 11pt;
      }
    }
  `,
})
export class GuestTags {
  readonly tag = input.required<GuestTag>();
  readonly copies = input<readonly unknown[]>([0]);
}
