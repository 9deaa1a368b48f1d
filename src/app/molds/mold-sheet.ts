import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Mold } from '../../core/record/mold';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { sizeText } from '../wording/shapes';
import { cutPath, sheetDrawing } from './sheet-drawing';

/** A mold's sheet from above, every cavity in its place, and the open cavity cut through, both to one scale. */
@Component({
  selector: 'ks-mold-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawn(); as d) {
      <svg
        [attr.viewBox]="'0 0 ' + d.width + ' ' + d.height"
        preserveAspectRatio="xMidYMid meet"
        role="img"
        [attr.aria-label]="d.description"
      >
        <g [attr.transform]="'translate(' + d.sheetX + ' 0)'">
          <rect [attr.width]="d.sheet.widthMm" [attr.height]="d.sheet.heightMm" [attr.rx]="6" class="sheet" />
          @for (path of d.sheet.cavities; track $index; let i = $index) {
            <path
              [attr.d]="path"
              class="cavity"
              [class.open]="mold().cavities[i].id === cavityId()"
              (click)="chosen.emit(mold().cavities[i].id)"
            />
          }
        </g>
        @if (lettered()) {
          <text
            [attr.x]="d.width / 2"
            [attr.y]="d.sheet.heightMm + d.line"
            text-anchor="middle"
            [attr.font-size]="d.letter"
          >
            sheet about {{ d.sheetText }}
          </text>
        }
        <g [attr.transform]="'translate(' + d.width / 2 + ' ' + d.cutY + ')'">
          <path [attr.d]="d.cut.path" class="cut" />
        </g>
        @if (lettered()) {
          <text
            [attr.x]="d.width / 2"
            [attr.y]="d.cutY + d.cut.depthMm + d.line"
            text-anchor="middle"
            [attr.font-size]="d.letter"
          >
            {{ d.cutText }}
          </text>
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      height: 100%;
    }
    svg {
      width: 100%;
      height: 100%;
      display: block;
    }
    text {
      font-family: var(--text);
      fill: var(--soft);
    }
    .sheet {
      fill: #e9e1d5;
      stroke: var(--edge);
      stroke-width: 1;
      vector-effect: non-scaling-stroke;
    }
    .cavity {
      fill: #d8ccba;
      stroke: #8d8275;
      stroke-width: 1;
      vector-effect: non-scaling-stroke;
      cursor: pointer;
    }
    .cavity.open {
      fill: #c3b195;
      stroke: var(--ink);
      stroke-width: 1.6;
    }
    .cut {
      fill: #f7f1e8;
      stroke: var(--ink);
      stroke-width: 2;
      vector-effect: non-scaling-stroke;
      stroke-linejoin: round;
    }
  `,
})
export class MoldSheet {
  private readonly units = inject(Units);
  readonly mold = input.required<Mold>();
  readonly cavityId = input.required<string>();
  readonly lettered = input(true);
  readonly chosen = output<string>();

  protected readonly drawn = computed(() => {
    const mold = this.mold();
    const system = this.units.system();
    const open = mold.cavities.find((cavity) => cavity.id === this.cavityId()) ?? mold.cavities[0];
    const sheet = sheetDrawing(mold);
    const cut = cutPath(open.shape);
    // Lettering keeps its size on screen only about: it is set against the height of the whole drawing.
    const body = sheet.heightMm + cut.depthMm;
    const letter = body * 0.034;
    const line = letter * 1.5;
    const cutY = sheet.heightMm + line * 2.4;
    const width = Math.max(sheet.widthMm, cut.widthMm, body * 0.7);
    const cutText = `${open.name === 'Cavity' ? 'A cavity' : open.name}: ${sizeText(cut.widthMm / 1000, cut.widthMm / 1000, system)} cut along, ${text(cut.depthMm / 1000, 'length', system)} deep`;
    return {
      sheet,
      cut,
      letter,
      line,
      cutY,
      cutText,
      width,
      height: cutY + cut.depthMm + line * 1.6,
      sheetX: (width - sheet.widthMm) / 2,
      sheetText: sizeText(sheet.widthMm / 1000, sheet.heightMm / 1000, system),
      description: `Sheet with ${mold.cavities.map((cavity) => `${cavity.rows} rows of ${cavity.columns}`).join(' and ')}. ${cutText}.`,
    };
  });
}
