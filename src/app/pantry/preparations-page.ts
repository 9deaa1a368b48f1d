import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  GANACHE_USES,
  caramelised,
  cocoaButterColour,
  ganache,
  usualGanache,
  type GanacheUse,
} from '../../core/melt/preparations';
import { COCOA_BUTTER_COLOUR } from '../../core/matter/cocoa-butter';
import { kitchenCalibration } from '../../core/plan/melts';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { PageHeader } from '../ui/page-header';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { Figure } from '../ui/figure';
import { text, written } from '../wording/format';
import { makingOf } from '../wording/larder';

const USE_NAMES: Readonly<Record<GanacheUse, string>> = {
  molded: 'piped into a shell',
  bomb: 'in a bomb',
  rolled: 'rolled or cut',
  poured: 'poured over',
};

/** Ganache, coloured cocoa butter and caramelised coating, each for the amount that is wanted. */
@Component({
  selector: 'ks-preparations-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure, PageHeader],
  templateUrl: './preparations-page.html',
  styleUrl: './preparations-page.less',
})
export class PreparationsPage {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);

  protected readonly uses = GANACHE_USES.map((value) => ({ value, name: USE_NAMES[value] }));
  protected readonly ganacheKg = signal(0.3);
  protected readonly sprayKg = signal(0.05);
  protected readonly caramelKg = signal(0.25);
  protected readonly use = signal<GanacheUse>('molded');
  private readonly wanted = signal('');
  protected readonly chocolates = computed(() => this.pantry.chocolates().map(({ id, name }) => ({ value: id, name })));
  protected readonly chocolate = computed(
    () => this.pantry.chocolates().find(({ id }) => id === this.wanted()) ?? this.pantry.chocolates()[0],
  );
  private readonly place = computed(() => {
    const kitchen = this.kitchens.kitchen();
    const { microwaveTest: test, microwaveW, roomC, fridgeC } = kitchen;
    return {
      bowl: kitchen.bowls[0],
      roomC,
      fridgeC,
      microwaveW,
      microwaveFactor: test ? kitchenCalibration(kitchen, test).factor : 1,
    };
  });
  /** Chocolate for one part of cream: as is usual, until another is wanted. */
  protected readonly ratio = linkedSignal(() => usualGanache(this.chocolate()?.kind ?? 'dark', this.use()));
  protected readonly schools = makingOf('ganache');
  protected readonly ganache = computed(() => {
    const chocolate = this.chocolate();
    return chocolate && ganache(this.ganacheKg(), chocolate.kind, chocolate.fatShare, this.place(), this.ratio());
  });
  protected readonly spray = computed(() => cocoaButterColour(this.sprayKg()));
  protected readonly sprayText = computed(() => {
    const { meltC, useC, restFromS, restToS, restFromC, restToC } = COCOA_BUTTER_COLOUR;
    const system = this.units.system();
    const warmth = (c: number): string => text(c, 'temperature', system);
    return {
      melt: `Melt at ${warmth(meltC)}, stir the colour in, strain it through a fine cloth.`,
      use: `Paint or spray at about ${warmth(useC)}, thin coats, into a clean dry mold.`,
      rest: `Rest it ${restFromS / 3600} to ${restToS / 3600} h at ${written(restFromC, 'temperature', system).number} to ${warmth(restToC)} before casting.`,
    };
  });
  protected readonly caramel = computed(() => {
    const coating = this.pantry.chocolates().find(({ kind }) => kind === 'compound');
    return caramelised(this.caramelKg(), coating?.fatShare ?? 0.32, this.place());
  });
  /** Bursts of one length after another, said together. */
  protected readonly series = computed(() => {
    const groups: { seconds: number; count: number; afterC: number }[] = [];
    for (const { seconds, afterC } of this.caramel().bursts) {
      const last = groups[groups.length - 1];
      if (last?.seconds === seconds) Object.assign(last, { count: last.count + 1, afterC });
      else groups.push({ seconds, count: 1, afterC });
    }
    return groups.map(({ seconds, count, afterC }) => ({
      what: `${count} × ${seconds} s`,
      after: text(afterC, 'temperature', this.units.system()),
    }));
  });

  protected choose(id: string): void {
    this.wanted.set(id);
  }
}
