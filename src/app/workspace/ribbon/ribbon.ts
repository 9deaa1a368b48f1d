import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { secondsOf, type Stretch } from '../../../core/batch/stretch';
import { workNames, type WorkNames } from '../../../core/plan/work-names';
import { InOccasion } from '../../state/in-occasion';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { Pick } from '../../ui/pick';
import { text } from '../../wording/format';
import type { Option } from '../../wording/option';
import { stretchName } from '../../wording/stretches';
import { momentText } from '../../wording/times';
import { occasionStretches } from './occasion-bars';

const NARROWEST_NAMED_SHARE = 0.055;
const NARROWEST_MINUTES_SHARE = 0.042;
const NARROWEST_SHORT_SHARE = 0.028;
/** More bars than this are drawn without padding. */
const CROWDED_FROM = 14;

/** What it shows: the casting by itself, a round or all of it, or all of it among the others of its occasion. */
type View = 'round' | 'job' | 'occasion';
const ALONE: readonly Option<View>[] = [
  { value: 'round', name: 'one round' },
  { value: 'job', name: 'whole job' },
];
const AMONG_OTHERS: Option<View> = { value: 'occasion', name: 'its occasion' };

/** A bar as it is drawn. */
interface Bar {
  readonly kind: string;
  readonly long: string;
  readonly handsOn: boolean;
  readonly grow: number;
  readonly name: string;
  readonly spoken: string;
}

/** The minutes of one round, or of the whole job: hands-on solid, waiting hatched and named in lower case. */
@Component({
  selector: 'ks-ribbon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Pick],
  template: `
    <header>
      <h2>{{ heading() }}</h2>
      <ks-pick
        label="What the ribbon shows"
        [showLabel]="false"
        [options]="views()"
        [value]="view()"
        (chosen)="show($event)"
      />
      <p>
        <i class="key hands" aria-hidden="true"></i>hands on {{ hands() }}
        <i class="key wait" aria-hidden="true"></i>waiting {{ waits() }}
        @if (bars().length > crowdedFrom && view() !== 'occasion') {
          <span class="bare">bare figures are minutes</span>
        }
      </p>
    </header>
    <div class="scroll" tabindex="0" role="group" [attr.aria-label]="heading() + ', minute by minute'">
      <ol [class.crowded]="bars().length > crowdedFrom">
        @for (bar of bars(); track $index) {
          <li
            [style.flex-grow]="bar.grow"
            [class.wait]="!bar.handsOn"
            [class.heat]="bar.kind === 'melt' || bar.kind === 'coat' || bar.kind === 'turn'"
            [class.cover]="bar.kind === 'cover'"
            [title]="bar.spoken"
          >
            <span class="unseen">{{ bar.spoken }}</span><span aria-hidden="true">{{ bar.name }}</span>
          </li>
        }
      </ol>
      <div class="ticks" aria-hidden="true">
        @for (tick of ticks(); track tick.name) {
          <span [style.left.%]="tick.at">{{ tick.name }}</span>
        }
        @if (endName()) {
          <span class="end">{{ endName() }}</span>
        }
      </div>
    </div>
  `,
  styleUrl: './ribbon.less',
})
export class Ribbon {
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  protected readonly crowdedFrom = CROWDED_FROM;
  private readonly inOccasion = inject(InOccasion);
  private readonly wanted = signal<View>('round');
  protected readonly views = computed(() => (this.inOccasion.part() ? [...ALONE, AMONG_OTHERS] : ALONE));
  /** Of an occasion whose timetable is not known any more it goes back to the casting by itself. */
  protected readonly view = computed(() =>
    this.views().some(({ value }) => value === this.wanted()) ? this.wanted() : 'job',
  );

  protected show(view: View): void {
    this.wanted.set(view);
  }

  private readonly among = computed(() =>
    this.view() === 'occasion' ? occasionStretches(this.inOccasion.tasks()) : [],
  );
  private readonly stretches = computed<readonly Stretch[]>(() => {
    const timeline = this.plans.plan()?.batch.timeline;
    if (this.view() === 'occasion')
      return this.among().map(({ task, startS, seconds }) => ({
        ...(task ?? { kind: 'chill', handsOn: false }),
        startSeconds: startS,
        seconds,
      }));
    const all = (this.view() === 'round' ? timeline?.oneRound : timeline?.wholeJob) ?? [];
    return all.filter((stretch) => Number.isFinite(stretch.seconds));
  });
  private readonly total = computed(() => this.stretches().reduce((sum, s) => sum + s.seconds, 0));
  private readonly endless = computed(() => !Number.isFinite(this.plans.plan()?.batch.total.value ?? 0));

  protected readonly heading = computed(() => {
    const plan = this.plans.plan();
    if (!plan) return 'The round';
    if (this.endless()) return 'It never sets there, so the minutes have no end';
    if (this.view() === 'occasion') return `In ${this.inOccasion.occasion()?.name ?? 'its occasion'}`;
    const minutes = text(this.total(), 'duration', this.units.system());
    if (this.view() === 'round')
      return `${plan.batch.timeline.rounds > 1 ? `First of ${plan.batch.timeline.rounds} rounds` : 'The one round'}, ${minutes}`;
    return `Whole job, ${minutes}`;
  });
  protected readonly hands = computed(() => text(secondsOf(this.stretches(), true), 'duration', this.units.system()));
  protected readonly waits = computed(() => text(secondsOf(this.stretches(), false), 'duration', this.units.system()));
  protected readonly bars = computed<readonly Bar[]>(() => {
    const total = this.total();
    const plan = this.plans.plan();
    if (!plan) return [];
    if (this.view() === 'occasion') return this.barsAmong(workNames(plan));
    // Many bars are all minutes; among a few a bare number would read as anything.
    const names = workNames(plan);
    const crowded = this.stretches().length > CROWDED_FROM;
    return this.stretches().map((stretch) => {
      const share = stretch.seconds / total;
      const { long, short } = stretchName(stretch, names);
      const minutes = text(stretch.seconds, 'duration', this.units.system());
      const round = stretch.round === undefined ? '' : `, round ${stretch.round + 1}`;
      const name =
        share > NARROWEST_NAMED_SHARE * 1.6
          ? `${long} ${minutes}`
          : share > NARROWEST_NAMED_SHARE
            ? short
            : crowded
              ? share > NARROWEST_SHORT_SHARE
                ? String(Math.round(stretch.seconds / 60))
                : ''
              : share > NARROWEST_MINUTES_SHARE
                ? minutes
                : '';
      return {
        kind: stretch.kind,
        long,
        handsOn: stretch.handsOn,
        grow: Math.max(stretch.seconds, 1),
        name,
        spoken: `${long}, ${minutes}, ${stretch.handsOn ? 'hands on' : 'waiting'}${round}`,
      };
    });
  });
  /** The last bar's name, set below it where the bar is too short to hold it. */
  protected readonly endName = computed(() => {
    const bars = this.bars();
    const last = bars[bars.length - 1];
    return this.view() !== 'occasion' && last && !last.name.startsWith(last.long) && bars.length <= CROWDED_FROM
      ? last.long
      : '';
  });
  protected readonly ticks = computed(() => {
    if (this.view() === 'occasion') return this.ticksAmong();
    const minutes = this.total() / 60;
    const end = this.endName() ? 0.92 : 0.97;
    return scaleLinear([0, minutes], [0, 100])
      .ticks(8)
      .filter((tick) => tick < minutes * end)
      .map((tick) => ({ at: (tick / minutes) * 100, name: tick === 0 ? '0 min' : String(tick) }));
  });

  /** What is done for it among the others, by the clock; what is between is drawn as a wait. */
  private barsAmong(names: WorkNames): readonly Bar[] {
    const system = this.units.system();
    const zone = this.inOccasion.occasion()?.due.zone ?? 'UTC';
    const all = this.among().reduce((sum, { drawnS }) => sum + drawnS, 0);
    return this.among().map(({ task, startS, seconds, drawnS }): Bar => {
      const takes = text(seconds, 'duration', system);
      const { long, short } = task ? stretchName(task, names) : { long: 'waits for its turn', short: takes };
      const share = drawnS / all;
      const name = share > NARROWEST_NAMED_SHARE ? short : '';
      const spoken = `${momentText(startS, zone)}: ${long}, ${takes}`;
      return { kind: task?.kind ?? 'gap', long, handsOn: task?.handsOn ?? false, grow: drawnS, name, spoken };
    });
  }

  /** The clock where it begins, and after each fold. */
  private ticksAmong(): { readonly at: number; readonly name: string }[] {
    const zone = this.inOccasion.occasion()?.due.zone ?? 'UTC';
    const all = this.among().reduce((sum, { drawnS }) => sum + drawnS, 0);
    let at = 0;
    return this.among().flatMap(({ startS, seconds, drawnS }, i) => {
      const folded = drawnS < seconds;
      const before = at;
      at += drawnS;
      if (i === 0) return [{ at: before, name: momentText(startS, zone) }];
      return folded ? [{ at: (100 * at) / all, name: momentText(startS + seconds, zone) }] : [];
    });
  }
}
