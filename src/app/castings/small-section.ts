import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { draftPlan } from '../../core/plan/draft';
import type { Casting } from '../../core/record/casting';
import { coatShades } from '../drawing/coat-shades';
import { sectionGeometry } from '../drawing/section-geometry';

const WIDTH = 340;
const HEIGHT = 176;
const MARGIN = { top: 8, bottom: 8, left: 8, right: 8 };

/** A casting's section drawn small, for the list. */
@Component({
  selector: 'ks-small-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" width="100%" [attr.height]="height()" aria-hidden="true">
      <path [attr.d]="drawn().geometry.moldPath" class="mold" />
      @for (layer of drawn().geometry.layers; track $index) {
        <path [attr.d]="layer.path" [attr.class]="layer.kind" />
      }
      @for (path of drawn().geometry.coatPaths; track $index) {
        <path [attr.d]="path" [attr.fill]="drawn().shades[$index]" />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
    }
    .mold {
      fill: #e6ddd0;
    }
    .powder {
      fill: #c79a6d;
    }
    .marshmallow {
      fill: #f3ece2;
    }
    .ganache {
      fill: #6a4733;
    }
    .sweets {
      fill: #d8a86a;
    }
    .caramel {
      fill: #c98a3e;
    }
    .nutButter {
      fill: #b99566;
    }
    .custard {
      fill: #efd58a;
    }
    .fruit {
      fill: #b5545a;
    }
    .crumbs {
      fill: #d9b98c;
    }
    .surprise {
      fill: #cfd8d6;
    }
  `,
})
export class SmallSection {
  readonly casting = input.required<Casting>();
  /** px. */
  readonly height = input(HEIGHT);
  protected readonly drawn = computed(() => {
    const draft = draftPlan(this.casting());
    return {
      geometry: sectionGeometry(draft, WIDTH, HEIGHT, false, MARGIN),
      shades: coatShades(draft.chocolates.map(({ colour }) => colour)),
    };
  });
}
