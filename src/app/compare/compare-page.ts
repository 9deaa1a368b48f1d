import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzSkeletonComponent } from 'ng-zorro-antd/skeleton';
import { madeThisWay, waysFor, type Comparison, type Way } from '../../core/study/ways';
import { CastingStore } from '../state/casting-store';
import { PlanService } from '../state/plan-service';
import { Study } from '../state/study';
import { Units } from '../state/units';
import { ChoiceList } from '../ui/choice-list';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { UndoRedo } from '../ui/undo-redo';
import { verdictText, wayName } from '../wording/compare';
import { unbroken } from '../wording/format';
import { CompareSide } from './compare-side';

/** Pairs that people argue about, to begin from. */
const PAIRS: readonly (readonly [Way, Way])[] = [
  ['upright', 'upsideDown'],
  ['oneThick', 'twoThin'],
  ['fridge', 'freezer'],
  ['cooler', 'warmer'],
];

/** One casting made two ways, side by side, with a verdict and its reason. */
@Component({
  selector: 'ks-compare-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, CompareSide, Gone, NzButtonComponent, NzSkeletonComponent, PageHeader, UndoRedo],
  templateUrl: './compare-page.html',
  styleUrl: './compare-page.less',
})
export class ComparePage {
  private readonly store = inject(CastingStore);
  private readonly plans = inject(PlanService);
  private readonly study = inject(Study);
  private readonly units = inject(Units);

  protected readonly casting = this.store.current;
  private readonly chosen = signal<readonly [Way, Way]>(PAIRS[0]);
  /** The two that were chosen, or the first pair that makes a difference here. */
  protected readonly ways = computed(() =>
    this.chosen().every((way) => this.possible().includes(way))
      ? this.chosen()
      : (PAIRS.find((pair) => pair.every((way) => this.possible().includes(way))) ?? PAIRS[0]),
  );
  protected readonly exaggerated = signal(false);
  protected readonly compared = signal<Comparison | undefined>(undefined);
  protected readonly state = signal<'working' | 'done' | 'failed'>('working');
  private readonly possible = computed(() => {
    const plan = this.plans.draft();
    return plan ? waysFor(plan) : [];
  });
  protected readonly options = computed(() =>
    this.possible().map((value) => ({ value, name: wayName(value, this.units.system()) })),
  );
  protected readonly names = computed(
    () => this.ways().map((way) => wayName(way, this.units.system())) as [string, string],
  );
  protected readonly pairs = computed(() =>
    PAIRS.filter((pair) => pair.every((way) => this.possible().includes(way))).map((pair) => ({
      pair,
      name: pair.map((way) => wayName(way, this.units.system())).join(' or '),
    })),
  );
  protected readonly verdict = computed(() => {
    const compared = this.compared();
    return compared ? unbroken(verdictText(compared.verdict, compared.sides, this.names(), this.units.system())) : '';
  });
  private newest = 0;

  constructor() {
    effect(() => {
      this.casting();
      const ways = this.ways();
      untracked(() => void this.compare(ways));
    });
  }

  protected choose(side: 0 | 1, way: Way): void {
    const [a, b] = this.ways();
    this.chosen.set(side === 0 ? [way, b] : [a, way]);
  }

  protected take(pair: readonly [Way, Way]): void {
    this.chosen.set(pair);
  }

  /** Makes the casting this way from now on. */
  protected use(side: 0 | 1): void {
    const plan = this.plans.plan();
    const way = this.ways()[side];
    if (!plan) return;
    this.store.edit(`make it ${this.names()[side]}`, (casting) => {
      const { parts, melts } = madeThisWay(plan.casting, way, plan);
      casting.parts = parts;
      casting.melts = melts;
    });
  }

  protected again(): void {
    void this.compare(this.ways());
  }

  private async compare(ways: readonly [Way, Way]): Promise<void> {
    const mine = ++this.newest;
    this.state.set('working');
    const compared = await this.study.compare(ways);
    if (mine !== this.newest) return;
    // Names and figures change together.
    this.compared.set(compared);
    this.state.set(compared ? 'done' : 'failed');
  }
}
