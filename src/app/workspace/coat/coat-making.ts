import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { madeAlike, makeAlike } from '../../../core/edit/methods';
import { addCoat, keepCoatsAsMade, removeCoat } from '../../../core/edit/remedy';
import { WAYS_UP, type WayUp } from '../../../core/record/choices';
import { LIMITS, within } from '../../../core/record/limits';
import { isClamped, onOpenWall } from '../../../core/record/method';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { FieldScope } from '../../ui/field-scope';
import { Pick } from '../../ui/pick';
import { coatNameIn } from '../../wording/coats';
import { WAY_UP_NAMES } from '../../wording/names';
import { CoatLayers } from './coat-layers';
import { CoatWay } from './coat-way';

/** Coats by number, or as many as a wanted thickness asks for. */
const COUNTS = ['1', '2', '3', '4', 'aim'] as const;
type Count = (typeof COUNTS)[number];

/** Coats made alike, or the place of one among them. */
const ALIKE = 'alike';

/** How warm a mold is taken from a warm place, °C: below what melts the seed. Common practice, no source. */
const WARMED_C = 26;

/** How the open part's coats are made: how many, all alike or each in its own way, and how warm the mold is before them. */
@Component({
  selector: 'ks-coat-making',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, CoatLayers, CoatWay, FieldScope, NzButtonComponent, Pick],
  templateUrl: './coat-making.html',
  styleUrl: '../station.less',
})
export class CoatMaking {
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).draft;
  protected readonly waysUp = WAYS_UP.map((value) => ({ value, name: WAY_UP_NAMES[value] }));
  /** The coat whose way is shown, by the ids of its part and its own. */
  private readonly shown = signal<string | undefined>(undefined);

  protected readonly pressed = computed(() => this.plan()?.moldRecord.composition.kind === 'press');
  protected readonly solid = computed(() => !!this.plan()?.coat.body);
  protected readonly clamped = computed(() => isClamped(this.plan()?.coatsMade.at(-1)?.method ?? 'dump'));
  protected readonly wayUp = computed(() => this.plan()?.coatsMade[0].wayUp ?? 'upright');
  /** A fill has layers by number only. */
  protected readonly counts = computed(() =>
    COUNTS.filter((value) => value !== 'aim' || !this.plan()?.coat.body).map((value) => ({
      value,
      name: value === 'aim' ? 'to thickness' : value,
    })),
  );
  protected readonly count = computed(() =>
    this.plan()?.part.coatsBy.by === 'thickness' ? 'aim' : (String(this.plan()?.coatsMade.length ?? 1) as Count),
  );
  /** The thickness that is wanted, where coats are told by it. */
  protected readonly wantedM = computed(() => {
    const coatsBy = this.plan()?.part.coatsBy;
    return coatsBy?.by === 'thickness' && !this.solid() ? coatsBy.rimM : undefined;
  });
  /** Coats of the record that are made, where they may differ. */
  private readonly several = computed(() => {
    const plan = this.plan();
    const coats = plan?.part.coats.slice(0, plan.coatsMade.length) ?? [];
    return coats.length > 1 && coats.every(({ method }) => onOpenWall(method)) ? coats : [];
  });
  protected readonly each = computed(() => {
    const coats = this.several();
    return coats.length === 0
      ? []
      : [
          { value: ALIKE, name: 'alike' },
          ...coats.map((_, i) => ({
            value: String(i),
            name: coats.length > 2 ? `${i + 1}` : coatNameIn(coats, i).toLowerCase(),
          })),
        ];
  });
  protected readonly which = computed(() => {
    const coats = this.several();
    const at = coats.findIndex(({ id }) => this.keyOf(id) === this.shown());
    return at >= 0 ? String(at) : coats.length === 0 || madeAlike(coats) ? ALIKE : '0';
  });
  /** The one coat that the fields are about; all where there is none. */
  protected readonly coats = computed(() => (this.which() === ALIKE ? undefined : [Number(this.which())]));
  protected readonly moldC = computed(() => this.plan()?.part.moldC);
  /** Where a mold may be taken from that is not as warm as the room. */
  protected readonly starts = computed(() => [
    { name: 'mold from the fridge', celsius: this.plan()?.casting.kitchen.fridgeC ?? 5 },
    { name: 'mold warmed', celsius: Math.max(WARMED_C, this.plan()?.casting.kitchen.roomC ?? 0) },
  ]);

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

  protected setWhich(which: string): void {
    const coats = this.several();
    if (coats.length === 0) return;
    if (which === ALIKE && !madeAlike(coats)) {
      const like = Number(this.which());
      this.open.edit('coats made alike', (part) => makeAlike(part, like));
    }
    this.shown.set(which === ALIKE ? undefined : this.keyOf(coats[Number(which)].id));
  }

  protected setWayUp(wayUp: WayUp): void {
    this.open.edit('way up', ({ coats }) => coats.forEach((coat) => (coat.wayUp = wayUp)));
  }

  /** Undefined for as warm as the room. */
  protected setMold(celsius: number | undefined): void {
    this.open.edit(
      'how warm the mold is',
      (part) => {
        if (celsius === undefined) delete part.moldC;
        else part.moldC = celsius;
      },
      celsius === undefined ? undefined : 'mold warmth',
    );
  }

  private keyOf(coatId: string): string {
    return `${this.plan()?.part.id ?? ''} ${coatId}`;
  }
}

/** A computed rim thickness as a wanted one: to a tenth of a millimetre, within its limits. */
function nearestRim(rimM: number): number {
  return within(LIMITS.wantedRimM, rimM, 1e-4);
}
