import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { cavityOf } from '../../core/cavity/cavity';
import { moldStation } from '../../core/mold/mold';
import type { LibraryMold, MoldCavity } from '../../core/record/mold';
import { cavityCount } from '../../core/record/mold-cavities';
import { answerRow, Answers, type AnswerRow } from '../ui/answers';

/** What a cavity comes to: what it holds, its wall, its rim. */
@Component({
  selector: 'ks-cavity-answers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Answers],
  template: `
    <h2>A cavity</h2>
    <ks-answers class="bare" [rows]="rows()" />
    @if (geometry().equivalent) {
      <p class="hint">
        Not turned about an axis: shells are computed on the turned body with the same room at every height, with the
        true wall counted.
      </p>
    }
  `,
  styleUrl: './mold-part.less',
})
export class CavityAnswers {
  readonly mold = input.required<LibraryMold>();
  readonly cavity = input.required<MoldCavity>();

  private readonly former = computed(() => this.mold().composition.kind === 'former');
  protected readonly geometry = computed(() => cavityOf(this.cavity().shape, this.former()));
  protected readonly rows = computed<readonly AnswerRow[]>(() => {
    const { volume, wallArea, depth, rimLength, solid, perRound } = moldStation({
      cavity: this.geometry(),
      shape: this.cavity().shape,
      cavities: cavityCount(this.cavity()),
      atHand: this.mold().atHand,
      chocolateKind: 'dark',
    });
    return [
      ...answerRow('Holds', volume, { strong: true }),
      ...answerRow('likely', volume.low === undefined ? undefined : volume, { rangeOnly: true }),
      ...answerRow('Wall', wallArea),
      ...answerRow('Depth', depth),
      ...answerRow('Rim', rimLength),
      ...answerRow('Solid, dark chocolate', this.former() ? undefined : solid),
      ...answerRow('In a round', perRound),
    ];
  });
}
