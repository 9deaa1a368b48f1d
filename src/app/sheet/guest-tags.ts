import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { GuestTag } from '../wording/guest-tag';

/** Tags that go with pieces, each as often as it is in the list. */
@Component({
  selector: 'ks-guest-tags',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (tag of tags(); track $index) {
      <section>
        <h2>{{ tag.title }}</h2>
        @for (line of tag.lines; track line) {
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
  readonly tags = input.required<readonly GuestTag[]>();
}
