import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { PantryGoods, PantrySupply } from '../../core/record/goods';
import { Kitchens } from '../state/kitchens';
import { Units } from '../state/units';
import { RecordTools } from '../ui/record-tools';
import { bestBeforeText, packText } from '../wording/pantry';
import { text } from '../wording/format';

/** What is bought besides chocolates and fillings: by weight, as cocoa or coloured cocoa butter, and counted, as liners or bags. */
@Component({
  selector: 'ks-goods-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent, RecordTools, RouterLink],
  template: `
    <h2>Ingredients and supplies</h2>
    <ul>
      @for (row of rows(); track row.entry.id) {
        <li>
          <a [routerLink]="['/pantry', row.entry.id]">{{ row.entry.name }}</a>
          <span>{{ row.stock }}</span>
          <span [class.old]="row.old">{{ row.before }}</span>
          <ks-record-tools
            [name]="row.entry.name"
            (copied)="copied.emit(row.entry)"
            (exported)="exported.emit(row.entry)"
            (deleted)="deleted.emit(row.entry)"
          />
        </li>
      }
    </ul>
    @if (rows().length === 0) {
      <p>
        What recipes and molds take besides, and what is counted: kept here, it is bought in packs and has its price.
      </p>
    }
    <button nz-button type="button" (click)="goodsAdded.emit()">New ingredient</button>
    <button nz-button type="button" (click)="supplyAdded.emit()">New supply</button>
  `,
  styleUrl: './goods-list.less',
})
export class GoodsList {
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);

  readonly entries = input.required<readonly (PantryGoods | PantrySupply)[]>();
  readonly copied = output<PantryGoods | PantrySupply>();
  readonly exported = output<PantryGoods | PantrySupply>();
  readonly deleted = output<PantryGoods | PantrySupply>();
  readonly goodsAdded = output();
  readonly supplyAdded = output();

  protected readonly rows = computed(() => {
    const [system, currency] = [this.units.system(), this.kitchens.kitchen().currency];
    return [...this.entries()]
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((entry) => {
        if (entry.entry === 'supply') {
          const price = entry.packPrice === undefined ? '' : `, ${currency} ${entry.packPrice.toFixed(2)}`;
          return {
            entry,
            stock: `${entry.stock || 'none'} here; ${entry.pack} a pack${price}`,
            before: '',
            old: false,
          };
        }
        const best = bestBeforeText(entry.bestBefore, new Date());
        const there = entry.stockKg > 0 ? text(entry.stockKg, 'mass', system) : 'none';
        return {
          entry,
          stock: `${there} here; ${packText(entry, currency, system)}`,
          before: best.text,
          old: best.past,
        };
      });
  });
}
