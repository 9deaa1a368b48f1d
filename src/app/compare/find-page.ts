import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzSkeletonComponent } from 'ng-zorro-antd/skeleton';
import { BLOWS, rimOfGoal, type AimGoal, type FoundWay } from '../../core/study/aim-search';
import { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { Study } from '../state/study';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { Pick } from '../ui/pick';
import { UndoRedo } from '../ui/undo-redo';
import { ShareBar } from '../ui/share-bar';
import { foundText, goalText, wantedRimText, type GoalKey } from '../wording/compare';
import { unbroken } from '../wording/format';
import { CompareSide } from './compare-side';
import { FieldScope } from '../ui/field-scope';

const GOALS = ['survive', ...BLOWS, 'rim'] as const;

/** What is to be known of a goal before ways are found. */
const ASKED: Readonly<Partial<Record<GoalKey, string>>> = {
  spoon: 'Shards fly when it is smashed: mind eyes.',
  mallet:
    'One soft blow of a metal mallet breaks that; a light wooden one breaks no more than a spoon. Shards fly: mind eyes.',
};

/** Finds ways of making a casting that reach what is wanted of its shell, the quickest and the next best two. */
@Component({
  selector: 'ks-find-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    CompareSide,
    FieldScope,
    Gone,
    NzButtonComponent,
    NzSkeletonComponent,
    PageHeader,
    Pick,
    ShareBar,
    UndoRedo,
  ],
  templateUrl: './find-page.html',
  styleUrls: ['./compare-page.less', './find-page.less'],
})
export class FindPage {
  private readonly store = inject(CastingStore);
  private readonly plans = inject(PlanService);
  private readonly study = inject(Study);
  private readonly units = inject(Units);

  protected readonly casting = this.store.current;
  protected readonly goals = GOALS.map((value) => ({ value, name: goalText(value) }));
  protected readonly key = signal<GoalKey>('survive');
  protected readonly rimM = signal(0.0024);
  protected readonly found = signal<readonly FoundWay[]>([]);
  /** Places that are held for the ways to come. */
  protected readonly awaited = computed(() =>
    this.state() === 'working' && this.found().length === 0 ? [1, 2, 3] : [],
  );
  protected readonly state = signal<'asking' | 'working' | 'done' | 'stopped' | 'failed'>('asking');
  protected readonly share = signal(0);
  protected readonly goal = computed<AimGoal>(() => {
    const key = this.key();
    if (key === 'survive') return { by: key };
    return key === 'rim' ? { by: key, rimM: this.rimM() } : { by: 'smash', blow: key };
  });
  protected readonly pressed = computed(() => this.plans.draft()?.moldRecord.composition.kind === 'press');
  protected readonly said = computed(() => {
    const plan = this.plans.draft();
    const rim = plan ? wantedRimText(this.goal(), rimOfGoal(this.goal(), plan), this.units.system()) : '';
    switch (this.state()) {
      case 'asking':
        return [`Wanted: ${rim} at the rim.`, ASKED[this.key()]].filter(Boolean).join(' ');
      case 'working':
        return `Trying each method, either way up, across the chocolate’s band… ${Math.round(this.share() * 100)} %`;
      case 'stopped':
        return 'Stopped; nothing has changed.';
      case 'failed':
        return 'The computation gave no answer; nothing has changed. Try again in a moment.';
      case 'done':
        return this.found().length > 0
          ? `${this.found().length === 1 ? 'One way leads' : `${this.found().length} ways lead`} to ${rim} at the rim, the quickest first.`
          : `Nothing leads to ${rim} at the rim here: another chocolate, another place to set, or another thickness may.`;
    }
  });
  private newest = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.study.stopSearch());
  }

  protected choose(key: GoalKey): void {
    this.stop();
    this.key.set(key);
    this.state.set('asking');
    this.found.set([]);
  }

  protected setRim(rimM: number): void {
    this.choose('rim');
    this.rimM.set(rimM);
  }

  protected async find(): Promise<void> {
    const mine = ++this.newest;
    this.state.set('working');
    this.share.set(0);
    this.found.set([]);
    const found = await this.study.search(this.goal(), (share) => mine === this.newest && this.share.set(share));
    if (mine !== this.newest) return;
    this.found.set(found ?? []);
    this.state.set(found ? 'done' : 'failed');
  }

  protected stop(): void {
    if (this.state() !== 'working') return;
    this.newest++;
    this.study.stopSearch();
    this.state.set('stopped');
  }

  protected wayText(way: FoundWay): string {
    return unbroken(foundText(way, this.units.system()));
  }

  /** Makes the casting this way from now on. */
  protected use(way: FoundWay): void {
    this.store.edit('way of making it', (casting) => {
      casting.parts = way.casting.parts;
      casting.melts = way.casting.melts;
    });
  }
}
