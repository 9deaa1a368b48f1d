import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { COAT_AREAS, PLACES, WAYS_UP, type CoatArea, type Place, type WayUp } from '../../../core/record/choices';
import { isChilled, isClamped, laidAnywhere, setsUpright, type Method } from '../../../core/record/method';
import { LIMITS, within } from '../../../core/record/limits';
import { cavityRecordOf } from '../../../core/record/references';
import { makeTogether } from '../../../core/edit/methods';
import { methodsFor } from '../../../core/plan/methods';
import { addCoat, keepCoatsAsMade, removeCoat } from '../../../core/edit/remedy';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Pick } from '../../ui/pick';
import { METHOD_NAMES, PLACE_NAMES, WAY_UP_NAMES, WHERE_NAMES } from '../../wording/names';
import { CoatLayers } from './coat-layers';
import { CoatNumbers } from './coat-numbers';

/** Coats by number, or as many as a wanted thickness asks for. */
const COUNTS = ['1', '2', '3', '4', 'aim'] as const;
type Count = (typeof COUNTS)[number];

/** How the open part's coats are made, how many, and what the method asks for. */
@Component({
  selector: 'ks-coat-making',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, CoatLayers, CoatNumbers, Pick],
  templateUrl: './coat-making.html',
  styleUrl: '../station.less',
})
export class CoatMaking {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).draft;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
  protected readonly waysUp = WAYS_UP.map((value) => ({ value, name: WAY_UP_NAMES[value] }));
  protected readonly areas = COAT_AREAS.map((value) => ({ value, name: WHERE_NAMES[value] }));
  /** What names its fields among all others. */
  protected readonly pressed = computed(() => this.plan()?.moldRecord.composition.kind === 'press');
  protected readonly solid = computed(() => !!this.plan()?.coat.body);
  /** A fill has layers by number only. */
  protected readonly counts = computed(() =>
    COUNTS.filter((value) => value !== 'aim' || !this.plan()?.coat.body).map((value) => ({
      value,
      name: value === 'aim' ? 'to thickness' : value,
    })),
  );
  protected readonly methods = computed(() => {
    const plan = this.plan();
    return plan
      ? methodsFor(plan.moldRecord, cavityRecordOf(plan.moldRecord, plan.part)).map((value) => ({
          value,
          name: value === 'dump' && plan.cavity.outward ? 'pour over' : METHOD_NAMES[value],
        }))
      : [];
  });
  /** Two clamped halves are told by how they end. */
  protected readonly method = computed(() => this.plan()?.coatsMade.at(-1)?.method ?? 'dump');
  protected readonly clamped = computed(() => isClamped(this.method()));
  protected readonly count = computed(() =>
    this.plan()?.part.coatsBy.by === 'thickness' ? 'aim' : (String(this.plan()?.coatsMade.length ?? 1) as Count),
  );
  /** The thickness that is wanted, where coats are told by it. */
  protected readonly wantedM = computed(() => {
    const coatsBy = this.plan()?.part.coatsBy;
    return coatsBy?.by === 'thickness' && !this.solid() ? coatsBy.rimM : undefined;
  });
  /** Where it stands full, where that is in the cold. */
  protected readonly standsIn = computed(() =>
    isChilled(this.method()) ? this.plan()?.coatsMade[0].standsIn : undefined,
  );
  /** Where coats after the first go, where one can say so. */
  protected readonly laterWhere = computed(() =>
    laidAnywhere(this.method()) ? this.plan()?.coatsMade.at(1)?.where : undefined,
  );
  /** The way up in which it sets, where that is not as it stands. */
  protected readonly wayUp = computed(() => (setsUpright(this.method()) ? undefined : this.plan()?.coatsMade[0].wayUp));

  protected setWanted(rimM: number): void {
    this.open.edit('wanted thickness', (part) => (part.coatsBy = { by: 'thickness', rimM }), 'wanted thickness');
  }

  protected setCount(count: Count): void {
    const plan = this.plan();
    if (!plan) return;
    this.open.edit('coats', (part) => {
      if (count === 'aim') {
        part.coatsBy = { by: 'thickness', rimM: nearestRim(plan.coat.total.rim.value) };
        return;
      }
      keepCoatsAsMade(part, plan.coatsMade);
      // As near as there can be: two clamped halves take two at least.
      while (part.coats.length < Number(count) && addCoat(part));
      while (part.coats.length > Number(count) && removeCoat(part));
    });
  }

  protected setMethod(method: Method): void {
    const plan = this.plan();
    if (plan) this.store.edit('method', (casting) => makeTogether(casting, method, plan));
  }

  protected setStandsIn(place: Place): void {
    this.open.edit('where it stands', ({ coats }) => coats.forEach((coat) => (coat.standsIn = place)));
  }

  protected setWayUp(wayUp: WayUp): void {
    this.open.edit('way up', ({ coats }) => coats.forEach((coat) => (coat.wayUp = wayUp)));
  }

  protected setWhere(where: CoatArea): void {
    this.open.edit('where later coats go', ({ coats }) => coats.slice(1).forEach((coat) => (coat.where = where)));
  }
}

/** A computed rim thickness as a wanted one: to a tenth of a millimetre, within its limits. */
function nearestRim(rimM: number): number {
  return within(LIMITS.wantedRimM, rimM, 1e-4);
}
