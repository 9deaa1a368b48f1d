import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { Casting, SpareRule } from '../../../core/record/casting';
import { dueSeconds, localTime } from '../../../core/record/due';
import { fillingOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { InOccasion } from '../../state/in-occasion';
import { PlanService } from '../../state/plan-service';
import { ShoppingList, type OnHand } from '../../state/shopping-list';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { answerRow, Answers, type AnswerRow } from '../../ui/answers';
import { Fold } from '../../ui/fold';
import { MomentField } from '../../ui/moment-field';
import { Estimate } from '../../ui/estimate';
import { Pick } from '../../ui/pick';
import { text } from '../../wording/format';
import { listed } from '../../wording/names';
import { dueHint, ownZone } from '../../wording/times';
import { toolsFor } from '../../wording/tools';
import { CastBefore } from './cast-before';
import { OccasionChoice } from './occasion-choice';
import { ScalePanel } from './scale-panel';
import { VariantList } from './variant-list';

/** How many pieces, by when, with which spares; and what the whole job takes. */
@Component({
  selector: 'ks-batch-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    Answers,
    CastBefore,
    Estimate,
    Fold,
    MomentField,
    NzButtonComponent,
    OccasionChoice,
    Pick,
    ScalePanel,
    VariantList,
  ],
  templateUrl: './batch-station.html',
  styleUrl: '../station.less',
})
export class BatchStation {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly inOccasion = inject(InOccasion);
  protected readonly plan = inject(PlanService).plan;
  protected readonly list = inject(ShoppingList);
  protected readonly rules = [
    { value: 'confidence' as const, name: 'by confidence' },
    { value: 'share' as const, name: 'flat share' },
  ];
  protected readonly hint = computed(() => {
    const due = this.plan()?.casting.due;
    return due ? dueHint(due) : '';
  });
  protected readonly tools = computed(() => {
    const plan = this.plan();
    return plan ? toolsFor(plan) : [];
  });
  protected readonly variantsName = computed(() => {
    const variants = this.plan()?.casting.variants ?? [];
    return variants.length === 0 ? 'Variants' : `Variants: ${listed(variants.map(({ name }) => name))}`;
  });
  protected readonly beforeName = computed(() => {
    const there = (this.plan()?.casting.parts ?? []).reduce((sum, part) => sum + (part.there?.parts ?? 0), 0);
    return there === 0 ? 'Cast before' : `Cast before: ${there}`;
  });
  protected readonly elsewhere = computed(() => this.plan()?.casting.due.zone !== ownZone());

  protected readonly answers = computed<readonly AnswerRow[]>(() => {
    const plan = this.plan();
    if (!plan) return [];
    const { total, handsOn, waiting, rounds } = plan.batch;
    const makes = this.list.makes();
    return [
      ...answerRow('Start by', plan.start, { strong: true, ...(this.inOccasion.part() ? { after: 'by itself' } : {}) }),
      ...plan.fillings.flatMap(({ fillingId, makeBy }) =>
        answerRow(`Make ${fillingOf(plan.casting, fillingId).name} by`, makeBy),
      ),
      ...answerRow('Minutes in all', total, { strong: true }),
      ...answerRow('Hands on', handsOn),
      ...answerRow('Waiting', waiting),
      ...answerRow('Rounds', rounds),
      ...answerRow('What is on hand makes', makes, { strong: true, after: makes?.value === 1 ? 'piece' : 'pieces' }),
    ];
  });

  /** Where the amount comes from. */
  protected onHandHint({ overruled, stockKg }: OnHand): string {
    if (!overruled) return stockKg === undefined ? 'not in the pantry' : 'as in the pantry';
    return stockKg === undefined ? '' : `the pantry says ${text(stockKg, 'mass', this.units.system())}`;
  }

  protected setPieces(pieces: number): void {
    this.store.edit(
      'pieces',
      (casting) => {
        casting.pieces = pieces;
      },
      'pieces',
    );
  }

  protected setDue(local: string): void {
    this.store.edit(
      'due time',
      (casting) => {
        casting.due = { local, zone: casting.due.zone };
      },
      'due',
    );
  }

  /** The same moment by one's own clocks. */
  protected takeOwnZone(): void {
    this.store.edit('time zone', (casting) => {
      casting.due = { local: localTime(dueSeconds(casting.due), ownZone()), zone: ownZone() };
    });
  }

  protected setRule(by: SpareRule['by']): void {
    this.setSpares(by === 'share' ? { by, share: 0.2 } : { by, confidence: 0.95 });
  }

  protected setSpares(rule: SpareRule): void {
    this.store.edit(
      'spares',
      (casting) => {
        casting.spareRule = rule;
      },
      'spares',
    );
  }

  /** What the computed chance would have come to in a round: to be overwritten by what was seen. */
  protected readonly firstSeen = computed(() => {
    const plan = this.plan();
    const cast = plan?.batch.byPart[0].parts.value ?? 20;
    return { cast, broken: Math.round(cast * (plan?.coat.breakChance.value ?? 0.1)) };
  });
  protected readonly fewer = computed(
    () => (cast: number) =>
      cast < (this.plan()?.casting.breakages?.broken ?? 0) ? 'Fewer than broke: type how many were cast in all.' : '',
  );
  protected readonly more = computed(
    () => (broken: number) =>
      broken > (this.plan()?.casting.breakages?.cast ?? Infinity)
        ? 'More than were cast: type how many of them broke.'
        : '',
  );

  protected setBreakages(seen: Casting['breakages']): void {
    this.store.edit(
      'breakages',
      (casting) => {
        if (seen) casting.breakages = seen;
        else delete casting.breakages;
      },
      'breakages',
    );
  }

  /** Says how much of a chocolate is on hand, whatever the pantry holds; goes by the pantry again for undefined. */
  protected setOnHand(chocolateId: string, kg: number | undefined): void {
    this.store.edit(
      'chocolate on hand',
      (casting) => {
        casting.onHand = [
          ...casting.onHand.filter((one) => one.chocolateId !== chocolateId),
          ...(kg === undefined ? [] : [{ chocolateId, kg }]),
        ];
      },
      `on hand ${chocolateId}`,
    );
  }
}
