import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { heaps } from '../../../core/fill/fill';
import { firmnessOf, heldShare, type Firmness } from '../../../core/fill/firmness';
import { otherHalf } from '../../../core/plan/draft';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { Answers } from '../../ui/answers';
import { Fold } from '../../ui/fold';
import { Pick } from '../../ui/pick';
import { KEEPING_TEXTS } from '../../wording/closing';
import { capital, text } from '../../wording/format';
import { FIRMNESS_TEXTS, makingOf } from '../../wording/larder';
import { ALLERGEN_NAMES, FILLING_NAMES, listed } from '../../wording/names';
import { fillAnswers } from './fill-answers';
import { Cautions } from '../cautions/cautions';
import { FillLayers } from './fill-layers';

/** What goes inside the open part, and whether it closes. */
@Component({
  selector: 'ks-fill-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Answers, Cautions, FillLayers, Fold, NzButtonComponent, Pick, RouterLink],
  templateUrl: './fill-station.html',
  styleUrls: ['../station.less', './fill-station.less'],
})
export class FillStation {
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).draft;
  protected readonly filledWays = [
    { value: 'one' as const, name: 'one of them' },
    { value: 'all' as const, name: 'every one' },
  ];
  protected readonly heapWays = [
    { value: 'no' as const, name: 'up to the rim' },
    { value: 'yes' as const, name: 'heaped' },
  ];
  protected readonly answers = computed(() => {
    const plan = this.plan();
    return plan ? fillAnswers(plan) : [];
  });
  protected readonly told = computed(() => {
    const piece = this.plan()?.piece;
    const allergens = listed((piece?.allergens ?? []).map((allergen) => ALLERGEN_NAMES[allergen]));
    return `Contains ${allergens || 'none of the listed allergens'}: name them to your guests, and check every packet. It ${KEEPING_TEXTS[piece?.keeping ?? 'dry']}.`;
  });
  /** How what stands by its fat stands, warm and cold. */
  protected readonly stands = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const { fillings, chocolates, kitchen } = plan.casting;
    const system = this.units.system();
    return [...new Set(plan.fill.layers.map(({ choice }) => choice.filling))].flatMap((filling) => {
      const at = (celsius: number): Firmness | undefined => {
        const held = heldShare(fillings, chocolates, filling, celsius);
        return held === undefined ? undefined : firmnessOf(held);
      };
      const [warm, cold] = [at(kitchen.roomC), at(kitchen.fridgeC)];
      if (!warm || !cold) return [];
      const given = warm === 'runs' || warm === 'oozes' ? ' Fine from the fridge, not for giving.' : '';
      return [
        `${filling.name} ${FIRMNESS_TEXTS[warm]} at ${text(kitchen.roomC, 'temperature', system)}; from the fridge it ${FIRMNESS_TEXTS[cold]}.${given}`,
      ];
    });
  });
  /** How each kind that is made at home is made, the schools side by side. */
  protected readonly making = computed(() =>
    [...new Set((this.plan()?.fill.layers ?? []).map(({ choice }) => choice.filling.kind))].flatMap((kind) =>
      makingOf(kind).map(({ name, steps }) => ({ name: `${capital(FILLING_NAMES[kind])}, ${name}`, steps })),
    ),
  );
  /** Loose things on top, and another half for them to stand up into. */
  protected readonly mayHeap = computed(() => {
    const plan = this.plan();
    const top = plan?.fill.layers.at(-1);
    return (
      plan !== undefined &&
      top !== undefined &&
      heaps(top.choice.filling) &&
      otherHalf(plan.part, plan.parts) !== undefined
    );
  });

  protected setFilled(filled: 'one' | 'all'): void {
    this.open.edit('which are filled', (part) => (part.filled = filled));
  }

  protected setHeaped(choice: 'yes' | 'no'): void {
    this.open.edit('heaped', (part) => (part.heaped = choice === 'yes'));
  }
}
