import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Kitchens } from '../state/kitchens';
import { UndoRedo } from '../ui/undo-redo';
import { KitchenAir } from './kitchen-air';
import { KitchenBowls } from './kitchen-bowls';
import { KitchenMicrowave } from './kitchen-microwave';
import { OtherKitchens } from './other-kitchens';
import { StoredHere } from './stored-here';
import { FieldScope } from '../ui/field-scope';

/** Where the work is done: air and cold places, the microwave and what it really gives, bowls, units and currency. */
@Component({
  selector: 'ks-kitchen-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FieldScope, KitchenAir, KitchenBowls, KitchenMicrowave, OtherKitchens, StoredHere, UndoRedo],
  templateUrl: './kitchen-page.html',
  styleUrl: './kitchen-page.less',
})
export class KitchenPage {
  protected readonly kitchens = inject(Kitchens);
}
