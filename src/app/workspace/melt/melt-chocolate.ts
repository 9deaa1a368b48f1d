import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { turnInto } from '../../../core/edit/melting';
import { madeOf } from '../../../core/plan/melts';
import { tintAmounts } from '../../../core/record/melted';
import { chocolateOf, meltOf, tintOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { OpenMelt } from '../../state/open-melt';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { Units } from '../../state/units';
import { ChoiceList } from '../../ui/choice-list';
import { text } from '../../wording/format';
import { CopyOffer } from '../offers/copy-offer';

/** Which of a casting's melts is open, and what is melted for it. */
@Component({
  selector: 'ks-melt-chocolate',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, CopyOffer],
  templateUrl: './melt-chocolate.html',
  styleUrl: '../station.less',
  styles: ':host { display: grid; gap: 10px; }',
})
export class MeltChocolate {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly plans = inject(PlanService);
  private readonly open = inject(OpenMelt);
  private readonly from = inject(Sources);
  protected readonly sources = this.from.options;
  /** What is chosen follows at once; what comes of it follows with the plan. */
  private readonly draft = this.plans.draft;
  private readonly made = computed(() => madeOf(this.plans.plan(), this.open.id()));
  protected readonly melt = computed(() => {
    const draft = this.draft();
    return draft && draft.casting.melts.find(({ id }) => id === this.open.id());
  });
  /** The melts of the casting, where there are several. */
  protected readonly melts = computed(() => {
    const plan = this.plans.plan();
    return plan && plan.melts.length > 1
      ? plan.melts.map(({ input }) => ({
          value: input.meltId,
          name: chocolateOf(plan.casting, meltOf(plan.casting, input.meltId)).name,
        }))
      : [];
  });
  protected readonly sourceId = computed(() => {
    const source = this.melt()?.source;
    return source?.kind === 'tint' ? source.tintId : (source?.chocolateId ?? '');
  });
  /** The pantry holds another state of this chocolate or tint. */
  protected readonly newer = computed(() => {
    const casting = this.draft()?.casting;
    return casting !== undefined && this.from.differs(casting, this.sourceId());
  });
  protected readonly tint = computed(() => {
    const casting = this.draft()?.casting;
    const melt = this.melt();
    const made = this.made();
    const tint = casting && melt && tintOf(casting, melt);
    if (!casting || !tint || !made) return undefined;
    const { chocolatesKg, coloursKg } = tintAmounts(tint, made.input.totalKg);
    const system = this.units.system();
    const parts = [
      ...tint.chocolates.map(
        ({ chocolateId }, i) =>
          `${text(chocolatesKg[i], 'mass', system)} ${casting.chocolates.find(({ id }) => id === chocolateId)?.name ?? ''}`,
      ),
      ...tint.colours.map(({ name }, i) => `${text(coloursKg[i], 'mass', system)} ${name}`),
    ];
    return { parts: parts.join(', '), atOnce: tint.allAtOnce };
  });

  protected show(meltId: string): void {
    this.open.open(meltId);
  }

  protected choose(id: string): void {
    const meltId = this.melt()?.id;
    if (meltId === undefined) return;
    this.store.edit('chocolate', (casting) => {
      const source = this.from.take(casting, id);
      if (source) turnInto(casting, meltId, source);
    });
  }

  /** Takes the pantry's present state of what is melted, over this casting's copy. */
  protected renew(): void {
    this.store.edit('chocolate', (casting) => void this.from.take(casting, this.sourceId(), true));
  }
}
