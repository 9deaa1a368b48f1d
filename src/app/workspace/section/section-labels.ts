import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { amountForLevel } from '../../../core/fill/fill';
import { LIMITS, within } from '../../../core/record/limits';
import type { SectionGeometry } from '../../drawing/section-geometry';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { DragHandle, type HandleMove } from '../../ui/drag-handle';
import { Figure } from '../../ui/figure';
import { text } from '../../wording/format';
import { FILLING_NAMES } from '../../wording/names';
import { FilmButton } from '../film/film-button';
import { ShellFilm } from '../film/shell-film';

const STEP_M = 0.0001;

/** What stands over the cut: the thicknesses called out, the two things to drag, and the way into the film. */
@Component({
  selector: 'ks-section-labels',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DragHandle, Figure, FilmButton],
  templateUrl: './section-labels.html',
  styleUrl: './section-labels.less',
})
export class SectionLabels {
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  protected readonly plan = inject(PlanService).draft;
  protected readonly solid = inject(ShellFilm).solid;

  readonly geometry = input.required<SectionGeometry>();
  /** Of the drawing, px. */
  readonly width = input.required<number>();

  protected readonly wanted = computed(() => {
    const plan = this.plan();
    if (!plan) return 0;
    return plan.part.coatsBy.by === 'thickness' ? plan.part.coatsBy.rimM : plan.coat.total.rim.value;
  });
  protected readonly wantedText = computed(() => text(this.wanted(), 'length', this.units.system()));
  private dragFrom = 0;

  protected layerName(index: number): string {
    const layer = this.plan()?.fill.layers[index];
    return layer ? FILLING_NAMES[layer.choice.filling.kind] : '';
  }

  protected levelText(index: number): string {
    return text(this.plan()?.fill.layers[index].toM ?? 0, 'length', this.units.system());
  }

  /** Moves the top of a layer; the amount follows in the way it was asked for. */
  protected moveFill(index: number, move: HandleMove): void {
    const plan = this.plan();
    const { pxPerM } = this.geometry();
    if (!plan) return;
    if (move.start) this.dragFrom = plan.fill.layers[index].toM;
    const from =
      move.step === undefined ? this.dragFrom - move.dy / pxPerM : plan.fill.layers[index].toM + move.step * STEP_M * 5;
    const amount = amountForLevel(plan.fill, index, from);
    const id = plan.fill.layers[index].choice.id;
    this.store.edit(
      'fill line',
      (casting) => {
        const layer = casting.fill.find((candidate) => candidate.id === id);
        if (layer) layer.amount = amount;
      },
      `fill ${id} ${move.gesture}`,
    );
  }

  /** Sets the wanted thickness at the rim; coats and their tuning follow. */
  protected moveWanted(move: HandleMove): void {
    const { pxPerM, exaggeration } = this.geometry();
    if (move.start) this.dragFrom = this.wanted();
    const moved =
      move.step === undefined ? this.dragFrom - move.dx / pxPerM / exaggeration : this.wanted() + move.step * STEP_M;
    const rimM = within(LIMITS.wantedRimM, moved, STEP_M);
    this.open.edit('wanted thickness', (part) => (part.coatsBy = { by: 'thickness', rimM }), `wanted ${move.gesture}`);
  }
}
