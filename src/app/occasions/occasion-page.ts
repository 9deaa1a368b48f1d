import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { localTime } from '../../core/record/due';
import type { Occasion } from '../../core/record/occasion';
import { Occasions } from '../state/occasions';
import { Timetables } from '../state/timetables';
import { FieldScope } from '../ui/field-scope';
import { Gone } from '../ui/gone';
import { RecordHeader } from '../ui/record-header';
import { ShareBar } from '../ui/share-bar';
import { noTimetableText, unfitText, widerText } from '../wording/occasion';
import { dueText } from '../wording/times';
import { LanesView } from './lanes';
import { OccasionAhead } from './occasion-ahead';
import { OccasionAnswers } from './occasion-answers';
import { OccasionBowls } from './occasion-bowls';
import { OccasionCalendar } from './occasion-calendar';
import { OccasionCastings } from './occasion-castings';
import { OccasionPacking } from './occasion-packing';
import { OccasionSettings } from './occasion-settings';
import { OccasionShopping } from './occasion-shopping';
import { OccasionCosts } from './occasion-costs';
import { OccasionView } from './occasion-view';
import { TaskList } from './task-list';

/** One occasion: its answers, its timetable as lanes and as a list, its castings, stays, bowls and shopping. */
@Component({
  selector: 'ks-occasion-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FieldScope,
    Gone,
    LanesView,
    NzButtonComponent,
    OccasionAhead,
    OccasionAnswers,
    OccasionBowls,
    OccasionCalendar,
    OccasionCastings,
    OccasionPacking,
    OccasionSettings,
    OccasionShopping,
    RecordHeader,
    RouterLink,
    ShareBar,
    TaskList,
  ],
  providers: [OccasionView, OccasionCosts],
  templateUrl: './occasion-page.html',
  styleUrl: './occasion-page.less',
})
export class OccasionPage {
  protected readonly occasions = inject(Occasions);
  private readonly timetables = inject(Timetables);
  private readonly router = inject(Router);
  protected readonly view = inject(OccasionView);
  readonly id = input.required<string>();

  protected readonly line = computed(() => {
    const occasion = this.view.occasion();
    const count = this.view.castings().length;
    return occasion ? `${count} ${count === 1 ? 'casting' : 'castings'}, ready by ${dueText(occasion.due)}` : '';
  });
  /** What is the matter with the timetable; nothing where there is one. */
  protected readonly trouble = computed(() => {
    const timetable = this.view.timetable();
    if (!timetable) return '';
    const last = timetable.plan ? ' What is shown is the last timetable that was found, from before.' : '';
    if (timetable.failed) return `The search did not answer.${last}`;
    if (timetable.stopped) return `The search was stopped before it had found a timetable.${last}`;
    if (!timetable.why) return '';
    const would = timetable.unfit?.wider ? ` ${widerText(timetable.unfit.wider, this.view.zone())}` : '';
    return `${noTimetableText(timetable.why, this.view.told(), this.view.zone())}${would}${last}`;
  });
  /** What is being searched for. */
  protected readonly looking = computed(() => {
    const { plan, unfit, outdated } = this.view.timetable() ?? {};
    if (unfit) return unfitText(unfit, this.view.zone());
    if (!plan) return 'Looking for a timetable';
    return outdated ? 'Looking for one as it is now; the last is shown' : 'Looking for a better one';
  });
  protected readonly unanswered = computed(() => {
    const { failed, stopped } = this.view.timetable() ?? {};
    return failed === true || stopped === true;
  });

  protected readonly held = computed(() => this.view.occasion()?.holds.length ?? 0);

  constructor() {
    effect(() => {
      this.view.id.set(this.id());
      this.timetables.open(this.id());
    });
  }

  protected again(): void {
    this.timetables.again();
  }

  protected stop(): void {
    this.timetables.stop();
  }

  protected setName(name: string): void {
    this.edit('name', (draft) => void (draft.name = name), 'name');
  }

  protected copy(occasion: Occasion): void {
    void this.router.navigate(['/occasions', this.occasions.copy(occasion).id]);
  }

  protected remove(occasion: Occasion): void {
    this.occasions.remove(occasion);
    void this.router.navigateByUrl('/occasions');
  }

  protected clearMissing(): void {
    const there = new Set(this.view.castings().map(({ id }) => id));
    this.edit('castings', (draft) => {
      draft.castingIds = draft.castingIds.filter((id) => there.has(id));
      for (const set of draft.sets) set.contents = set.contents.filter(({ castingId }) => there.has(castingId));
    });
  }

  protected hold({ key, at }: { readonly key: string; readonly at: string }): void {
    this.edit('held time', (draft) => {
      draft.holds = [...draft.holds.filter(({ operation }) => operation !== key), { operation: key, at }];
    });
    this.view.opened.set(key);
  }

  protected holdAt({ key, atS }: { readonly key: string; readonly atS: number }): void {
    this.hold({ key, at: localTime(atS, this.view.zone()) });
  }

  protected letGo(key?: string): void {
    this.edit('held time', (draft) => {
      draft.holds = key === undefined ? [] : draft.holds.filter(({ operation }) => operation !== key);
    });
  }

  private edit(label: string, change: (draft: Occasion) => void, gesture?: string): void {
    this.occasions.edit(this.id(), label, change, gesture && `${this.id()} ${gesture}`);
  }
}
