import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Answer } from '../../core/quantity/answer';
import { Figure } from './figure';

/** One of a row's figures, and how it is written. */
export interface AnswerFigure {
  readonly answer: Answer;
  readonly strong?: boolean;
  /** Its likely range alone. */
  readonly rangeOnly?: boolean;
  /** A volume in kitchen spoons. */
  readonly inSpoons?: boolean;
  /** Said before it, where a row has several of a kind. */
  readonly label?: string;
}

/** What is asked, and the figures that answer it. */
export interface AnswerRow {
  readonly name: string;
  readonly figures: readonly AnswerFigure[];
  /** Said after the figures. */
  readonly after?: string;
  /** Under the row before, and as wide as both columns; its name is told to those who hear the page. */
  readonly under?: boolean;
}

/** A row of one figure; none where there is no answer. */
export function answerRow(
  name: string,
  answer: Answer | undefined,
  how: Omit<AnswerFigure, 'answer'> & Pick<AnswerRow, 'after'> = {},
): AnswerRow[] {
  const { after, ...figure } = how;
  return answer ? [{ name, figures: [{ answer, ...figure }], after }] : [];
}

/** A station's answers, a row each; every figure opens its working. */
@Component({
  selector: 'ks-answers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure],
  template: `
    @if (heading()) {
      <h3>{{ heading() }}</h3>
    }
    <dl class="answers">
      @for (row of rows(); track $index) {
        <dt [class.unseen]="row.under">{{ row.name }}</dt>
        <dd [class.under]="row.under">
          @for (figure of row.figures; track $index; let last = $last) {
            @if (figure.label) {
              <span>{{ figure.label + ' ' }}</span>
            }
            <ks-figure
              [answer]="figure.answer"
              [strong]="figure.strong ?? false"
              [rangeOnly]="figure.rangeOnly ?? false"
              [inSpoons]="figure.inSpoons ?? false"
            />{{ last ? ' ' + (row.after ?? '') : row.figures[$index + 1].rangeOnly ? ' ' : ', ' }}
          }
        </dd>
      }
    </dl>
  `,
  styleUrl: './answers.less',
})
export class Answers {
  readonly rows = input.required<readonly AnswerRow[]>();
  /** What they are about, where a station answers for several. */
  readonly heading = input('');
}
