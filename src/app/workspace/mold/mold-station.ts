import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MOLD_MATERIALS, MOLD_MATTER, type MoldMaterial } from '../../../core/matter/mold-material';
import { LIMITS } from '../../../core/record/limits';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { AmountField } from '../../ui/amount-field';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { MATERIAL_NAMES } from '../../wording/names';

/** Which mold, how many, its cavities; and what a cavity comes to. */
@Component({
  selector: 'ks-mold-station',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, Figure, Pick],
  template: `
    @if (plan(); as p) {
      <h2>Mold</h2>
      <div class="fields">
        <ks-amount-field label="Width of a cavity" [field]="p.casting.id + ' diameter'" [value]="p.cavity.rimDiameterM" dimension="length" [limits]="[limits.cavityDiameterM]"
          hint="Half spheres, measured across the rim" (amount)="setDiameter($event.value)" />
        <div class="pair">
          <ks-amount-field label="Cavities in it" [field]="p.casting.id + ' cavities'" [value]="p.cavities" dimension="count" [whole]="true" [limits]="[limits.cavities]" (amount)="setCavities($event.value)" />
          <ks-amount-field label="Molds at hand" [field]="p.casting.id + ' molds'" [value]="p.moldRecord.atHand" dimension="count" [whole]="true" [limits]="[limits.moldsAtHand]" (amount)="setAtHand($event.value)" />
        </div>
        <ks-pick label="Material" [options]="materials" [value]="p.moldRecord.material" (chosen)="setMaterial($event)" />
        <ks-amount-field label="Mold wall" [field]="p.casting.id + ' mold wall'" [value]="p.moldRecord.wallM" dimension="length" [limits]="[limits.moldWallM]" (amount)="setWall($event.value)" />
      </div>
      <dl class="answers">
        <dt>A cavity holds</dt><dd><ks-figure [answer]="p.mold.volume" /></dd>
        <dt>Its wall</dt><dd><ks-figure [answer]="p.mold.wallArea" /></dd>
        <dt>Its rim</dt><dd><ks-figure [answer]="p.mold.rimLength" /></dd>
        <dt>Filled solid</dt><dd><ks-figure [answer]="p.mold.solid" /></dd>
        <dt>Parts in a round</dt><dd><ks-figure [answer]="p.mold.perRound" /></dd>
      </dl>
      <p class="caution">{{ care() }} Only food-grade molds; follow the maker’s instructions.</p>
    }
  `,
  styleUrl: '../station.less',
})
export class MoldStation {
  private readonly store = inject(CastingStore);
  protected readonly plan = inject(PlanService).draft;
  protected readonly limits = LIMITS;
  protected readonly materials = MOLD_MATERIALS.map((value) => ({ value, name: MATERIAL_NAMES[value] }));
  protected readonly care = computed(() =>
    this.plan()?.moldRecord.material === 'silicone'
      ? 'Bone dry, on a tray: the sheet bends when it is carried.'
      : 'Washed, bone dry and buffed with soft cotton: a water spot prints as a dull spot.',
  );

  protected setDiameter(diameterM: number): void {
    this.edit('cavity width', (mold) => (mold.cavities[0].shape.diameterM = diameterM));
  }

  protected setCavities(count: number): void {
    this.edit('cavities', (mold) => (mold.cavities[0].count = count));
  }

  protected setAtHand(count: number): void {
    this.edit('molds at hand', (mold) => (mold.atHand = count));
  }

  protected setWall(wallM: number): void {
    this.edit('mold wall', (mold) => (mold.wallM = wallM));
  }

  protected setMaterial(material: MoldMaterial): void {
    this.edit('mold material', (mold) => {
      mold.material = material;
      mold.wallM = MOLD_MATTER[material].usualWallM;
    });
  }

  private edit(label: string, change: (mold: NonNullable<ReturnType<CastingStore['current']>>['molds'][number]) => void): void {
    this.store.edit(label, (casting) => change(casting.molds[0]), label);
  }
}
