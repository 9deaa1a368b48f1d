import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import type { Casting } from '../../core/record/casting';
import { CastingStore } from '../state/casting-store';
import { Kitchens, kitchenDiffers, takeKitchen } from '../state/kitchens';

/** Castings that were planned in another kitchen than this one, each to be planned in this one. */
@Component({
  selector: 'ks-other-kitchens',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  templateUrl: './other-kitchens.html',
  styleUrls: ['./kitchen-section.less', './other-kitchens.less'],
})
export class OtherKitchens {
  private readonly kitchen = inject(Kitchens).kitchen;
  private readonly store = inject(CastingStore);
  protected readonly others = computed(() =>
    this.store.castings().filter((casting) => kitchenDiffers(casting, this.kitchen())),
  );

  protected takeOver(casting: Casting): void {
    this.store.editOne(casting.id, 'kitchen', (draft) => takeKitchen(draft, this.kitchen()));
  }
}
