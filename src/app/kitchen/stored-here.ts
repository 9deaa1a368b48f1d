import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { KeptHereState } from '../state/kept-here';
import { bytesText, filesText } from '../wording/storage';

/** What this browser keeps, and whether it works without a network. */
@Component({
  selector: 'ks-stored-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <section aria-labelledby="stored-here">
      <h2 id="stored-here">Kept in this browser</h2>
      @if (state.kept(); as kept) {
        <p>{{ files() }}</p>
        <p class="hint">
          All you enter is in this browser alone{{ taken() }}. Export it now and then: a browser’s data can be cleared.
        </p>
        @if (!kept.forGood) {
          <button nz-button type="button" (click)="state.keepForGood()">Ask the browser not to clear it</button>
        } @else {
          <p class="hint">The browser has promised not to clear it by itself.</p>
        }
      }
    </section>
  `,
  styleUrl: './kitchen-section.less',
})
export class StoredHere {
  protected readonly state = inject(KeptHereState);
  protected readonly files = computed(() => filesText(this.state.kept()?.files, navigator.onLine));
  protected readonly taken = computed(() => {
    const { used, room } = this.state.kept() ?? {};
    return used === undefined || room === undefined
      ? ''
      : `: ${bytesText(used)} of ${bytesText(room)} that there is room for`;
  });

  constructor() {
    void this.state.look();
  }
}
