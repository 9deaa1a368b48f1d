import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { layerCount } from '../../../core/plan/batch-input';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { Figure } from '../../ui/figure';
import { text } from '../../wording/format';
import { weighOutTables } from './weigh-out-table';

/** The amounts to weigh out, per part, per round and for the job; they add up. */
@Component({
  selector: 'ks-weigh-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure],
  template: `
    <h2>Weigh out</h2>
    @for (table of tables(); track table.meltId) {
      <table>
        <thead><tr><th scope="col"><span class="name">{{ table.chocolate }}</span></th><th scope="col">{{ table.partName }}</th><th scope="col">round</th><th scope="col">job</th></tr></thead>
        <tbody>
          @for (row of table.rows; track row.name) {
            <tr [class.sum]="row.sum">
              <th scope="row">{{ row.name }}</th>
              <td>{{ write(row.perPartKg) }}</td><td>{{ write(row.perRoundKg) }}</td><td>{{ write(row.jobKg) }}</td>
            </tr>
          }
        </tbody>
      </table>
    }
    @if (manyRounds()) { <p class="aside">Round: melted for one round alone. Pool and bowl count once in the job.</p> }
    @if (plan(); as p) {
      @if (inside().length > 0) {
        <table>
          <thead><tr><th scope="col">Inside</th><th scope="col">piece</th><th scope="col">job</th></tr></thead>
          <tbody>
            @for (layer of inside(); track layer.id) {
              <tr><th scope="row">{{ layer.name }}</th><td><ks-figure [answer]="layer.mass" /></td><td>{{ write(layer.jobKg) }}</td></tr>
            }
          </tbody>
        </table>
      }
      @for (buy of p.buy; track buy.chocolateId) {
        <p class="buy">Buy <ks-figure [answer]="buy.mass" [strong]="true" />, <ks-figure [answer]="buy.packs" /> {{ buy.packs.value === 1 ? 'pack' : 'packs' }} of {{ packs().get(buy.chocolateId) }}</p>
      }
      <p class="buy">With {{ write(p.casting.atHandKg) }} you can make <ks-figure [answer]="p.batch.piecesFromAtHand" [strong]="true" /></p>
    }
  `,
  styleUrl: './weigh-out.less',
})
export class WeighOut {
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).plan;
  protected readonly tables = computed(() => {
    const plan = this.plan();
    return plan ? weighOutTables(plan, this.units.system()) : [];
  });
  protected readonly manyRounds = computed(() => (this.plan()?.batch.rounds.value ?? 1) > 1);
  protected readonly inside = computed(() => {
    const plan = this.plan();
    return plan ? plan.parts.flatMap((part) => part.fill.layers.map(({ choice, mass }) => ({ id: choice.id, name: choice.filling.name, mass, jobKg: mass.value * layerCount(plan, part, plan.batch) }))) : [];
  });
  protected readonly packs = computed(() => new Map(this.plan()?.casting.chocolates.map((c) => [c.id, text(c.packKg, 'mass', this.units.system())])));

  protected write(kg: number | undefined): string {
    return kg === undefined ? '' : text(kg, 'mass', this.units.system());
  }
}
