import {
  ChangeDetectionStrategy,
  Component,
  ViewEncapsulation,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective } from 'ng-zorro-antd/table';
import type { PantryFilling } from '../../core/record/filling';
import { Kitchens } from '../state/kitchens';
import { Units } from '../state/units';
import { RecordTools } from '../ui/record-tools';
import { SortHead, sortedBy, type SortKeys, type SortOrder } from '../ui/sort-head';
import { text } from '../wording/format';
import { measureText } from '../wording/larder';
import { FILLING_NAMES } from '../wording/names';
import { bestBeforeText, packText } from '../wording/pantry';

/** A filling as the table writes it, and what it is sorted by. */
interface Row {
  readonly filling: PantryFilling;
  readonly kind: string;
  readonly density: string;
  readonly stock: string;
  readonly mixed: string;
  readonly before: string;
  readonly old: boolean;
  readonly keys: SortKeys;
}

/** The fillings of the pantry, sorted as one likes. */
@Component({
  selector: 'ks-filling-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [NzTableComponent, NzTbodyComponent, NzTheadComponent, NzTrDirective, RecordTools, RouterLink, SortHead],
  templateUrl: './filling-table.html',
  styleUrl: './filling-table.less',
})
export class FillingTable {
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);

  readonly fillings = input.required<readonly PantryFilling[]>();
  readonly copied = output<PantryFilling>();
  readonly exported = output<PantryFilling>();
  readonly deleted = output<PantryFilling>();

  protected readonly order = signal<SortOrder>({ by: 'name', down: false });
  protected readonly rows = computed(() => {
    const rows = sortedBy(
      this.fillings().map((filling) => this.row(filling)),
      { by: 'name', down: false },
    );
    return sortedBy(rows, this.order());
  });

  private row(filling: PantryFilling): Row {
    const system = this.units.system();
    const { name, kind, bulkDensity, recipe, stockKg } = filling;
    const best = bestBeforeText(filling.bestBefore, new Date());
    const bought = recipe.length === 0;
    const stock = stockKg > 0 ? text(stockKg, 'mass', system) : 'none';
    const mixed = recipe
      .map((part) => `${measureText(part, system)} ${part.name}`)
      .join(recipe.some(({ measure }) => measure) ? ', ' : ' : ');
    return {
      filling,
      kind: FILLING_NAMES[kind],
      density: text(bulkDensity, 'density', system),
      stock: bought
        ? `${stock} here; ${packText(filling, this.kitchens.kitchen().currency, system)}`
        : 'mixed for each job',
      mixed,
      before: best.text.replace('Best before ', ''),
      old: best.past,
      keys: {
        name,
        kind: FILLING_NAMES[kind],
        density: bulkDensity,
        stock: bought ? stockKg : '',
        mixed,
        before: filling.bestBefore ?? '',
      },
    };
  }
}
