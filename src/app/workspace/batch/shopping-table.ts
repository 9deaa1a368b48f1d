import { ChangeDetectionStrategy, Component, ViewEncapsulation, computed, inject, input, signal } from '@angular/core';
import { NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective } from 'ng-zorro-antd/table';
import type { ShoppingLine } from '../../state/shopping-list';
import { Units } from '../../state/units';
import { SortHead, sortedBy, type SortKeys, type SortOrder } from '../../ui/sort-head';
import { shoppingRow, type ShoppingRow } from './shopping-row';

/** A line of the list as it is written, and what it is sorted by. */
interface Row extends ShoppingRow {
  readonly keys: SortKeys;
}

/** What the job takes of everything, what is there, what to buy and for how much: as the job comes to it, or sorted as one likes. */
@Component({
  selector: 'ks-shopping-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective, SortHead],
  template: `
    <nz-table [nzData]="rows()" [nzFrontPagination]="false" [nzShowPagination]="false">
      <caption>
        Shopping
      </caption>
      <thead>
        <tr>
          <th ksSortHead="name" [(order)]="order">what</th>
          <th ksSortHead="wanted" [(order)]="order">wanted</th>
          <th ksSortHead="there" [(order)]="order">in the pantry</th>
          <th ksSortHead="buy" [(order)]="order">buy</th>
          <th ksSortHead="price" [(order)]="order">price</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr>
            <th scope="row">{{ row.name }}</th>
            <td>{{ row.wanted }}</td>
            <td>{{ row.there }}</td>
            <td>{{ row.buy }}</td>
            <td>{{ row.price }}</td>
          </tr>
        }
      </tbody>
    </nz-table>
  `,
  styleUrl: './shopping-table.less',
})
export class ShoppingTable {
  private readonly units = inject(Units);
  readonly lines = input.required<readonly ShoppingLine[]>();
  readonly currency = input.required<string>();

  protected readonly order = signal<SortOrder>({ by: '', down: false });
  protected readonly rows = computed(() =>
    sortedBy(
      this.lines().map((line) => this.row(line)),
      this.order(),
    ),
  );

  private row(line: ShoppingLine): Row {
    const { name, neededKg, stockKg, shopping } = line;
    return {
      ...shoppingRow(line, this.currency(), this.units.system()),
      keys: {
        name,
        wanted: neededKg,
        there: stockKg ?? '',
        buy: shopping?.missingKg ?? Math.max(0, neededKg - (stockKg ?? 0)),
        price: shopping?.cost ?? '',
      },
    };
  }
}
