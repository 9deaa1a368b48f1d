import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { dropUnused, meltFrom } from '../../../core/edit/melting';
import type { FinishAnswer } from '../../../core/finish/finish';
import { UNITS } from '../../../core/quantity/units';
import type { Casting, Finish } from '../../../core/record/casting';
import { STUCK_BY } from '../../../core/record/choices';
import type { LimitName } from '../../../core/record/limits';
import { sourceKey } from '../../../core/record/melting';
import { fillingOf, meltOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { Fillings } from '../../state/fillings';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { Tool } from '../../ui/tool';
import { FINISH_NAMES, finishText, STUCK_NAMES } from '../../wording/closing';
import type { Option } from '../../wording/option';

/** What is stuck on: a part that is cast, or something of the pantry; told apart by a letter before the id. */
const OF_PART = 'p:';
const OF_PANTRY = 'f:';

type AmountKey = 'share' | 'lineM' | 'count' | 'drying';

/** What a finish is chosen of. */
interface Choice {
  readonly label: string;
  readonly options: readonly Option<string>[];
  readonly value: string;
  readonly choose: (value: string) => void;
}

/** How much of it, or how long it dries. */
interface Amount {
  readonly key: AmountKey;
  readonly label: string;
  readonly value: number;
  readonly limit: LimitName;
}

/** What is done to a piece, in the order it is done: of what, how much, and what that takes. */
@Component({
  selector: 'ks-finish-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure, LucideTrash2, NzButtonComponent, Tool],
  templateUrl: './finish-list.html',
  styleUrls: ['../station.less', './finish-list.less'],
})
export class FinishList {
  private readonly store = inject(CastingStore);
  private readonly plan = inject(PlanService).draft;
  private readonly sources = inject(Sources);
  private readonly fillings = inject(Fillings);
  protected readonly minute = UNITS.minute;
  protected readonly stuckOn = computed(() => [
    ...(this.plan()?.parts ?? [])
      .filter(({ part }) => part.role === 'ornament')
      .map(({ part }) => ({ value: OF_PART + part.id, name: `${part.name}, cast here` })),
    ...this.fillings.options().map(({ value, name }) => ({ value: OF_PANTRY + value, name })),
  ]);
  protected readonly rows = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    return plan.finishes.map((one) => ({
      one,
      id: one.finish.id,
      name: FINISH_NAMES[one.finish.kind],
      text: finishText(one),
      choices: this.choicesOf(plan.casting, one.finish),
      amounts: amountsOf(one),
    }));
  });

  protected remove(id: string): void {
    this.store.edit('take a finish off', (casting) => {
      casting.finishes = casting.finishes.filter((finish) => finish.id !== id);
      dropUnused(casting);
    });
  }

  protected setSource(id: string, source: string): void {
    this.change(id, 'chocolate for finishing', (finish, casting) => {
      const from = this.sources.take(casting, source);
      if (from && 'meltId' in finish) finish.meltId = meltFrom(casting, from, finish.meltId).id;
      dropUnused(casting);
    });
  }

  protected setFilling(id: string, fillingId: string): void {
    this.change(id, 'what is put on', (finish, casting) => {
      if (finish.kind === 'sprinkle' && this.fillings.take(casting, fillingId))
        Object.assign(finish, { fillingId, name: fillingOf(casting, fillingId).name });
    });
  }

  protected setStuck(id: string, choice: string): void {
    this.change(id, 'what is stuck on', (finish, casting) => {
      if (finish.kind !== 'stickOn') return;
      const its = choice.slice(OF_PART.length);
      if (choice.startsWith(OF_PART)) {
        delete finish.fillingId;
        Object.assign(finish, {
          partId: its,
          name: casting.parts.find((part) => part.id === its)?.name ?? finish.name,
        });
      } else if (this.fillings.take(casting, its)) {
        delete finish.partId;
        Object.assign(finish, { fillingId: its, name: fillingOf(casting, its).name });
      }
    });
  }

  protected setHeld(id: string, by: string): void {
    this.change(id, 'how it is stuck on', (finish) => {
      const held = STUCK_BY.find((one) => one === by);
      if (finish.kind === 'stickOn' && held) finish.by = held;
    });
  }

  protected setAmount(id: string, key: AmountKey, value: number): void {
    const label = key === 'drying' ? 'drying time' : 'finish';
    this.change(
      id,
      label,
      (finish) => {
        if (key === 'drying') finish.sets = [{ place: 'room', seconds: value }];
        else if (key in finish) Object.assign(finish, { [key]: value });
      },
      `${id} ${key}`,
    );
  }

  private choicesOf(casting: Casting, finish: Finish): readonly Choice[] {
    const { id } = finish;
    const source = (label: string, meltId: string): Choice => ({
      label,
      options: this.sources.options(),
      value: sourceKey(meltOf(casting, meltId).source),
      choose: (value) => this.setSource(id, value),
    });
    switch (finish.kind) {
      case 'drizzle':
        return [source('With', finish.meltId)];
      case 'sprinkle':
        return [
          {
            label: 'With',
            options: this.fillings.options(),
            value: finish.fillingId,
            choose: (value) => this.setFilling(id, value),
          },
        ];
      case 'stickOn':
        return [
          {
            label: 'What',
            options: this.stuckOn(),
            value: finish.partId === undefined ? OF_PANTRY + (finish.fillingId ?? '') : OF_PART + finish.partId,
            choose: (value) => this.setStuck(id, value),
          },
          {
            label: 'Held by',
            options: STUCK_BY.map((value) => ({ value, name: STUCK_NAMES[value] })),
            value: finish.by,
            choose: (value) => this.setHeld(id, value),
          },
          ...(finish.by === 'dot' ? [source('On a dot of', finish.meltId)] : []),
        ];
      default:
        return [];
    }
  }

  private change(
    id: string,
    label: string,
    change: (finish: Finish, casting: Casting) => void,
    gesture?: string,
  ): void {
    this.store.edit(
      label,
      (casting) => {
        const finish = casting.finishes.find((candidate) => candidate.id === id);
        if (finish) change(finish, casting);
      },
      gesture,
    );
  }
}

function amountsOf({ finish, wet, dries }: FinishAnswer): readonly Amount[] {
  const drying: Amount[] =
    dries.value > 0 ? [{ key: 'drying', label: 'Dries for', value: dries.value, limit: 'setMinutesS' }] : [];
  if (finish.kind === 'stickOn')
    return [{ key: 'count', label: 'On a piece', value: finish.count, limit: 'stickOnCount' }, ...drying];
  const share: Amount = {
    key: 'share',
    label: wet ? 'Of the open face' : 'Of the outside',
    value: finish.share,
    limit: 'finishShare',
  };
  return finish.kind === 'drizzle'
    ? [share, { key: 'lineM', label: 'Thread, wide', value: finish.lineM, limit: 'lineM' }, ...drying]
    : [share, ...drying];
}
