import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Answer } from '../../../core/quantity/answer';
import { capThick } from '../../../core/edit/closing';
import type { AssembledPiece } from '../../../core/plan/assembled';
import { closedPartId } from '../../../core/plan/closed-part';
import { seenFrom } from '../../../core/plan/draft';
import { within } from '../../../core/record/limits';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { boxSize } from '../../ui/box-size';
import { DragHandle, type HandleMove } from '../../ui/drag-handle';
import { Figure } from '../../ui/figure';
import { closingWords, FINISH_NAMES } from '../../wording/closing';
import { text } from '../../wording/format';
import { sizeText } from '../../wording/shapes';
import type { Spot } from '../../drawing/cut';
import { shadesOf } from '../../drawing/coat-shades';
import { FillPatterns, type FilledLayer } from '../../drawing/fill-patterns';
import { rulerTicks, rulerUnit } from '../../drawing/ruler';
import { fillOf, StreakPatterns } from '../../drawing/streak-patterns';
import { pieceGeometry, type PieceMargin } from './piece-geometry';
import type { PlanDraft } from '../../../core/plan/plan-types';

/** What a line of lettering says, and what it points at. */
interface Label {
  readonly name: string;
  readonly answer: Answer;
  readonly at: Spot;
}

/** A label with the height it is written at, px. */
interface SetLabel extends Label {
  readonly y: number;
}

const MARGIN: PieceMargin = { top: 30, bottom: 48, left: 50, right: 178 };
const NARROW: PieceMargin = { ...MARGIN, right: 16 };
/** Below this the lettering stands under the drawing and not beside it, px. */
const BESIDE_FROM = 480;
/** Height of one label, and where labels begin beside the drawing, px. */
const LABEL_HEIGHT = 40;
const LABELS_X = 158;
/** A cap is dragged between these, in steps, m. */
const CAP_M = { low: 0.0005, high: 0.015 };
const CAP_STEP_M = 0.0001;

/** The piece as it is served, cut through the middle and to scale: every part in its place, what is in it, what closes it and what is on it, each with its weight. */
@Component({
  selector: 'ks-piece-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DragHandle, Figure, FillPatterns, StreakPatterns],
  templateUrl: './piece-drawing.html',
  styleUrls: ['../../drawing/measures.less', './piece-drawing.less'],
})
export class PieceDrawing {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly size = boxSize({ width: 600, height: 520 }, { width: 240, height: 220 }, '.drawing');

  protected readonly plan = inject(PlanService).draft;
  protected readonly width = computed(() => this.size().width);
  protected readonly height = computed(() => this.size().height);
  protected readonly labelsX = computed(() => this.width() - LABELS_X);
  protected readonly geometry = computed(() => {
    const plan = this.plan();
    return plan && pieceGeometry(plan, this.width(), this.height(), this.beside() ? MARGIN : NARROW);
  });
  protected readonly filledLayers = computed<readonly FilledLayer[]>(() =>
    (this.geometry()?.parts ?? []).flatMap(({ placed, cut }) =>
      cut.layers.map((drawn, i) => ({ drawn, filling: placed.layers[i].choice.filling })),
    ),
  );
  /** Coats of each part drawn in their colours, or as the marbling they are. */
  protected readonly shades = computed(() => {
    const plan = this.plan();
    return plan
      ? (this.geometry()?.parts ?? []).map(({ placed: { draft } }, i) => shadesOf(plan.casting, draft, `marble-${i}`))
      : [];
  });
  protected readonly fillOf = fillOf;
  protected readonly closingColour = computed(() => {
    const plan = this.plan();
    return plan?.closure ? this.colourOf(plan, plan.closure.meltId) : undefined;
  });
  protected readonly ticks = computed(() => {
    const geometry = this.geometry();
    if (!geometry) return [];
    const most = Math.max(2, Math.min(6, Math.floor((geometry.groundY - geometry.topY) / 40)));
    return rulerTicks(geometry.piece.height.value, this.units.system(), most).map(({ m, name }) => ({
      y: geometry.groundY - m * geometry.pxPerM,
      name,
    }));
  });
  protected readonly unit = computed(() => rulerUnit(this.units.system()));
  protected readonly wideText = computed(() => {
    const drafts = this.geometry()?.piece.placed.map(({ draft }) => draft.cavity) ?? [];
    const widest = drafts.reduce((most, one) => (one.spanM > most.spanM ? one : most), drafts[0]);
    return widest ? sizeText(widest.lengthM, widest.widthM, this.units.system()) : '';
  });
  protected readonly labels = computed<readonly Label[]>(() => {
    const plan = this.plan();
    const geometry = this.geometry();
    if (!plan || !geometry) return [];
    const twice = (id: string): boolean =>
      geometry.parts.filter(({ placed }) => placed.draft.part.id === id).length > 1;
    const parts = geometry.parts.flatMap(({ placed: { draft, turned, layers }, at, layersAt }): Label[] => [
      {
        name: twice(draft.part.id) ? `${draft.part.name}, ${turned ? 'on top' : 'below'}` : draft.part.name,
        answer: draft.coat.mass,
        at,
      },
      ...layers.map((layer, i) => ({ name: layer.choice.filling.name, answer: layer.mass, at: layersAt[i] })),
    ]);
    const closing =
      plan.close && geometry.closingAt
        ? [
            {
              name: closingWords(plan.close.closure.kind).label,
              answer: plan.close.plate?.lost ?? plan.close.mass,
              at: geometry.closingAt,
            },
          ]
        : [];
    const finishes = plan.finishes.flatMap((one): Label[] => {
      const at = geometry.finishes.find(({ finish }) => finish.id === one.finish.id)?.at;
      const answer = one.material ?? one.chocolate;
      return at && answer
        ? [{ name: one.finish.kind === 'drizzle' ? FINISH_NAMES.drizzle : one.finish.name, answer, at }]
        : [];
    });
    return [...parts, ...closing, ...finishes].sort((a, b) => a.at.y - b.at.y);
  });
  /** Lettering beside the drawing, each line as near to what it points at as the others let it; nothing where it has no room there. */
  protected readonly set = computed<readonly SetLabel[]>(() =>
    this.beside() && this.labels().length * LABEL_HEIGHT <= this.height() ? setApart(this.labels(), this.height()) : [],
  );
  protected readonly looseText = computed(() => countedText(this.geometry()?.piece.loose));
  protected readonly besideText = computed(() => countedText(this.geometry()?.piece.beside));
  protected readonly description = computed(() => {
    const system = this.units.system();
    const geometry = this.geometry();
    if (!geometry) return '';
    return `The piece cut through, ${this.wideText()} wide and ${text(geometry.piece.height.value, 'length', system)} tall. From the top: ${this.labels()
      .map(({ name, answer: { value, dimension } }) => `${name} ${text(value, dimension, system)}`)
      .join(', ')}.`;
  });
  protected readonly capM = computed(() => this.plan()?.close?.cap?.thickness.value ?? 0);
  protected readonly capText = computed(() => text(this.capM(), 'length', this.units.system()));
  private dragFrom = 0;

  private beside(): boolean {
    return this.width() >= BESIDE_FROM;
  }

  protected colourOf({ casting }: PlanDraft, meltId: string): string {
    return chocolateOf(casting, meltOf(casting, meltId)).colour;
  }

  /** What a finish is drawn in: its chocolate, or the colour of its kind in the style sheet. */
  protected finishColour(index: number): string | null {
    const plan = this.plan();
    const finish = this.geometry()?.finishes[index].finish;
    return plan && finish?.kind === 'drizzle' ? this.colourOf(plan, finish.meltId) : null;
  }

  /** Drags the inner edge of the cap: it grows toward the filling. */
  protected moveCap(move: HandleMove): void {
    const geometry = this.geometry();
    if (!geometry) return;
    if (move.start) this.dragFrom = this.capM();
    const moved =
      move.step === undefined ? this.dragFrom - move.dy / geometry.pxPerM : this.capM() + move.step * CAP_STEP_M;
    const plan = this.plan();
    if (!plan) return;
    const capped = seenFrom(plan, closedPartId(plan.casting));
    const thicknessM = within(CAP_M, moved, CAP_STEP_M);
    this.store.edit('cap', (casting) => capThick(casting, capped, thicknessM), `cap ${move.gesture}`);
  }
}

function countedText(parts: AssembledPiece['loose'] = []): string {
  return parts.map(({ part, count }) => `${count} × ${part.name}`).join(', ');
}

/** Spreads labels, sorted from the top, so that none lies on another and all stay in the box. */
function setApart(labels: readonly Label[], height: number): SetLabel[] {
  const ys = labels.map(({ at }) => Math.max(LABEL_HEIGHT / 2, at.y));
  for (let i = 1; i < ys.length; i++) ys[i] = Math.max(ys[i], ys[i - 1] + LABEL_HEIGHT);
  let most = height - LABEL_HEIGHT / 2;
  for (let i = ys.length - 1; i >= 0; i--) {
    ys[i] = Math.min(ys[i], most);
    most = ys[i] - LABEL_HEIGHT;
  }
  return labels.map((label, i) => ({ ...label, y: ys[i] }));
}
