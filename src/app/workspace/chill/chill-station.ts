import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { Kitchen } from '../../../core/record/kitchen';
import { PLACES, type Place } from '../../../core/record/choices';
import { placeOf, restsOf } from '../../../core/record/sets';
import { restFirst, setIn, stayFor } from '../../../core/edit/sets';
import { RESTS_S } from '../../../core/record/sets';
import { UNITS } from '../../../core/quantity/units';
import { CastingStore } from '../../state/casting-store';
import { Kitchens, kitchenDiffers, takeKitchen } from '../../state/kitchens';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { Estimate } from '../../ui/estimate';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { coatNameIn } from '../../wording/coats';
import { KITCHEN_NAMES, PLACE_NAMES } from '../../wording/names';

type Degrees = 'roomC' | 'fridgeC' | 'freezerC';

/** Where each coat sets, for how long, and whether it sweats when it comes out. */
@Component({
  selector: 'ks-chill-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Estimate, Figure, NzButtonComponent, Pick, RouterLink],
  templateUrl: './chill-station.html',
  styleUrl: '../station.less',
})
export class ChillStation {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly plans = inject(PlanService);
  private readonly kitchens = inject(Kitchens);
  protected readonly plan = this.plans.plan;
  /** Planned in another kitchen than the present one. */
  protected readonly otherKitchen = computed(() => {
    const casting = this.store.current();
    return casting !== undefined && this.kitchens.loaded() && kitchenDiffers(casting, this.kitchens.kitchen());
  });
  protected readonly minute = UNITS.minute;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
  protected readonly covered = [
    { value: 'no' as const, name: 'in the open' },
    { value: 'yes' as const, name: 'covered' },
  ];
  /** Coats of the record; further ones that a wanted thickness asks for follow the last. */
  protected readonly recorded = computed(() => this.plan()?.part.coats.length ?? 0);
  protected readonly usualRestS = RESTS_S;
  protected readonly placesMade = computed(() => (this.plan()?.coatsMade ?? []).map(placeOf));
  protected readonly restsMade = computed(() =>
    (this.plan()?.coatsMade ?? []).map((coat) => restsOf(coat).reduce((sum, { seconds }) => sum + seconds, 0)),
  );
  /** How long a mold that stands upright has to lie level: until a film runs no more, or a fill is set to the touch. */
  protected readonly levelFor = computed(() => {
    const plan = this.plan();
    if (!plan || plan.coatsMade[0].wayUp !== 'upright') return undefined;
    return plan.coat.body ? plan.chill.coats[0].chosen.touch : plan.coat.coats[0].rest;
  });
  protected readonly stateText = computed(() => {
    const state = this.plans.workerState();
    if (state === 'failed' || this.plans.chillSource() === 'worker') return '';
    return state === 'restarting'
      ? 'Starting the computation again; the last figures stay meanwhile.'
      : 'Working out the new minutes…';
  });

  protected setDegrees(which: Degrees, value: number): void {
    this.kitchen(KITCHEN_NAMES[which], (kitchen) => (kitchen[which] = value));
  }

  protected setHumidity(value: number): void {
    this.kitchen('humidity', (kitchen) => (kitchen.humidity = value));
  }

  protected setPlace(index: number, place: Place): void {
    this.open.edit('where it sets', ({ coats }) => setIn(coats[index], place));
  }

  protected setOwn(index: number, seconds: number): void {
    this.open.edit('own interval', ({ coats }) => stayFor(coats[index], seconds), `own ${index}`);
  }

  protected dropOwn(index: number): void {
    this.open.edit('own interval', ({ coats }) => stayFor(coats[index], undefined));
  }

  /** Rests in the room before its place, or not for 0 s. */
  protected setRest(index: number, seconds: number): void {
    this.open.edit('rest first', ({ coats }) => restFirst(coats[index], seconds), `rest ${index}`);
  }

  protected name(index: number): string {
    return coatNameIn(this.plan()?.coatsMade, index);
  }

  protected setCovered(choice: 'yes' | 'no'): void {
    this.open.edit('covered rest', (part) => (part.coveredRest = choice === 'yes'));
  }

  protected takeKitchen(): void {
    this.store.edit('kitchen', (casting) => takeKitchen(casting, this.kitchens.kitchen()));
  }

  private kitchen(label: string, change: (kitchen: Kitchen) => void): void {
    this.store.edit(label, (casting) => change(casting.kitchen), label);
  }
}
