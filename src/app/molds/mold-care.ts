import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { MOLD_CARE, type MoldCare as Care } from '../../core/record/choices';
import type { LibraryMold } from '../../core/record/mold';
import { MoldLibrary } from '../state/mold-library';
import { Ticks } from '../ui/ticks';
import { CARE_NAMES } from '../wording/shapes';

const LONGEST_NOTES = 600;

/** How a mold is looked after, and what is to be remembered of it. */
@Component({
  selector: 'ks-mold-care',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, NzInputDirective, Ticks],
  template: `
    <h2>Care</h2>
    <ks-ticks
      class="care"
      label="Care"
      [showLabel]="false"
      [options]="cares"
      [ticked]="mold().care"
      (turned)="setCare($event)"
    />
    <label class="notes"
      >Notes<textarea
        nz-input
        rows="3"
        [ngModel]="mold().notes"
        (ngModelChange)="setNotes($event)"
        [attr.maxlength]="longest"
      ></textarea>
    </label>
    <p class="caution">Only food-grade molds and vessels; follow the maker’s instructions.</p>
  `,
  styleUrls: ['./mold-part.less', './mold-care.less'],
})
export class MoldCare {
  private readonly library = inject(MoldLibrary);

  readonly mold = input.required<LibraryMold>();

  protected readonly longest = LONGEST_NOTES;
  protected readonly cares = MOLD_CARE.map((value) => ({ value, name: CARE_NAMES[value] }));

  protected setCare(care: Care[]): void {
    this.library.edit(this.mold().id, 'care', (mold) => (mold.care = care));
  }

  protected setNotes(notes: string): void {
    const { id } = this.mold();
    this.library.edit(id, 'notes', (mold) => (mold.notes = notes.slice(0, LONGEST_NOTES)), `${id} notes`);
  }
}
