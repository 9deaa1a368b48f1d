import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { scaledMold } from '../../core/edit/scale-mold';
import type { LibraryMold } from '../../core/record/mold';
import { MoldLibrary } from '../state/mold-library';
import { Units } from '../state/units';
import { AmountField } from '../ui/amount-field';
import { Fold } from '../ui/fold';
import { Once } from '../ui/once';
import { text } from '../wording/format';

/** A whole design made larger or smaller: a copy of the mold with every cavity at that size. */
@Component({
  selector: 'ks-mold-size',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Fold, NzButtonComponent, Once],
  template: `
    <ks-fold name="Larger or smaller">
      <div class="fields">
        <ks-amount-field
          label="Size"
          field="size"
          [value]="share()"
          limit="moldSize"
          hint="of this one, in every direction"
          (amount)="share.set($event.value)"
        />
        @if (larger()) {
          <button nz-button type="button" (ksOnce)="copy()">Copy it at {{ written() }}</button>
        } @else {
          <p class="hint" role="alert">
            At {{ written() }} a cavity would be larger or smaller than any mold. Take a size nearer to this one.
          </p>
        }
      </div>
    </ks-fold>
  `,
  styleUrl: './mold-part.less',
})
export class MoldSize {
  private readonly library = inject(MoldLibrary);
  private readonly router = inject(Router);
  private readonly units = inject(Units);

  readonly mold = input.required<LibraryMold>();

  protected readonly share = signal(1.2);
  protected readonly written = computed(() => text(this.share(), 'share', this.units.system()));
  protected readonly larger = computed(() => scaledMold(this.mold(), this.share()));

  protected copy(): void {
    const larger = this.larger();
    if (!larger) return;
    const { id } = this.library.add({ ...larger, name: `${larger.name}, ${this.written()}` });
    void this.router.navigate(['/molds', id]);
  }
}
