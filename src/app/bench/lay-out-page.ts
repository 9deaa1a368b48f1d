import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { occasionOfOne } from '../../core/run/begin-run';
import { follow } from '../../core/run/following';
import { runState } from '../../core/run/run-state';
import { REHEARSAL_SPEEDS, type Run } from '../../core/run/run-record';
import type { OccasionPlan } from '../../core/occasion/occasion-plan';
import type { Casting } from '../../core/record/casting';
import type { Occasion } from '../../core/record/occasion';
import { CastingStore } from '../state/casting-store';
import { Clock } from '../state/clock';
import { Occasions } from '../state/occasions';
import { Runs } from '../state/runs';
import { StudyAccess } from '../state/study-access';
import { Timetables } from '../state/timetables';
import { Units } from '../state/units';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { ShareBar } from '../ui/share-bar';
import { Ticks } from '../ui/ticks';
import { noTimetableText } from '../wording/occasion';
import type { Option } from '../wording/option';
import { momentText } from '../wording/times';
import { Bell, type CallWays } from './bell';
import { laidOut, weighedOut } from './lay-out';

const WAYS: readonly Option<keyof CallWays>[] = [
  { value: 'sound', name: 'A chime' },
  { value: 'speech', name: 'A spoken line with it' },
  { value: 'notification', name: 'A notification while another page is open' },
];

/** What the timetable of what is laid out has come to. */
interface Looked {
  readonly plan?: OccasionPlan | undefined;
  readonly share?: number | undefined;
  readonly why?: string | undefined;
}

/** Before a run: what is laid out, ticked off, the ways of being called tried, and then it is begun, or rehearsed. */
@Component({
  selector: 'ks-lay-out-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Gone, NzButtonComponent, PageHeader, RouterLink, ShareBar, Ticks],
  templateUrl: './lay-out-page.html',
  styleUrl: './lay-out-page.less',
})
export class LayOutPage {
  private readonly runs = inject(Runs);
  private readonly castingStore = inject(CastingStore);
  protected readonly occasions = inject(Occasions);
  private readonly timetables = inject(Timetables);
  private readonly study = inject(StudyAccess);
  private readonly units = inject(Units);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  protected readonly bell = inject(Bell);
  readonly kind = input.required<Run['of']['kind']>();
  readonly id = input.required<string>();

  protected readonly speeds = REHEARSAL_SPEEDS;
  protected readonly ticked = signal<readonly string[]>([]);
  private readonly ofOne = signal<Looked>({});

  protected readonly occasion = computed<Occasion | undefined>(() => {
    if (this.kind() === 'occasion') return this.occasions.byId().get(this.id());
    const casting = this.castingStore.castings().find(({ id }) => id === this.id());
    return casting && occasionOfOne(casting);
  });
  protected readonly castings = computed<readonly Casting[]>(() => {
    const occasion = this.occasion();
    return occasion ? this.occasions.castingsOf(occasion) : [];
  });
  protected readonly looked = computed<Looked>(() => {
    if (this.kind() === 'casting') return this.ofOne();
    const { plan, share, why, outdated, failed } = this.timetables.timetable() ?? {};
    return {
      plan: outdated ? undefined : plan,
      share,
      why: failed ? 'The search did not answer. Open the occasion and look again.' : why && this.whyText(why),
    };
  });
  private readonly ofCastings = computed(() =>
    this.castings().map((casting) => ({ name: casting.name, options: laidOut(casting, this.units.system()) })),
  );
  protected readonly lists = computed(() => {
    const { plan } = this.looked();
    const weighed = plan ? [{ name: 'Weighed out', options: weighedOut(plan, this.units.system()) }] : [];
    return [...weighed, ...this.ofCastings()];
  });
  protected readonly missing = computed(
    () =>
      this.lists()
        .flatMap(({ options }) => options)
        .filter(({ value }) => !this.ticked().includes(value)).length,
  );
  protected readonly ways = WAYS;
  protected readonly called = computed(() => WAYS.map(({ value }) => value).filter((way) => this.bell.ways()[way]));
  /** Runs of the same that have not been deleted. */
  protected readonly others = computed(() =>
    this.runs.records().filter(({ of, rehearsal }) => of.id === this.id() && !rehearsal),
  );
  protected readonly times = computed(() => {
    const [plan, occasion] = [this.looked().plan, this.occasion()];
    if (!plan || !occasion) return '';
    const { zone } = occasion.due;
    const nowS = this.clock.seconds();
    const { readyS } = follow({ ...plan, people: occasion.people }, runState([]), nowS);
    return `Planned from ${momentText(plan.startS, zone)} to ${momentText(plan.readyS, zone)}. Begun now, it is ready ${momentText(readyS, zone)}.`;
  });

  constructor() {
    effect(() => {
      if (this.kind() === 'occasion') this.timetables.open(this.id());
    });
    effect((clean) => {
      const [kind, occasion, castings] = [this.kind(), this.occasion(), this.castings()];
      if (kind !== 'casting' || !occasion || castings.length === 0) return;
      let left = false;
      clean(() => (left = true));
      this.ofOne.set({ share: 0 });
      void this.study.client
        .occasion(occasion, castings, ({ share }) => {
          if (!left) this.ofOne.set({ share });
        })
        .then((answer) => {
          if (left) return;
          if (!answer) this.ofOne.set({ why: 'The search did not answer. Open the page again.' });
          else this.ofOne.set(answer.ok ? { plan: answer.plan } : { why: this.whyText(answer.why) });
        });
    });
  }

  /** @param of the list that was turned in */
  protected turn(of: readonly Option<string>[], ticked: readonly string[]): void {
    const others = this.ticked().filter((one) => !of.some(({ value }) => value === one));
    this.ticked.set([...others, ...ticked]);
  }

  protected async begin(rehearsal?: Run['rehearsal']): Promise<void> {
    const [plan, occasion] = [this.looked().plan, this.occasion()];
    if (!plan || !occasion) return;
    await this.bell.unlock();
    const { name, due, people, sets, fridge, freezer } = occasion;
    const run = this.runs.begin({
      name: rehearsal ? `${name}, rehearsed` : name,
      of: { kind: this.kind(), id: this.id() },
      due,
      people,
      sets,
      roomCounted: fridge || freezer ? true : undefined,
      castings: this.castings(),
      plan,
      rehearsal,
    });
    await this.router.navigate(['/bench', run.id]);
  }

  protected async tryBell(): Promise<void> {
    await this.bell.unlock();
    this.bell.ring('This is how you are called.', false);
  }

  protected choose(ways: readonly (keyof CallWays)[]): void {
    this.bell.choose({
      sound: ways.includes('sound'),
      speech: ways.includes('speech'),
      notification: ways.includes('notification'),
    });
  }

  private whyText(why: Parameters<typeof noTimetableText>[0]): string {
    const told = { castings: this.castings(), names: {}, bowls: [], sets: [], system: this.units.system() };
    return noTimetableText(why, told, this.occasion()?.due.zone ?? 'UTC');
  }
}
