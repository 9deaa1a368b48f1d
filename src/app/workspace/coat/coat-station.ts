import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { FLUIDITY_CLASSES, nearestClass, type FluidityClass } from '../../../core/matter/chocolate';
import type { Casting } from '../../../core/record/casting';
import { COAT_AREAS, METHODS, WAYS_UP, type CoatArea, type Method, type WayUp } from '../../../core/record/choices';
import { LIMITS } from '../../../core/record/limits';
import { chocolateOf, meltOf, sharesOf } from '../../../core/record/references';
import { addCoat, keepCoatsAsMade, removeCoat } from '../../../core/plan/remedy';
import { UNITS } from '../../../core/quantity/units';
import { CastingStore } from '../../state/casting-store';
import { suit } from '../../state/pantry';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { text, written } from '../../wording/format';
import { WeighedShellPanel } from './weighed-shell-panel';
import { FLUIDITY_NAMES, KIND_NAMES, METHOD_NAMES, WAY_UP_NAMES, WHERE_NAMES } from '../../wording/names';

/** Coats by number, or as many as a wanted thickness asks for. */
const COUNTS = ['1', '2', '3', '4', 'aim'] as const;
type Count = (typeof COUNTS)[number];
const SHORT_METHOD_NAMES: Readonly<Record<Method, string>> = { spoon: 'spoon, swirl', brush: 'brush', dump: 'fill, dump' };

/** Which chocolate, how a coat is made, how many; and what they come to. */
@Component({
  selector: 'ks-coat-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure, Pick, RouterLink, WeighedShellPanel],
  templateUrl: './coat-station.html',
  styleUrl: '../station.less',
})
export class CoatStation {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).draft;
  protected readonly limits = LIMITS;
  /** Less than a kitchen scale tells is not worth a line. */
  protected readonly leastFeetKg = 0.0001;
  protected readonly teaspoon = UNITS.teaspoon;
  protected readonly methods = METHODS.map((value) => ({ value, name: SHORT_METHOD_NAMES[value] }));
  protected readonly waysUp = WAYS_UP.map((value) => ({ value, name: WAY_UP_NAMES[value] }));
  protected readonly areas = COAT_AREAS.map((value) => ({ value, name: WHERE_NAMES[value] }));
  protected readonly fluidities = FLUIDITY_CLASSES.map((value) => ({ value, name: FLUIDITY_NAMES[value] }));
  protected readonly counts = COUNTS.map((value) => ({ value, name: value === 'aim' ? 'to thickness' : value }));
  protected readonly methodNames = METHOD_NAMES;

  protected readonly chocolates = computed(() => [...(this.plan()?.casting.chocolates ?? []).map(({ id, name, kind }) => ({ value: id, name: `${name} (${KIND_NAMES[kind]})` })), ...(this.plan()?.casting.tints ?? []).map(({ id, name }) => ({ value: id, name: `${name} (tint)` }))]);
  protected readonly melt = computed(() => {
    const plan = this.plan();
    return plan && meltOf(plan.casting, plan.coatsMade[0].shares[0].meltId);
  });
  protected readonly chocolate = computed(() => {
    const plan = this.plan();
    const melt = this.melt();
    return plan && melt && chocolateOf(plan.casting, melt);
  });
  protected readonly bandText = computed(() => {
    const chocolate = this.chocolate();
    if (!chocolate) return '';
    const system = this.units.system();
    return `${written(chocolate.workFromC, 'temperature', system).number} to ${text(chocolate.workToC, 'temperature', system)}; the packet wins`;
  });
  protected readonly fluidity = computed(() => nearestClass(this.chocolate()?.fluidity ?? 'medium'));
  protected readonly count = computed(() => (this.plan()?.part.coatsBy.by === 'thickness' ? 'aim' : (String(this.plan()?.coatsMade.length ?? 1) as Count)));

  /** Only where the wanted thickness asks for another time to stand than was chosen. */
  protected readonly otherDwell = computed(() => {
    const plan = this.plan();
    const dwell = plan?.coat.coats[0].dwell;
    return plan && dwell && Math.abs(dwell.value - plan.part.coats[0].dwellSeconds) > 0.5 ? dwell : undefined;
  });

  protected setChocolate(id: string): void {
    this.store.edit('chocolate', (casting) => {
      const melt = casting.melts.find((candidate) => candidate.id === this.melt()?.id);
      if (!melt) return;
      melt.source = casting.tints.some((tint) => tint.id === id) ? { kind: 'tint', tintId: id } : { kind: 'chocolate', chocolateId: id };
      suit(casting, melt.id);
    });
  }

  protected setFluidity(fluidity: FluidityClass): void {
    this.store.edit('fluidity', (casting) => {
      const ids = sharesOf(casting, meltOf(casting, this.melt()?.id ?? '')).map(({ chocolateId }) => chocolateId);
      for (const chocolate of casting.chocolates) if (ids.includes(chocolate.id)) chocolate.fluidity = fluidity;
    });
  }

  protected setWorking(workingC: number): void {
    this.store.edit('working temperature', (casting) => {
      const melt = casting.melts.find((candidate) => candidate.id === this.melt()?.id);
      if (melt) melt.workingC = workingC;
    }, 'working temperature');
  }

  protected setWanted(rimM: number): void {
    this.store.edit('wanted thickness', (casting) => {
      casting.parts[0].coatsBy = { by: 'thickness', rimM };
    }, 'wanted thickness');
  }

  protected setCount(count: Count): void {
    const plan = this.plan();
    if (!plan) return;
    this.store.edit('coats', (casting) => {
      const part = casting.parts[0];
      if (count === 'aim') {
        part.coatsBy = { by: 'thickness', rimM: nearestRim(plan.coat.total.rim.value) };
        return;
      }
      keepCoatsAsMade(casting, plan.coatsMade);
      while (part.coats.length < Number(count)) addCoat(casting);
      while (part.coats.length > Number(count)) removeCoat(casting);
    });
  }

  protected setMethod(method: Method): void {
    this.everyCoat('method', (coat) => {
      coat.method = method;
      if (method === 'dump') coat.where = 'all';
    });
  }

  protected setWayUp(wayUp: WayUp): void {
    this.everyCoat('way up', (coat) => (coat.wayUp = wayUp));
  }

  protected setDose(doseM3: number): void {
    this.everyCoat('dose', (coat) => (coat.doseM3 = doseM3), 'dose');
  }

  protected setDwell(seconds: number): void {
    this.everyCoat('dwell', (coat) => (coat.dwellSeconds = seconds), 'dwell');
  }

  protected setDrain(seconds: number): void {
    this.everyCoat('drain time', (coat) => (coat.drainSeconds = seconds), 'drain');
  }

  protected setTapping(seconds: number): void {
    this.everyCoat('tapping', (coat) => (coat.tappingSeconds = seconds), 'tapping');
  }

  protected setWhere(where: CoatArea): void {
    this.store.edit('where later coats go', (casting) => casting.parts[0].coats.slice(1).forEach((coat) => (coat.where = where)));
  }

  private everyCoat(label: string, change: (coat: Casting['parts'][number]['coats'][number]) => void, gesture?: string): void {
    this.store.edit(label, (casting) => casting.parts[0].coats.forEach(change), gesture);
  }
}

/** A computed rim thickness as a wanted one: to a tenth of a millimetre, within its limits. */
function nearestRim(rimM: number): number {
  const { low, high } = LIMITS.wantedRimM;
  return Math.min(high, Math.max(low, Math.round(rimM * 1e4) / 1e4));
}
