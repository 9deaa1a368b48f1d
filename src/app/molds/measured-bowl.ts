import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { cavityOf } from '../../core/cavity/cavity';
import { checkShape } from '../../core/cavity/check-shape';
import type { CavityShape } from '../../core/cavity/shape';
import { moldStation } from '../../core/mold/mold';
import { Units } from '../state/units';
import { rangeText, text } from '../wording/format';
import { shapeProblemText } from '../wording/shapes';
import { cutPath } from './sheet-drawing';

/** What was measured of a cavity, and the bowl that holds as much. */
@Component({
  selector: 'ks-measured-bowl',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    @let r = told();
    <p class="answer">
      <strong>{{ r.volume }}</strong> a cavity
    </p>
    <p class="sure">{{ r.sure }}</p>
    @if (r.problem) {
      <p class="wrong" role="alert">{{ r.problem }}</p>
    }
    @if (r.cut; as cut) {
      <svg
        [attr.viewBox]="-cut.widthMm / 2 - 2 + ' -2 ' + (cut.widthMm + 4) + ' ' + (cut.depthMm + 4)"
        aria-hidden="true"
      >
        <path [attr.d]="cut.path" />
      </svg>
      <p class="hint">
        The bowl that holds as much at that width and depth. Its wall is {{ r.wall }}; filled solid it takes
        {{ r.solid }} of dark chocolate.
      </p>
      <button nz-button nzType="primary" type="button" (click)="used.emit()">Use it for this mold</button>
    }
  `,
  styleUrls: ['../ui/measured-result.less', './measured-bowl.less'],
})
export class MeasuredBowl {
  private readonly units = inject(Units);

  readonly shape = input.required<CavityShape>();
  /** The shape is to be taken for the mold. */
  readonly used = output();

  protected readonly told = computed(() => {
    const shape = this.shape();
    const problem = checkShape(shape);
    const system = this.units.system();
    const came = moldStation({ cavity: cavityOf(shape), shape, cavities: 1, atHand: 1, chocolateKind: 'dark' });
    return {
      volume: text(came.volume.value, 'volume', system),
      sure: rangeText(came.volume, system),
      wall: text(came.wallArea.value, 'area', system),
      solid: text(came.solid.value, 'mass', system),
      problem: problem ? shapeProblemText(problem) : '',
      cut: problem ? undefined : cutPath(shape),
    };
  });
}
