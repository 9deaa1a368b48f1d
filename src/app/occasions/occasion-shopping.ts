import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { LarderNeed } from '../../core/plan/larder';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { saveFile } from '../state/save-file';
import { costOf, shoppingLine, stockedIn, type ShoppingLine } from '../state/shopping-list';
import { Units } from '../state/units';
import { letterOf } from '../wording/occasion';
import { listed } from '../wording/names';
import { suppliesText } from '../wording/supplies';
import { shoppingCsv } from '../workspace/batch/shopping-csv';
import { ShoppingTable } from '../workspace/batch/shopping-table';
import { OccasionView } from './occasion-view';

/** What all castings of an occasion take together: what is there, what to buy, for how much, and what each casting and piece costs. */
@Component({
  selector: 'ks-occasion-shopping',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, ShoppingTable],
  template: `
    <ks-shopping-table [lines]="lines()" [currency]="currency()" />
    <p>{{ supplies() }}</p>
    <p>
      All of it costs <strong>{{ cost().all }}</strong>; to spend now <strong>{{ cost().buy }}</strong>.
      {{ cost().without }}
    </p>
    <ul>
      @for (line of cost().castings; track line.id) {
        <li>
          <b>{{ line.letter }}</b> {{ line.name }}: {{ line.piece }} a piece, {{ line.all }} in all
        </li>
      }
    </ul>
    <button nz-button class="unprinted" type="button" (click)="csv()">Shopping list as CSV</button>
  `,
  styleUrl: './occasion-shopping.less',
})
export class OccasionShopping {
  private readonly view = inject(OccasionView);
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);
  protected readonly currency = computed(() => this.kitchens.kitchen().currency);
  protected readonly lines = computed(() => this.linesOf(this.view.plan()?.needs.all ?? []));
  protected readonly supplies = computed(() => suppliesText(this.view.plan()?.supplies ?? [], this.units.system()));
  protected readonly cost = computed(() => {
    const currency = this.currency();
    const write = (amount: number): string => `${currency} ${amount.toFixed(2)}`;
    const { used, bought, unpriced } = costOf(this.lines());
    const castings = this.view.castings().map(({ id, name, pieces }, i) => {
      const own = costOf(this.linesOf(this.view.plan()?.needs.byCasting[id] ?? [])).used;
      return { id, name, letter: letterOf(i), all: write(own), piece: write(own / pieces) };
    });
    return {
      castings,
      all: write(used),
      buy: write(bought),
      without: unpriced.length ? `Without ${listed(unpriced)}: no price in the pantry.` : '',
    };
  });

  protected async csv(): Promise<void> {
    const name = this.view.occasion()?.name ?? '';
    saveFile(`Kilnstone shopping ${name}.csv`, 'text/csv', await shoppingCsv(this.lines(), this.currency()));
  }

  private linesOf(needs: readonly LarderNeed[]): readonly ShoppingLine[] {
    return needs.map((need) => shoppingLine(need, stockedIn(this.pantry, need.entryId), this.view.castings()));
  }
}
