import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { ChoiceList } from '../../ui/choice-list';
import { Pick } from '../../ui/pick';

/** As many parts as stand in a row. */
const IN_A_ROW = 4;

/** Which part of the piece is shown, where there are several. */
@Component({
  selector: 'ks-part-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, Pick],
  template: `
    @if (parts().length > inARow) {
      <ks-choice-list label="Part" [options]="parts()" [value]="open.id() ?? ''" (chosen)="open.open($event)" />
    } @else if (parts().length > 1) {
      <ks-pick
        label="Part"
        [showLabel]="false"
        [options]="parts()"
        [value]="open.id() ?? ''"
        (chosen)="open.open($event)"
      />
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 560px;
    }
    :host:empty {
      display: none;
    }
  `,
})
export class PartPicker {
  private readonly store = inject(CastingStore);
  protected readonly open = inject(OpenPart);
  protected readonly inARow = IN_A_ROW;
  protected readonly parts = computed(() =>
    (this.store.current()?.parts ?? []).map(({ id, name, perPiece }) => ({
      value: id,
      name: perPiece > 1 ? `${perPiece} × ${name}` : name,
    })),
  );
}
