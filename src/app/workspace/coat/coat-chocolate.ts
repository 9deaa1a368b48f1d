import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { FLUIDITY_CLASSES, nearestClass, type FluidityClass } from '../../../core/matter/chocolate';
import type { Casting } from '../../../core/record/casting';
import { pourFrom, streakInto } from '../../../core/edit/melting';
import { sourceKey } from '../../../core/record/melting';
import { chocolateOf, meltOf, sharesOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { coatNameIn } from '../../wording/coats';
import { text, written } from '../../wording/format';
import { FLUIDITY_NAMES } from '../../wording/names';

/** Which chocolate the open part's coats are poured from, what is streaked into it, how it runs and how warm it is worked. */
@Component({
  selector: 'ks-coat-chocolate',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, NzButtonComponent],
  templateUrl: './coat-chocolate.html',
  styleUrl: '../station.less',
})
export class CoatChocolate {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  private readonly plan = inject(PlanService).draft;
  protected readonly fluidities = FLUIDITY_CLASSES.map((value) => ({ value, name: FLUIDITY_NAMES[value] }));
  /** What names its fields among all others. */

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
}

/** A streak of this share marbles without muddying. Common practice, no source. */
const USUAL_STREAK = 0.25;

/** What a melt is made of, by the id of its chocolate or tint. */
function keyOf(casting: Casting, meltId: string): string {
  return sourceKey(meltOf(casting, meltId).source);
}
