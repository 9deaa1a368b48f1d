import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { LucideGrid2x2, LucideKeyboard, LucidePackageOpen, LucideRefrigerator, LucideSoup } from '@lucide/angular';
import { CastingStorage } from '../state/casting-storage';
import { CastingStore } from '../state/casting-store';
import { CastingsActions } from '../state/castings-actions';
import { Notices } from '../state/notices';
import { Units } from '../state/units';
import { WorkingPanel } from '../state/working-panel';
import { Working } from '../workspace/working/working';
import { KeyList } from './key-list';
import { Keys } from './keys';

/** The frame around every page: rail, notices, the working of a figure, the list of keys. */
@Component({
  selector: 'ks-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [KeyList, LucideGrid2x2, LucideKeyboard, LucidePackageOpen, LucideRefrigerator, LucideSoup, RouterLink, RouterLinkActive, RouterOutlet, Working],
  templateUrl: './frame.html',
  styleUrl: './frame.less',
  host: { '(document:keydown)': 'keys.press($event)' },
})
export class Frame {
  private readonly storage = inject(CastingStorage);
  private readonly store = inject(CastingStore);
  private readonly actions = inject(CastingsActions);
  protected readonly keys = inject(Keys);
  protected readonly units = inject(Units);
  protected readonly notices = inject(Notices);
  protected readonly working = inject(WorkingPanel);

  protected readonly hidden = signal(false);
  protected readonly trouble = computed(() => {
    if (this.storage.state() === 'memory') return 'This browser does not let Kilnstone store anything. Your castings last until this tab is closed: export them before you go.';
    if (this.storage.state() === 'full') return 'The browser’s storage is full, so the latest changes are kept in this tab only. Export everything, then free some space; saving is tried again at your next change.';
    if (this.storage.unreadable().length > 0 && !this.hidden()) return `${this.storage.unreadable().length} stored casting could not be read and is left as it is in the browser. Everything else is here.`;
    return '';
  });

  protected exportAll(): void {
    this.actions.export(this.store.castings());
  }
}
