import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import {
  LucideCalendarClock,
  LucideGrid2x2,
  LucideKeyboard,
  LucideNotebookText,
  LucidePackageOpen,
  LucideRefrigerator,
  LucideSoup,
  LucideStethoscope,
  LucideTimer,
} from '@lucide/angular';
import { NzAlertComponent } from 'ng-zorro-antd/alert';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CastingStorage } from '../state/casting-storage';
import { CastingStore } from '../state/casting-store';
import { CastingsActions } from '../state/castings-actions';
import { Notices } from '../state/notices';
import { saveFile } from '../state/save-file';
import { Storages } from '../state/storages';
import { Units } from '../state/units';
import { WorkingPanel } from '../state/working-panel';
import { MissingPart } from '../ui/missing-part';
import { RESTORED, STORAGE_TROUBLES, unreadableText } from '../wording/storage';
import { Working } from '../workspace/working/working';
import { KeyList } from './key-list';
import { Keys } from './keys';
import { UpdateOffer } from './update-offer';

/** The frame around every page: rail, notices, the working of a figure, the list of keys. */
@Component({
  selector: 'ks-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    KeyList,
    LucideCalendarClock,
    LucideGrid2x2,
    LucideKeyboard,
    LucideNotebookText,
    LucidePackageOpen,
    LucideRefrigerator,
    LucideSoup,
    LucideStethoscope,
    LucideTimer,
    MissingPart,
    NzAlertComponent,
    NzButtonComponent,
    RouterLink,
    RouterLinkActive,
    RouterOutlet,
    UpdateOffer,
    Working,
  ],
  templateUrl: './frame.html',
  styleUrl: './frame.less',
  host: { '(document:keydown)': 'keys.press($event)' },
})
export class Frame {
  private readonly storage = inject(CastingStorage);
  private readonly storages = inject(Storages);
  private readonly store = inject(CastingStore);
  private readonly actions = inject(CastingsActions);
  protected readonly keys = inject(Keys);
  protected readonly units = inject(Units);
  protected readonly notices = inject(Notices);
  protected readonly working = inject(WorkingPanel);

  protected readonly hidden = signal(false);
  protected readonly trouble = computed(() => STORAGE_TROUBLES[this.storage.state()] ?? '');
  protected readonly silent = computed(() => this.storage.state() === 'silent');
  private readonly damaged = computed(() => this.storages.all().filter((storage) => storage.unreadable().length > 0));
  protected readonly unreadable = computed(() =>
    this.hidden() || this.damaged().length === 0
      ? ''
      : unreadableText(this.damaged().map((storage) => ({ kind: storage.kind, count: storage.unreadable().length }))),
  );

  constructor() {
    effect(() => {
      if (this.storages.all().some((storage) => storage.restored() > 0))
        untracked(() => this.notices.say({ text: RESTORED }));
    });
  }

  /** Records that cannot be read, as they are stored: somebody else may be able to. */
  protected saveUnreadable(): void {
    const raw = this.damaged().map((storage) => ({ kind: storage.kind, records: storage.unreadable() }));
    saveFile('Kilnstone unreadable records.json', 'application/json', JSON.stringify(raw, null, 1));
  }

  protected async dropUnreadable(): Promise<void> {
    const dropped = await Promise.all(
      this.damaged().map(async (storage) => ({ storage, records: await storage.dropUnreadable() })),
    );
    this.notices.say({
      text: 'Taken out of the browser.',
      action: {
        name: 'Undo',
        run: () => void Promise.all(dropped.map(({ storage, records }) => storage.putBack(records))),
      },
    });
  }

  protected tryAgain(): void {
    location.reload();
  }

  protected exportAll(): void {
    this.actions.export(this.store.castings());
  }
}
