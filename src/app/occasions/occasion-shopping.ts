import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { shoppingLine, stockedIn, type ShoppingLine } from '../state/shopping-list';
import { ShoppingTable } from '../workspace/batch/shopping-table';
import { OccasionView } from './occasion-view';

/** What all castings of an occasion take together: what is there, what to buy, for how much. */
@Component({
  selector: 'ks-occasion-shopping',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ShoppingTable],
  template: `<ks-shopping-table [lines]="lines()" [currency]="currency()" />`,
})
export class OccasionShopping {
  private readonly view = inject(OccasionView);
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  protected readonly currency = computed(() => this.kitchens.kitchen().currency);
  protected readonly lines = computed<readonly ShoppingLine[]>(() =>
    (this.view.plan()?.needs ?? []).map((need) =>
      shoppingLine(need, stockedIn(this.pantry, need.entryId), this.view.castings()),
    ),
  );
}
