import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { saveFile } from '../state/save-file';
import { shoppingCsv } from '../workspace/batch/shopping-csv';
import { ShoppingTable } from '../workspace/batch/shopping-table';
import { OccasionCosts } from './occasion-costs';
import { OccasionView } from './occasion-view';

/** What all castings of an occasion take together: what is there, what to buy, for how much, and what each casting and piece costs. */
@Component({
  selector: 'ks-occasion-shopping',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, ShoppingTable],
  template: `
    <ks-shopping-table [lines]="lines()" [currency]="currency()" />
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
  private readonly costs = inject(OccasionCosts);
  protected readonly currency = this.costs.currency;
  protected readonly lines = this.costs.lines;
  protected readonly cost = this.costs.cost;

  protected async csv(): Promise<void> {
    const name = this.view.occasion()?.name ?? '';
    saveFile(
      `Kilnstone shopping ${name}.csv`,
      'text/csv',
      await shoppingCsv(this.lines(), this.currency(), this.view.told().system),
    );
  }
}
