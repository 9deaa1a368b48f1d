import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { Casting, Finish } from '../../../core/record/casting';
import { MOST } from '../../../core/record/limits';
import { fillingOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { Fillings } from '../../state/fillings';
import { newId } from '../../state/new-id';
import { PlanService } from '../../state/plan-service';
import { answerRow, Answers } from '../../ui/answers';
import { FINISH_NAMES } from '../../wording/closing';
import { Cautions } from '../cautions/cautions';
import { FinishList } from './finish-list';

const KINDS = Object.keys(FINISH_NAMES) as Finish['kind'][];

/** What is done to a piece when it is closed: drizzle, sprinkles, dust, paint, stuck-on parts. */
@Component({
  selector: 'ks-finish-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Answers, Cautions, FinishList, NzButtonComponent],
  templateUrl: './finish-station.html',
  styleUrls: ['../station.less', './finish-station.less'],
})
export class FinishStation {
  private readonly store = inject(CastingStore);
  private readonly fillings = inject(Fillings);
  private readonly plans = inject(PlanService);
  protected readonly plan = this.plans.draft;
  protected readonly names = FINISH_NAMES;
  protected readonly kinds = KINDS;
  protected readonly full = computed(() => (this.plan()?.casting.finishes.length ?? 0) >= MOST.finishes);
  protected readonly usesDust = computed(
    () => this.plan()?.casting.finishes.some(({ kind }) => kind === 'dust' || kind === 'paint') ?? false,
  );
  protected readonly answers = computed(() => [
    ...answerRow('A piece weighs', this.plan()?.piece.mass, { strong: true }),
    ...answerRow('Its face stays wet in the room', this.plans.plan()?.wet),
  ]);

  protected add(kind: Finish['kind']): void {
    this.store.edit(`add ${FINISH_NAMES[kind]}`, (casting) => {
      const finish = this.usual(casting, kind);
      if (finish) casting.finishes.push(finish);
    });
  }

  private usual(casting: Casting, kind: Finish['kind']): Finish | undefined {
    const id = `finish-${newId().slice(0, 8)}`;
    const meltId = casting.parts[0].coats[0].shares[0].meltId;
    const common = { id, name: FINISH_NAMES[kind], sets: [] };
    switch (kind) {
      case 'drizzle':
        return { ...common, kind, meltId, share: 0.2, lineM: 0.002 };
      case 'dust':
      case 'paint':
        return { ...common, kind, share: 0.2 };
      case 'sprinkle': {
        const fillingId =
          this.fillings.options().find(({ value }) => value === 'seeds')?.value ?? this.fillings.options()[0]?.value;
        return fillingId !== undefined && this.fillings.take(casting, fillingId)
          ? { ...common, name: fillingOf(casting, fillingId).name, kind, fillingId, share: 0.15 }
          : undefined;
      }
      case 'stickOn': {
        const ornament = casting.parts.find(({ role }) => role === 'ornament');
        if (ornament)
          return {
            ...common,
            name: ornament.name,
            kind,
            meltId,
            partId: ornament.id,
            count: ornament.perPiece,
            by: 'dot',
          };
        const fillingId =
          this.fillings.options().find(({ value }) => value === 'lentils')?.value ?? this.fillings.options()[0]?.value;
        return fillingId !== undefined && this.fillings.take(casting, fillingId)
          ? { ...common, name: fillingOf(casting, fillingId).name, kind, meltId, fillingId, count: 1, by: 'dot' }
          : undefined;
      }
    }
  }
}
