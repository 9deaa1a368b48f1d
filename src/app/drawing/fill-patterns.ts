import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { pieceWidthM } from '../../core/fill/packing';
import type { FillingKind } from '../../core/matter/filling';
import type { Filling } from '../../core/record/filling';
import type { DrawnLayer } from './cut';

/** A layer with what is in it. */
export interface FilledLayer {
  readonly drawn: DrawnLayer;
  readonly filling: Filling;
}

const PLAIN_KINDS = ['caramel', 'nutButter', 'custard', 'fruit', 'wholeFruit', 'crumbs', 'surprise'] as const;
/** What a piece measures in the patterns of pieces, the ball of its volume, and how tall a row of them is, in their own units. */
const PIECE_UNITS = 4.95;
const ROW_UNITS = { marshmallow: 4.5, sweets: 4 } as const;

type PieceKind = keyof typeof ROW_UNITS;

/** The patterns that fillings are drawn with: `fill-` and the kind; only those that are drawn are defined. Pieces are to scale, or as small as a thin layer has them, and rest on the bottom of the first layer of their kind. */
@Component({
  selector: '[ksFillPatterns]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (has('powder')) {
      <svg:pattern id="fill-powder" width="6" height="6" patternUnits="userSpaceOnUse">
        <svg:rect width="6" height="6" class="powder" />
        <svg:circle cx="1.5" cy="1.5" r="0.8" class="powder-dot" />
        <svg:circle cx="4.5" cy="4.5" r="0.8" class="powder-dot" />
      </svg:pattern>
    }
    @if (has('marshmallow')) {
      <svg:pattern
        id="fill-marshmallow"
        width="11"
        height="9"
        patternUnits="userSpaceOnUse"
        [attr.patternTransform]="laid('marshmallow')"
        [attr.stroke-width]="1 / scaleOf('marshmallow')"
      >
        <svg:rect width="11" height="9" class="mallow-gap" />
        <svg:rect x="0.4" y="0.5" width="6.2" height="3.7" rx="1.5" class="mallow" />
        <svg:rect x="7" y="0.4" width="3.6" height="4" rx="1.3" class="mallow" />
        <svg:rect x="0.3" y="4.8" width="3.4" height="3.9" rx="1.3" class="mallow" />
        <svg:rect x="4.2" y="4.8" width="6.4" height="3.8" rx="1.5" class="mallow" />
      </svg:pattern>
    }
    @if (has('sweets')) {
      <svg:pattern
        id="fill-sweets"
        width="12"
        height="8"
        patternUnits="userSpaceOnUse"
        [attr.patternTransform]="laid('sweets')"
        [attr.stroke-width]="0.8 / scaleOf('sweets')"
      >
        <svg:rect width="12" height="8" class="sweet-gap" />
        <svg:ellipse cx="3" cy="2" rx="2.9" ry="1.8" class="sweet a" />
        <svg:ellipse cx="9" cy="2" rx="2.9" ry="1.8" class="sweet b" />
        <svg:ellipse cx="6" cy="6" rx="2.9" ry="1.8" class="sweet c" />
        <svg:ellipse cx="0" cy="6" rx="2.9" ry="1.8" class="sweet b" />
        <svg:ellipse cx="12" cy="6" rx="2.9" ry="1.8" class="sweet b" />
      </svg:pattern>
    }
    @for (kind of plainKinds(); track kind) {
      <svg:pattern [attr.id]="'fill-' + kind" width="16" height="9" patternUnits="userSpaceOnUse">
        <svg:rect width="16" height="9" [attr.class]="kind" />
        <svg:path d="M1 3h6M9 7h6" [attr.class]="kind + '-line'" />
      </svg:pattern>
    }
    @if (has('ganache')) {
      <svg:pattern id="fill-ganache" width="20" height="8" patternUnits="userSpaceOnUse">
        <svg:rect width="20" height="8" class="ganache" />
        <svg:path d="M0 4q5-3 10 0t10 0" class="ganache-line" />
      </svg:pattern>
    }
  `,
  styleUrl: './fill-patterns.less',
})
export class FillPatterns {
  readonly layers = input.required<readonly FilledLayer[]>();
  readonly axisX = input.required<number>();
  readonly pxPerM = input.required<number>();
  protected readonly plainKinds = computed(() => PLAIN_KINDS.filter((kind) => this.has(kind)));

  protected has(kind: FillingKind): boolean {
    return this.layers().some(({ filling }) => filling.kind === kind);
  }

  /** Px that a unit of a pattern takes; in steps, as a drag that changes it in every frame would have all of it drawn anew. */
  protected scaleOf(kind: PieceKind): number {
    const layer = this.first(kind);
    if (!layer) return 1;
    const {
      drawn: { topY, baseY },
      filling,
    } = layer;
    return (
      Math.max(
        1,
        Math.round(
          10 *
            Math.min(
              ((pieceWidthM(filling) ?? 0) * this.pxPerM()) / PIECE_UNITS,
              Math.abs(topY - baseY) / ROW_UNITS[kind],
            ),
        ),
      ) / 10
    );
  }

  protected laid(kind: PieceKind): string {
    const layer = this.first(kind);
    return layer
      ? `translate(${Math.round(this.axisX())} ${Math.round(Math.max(layer.drawn.topY, layer.drawn.baseY))}) scale(${this.scaleOf(kind)})`
      : '';
  }

  private first(kind: PieceKind): FilledLayer | undefined {
    return this.layers().find(({ filling }) => filling.kind === kind);
  }
}
