import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { pieceWidthM } from '../../../core/fill/packing';
import type { Part } from '../../../core/record/casting';
import { fillingOf } from '../../../core/record/references';
import { Fillings } from '../../state/fillings';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { mixedInText, STICK_TEXT } from '../../wording/coating';

/** What is stirred in and how long a stick is to begin with. Common practice, no source. */
const USUAL_SHARE = 0.05;
const USUAL_STICK = { thickM: 0.004, insideM: 0.025 };
/** What is usually stirred in, where the pantry has it. */
const USUAL_FILLING = 'seeds';

/** What goes into the open part's coats beside chocolate: something stirred in, and a stick in what is filled from below. */
@Component({
  selector: 'ks-coat-extras',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, NzButtonComponent],
  template: `
    <div class="fields">
      @if (mixed(); as one) {
        <div class="pair">
          <ks-choice-list
            label="Stirred in"
            [options]="fillings.options()"
            [value]="one.fillingId"
            (chosen)="setMixed($event, one.share)"
          />
          <ks-amount-field
            label="Of its weight"
            [value]="one.share"
            limit="mixInShare"
            (amount)="setMixed(one.fillingId, $event.value)"
          />
        </div>
        <p class="plain">{{ one.text }}</p>
      }
      @if (stick(); as one) {
        <div class="pair">
          <ks-amount-field
            label="Stick, thick"
            [value]="one.thickM"
            limit="stickM"
            (amount)="setStick({ thickM: $event.value, insideM: one.insideM })"
          />
          <ks-amount-field
            label="Reaches in"
            [value]="one.insideM"
            limit="stickInsideM"
            (amount)="setStick({ thickM: one.thickM, insideM: $event.value })"
          />
        </div>
        <p class="plain">{{ stickText }}</p>
      }
      <p class="links">
        @if (mixed()) {
          <button nz-button nzType="link" type="button" class="small" (click)="clearMixed()">Nothing stirred in</button>
        } @else {
          <button nz-button nzType="link" type="button" class="small" (click)="stirIn()">Stir something in</button>
        }
        @if (stick()) {
          <button nz-button nzType="link" type="button" class="small" (click)="setStick(undefined)">No stick</button>
        } @else if (solid()) {
          <button nz-button nzType="link" type="button" class="small" (click)="setStick(usualStick)">
            Put a stick in
          </button>
        }
      </p>
    </div>
  `,
  styleUrl: '../station.less',
})
export class CoatExtras {
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).draft;
  protected readonly fillings = inject(Fillings);
  protected readonly usualStick = USUAL_STICK;
  protected readonly stickText = STICK_TEXT;
  protected readonly solid = computed(() => !!this.plan()?.coat.body);
  protected readonly stick = computed(() => this.plan()?.part.stick);
  /** What is stirred in, of the first coat that has it, and what it does to its look. */
  protected readonly mixed = computed(() => {
    const plan = this.plan();
    const mixIn = plan?.part.coats.find((coat) => coat.mixIn)?.mixIn;
    if (!plan || !mixIn) return undefined;
    return { ...mixIn, text: mixedInText(pieceWidthM(fillingOf(plan.casting, mixIn.fillingId))) };
  });

  protected stirIn(): void {
    const options = this.fillings.options();
    const usual = options.find(({ value }) => value === USUAL_FILLING) ?? options[0];
    if (usual) this.setMixed(usual.value, USUAL_SHARE);
  }

  /** Stirs it into every coat of the part, as they come from one bowl. */
  protected setMixed(fillingId: string, share: number): void {
    this.open.edit(
      'what is stirred in',
      (part, casting) => {
        if (!this.fillings.take(casting, fillingId)) return;
        for (const coat of part.coats) coat.mixIn = { fillingId, share };
      },
      'stirred in',
    );
  }

  protected clearMixed(): void {
    this.open.edit('nothing stirred in', (part) => {
      for (const coat of part.coats) delete coat.mixIn;
    });
  }

  protected setStick(stick: Part['stick']): void {
    this.open.edit(
      'stick',
      (part) => {
        if (stick) part.stick = stick;
        else delete part.stick;
      },
      stick ? 'stick' : undefined,
    );
  }
}
