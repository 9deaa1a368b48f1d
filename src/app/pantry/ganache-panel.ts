import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { GANACHE_USES, ganache, usualGanache, type GanacheUse } from '../../core/melt/preparations';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Figure } from '../ui/figure';
import { makingOf } from '../wording/larder';
import { preparationPlace } from './preparation-place';

const USE_NAMES: Readonly<Record<GanacheUse, string>> = {
  molded: 'piped into a shell',
  bomb: 'in a bomb',
  rolled: 'rolled or cut',
  poured: 'poured over',
};

/** A ganache for the amount that is wanted, of a chocolate, for a use or by a ratio of one's own. */
@Component({
  selector: 'ks-ganache-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure],
  templateUrl: './ganache-panel.html',
  styleUrl: './preparation.less',
})
export class GanachePanel {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);

  protected readonly uses = GANACHE_USES.map((value) => ({ value, name: USE_NAMES[value] }));
  protected readonly schools = makingOf('ganache');
  protected readonly ganacheKg = signal(0.3);
  protected readonly use = signal<GanacheUse>('molded');
  private readonly wanted = signal('');
  protected readonly chocolates = computed(() => this.pantry.chocolates().map(({ id, name }) => ({ value: id, name })));
  protected readonly chocolate = computed(
    () => this.pantry.chocolates().find(({ id }) => id === this.wanted()) ?? this.pantry.chocolates()[0],
  );
  /** Chocolate for one part of cream: as is usual, until another is wanted. */
  protected readonly ratio = linkedSignal(() => usualGanache(this.chocolate()?.kind ?? 'dark', this.use()));
  protected readonly ganache = computed(() => {
    const chocolate = this.chocolate();
    const place = preparationPlace(this.kitchens.kitchen());
    return chocolate && ganache(this.ganacheKg(), chocolate.kind, chocolate.fatShare, place, this.ratio());
  });

  protected choose(id: string): void {
    this.wanted.set(id);
  }
}
