import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  viewChild,
  ElementRef,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { staysOf } from '../../core/occasion/stays';
import { dueSeconds, localTime } from '../../core/record/due';
import type { Occasion } from '../../core/record/occasion';
import { readOccasionFile, type PackedOccasion } from '../../data/occasion-file';
import { Keys } from '../frame/keys';
import { Clock } from '../state/clock';
import { Occasions } from '../state/occasions';
import { ImportPanel } from '../ui/import-panel';
import { SmallSection } from '../castings/small-section';
import { Nothing } from '../ui/nothing';
import { RecordTools } from '../ui/record-tools';
import { fromToText } from '../wording/occasion';
import { dayText, dueText, ownZone } from '../wording/times';

/** Castings of an occasion that are drawn in the list. */
const DRAWN = 5;
/** Hours from now that a new occasion is proposed for. */
const PROPOSED_S = 48 * 3600;

/** All occasions: each with its event, its castings and its next stay; new ones and imports. */
@Component({
  selector: 'ks-occasions-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ImportPanel,
    Nothing,
    NzButtonComponent,
    NzInputDirective,
    ReactiveFormsModule,
    RecordTools,
    RouterLink,
    SmallSection,
  ],
  templateUrl: './occasions-page.html',
  styleUrls: ['../ui/list-page.less', './occasions-page.less'],
})
export class OccasionsPage {
  protected readonly occasions = inject(Occasions);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  protected readonly readFile = readOccasionFile;
  protected readonly search = new FormControl('', { nonNullable: true });
  protected readonly importing = signal(false);
  private readonly searched = toSignal(this.search.valueChanges, { initialValue: '' });
  private readonly box = viewChild<ElementRef<HTMLInputElement>>('box');

  protected readonly cards = computed(() => {
    const wanted = this.searched().trim().toLowerCase();
    return this.occasions
      .records()
      .filter(({ name }) => name.toLowerCase().includes(wanted))
      .map((occasion) => ({
        occasion,
        event: `${this.isOver(occasion) ? 'was' : 'ready by'} ${dueText(occasion.due)}`,
        drawn: this.occasions.castingsOf(occasion).slice(0, DRAWN),
        castings: this.castings(occasion),
        next: this.next(occasion),
      }));
  });

  constructor() {
    const keys = inject(Keys);
    effect(() => {
      if (keys.searchWanted() > 0) this.box()?.nativeElement.focus();
    });
  }

  protected create(): void {
    const zone = ownZone();
    const local = `${localTime(this.clock.seconds() + PROPOSED_S, zone).slice(0, 11)}18:00`;
    this.open(this.occasions.create({ local, zone }));
  }

  protected copy(occasion: Occasion): void {
    this.open(this.occasions.copy(occasion));
  }

  protected take(packed: readonly PackedOccasion[]): void {
    this.occasions.takePacked(packed);
    this.importing.set(false);
  }

  private isOver({ due }: Occasion): boolean {
    return dueSeconds(due) < this.clock.seconds();
  }

  private castings(occasion: Occasion): string {
    const there = this.occasions.castingsOf(occasion);
    const gone = occasion.castingIds.length - there.length;
    const count = there.length === 0 ? 'no castings yet' : there.map(({ name }) => name).join(', ');
    return gone > 0 ? `${count}; ${gone} not here any more` : count;
  }

  private next(occasion: Occasion): string {
    if (this.isOver(occasion)) return 'over';
    const now = this.clock.seconds();
    const { stays } = staysOf(occasion);
    const next = stays.find(({ to }) => to > now);
    if (stays.length === 0) return 'no stays said: at one stretch';
    if (!next) return 'its stays are over';
    const when = `${dayText(next.from, occasion.due.zone)}, ${fromToText(next, occasion.due.zone)}`;
    return next.from <= now ? `now in the kitchen: ${when}` : `next in the kitchen: ${when}`;
  }

  private open(occasion: Occasion): void {
    void this.router.navigate(['/occasions', occasion.id]);
  }
}
