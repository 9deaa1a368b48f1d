import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map, timer } from 'rxjs';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { amountForLevel } from '../../../core/fill/fill';
import { closedPartId } from '../../../core/plan/draft';
import { LIMITS, within } from '../../../core/record/limits';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { isCap } from '../../../core/record/closing';
import { CastingStore } from '../../state/casting-store';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { Figure } from '../../ui/figure';
import { boxSize } from '../../ui/box-size';
import { text } from '../../wording/format';
import { sizeText } from '../../wording/shapes';
import { FILLING_NAMES, WAY_UP_NAMES } from '../../wording/names';
import { FilmBar } from '../film/film-bar';
import { FilmButton } from '../film/film-button';
import { FilmDrawing } from '../film/film-drawing';
import { ShellFilm } from '../film/shell-film';
import { shadesOf } from '../../drawing/coat-shades';
import { FillPatterns, type FilledLayer } from '../../drawing/fill-patterns';
import { rulerTicks, rulerUnit } from '../../drawing/ruler';
import { fillOf, StreakPatterns } from '../../drawing/streak-patterns';
import { DragHandle, type HandleMove } from '../../ui/drag-handle';
import { MissingPart } from '../../ui/missing-part';
import { sectionGeometry } from '../../drawing/section-geometry';

const STEP_M = 0.0001;

/** The true-scale cut through a cavity: mold, coats, fill, with the thickness called out and two things to drag. */
@Component({
  selector: 'ks-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    DragHandle,
    Figure,
    FillPatterns,
    FilmBar,
    FilmButton,
    FilmDrawing,
    MissingPart,
    NzButtonComponent,
    StreakPatterns,
  ],
  templateUrl: './section.html',
  styleUrl: './section.less',
})
export class Section {
  private readonly plans = inject(PlanService);
  private readonly store = inject(CastingStore);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  private readonly size = boxSize({ width: 600, height: 380 }, { width: 280, height: 200 }, '.drawing');

  protected readonly film = inject(ShellFilm);
  protected readonly exaggerated = signal(false);
  /** Callouts and handles come in a task of their own after the cut itself, so that neither holds the page up. */
  protected readonly lettered = toSignal(timer(0).pipe(map(() => true)), { initialValue: false });
  /** Fillings that are drawn, each with a pattern of its own. */
  protected readonly filledLayers = computed<readonly FilledLayer[]>(() =>
    (this.geometry()?.layers ?? []).flatMap((drawn, i) => {
      const layer = this.plan()?.fill.layers[i];
      return layer ? [{ drawn, filling: layer.choice.filling }] : [];
    }),
  );
  protected readonly plan = this.plans.draft;
  /** Filled from below: no wall to call out, no film to play. */
  protected readonly solid = this.film.solid;
  protected readonly width = computed(() => this.size().width);
  protected readonly height = computed(() => this.size().height);
  /** The cap that closes what is drawn, with the colour of its chocolate. */
  protected readonly cap = computed(() => {
    const plan = this.plan();
    if (!plan || !isCap(plan.closure) || plan.coat.body || closedPartId(plan.casting) !== plan.part.id)
      return undefined;
    return {
      thicknessM: Math.min(plan.closure.thicknessM, plan.fill.headspace.value),
      colour: chocolateOf(plan.casting, meltOf(plan.casting, plan.closure.meltId)).colour,
    };
  });
  protected readonly geometry = computed(() => {
    const plan = this.plan();
    return (
      plan &&
      sectionGeometry({ ...plan, capM: this.cap()?.thicknessM }, this.width(), this.height(), this.exaggerated())
    );
  });
  protected readonly shades = computed(() => {
    const plan = this.plan();
    return plan ? shadesOf(plan.casting, plan, 'streak') : [];
  });
  protected readonly rulerTicks = computed(() => {
    const plan = this.plan();
    const geometry = this.geometry();
    if (!plan || !geometry) return [];
    const system = this.units.system();
    const most = Math.min(system === 'us' ? 4 : 6, Math.max(1, Math.floor(geometry.depth / 26)));
    return rulerTicks(plan.cavity.depthM, system, most).map(({ m, name }) => ({
      y: geometry.rimY + m * geometry.pxPerM,
      name,
    }));
  });
  protected readonly rulerUnit = computed(() => rulerUnit(this.units.system()));
  protected readonly widthText = computed(() => this.sizeText());
  private sizeText(): string {
    const cavity = this.plan()?.cavity;
    if (!cavity) return '';
    // The measure stands over the rim; where the body is wider than it, the rim's own width is what it shows.
    return cavity.spanM > cavity.rimDiameterM + 1e-6
      ? text(cavity.rimDiameterM, 'length', this.units.system())
      : sizeText(cavity.lengthM, cavity.widthM, this.units.system());
  }

  protected readonly upText = computed(() => WAY_UP_NAMES[this.plan()?.coatsMade.at(-1)?.wayUp ?? 'upright']);
  protected readonly description = computed(() => {
    const plan = this.plan();
    if (!plan) return '';
    const system = this.units.system();
    const { rim, wall, base } = plan.coat.total;
    const fill = plan.fill.layers
      .map((layer) => `${layer.choice.filling.name} up to ${text(layer.toM, 'length', system)}`)
      .join(', ');
    if (this.solid())
      return `Cut through a ${this.widthText()} cavity, filled ${text(base.value, 'length', system)} deep in ${plan.coatsMade.length === 1 ? 'one go' : `${plan.coatsMade.length} layers`}.`;
    return `Cut through a ${this.widthText()} cavity: ${plan.coatsMade.length} coats, rim ${text(rim.value, 'length', system)}, wall ${text(wall.value, 'length', system)}, base ${text(base.value, 'length', system)}. ${fill || 'Empty.'}`;
  });
  protected readonly wanted = computed(() => {
    const plan = this.plan();
    if (!plan) return 0;
    return plan.part.coatsBy.by === 'thickness' ? plan.part.coatsBy.rimM : plan.coat.total.rim.value;
  });
  protected readonly wantedText = computed(() => text(this.wanted(), 'length', this.units.system()));
  protected readonly fillOf = fillOf;
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
    const geometry = this.geometry();
    if (!plan || !geometry) return;
    if (move.start) this.dragFrom = plan.fill.layers[index].toM;
    const from =
      move.step === undefined
        ? this.dragFrom - move.dy / geometry.pxPerM
        : plan.fill.layers[index].toM + move.step * STEP_M * 5;
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
    const geometry = this.geometry();
    if (!geometry) return;
    if (move.start) this.dragFrom = this.wanted();
    const moved =
      move.step === undefined
        ? this.dragFrom - move.dx / geometry.pxPerM / geometry.exaggeration
        : this.wanted() + move.step * STEP_M;
    const rimM = within(LIMITS.wantedRimM, moved, STEP_M);
    this.open.edit('wanted thickness', (part) => (part.coatsBy = { by: 'thickness', rimM }), `wanted ${move.gesture}`);
  }
}
