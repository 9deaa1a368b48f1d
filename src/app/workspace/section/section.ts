import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map, timer } from 'rxjs';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { isCap } from '../../../core/record/closing';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { boxSize } from '../../ui/box-size';
import { liesText } from '../../wording/coats';
import { text } from '../../wording/format';
import { acrossText } from '../../wording/shapes';
import { FilmBar } from '../film/film-bar';
import { FilmDrawing } from '../film/film-drawing';
import { ShellFilm } from '../film/shell-film';
import { shadesOf } from '../../drawing/coat-shades';
import { FillPatterns, type FilledLayer } from '../../drawing/fill-patterns';
import { fillOf, StreakPatterns } from '../../drawing/streak-patterns';
import { MissingPart } from '../../ui/missing-part';
import { cutCap } from '../../drawing/cut';
import { sectionGeometry } from '../../drawing/section-geometry';
import { SectionGround } from './section-ground';
import { SectionLabels } from './section-labels';

/** The true-scale cut through a cavity: mold, coats, fill, with the thickness called out and two things to drag. */
@Component({
  selector: 'ks-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FillPatterns,
    FilmBar,
    FilmDrawing,
    MissingPart,
    NzButtonComponent,
    SectionGround,
    SectionLabels,
    StreakPatterns,
  ],
  templateUrl: './section.html',
  styleUrl: './section.less',
})
export class Section {
  private readonly plans = inject(PlanService);
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
    const closing = plan?.closings.find(({ partId }) => partId === plan.part.id);
    if (!plan || !closing || !isCap(plan.closure) || plan.coat.body) return undefined;
    return {
      cut: cutCap(closing.close),
      colour: chocolateOf(plan.casting, meltOf(plan.casting, plan.closure.meltId)).colour,
    };
  });
  protected readonly geometry = computed(() => {
    const plan = this.plan();
    return plan && sectionGeometry({ ...plan, cap: this.cap()?.cut }, this.width(), this.height(), this.exaggerated());
  });
  protected readonly shades = computed(() => {
    const plan = this.plan();
    return plan ? shadesOf(plan.casting, plan, 'streak') : [];
  });
  protected readonly upText = computed(() => {
    const plan = this.plan();
    const last = plan?.coatsMade.at(-1);
    return plan && last ? liesText(last, plan.cavity) : '';
  });
  protected readonly description = computed(() => {
    const plan = this.plan();
    if (!plan) return '';
    const system = this.units.system();
    const { rim, wall, base } = plan.coat.total;
    const fill = plan.fill.layers
      .map((layer) => `${layer.choice.filling.name} up to ${text(layer.toM, 'length', system)}`)
      .join(', ');
    if (this.solid())
      return `Cut through a ${acrossText(plan.cavity, system)} cavity, filled ${text(base.value, 'length', system)} deep in ${plan.coatsMade.length === 1 ? 'one go' : `${plan.coatsMade.length} layers`}.`;
    return `Cut through a ${acrossText(plan.cavity, system)} cavity: ${plan.coatsMade.length} coats, rim ${text(rim.value, 'length', system)}, wall ${text(wall.value, 'length', system)}, base ${text(base.value, 'length', system)}. ${fill || 'Empty.'}`;
  });
  protected readonly fillOf = fillOf;
}
