import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Mold } from '../../core/record/mold';
import { cutPath, sheetDrawing } from './sheet-drawing';

const WIDTH = 300;
const HEIGHT = 132;

/** A mold for the library: its sheet from above and its first cavity cut through, at one scale. */
@Component({
  selector: 'ks-mold-card-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" width="100%" height="${HEIGHT}" aria-hidden="true">
      <g [attr.transform]="drawn().sheetAt">
        <rect [attr.width]="drawn().sheet.widthMm" [attr.height]="drawn().sheet.heightMm" rx="6" class="sheet" />
        @for (path of drawn().sheet.cavities; track $index) {
          <path [attr.d]="path" class="cavity" />
        }
      </g>
      <g [attr.transform]="drawn().cutAt"><path [attr.d]="drawn().cut.path" class="cut" /></g>
    </svg>
  `,
  styles: `
    svg {
      display: block;
    }
    .sheet {
      fill: #e6ddd0;
    }
    .cavity {
      fill: #cdbfab;
      stroke: #9b8f82;
      stroke-width: 1;
      vector-effect: non-scaling-stroke;
    }
    .cut {
      fill: #f7f1e8;
      stroke: #26211d;
      stroke-width: 1.4;
      vector-effect: non-scaling-stroke;
      stroke-linejoin: round;
    }
  `,
})
export class MoldCardDrawing {
  readonly mold = input.required<Mold>();
  protected readonly drawn = computed(() => {
    const mold = this.mold();
    const sheet = sheetDrawing(mold);
    const cut = cutPath(mold.cavities[0].shape);
    const scale = Math.min(
      (WIDTH - 26) / (sheet.widthMm + cut.widthMm),
      HEIGHT / sheet.heightMm,
      (HEIGHT - 8) / cut.depthMm,
      2.4,
    );
    const cutX = sheet.widthMm * scale + 22 + (cut.widthMm * scale) / 2;
    return {
      sheet,
      cut,
      sheetAt: `translate(0 ${(HEIGHT - sheet.heightMm * scale) / 2}) scale(${scale})`,
      cutAt: `translate(${cutX} ${(HEIGHT - cut.depthMm * scale) / 2}) scale(${scale})`,
    };
  });
}
