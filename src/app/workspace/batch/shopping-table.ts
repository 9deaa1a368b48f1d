import { ChangeDetectionStrategy, Component, ViewEncapsulation, computed, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective } from 'ng-zorro-antd/table';
import { usualPackKg } from '../../../core/batch/packs';
import { Pantry } from '../../state/pantry';
import type { ShoppingLine } from '../../state/shopping-list';
import { Units } from '../../state/units';
import { SortHead, sortedBy, type SortKeys, type SortOrder } from '../../ui/sort-head';
import { supplyName } from '../../wording/supplies';
import { shoppingRow, type ShoppingRow } from './shopping-row';

/** A line of the list as it is written, and what it is sorted by. */
interface Row extends ShoppingRow {
  readonly line: ShoppingLine;
  /** It can be taken into the pantry. */
  readonly keeps: boolean;
  readonly keys: SortKeys;
}

/** What the job takes of everything, what is there, what to buy and for how much: as the job comes to it, or sorted as one likes. */
@Component({
  selector: 'ks-shopping-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [NzButtonComponent, NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective, SortHead],
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
            <td>
              {{ row.there }}
              @if (row.keeps) {
                <button
                  nz-button
                  nzType="link"
                  class="keep unprinted"
                  type="button"
                  [attr.aria-label]="'Keep ' + row.name + ' in the pantry'"
                  (click)="keep(row.line)"
                >
                  keep it
                </button>
              }
            </td>
            <td>
              {{ row.buy }}
              @if (row.tip) {
                <small class="unprinted">{{ row.tip }}</small>
              }
            </td>
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
  private readonly pantry = inject(Pantry);
  private readonly router = inject(Router);
  readonly lines = input.required<readonly ShoppingLine[]>();
  readonly currency = input.required<string>();

  protected readonly order = signal<SortOrder>({ by: '', down: false });
  protected readonly rows = computed(() =>
    sortedBy(
      this.lines().map((line) => this.row(line)),
      this.order(),
    ),
  );

  /** Takes something into the pantry that it does not keep, to say what is there of it and what a pack costs. */
  protected keep({ of, needed }: ShoppingLine): void {
    const entry =
      'name' in of
        ? this.pantry.createGoods(of.name, usualPackKg(needed))
        : this.pantry.createSupply(supplyName({ kind: of.kind }, this.units.system()), of.kind, of.stick?.thickM);
    void this.router.navigate(['/pantry', entry.id]);
  }

  private row(line: ShoppingLine): Row {
    const { of, needed, stock, entry, shopping } = line;
    const row = shoppingRow(line, this.currency(), this.units.system());
    return {
      ...row,
      line,
      keeps: !entry && (line.counted || of.kind === 'other'),
      keys: {
        name: row.name,
        wanted: needed,
        there: stock ?? '',
        buy: shopping?.missing ?? Math.max(0, needed - (stock ?? 0)),
        price: shopping?.cost ?? '',
      },
    };
  }
}
