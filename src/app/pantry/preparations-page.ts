import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { caramelised, cocoaButterColour } from '../../core/melt/preparations';
import { COCOA_BUTTER_COLOUR } from '../../core/matter/cocoa-butter';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { PageHeader } from '../ui/page-header';
import { AmountField } from '../ui/amount-field';
import { Figure } from '../ui/figure';
import { text, written } from '../wording/format';
import { GanachePanel } from './ganache-panel';
import { preparationPlace } from './preparation-place';

/** Ganache, coloured cocoa butter and caramelised coating, each for the amount that is wanted. */
@Component({
  selector: 'ks-preparations-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Figure, GanachePanel, PageHeader],
  templateUrl: './preparations-page.html',
  styleUrls: ['./preparation.less', './preparations-page.less'],
})
export class PreparationsPage {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);

  protected readonly sprayKg = signal(0.05);
  protected readonly caramelKg = signal(0.25);
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
    return caramelised(this.caramelKg(), coating?.fatShare ?? 0.32, preparationPlace(this.kitchens.kitchen()));
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
}
