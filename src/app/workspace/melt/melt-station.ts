import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { madeOf } from '../../../core/plan/melts';
import { OpenMelt } from '../../state/open-melt';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { answerRow, Answers, type AnswerRow } from '../../ui/answers';
import { Estimate } from '../../ui/estimate';
import { Fold } from '../../ui/fold';
import { meltHands } from '../../wording/melt-hands';
import { FieldScope } from '../../ui/field-scope';
import { capital } from '../../wording/format';
import { temperText, thickenedText } from '../../wording/melting';
import { VESSEL_NAMES } from '../../wording/names';
import { KitchenOffer } from '../offers/kitchen-offer';
import { MeltChocolate } from './melt-chocolate';
import { MeltMaking } from './melt-making';

/** Which chocolate, how it is melted and tempered, how warm it is worked; and what it takes to keep it so. */
@Component({
  selector: 'ks-melt-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Answers, Estimate, FieldScope, Fold, KitchenOffer, MeltChocolate, MeltMaking],
  templateUrl: './melt-station.html',
  styleUrl: '../station.less',
})
export class MeltStation {
  private readonly units = inject(Units);
  protected readonly open = inject(OpenMelt);
  protected readonly plan = inject(PlanService).plan;
  protected readonly made = computed(() => madeOf(this.plan(), this.open.id()));
  protected readonly answers = computed<readonly AnswerRow[]>(() => {
    const made = this.made();
    if (!made) return [];
    const { input, lots, perLot, seed, melted, lumps, reheat } = made;
    const inAll = this.plan()?.batch.melts.find(({ meltId }) => meltId === input.meltId)?.melted;
    return [
      ...answerRow('In all, from Batch', inAll, { strong: true }),
      ...answerRow(`${capital(VESSEL_NAMES[input.way])}s: ${lots}, each`, lots > 1 ? perLot : undefined),
      ...answerRow('Melted at first', seed.value > 0 ? melted : undefined),
      ...answerRow('Seed that stays', lumps),
      ...answerRow('Each reheat', reheat),
    ];
  });
  protected readonly thickened = computed(() => {
    const made = this.made();
    return made ? thickenedText(made, this.units.system()) : '';
  });
  protected readonly byHand = computed(() => {
    const made = this.made();
    return made ? meltHands(made.input) : [];
  });
  protected readonly temper = computed(() => {
    const made = this.made();
    return made ? temperText(made, this.units.system()) : '';
  });
}
