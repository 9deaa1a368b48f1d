import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { layersOf } from '../../../core/plan/needs';
import { PlanService } from '../../state/plan-service';
import { ShoppingList } from '../../state/shopping-list';
import { Units } from '../../state/units';
import { Figure } from '../../ui/figure';
import { text, weighedText } from '../../wording/format';
import { insideName, variantPrefix } from '../../wording/inside';
import { listed } from '../../wording/names';
import { weighOutTables } from './weigh-out-table';

/** The amounts to weigh out, per part, per round and for the job; they add up. */
@Component({
  selector: 'ks-weigh-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure],
  template: `
    <h2>Weigh out{{ estimated() ? ', estimated' : '' }}</h2>
    @for (table of tables(); track table.meltId) {
      <table>
        <thead>
          <tr>
            <th scope="col">
              <span class="name">{{ table.chocolate }}</span>
            </th>
            <th scope="col">{{ table.partName }}</th>
            <th scope="col">round</th>
            <th scope="col">job</th>
          </tr>
        </thead>
        <tbody>
          @for (row of table.rows; track row.name) {
            <tr [class.sum]="row.use === 'sum'">
              <th scope="row">{{ row.name }}</th>
              <td>{{ write(row.perPartKg) }}</td>
              <td>{{ weighed(row.perRoundKg, table.stepKg) }}</td>
              <td>{{ weighed(row.jobKg, table.stepKg) }}</td>
            </tr>
          }
        </tbody>
      </table>
    }
    @if (manyRounds()) {
      <p class="aside">Round: melted for one round alone. Pool and bowl count once in the job.</p>
    }
    @if (plan(); as p) {
      @if (inside().length > 0) {
        <table>
          <thead>
            <tr>
              <th scope="col">Inside</th>
              <th scope="col">piece</th>
              <th scope="col">job</th>
            </tr>
          </thead>
          <tbody>
            @for (layer of inside(); track layer.id) {
              <tr>
                <th scope="row">{{ layer.name }}</th>
                <td><ks-figure [answer]="layer.mass" /></td>
                <td>{{ write(layer.jobKg) }}</td>
              </tr>
            }
          </tbody>
        </table>
      }
      @for (line of buying(); track line.key) {
        <p class="buy">
          {{ line.what }}
          @if (line.packs; as packs) {
            <ks-figure [answer]="packs" [strong]="true" /> {{ line.of }}
          }
          <span class="aside">{{ line.why }}</span>
        </p>
      }
      @if (list.makes(); as makes) {
        <p class="buy">With {{ onHand() }} you can make <ks-figure [answer]="makes" [strong]="true" /></p>
      }
    }
  `,
  styleUrl: './weigh-out.less',
})
export class WeighOut {
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).plan;
  protected readonly estimated = inject(PlanService).estimated;
  protected readonly tables = computed(() => {
    const plan = this.plan();
    return plan ? weighOutTables(plan, this.units.system()) : [];
  });
  protected readonly manyRounds = computed(() => (this.plan()?.batch.rounds.value ?? 1) > 1);
  protected readonly inside = computed(() => {
    const plan = this.plan();
    return plan
      ? layersOf(plan).map(({ made, layer, names, count }) => ({
          id: `${layer.choice.id} ${layer.choice.filling.id}`,
          name: variantPrefix(names) + insideName(plan.parts, made, made.fill.layers.indexOf(layer)),
          mass: layer.mass,
          jobKg: layer.mass.value * count,
        }))
      : [];
  });
  protected readonly list = inject(ShoppingList);
  /** What to buy of each chocolate, against what is on hand. */
  protected readonly buying = computed(() =>
    this.list.lines().flatMap(({ of, needed, pack, shopping }) => {
      if (of.kind !== 'chocolate' || !shopping || pack === undefined) return [];
      const { entryId, name } = of;
      const there = this.list.onHand().find(({ chocolateId }) => chocolateId === entryId)?.kg ?? 0;
      const why = `${this.unbroken(needed)} wanted${there > 0 ? `, ${this.unbroken(there)} on hand` : ''}`;
      const { packs, packsAnswer } = shopping;
      return [
        packs === 0
          ? { key: entryId, what: `Enough ${name}:`, packs: undefined, of: '', why }
          : {
              key: entryId,
              what: `Buy ${name}:`,
              packs: packsAnswer,
              of: `${packs === 1 ? 'pack' : 'packs'} of ${this.unbroken(pack)};`,
              why,
            },
      ];
    }),
  );
  protected readonly onHand = computed(() => {
    const all = this.list.onHand();
    return all.length === 1
      ? `${this.unbroken(all[0].kg)} ${all[0].name}`
      : `what is on hand of ${listed(all.map(({ name }) => name))}`;
  });

  protected weighed(kg: number | undefined, stepKg: number): string {
    return kg === undefined ? '' : weighedText(kg, stepKg, this.units.system());
  }

  protected write(kg: number | undefined): string {
    return kg === undefined ? '' : text(kg, 'mass', this.units.system());
  }

  /** In a sentence, where a number must not part from its unit. */
  private unbroken(kg: number): string {
    return this.write(kg).replaceAll(' ', '\u00a0');
  }
}
