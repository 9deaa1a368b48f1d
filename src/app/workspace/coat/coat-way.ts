import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { makeCoatBy, makeTogether } from '../../../core/edit/methods';
import { methodsFor } from '../../../core/plan/methods';
import { UNITS } from '../../../core/quantity/units';
import type { Coat } from '../../../core/record/casting';
import { COAT_AREAS, PLACES, WAYS_UP, type CoatArea, type Place, type WayUp } from '../../../core/record/choices';
import { isChilled, laidAnywhere, onOpenWall, setsUpright, type Method } from '../../../core/record/method';
import { cavityRecordOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Pick } from '../../ui/pick';
import { METHOD_NAMES, PLACE_NAMES, WAY_UP_NAMES, WHERE_NAMES } from '../../wording/names';
import { CoatNumbers } from './coat-numbers';

/** How coats of the open part are made, and what the method asks for: one by itself, or all alike. */
@Component({
  selector: 'ks-coat-way',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, CoatNumbers, NzButtonComponent, Pick],
  templateUrl: './coat-way.html',
  styleUrl: '../station.less',
})
export class CoatWay {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).draft;
  /** Which of the record's coats, as their places among them; all where it is left out. */
  readonly coats = input<readonly number[]>();
  protected readonly minute = UNITS.minute;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
  protected readonly waysUp = WAYS_UP.map((value) => ({ value, name: WAY_UP_NAMES[value] }));
  /** Asked for, though nothing is set yet. */
  protected readonly thickening = linkedSignal({ source: () => this.coats()?.[0], computation: () => false });
  /** The coat that they are told by: the last of all, as two clamped halves end. */
  private readonly told = computed(() => {
    const made = this.plan()?.coatsMade ?? [];
    return made.at(this.coats()?.[0] ?? -1) ?? made.at(-1);
  });
  protected readonly method = computed(() => this.told()?.method ?? 'dump');
  protected readonly methods = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const allowed = methodsFor(plan.moldRecord, cavityRecordOf(plan.moldRecord, plan.part));
    // What fills the cavity, or is turned in it closed, is made so from the first coat to the last.
    const here = this.coats() ? allowed.filter((value) => onOpenWall(value) || value === this.method()) : allowed;
    return here.map((value) => ({
      value,
      name: value === 'dump' && plan.cavity.outward ? 'pour over' : METHOD_NAMES[value],
    }));
  });
  /** Where it stands full, where that is in the cold. */
  protected readonly standsIn = computed(() => (isChilled(this.method()) ? this.told()?.standsIn : undefined));
  /** Where it goes, where one can say so; of all together, those after the first. */
  protected readonly where = computed(() => {
    if (!laidAnywhere(this.method())) return undefined;
    return this.coats() ? this.told()?.where : this.plan()?.coatsMade.at(1)?.where;
  });
  /** What is thin is known when there is something on the wall. */
  protected readonly areas = computed(() =>
    COAT_AREAS.filter((value) => value !== 'thin' || this.coats()?.[0] !== 0).map((value) => ({
      value,
      name: WHERE_NAMES[value],
    })),
  );
  /** The way up in which it sets, where that is not as it stands. */
  protected readonly wayUp = computed(() => (setsUpright(this.method()) ? undefined : this.told()?.wayUp));
  protected readonly upright = computed(() => this.told()?.uprightSeconds ?? 0);

  protected setMethod(method: Method): void {
    const plan = this.plan();
    const coats = this.coats();
    if (!plan) return;
    this.store.edit('method', (casting) => {
      if (!coats) makeTogether(casting, method, plan);
      else for (const index of coats) makeCoatBy(casting, index, method, plan);
    });
  }

  protected setStandsIn(place: Place): void {
    this.edit('where it stands', (coat) => (coat.standsIn = place));
  }

  protected setWayUp(wayUp: WayUp): void {
    this.edit('way up', (coat) => (coat.wayUp = wayUp));
  }

  protected setUpright(seconds: number): void {
    this.edit('upright first', (coat) => (coat.uprightSeconds = seconds), `upright ${this.coats()?.[0] ?? 'all'}`);
  }

  protected setWhere(where: CoatArea): void {
    const one = this.coats();
    this.open.edit(one ? 'where it goes' : 'where later coats go', ({ coats }) =>
      (one ? one.map((i) => coats[i]) : coats.slice(1)).forEach((coat) => (coat.where = where)),
    );
  }

  private edit(label: string, change: (coat: Coat) => void, gesture?: string): void {
    const some = this.coats();
    this.open.edit(label, ({ coats }) => (some ? some.map((i) => coats[i]) : coats).forEach(change), gesture);
  }
}
