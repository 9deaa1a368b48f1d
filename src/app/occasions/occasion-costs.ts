import { Injectable, computed, inject } from '@angular/core';
import type { LarderNeed } from '../../core/plan/larder';
import type { Supply } from '../../core/plan/supplies';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { costOf, countedLine, weighedLine, type ShoppingLine } from '../state/shopping-list';
import { Units } from '../state/units';
import { letterOf } from '../wording/occasion';
import { withoutText } from '../workspace/batch/shopping-row';
import { OccasionView } from './occasion-view';

/** What the castings of an occasion take together, and what it costs. */
@Injectable()
export class OccasionCosts {
  private readonly view = inject(OccasionView);
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);
  readonly currency = computed(() => this.kitchens.kitchen().currency);
  readonly lines = computed(() => {
    const plan = this.view.plan();
    return this.linesOf(plan?.needs.all ?? [], plan?.supplies ?? []);
  });
  readonly cost = computed(() => {
    const currency = this.currency();
    const write = (amount: number): string => `${currency} ${amount.toFixed(2)}`;
    const { used, bought, unpriced } = costOf(this.lines());
    const castings = this.view.castings().map(({ id, name, pieces }, i) => {
      const plan = this.view.plan();
      const own = costOf(this.linesOf(plan?.needs.byCasting[id] ?? [], plan?.suppliesOf[id] ?? [])).used;
      return { id, name, letter: letterOf(i), all: write(own), piece: write(own / pieces) };
    });
    return {
      castings,
      all: write(used),
      buy: write(bought),
      without: withoutText(unpriced, this.units.system()),
    };
  });

  private linesOf(needs: readonly LarderNeed[], supplies: readonly Supply[]): readonly ShoppingLine[] {
    const pantry = this.pantry.records();
    return [
      ...needs.map((need) => weighedLine(need, pantry, this.view.castings())),
      ...supplies.map((supply) => countedLine(supply, pantry)),
    ];
  }
}
