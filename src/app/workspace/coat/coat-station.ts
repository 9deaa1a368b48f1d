import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { FLUIDITY_CLASSES, nearestClass, type FluidityClass } from '../../../core/matter/chocolate';
import type { Casting, Coat } from '../../../core/record/casting';
import { COAT_AREAS, PLACES, WAYS_UP, type CoatArea, type Place, type WayUp } from '../../../core/record/choices';
import {
  fillsLevel,
  isChilled,
  isClamped,
  isTurned,
  laidAnywhere,
  setsUpright,
  tippedOut,
  type Method,
} from '../../../core/record/method';
import type { Dimension } from '../../../core/quantity/answer';
import { type Limit, LIMITS, within } from '../../../core/record/limits';
import { pourFrom, streakInto } from '../../../core/edit/melting';
import { sourceKey } from '../../../core/record/melting';
import { cavityRecordOf, chocolateOf, meltOf, sharesOf } from '../../../core/record/references';
import { makeTogether } from '../../../core/edit/methods';
import { methodsFor } from '../../../core/plan/methods';
import { addCoat, keepCoatsAsMade, removeCoat } from '../../../core/edit/remedy';
import { UNITS } from '../../../core/quantity/units';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { Units } from '../../state/units';
import { AmountField, type TypedAmount } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Estimate } from '../../ui/estimate';
import { Figure } from '../../ui/figure';
import { MissingPart } from '../../ui/missing-part';
import { Pick } from '../../ui/pick';
import { coatNameIn } from '../../wording/coats';
import { spoons, text, written } from '../../wording/format';
import { WeighedShellPanel } from './weighed-shell-panel';
import { FLUIDITY_NAMES, METHOD_NAMES, PLACE_NAMES, WAY_UP_NAMES, WHERE_NAMES } from '../../wording/names';

/** Coats by number, or as many as a wanted thickness asks for. */
const COUNTS = ['1', '2', '3', '4', 'aim'] as const;
type Count = (typeof COUNTS)[number];

/** Which chocolate, how a coat is made, how many; and what they come to. */
@Component({
  selector: 'ks-coat-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    ChoiceList,
    Estimate,
    Figure,
    MissingPart,
    NzButtonComponent,
    Pick,
    RouterLink,
    WeighedShellPanel,
  ],
  templateUrl: './coat-station.html',
  styleUrl: '../station.less',
})
export class CoatStation {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).draft;
  /** Less than a kitchen scale tells is not worth a line. */
  protected readonly leastFeetKg = 0.0001;
  protected readonly teaspoon = UNITS.teaspoon;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
  protected readonly waysUp = WAYS_UP.map((value) => ({ value, name: WAY_UP_NAMES[value] }));
  protected readonly areas = COAT_AREAS.map((value) => ({ value, name: WHERE_NAMES[value] }));
  protected readonly fluidities = FLUIDITY_CLASSES.map((value) => ({ value, name: FLUIDITY_NAMES[value] }));
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
  /** Layers together fill no more than the cavity: why a share of one cannot be taken. */
  protected readonly refusals = computed(() =>
    (this.plan()?.part.coats ?? []).map((_, index, coats) => (value: number, dimension: Dimension) => {
      const share = this.shareOf(value, dimension);
      const others = coats.reduce(
        (sum, coat, i) => sum + (i === index || isClamped(coat.method) ? 0 : coat.volumeShare),
        0,
      );
      return share + others > 1 + 1e-9
        ? `The other layers take ${text(others, 'share', this.units.system())}; together they cannot be more than the cavity.`
        : '';
    }),
  );
  /** A fill is told by its share of the cavity, its weight or its volume. */
  protected readonly shareLimits = computed<readonly Limit[]>(() => {
    const mold = this.plan()?.mold;
    const { low, high } = LIMITS.volumeShare;
    const scaled = (dimension: Dimension, whole: number): Limit => ({
      dimension,
      low: low * whole,
      high: high * whole,
    });
    return mold
      ? [LIMITS.volumeShare, scaled('mass', mold.solid.value), scaled('volume', mold.volume.value)]
      : [LIMITS.volumeShare];
  });
  protected readonly tipped = computed(() => tippedOut(this.method()));
  protected readonly chilled = computed(() => isChilled(this.method()));
  protected readonly turned = computed(() => isTurned(this.method()));
  protected readonly clamped = computed(() => isClamped(this.method()));
  /** A share of the cavity, filled from below; not what is clamped on it. */
  protected readonly isLayer = ({ method }: { readonly method: Method }): boolean =>
    fillsLevel(method) && !isClamped(method);
  protected readonly anywhere = computed(() => laidAnywhere(this.method()));
  protected readonly asItStands = computed(() => setsUpright(this.method()));

  protected readonly sources = inject(Sources);
  /** Asked for each coat by itself, though they are alike so far. */
  private readonly apart = signal(false);
  /** What each coat is poured from, and what is streaked into it; coats alike are one. */
  protected readonly pours = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const pours = plan.part.coats.map(({ shares }, i) => ({
      coats: [i],
      label: `Chocolate of ${coatNameIn(plan.part.coats, i).toLowerCase()}`,
      value: keyOf(plan.casting, shares[0].meltId),
      streak: shares[1] && { value: keyOf(plan.casting, shares[1].meltId), share: shares[1].share },
    }));
    const alike = pours.every(
      (pour) => JSON.stringify([pour.value, pour.streak]) === JSON.stringify([pours[0].value, pours[0].streak]),
    );
    return alike && !(this.apart() && pours.length > 1)
      ? [{ ...pours[0], coats: pours.map((_, i) => i), label: 'Chocolate' }]
      : pours;
  });
  protected readonly mayPart = computed(() => this.pours().length === 1 && (this.plan()?.part.coats.length ?? 1) > 1);
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
  protected readonly count = computed(() =>
    this.plan()?.part.coatsBy.by === 'thickness' ? 'aim' : (String(this.plan()?.coatsMade.length ?? 1) as Count),
  );

  /** Only where the wanted thickness asks for another time to stand than was chosen. */
  protected readonly otherDwell = computed(() => {
    const plan = this.plan();
    const dwell = plan?.coat.coats[0].dwell;
    return plan && dwell && Math.abs(dwell.value - plan.part.coats[0].dwellSeconds) > 0.5 ? dwell : undefined;
  });

  protected setChocolate(coats: readonly number[], id: string): void {
    this.open.edit('chocolate', (part, casting) => {
      const source = this.sources.take(casting, id);
      if (source)
        pourFrom(
          casting,
          coats.map((i) => part.coats[i]),
          source,
        );
    });
  }

  /** Streaks another into coats for a share of them; 0 takes it out. */
  protected setStreak(coats: readonly number[], id: string, share: number): void {
    this.open.edit(
      'streaked chocolate',
      (part, casting) => {
        const source = this.sources.take(casting, id);
        if (source) for (const i of coats) streakInto(casting, part.coats[i], source, share);
      },
      `streak ${coats[0]}`,
    );
  }

  /** The first source that is another than the coat's own. */
  protected streak(coats: readonly number[], own: string): void {
    const other = this.sources.options().find(({ value }) => value !== own);
    if (other) this.setStreak(coats, other.value, USUAL_STREAK);
  }

  protected partCoats(): void {
    this.apart.set(true);
  }

  protected setFluidity(fluidity: FluidityClass): void {
    this.store.edit('fluidity', (casting) => {
      const ids = sharesOf(casting, meltOf(casting, this.melt()?.id ?? '')).map(({ chocolateId }) => chocolateId);
      for (const chocolate of casting.chocolates) {
        if (!ids.includes(chocolate.id)) continue;
        chocolate.fluidity = fluidity;
        // A class is known no better than classes are.
        delete chocolate.fluidityWithin;
      }
    });
  }

  protected setWorking(workingC: number): void {
    this.store.edit(
      'working temperature',
      (casting) => {
        const melt = casting.melts.find((candidate) => candidate.id === this.melt()?.id);
        if (melt) melt.workingC = workingC;
      },
      'working temperature',
    );
  }

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

  protected name(index: number): string {
    return coatNameIn(this.plan()?.coatsMade, index);
  }

  /** A share of the cavity, a weight or a volume as that share. */
  private shareOf(value: number, dimension: Dimension): number {
    const mold = this.plan()?.mold;
    const whole = dimension === 'mass' ? mold?.solid.value : dimension === 'volume' ? mold?.volume.value : 1;
    return value / (whole ?? 1);
  }

  protected setFilled(index: number, { value, dimension }: TypedAmount): void {
    this.setShare(index, this.shareOf(value, dimension));
  }

  /** What a fill comes to in weight and spoons. */
  protected fillHint(index: number): string {
    const coat = this.plan()?.coat.coats[index];
    if (!coat) return '';
    const { number, unit } = spoons(coat.spooned.value);
    return `${text(coat.mass.value, 'mass', this.units.system())}, ${number} ${unit}; a share, grams or spoons`;
  }

  private setShare(index: number, share: number): void {
    this.open.edit(
      'layer',
      ({ coats }) => {
        coats[index].volumeShare = share;
        const top = coats[coats.length - 1];
        const filled = coats.reduce((sum, { method, volumeShare }) => (isClamped(method) ? sum : sum + volumeShare), 0);
        if (isClamped(top.method)) top.volumeShare = Math.max(LIMITS.volumeShare.low, 1 - filled);
      },
      `share ${index}`,
    );
  }

  protected setStandsIn(place: Place): void {
    this.everyCoat('where it stands', (coat) => (coat.standsIn = place));
  }

  protected setTurn(seconds: number): void {
    this.everyCoat('turning', (coat) => (coat.turnSeconds = seconds), 'turn');
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
    this.open.edit('where later coats go', ({ coats }) => coats.slice(1).forEach((coat) => (coat.where = where)));
  }

  private everyCoat(label: string, change: (coat: Coat) => void, gesture?: string): void {
    this.open.edit(label, ({ coats }) => coats.forEach(change), gesture);
  }
}

/** A streak of this share marbles without muddying. Common practice, no source. */
const USUAL_STREAK = 0.25;

/** What a melt is made of, by the id of its chocolate or tint. */
function keyOf(casting: Casting, meltId: string): string {
  return sourceKey(meltOf(casting, meltId).source);
}

/** A computed rim thickness as a wanted one: to a tenth of a millimetre, within its limits. */
function nearestRim(rimM: number): number {
  return within(LIMITS.wantedRimM, rimM, 1e-4);
}
