import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { mugRoomM } from '../../../core/mold/mold';
import { cavityRecordOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { text } from '../../wording/format';

const USUAL_MUG_M = 0.08;

/** The mug a piece is served in, and whether it goes in and has room to come open. */
@Component({
  selector: 'ks-mug-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, NzButtonComponent],
  template: `
    @if (diameterM(); as mugM) {
      <ks-amount-field
        label="Mug, across inside"
        [value]="mugM"
        limit="mugDiameterM"
        [hint]="fits()"
        (amount)="set($event.value)"
      />
      <button nz-button nzType="link" type="button" class="small" (click)="set(undefined)">Not served in a mug</button>
    } @else {
      <button nz-button nzType="link" type="button" class="small" (click)="set(usualM)">
        Served in a mug? See whether it fits
      </button>
    }
  `,
  styleUrl: '../station.less',
  styles: ':host { display: grid; gap: 10px; }',
})
export class MugFields {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly plan = inject(PlanService).draft;
  protected readonly usualM = USUAL_MUG_M;
  protected readonly diameterM = computed(() => this.plan()?.casting.mugDiameterM);
  protected readonly fits = computed(() => {
    const plan = this.plan();
    const mugM = this.diameterM();
    if (!plan || mugM === undefined) return '';
    const room = mugRoomM(cavityRecordOf(plan.moldRecord, plan.part).shape, plan.cavity, mugM);
    const written = text(Math.abs(room), 'length', this.units.system());
    return room >= 0
      ? `Goes into the mug, with ${written} to spare.`
      : `Too wide for the mug by ${written}, with room to come open.`;
  });

  protected set(mugDiameterM: number | undefined): void {
    this.store.edit(
      'mug',
      (casting) => {
        if (mugDiameterM === undefined) delete casting.mugDiameterM;
        else casting.mugDiameterM = mugDiameterM;
      },
      'mug',
    );
  }
}
