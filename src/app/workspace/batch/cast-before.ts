import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { isCapped } from '../../../core/plan/capping';
import type { Part } from '../../../core/record/casting';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { MomentField } from '../../ui/moment-field';

/** Of each part, how many were cast on an earlier day and are whole: they need not be cast again. */
@Component({
  selector: 'ks-cast-before',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, MomentField, NzButtonComponent],
  template: `
    @for (part of parts(); track part.id) {
      @if (part.there; as there) {
        <div class="pair">
          <ks-amount-field
            [label]="part.name + ' there already'"
            [field]="'there ' + part.id"
            [value]="there.parts"
            [whole]="true"
            limit="partsThere"
            [hint]="part.hint"
            (amount)="set(part.id, { parts: $event.value, on: there.on })"
          />
          <ks-moment-field
            [label]="part.name + ' cast on'"
            [value]="there.on ?? ''"
            [withTime]="false"
            (moment)="set(part.id, { parts: there.parts, on: $event || undefined })"
          />
        </div>
        <button nz-button nzType="link" type="button" class="small" (click)="set(part.id, undefined)">
          None of {{ part.name }} is there
        </button>
      } @else {
        <button nz-button nzType="link" type="button" class="small" (click)="set(part.id, { parts: part.needed })">
          Some of {{ part.name }} was cast before?
        </button>
      }
    }
  `,
  styleUrl: '../station.less',
})
export class CastBefore {
  private readonly store = inject(CastingStore);
  private readonly plan = inject(PlanService).plan;
  protected readonly parts = computed(() => {
    const plan = this.plan();
    return (plan?.casting.parts ?? []).map(({ id, name, there, perPiece }) => {
      const needed = perPiece * (plan?.casting.pieces ?? 1);
      const over = (there?.parts ?? 0) - needed;
      return {
        id,
        name,
        there,
        needed,
        hint:
          (over > 0 ? `${over} more than the pieces take` : `${needed} are wanted in all`) +
          (plan && isCapped(plan, id) ? '; those that are there are filled and capped' : ''),
      };
    });
  });

  protected set(partId: string, there: Part['there']): void {
    this.store.edit(
      'cast before',
      (casting) => {
        const part = casting.parts.find(({ id }) => id === partId);
        if (!part) return;
        if (there) part.there = there.on === undefined ? { parts: there.parts } : { parts: there.parts, on: there.on };
        else delete part.there;
      },
      `there ${partId}`,
    );
  }
}
