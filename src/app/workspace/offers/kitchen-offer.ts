import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CastingStore } from '../../state/casting-store';
import { Kitchens, kitchenDiffers, takeKitchen } from '../../state/kitchens';

/** Offers the present kitchen to a casting that was planned in another one. */
@Component({
  selector: 'ks-kitchen-offer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @if (other()) {
      <p class="plain">
        Planned in another kitchen than the one you have now.
        <button nz-button nzType="link" type="button" class="small" (click)="take()">Take the present one</button>
      </p>
    }
  `,
  styleUrl: '../station.less',
  styles: ':host(:empty) { display: none; }',
})
export class KitchenOffer {
  private readonly store = inject(CastingStore);
  private readonly kitchens = inject(Kitchens);
  protected readonly other = computed(() => {
    const casting = this.store.current();
    return casting !== undefined && this.kitchens.loaded() && kitchenDiffers(casting, this.kitchens.kitchen());
  });

  protected take(): void {
    this.store.edit('kitchen', (casting) => takeKitchen(casting, this.kitchens.kitchen()));
  }
}
