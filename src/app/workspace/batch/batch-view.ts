import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { castsOf } from '../../../core/plan/sorts';
import type { Answer } from '../../../core/quantity/answer';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { Notices } from '../../state/notices';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { saveFile } from '../../state/save-file';
import { ShoppingList } from '../../state/shopping-list';
import { Units } from '../../state/units';
import { Figure } from '../../ui/figure';
import { backText } from '../../wording/batch';
import { weighedText } from '../../wording/format';
import { sortsText } from '../../wording/inside';
import { listed } from '../../wording/names';
import { momentText, ownZone } from '../../wording/times';
import { weighOutTables, type WeighOutUse } from '../weigh-out/weigh-out-table';
import { shoppingCsv } from './shopping-csv';
import { withoutText } from './shopping-row';
import { FittedWork } from './fitted-work';
import { ShoppingTable } from './shopping-table';

/** The whole job: what every melt goes into, drawn so that it adds up; parts and rounds; what to buy and what it costs. */
@Component({
  selector: 'ks-batch-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure, FittedWork, NzButtonComponent, ShoppingTable],
  templateUrl: './batch-view.html',
  styleUrl: './batch-view.less',
})
export class BatchView {
  private readonly units = inject(Units);
  private readonly store = inject(CastingStore);
  private readonly notices = inject(Notices);
  protected readonly plan = inject(PlanService).plan;
  protected readonly list = inject(ShoppingList);

  protected readonly melts = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const tables = weighOutTables(plan, this.units.system());
    return plan.batch.melts.map((melt) => {
      const chocolate = chocolateOf(plan.casting, meltOf(plan.casting, melt.meltId));
      // As the weigh-out has it, so that the two say the same.
      const table = tables.find(({ meltId }) => meltId === melt.meltId);
      const jobKg = (use: WeighOutUse): number =>
        table?.rows.reduce((sum, row) => sum + (row.use === use ? row.jobKg : 0), 0) ?? 0;
      const written = (use: WeighOutUse): string =>
        table ? weighedText(jobKg(use), table.stepKg, this.units.system()) : '';
      const shares = (
        [
          { key: 'parts', name: 'in the parts', answer: melt.inParts },
          { key: 'painting', name: 'painting', answer: melt.painting },
          { key: 'dipping', name: 'dipping', answer: melt.dipping },
          { key: 'closing', name: 'closing', answer: melt.closing },
          { key: 'finishing', name: 'finishing', answer: melt.finishing },
          { key: 'back', name: 'comes back', answer: melt.comesBack },
          { key: 'stuck', name: 'bowl and tools', answer: melt.stuck },
          { key: 'drips', name: 'drips off', answer: melt.drips },
        ] as const satisfies readonly { key: WeighOutUse; name: string; answer: Answer }[]
      ).filter(({ key }) => table && jobKg(key) >= table.stepKg / 2);
      return {
        inAll: written('sum'),
        written: shares.map(({ key }) => written(key)),
        id: melt.meltId,
        name: chocolate.name,
        colour: chocolate.colour,
        melted: melt.melted,
        shares,
        back:
          melt.comesBack.value > 0.00005
            ? backText(
                melt.mixed,
                chocolate.kind,
                plan.casting.melts.find(({ id }) => id === melt.meltId)?.source.kind === 'tint',
              )
            : '',
      };
    });
  });
  /** The longest bar is the largest melt. */
  protected readonly most = computed(() => Math.max(1e-9, ...this.melts().map(({ melted }) => melted.value)));
  protected readonly parts = computed(() => {
    const plan = this.plan();
    return (plan?.batch.byPart ?? []).map((count) => ({
      ...count,
      name: plan?.parts.find(({ part }) => part.id === count.partId)?.part.name ?? '',
    }));
  });
  protected readonly runs = computed(() => {
    const plan = this.plan();
    const texts = (plan?.batch.runs ?? []).map(({ from, count, cast }) => {
      const which = count === 1 ? ` ${from + 1}` : `s ${from + 1} to ${from + count}, each`;
      const parts = this.parts().flatMap(({ name }, i) => (cast[i] > 0 ? [`${cast[i]} × ${name}`] : []));
      return `${from === 0 ? 'R' : 'r'}ound${which}: ${parts.join(', ')}`;
    });
    return `${texts.join('; ')}.`;
  });
  /** Of parts that are not all cast alike, how many are so and how many so. */
  protected readonly alike = computed(() => {
    const plan = this.plan();
    return this.parts()
      .flatMap(({ partId, name, casts }) => {
        const sorts = plan ? castsOf(plan, partId, plan.casting.pieces) : [];
        const told = sorts.map(({ names }, i) => `${casts[i]} ${sortsText(names)}`);
        return told.length > 1 ? [`${name}: ${listed(told)}.`] : [];
      })
      .join(' ');
  });
  protected readonly money = computed(() => {
    const { used, bought, unpriced } = this.list.cost();
    const pieces = this.plan()?.casting.pieces ?? 1;
    const currency = this.list.currency();
    const write = (amount: number): string => `${currency} ${amount.toFixed(2)}`;
    return {
      job: write(used),
      piece: write(used / pieces),
      buy: write(bought),
      without: withoutText(unpriced, this.units.system()),
    };
  });

  protected async csv(): Promise<void> {
    const plan = this.plan();
    if (plan)
      saveFile(
        `Kilnstone shopping ${plan.casting.name}.csv`,
        'text/csv',
        await shoppingCsv(this.list.lines(), this.list.currency(), this.units.system()),
      );
  }

  protected readonly booked = computed(() => {
    const at = this.plan()?.casting.bookedAt;
    return at === undefined ? '' : `Booked into the pantry on ${momentText(Date.parse(at) / 1000, ownZone())}.`;
  });

  /** The job is done: what was bought and used goes through the pantry's books. */
  protected book(): void {
    const entries = this.list.book();
    this.notices.say(
      entries === 0
        ? { text: 'Nothing of this job is kept in the pantry, so nothing was booked.' }
        : {
            text: `Booked: packs bought in, what was used out, what comes back kept.`,
            action: { name: 'Undo', run: () => this.store.undo() },
          },
    );
  }

  /** The job is done once more: it may be booked once more. */
  protected again(): void {
    this.store.edit('job to be done again', (casting) => {
      delete casting.bookedAt;
    });
  }
}
