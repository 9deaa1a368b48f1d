import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { caramelised, cocoaButterColour } from '../../core/melt/preparations';
import { Router } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { lightness } from '../../core/matter/colour';
import type { PantryChocolate } from '../../core/record/chocolate';
import { COCOA_BUTTER_COLOUR } from '../../core/matter/cocoa-butter';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { PageHeader } from '../ui/page-header';
import { AmountField } from '../ui/amount-field';
import { Figure } from '../ui/figure';
import { Once } from '../ui/once';
import { text, written } from '../wording/format';
import { CARAMEL_TEXTS } from '../wording/pantry';
import { GanachePanel } from './ganache-panel';
import { preparationPlace } from './preparation-place';

/** Fat of a coating where the pantry has none. */
const USUAL_FAT = 0.32;

/** Ganache, coloured cocoa butter and caramelised coating, each for the amount that is wanted. */
@Component({
  selector: 'ks-preparations-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Figure, GanachePanel, NzButtonComponent, Once, PageHeader],
  templateUrl: './preparations-page.html',
  styleUrls: ['./preparation.less', './preparations-page.less'],
})
export class PreparationsPage {
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);
  private readonly router = inject(Router);

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
  protected readonly caramelTexts = CARAMEL_TEXTS;
  /** The palest coating of the pantry: what is caramelised. */
  protected readonly coating = computed(() =>
    this.pantry
      .chocolates()
      .filter(({ kind }) => kind === 'compound')
      .sort((a, b) => lightness(b.colour) - lightness(a.colour))
      .at(0),
  );
  protected readonly caramel = computed(() =>
    caramelised(this.caramelKg(), this.coating()?.fatShare ?? USUAL_FAT, preparationPlace(this.kitchens.kitchen())),
  );
  /** What was made goes into the pantry, to be cast like any other. */
  protected keepCaramel(coating: PantryChocolate): void {
    const { id } = this.pantry.createCaramelised(coating, this.caramelKg());
    void this.router.navigate(['/pantry', id]);
  }

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
