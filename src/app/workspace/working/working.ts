import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Units } from '../../state/units';
import { WorkingPanel } from '../../state/working-panel';
import { Figure } from '../../ui/figure';
import { SidePanel } from '../../ui/side-panel';
import { answerText, rangeText, text } from '../../wording/format';
import { choiceName } from '../../wording/names';
import { RULES } from '../../wording/rules';
import { TERM_NAMES } from '../../wording/terms';
import { momentText, ownZone } from '../../wording/times';

/** The working behind a figure: what it came from, how, where the rule is from, how sure it is. */
@Component({
  selector: 'ks-working',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Figure, SidePanel],
  template: `
    <ks-side-panel [open]="!!shown()" [heading]="title()" (closed)="panel.close()">
      @if (shown(); as s) {
        <div class="working">
          <p class="value">{{ s.value }}</p>
          @if (s.range) {
            <p class="range">{{ s.range }}</p>
          }
          <p class="how">{{ s.rule.how }}</p>
          @if (s.parts.length) {
            <h3>Added up from</h3>
            <table>
              @for (part of s.parts; track $index; let i = $index) {
                <tr>
                  <th scope="row">{{ part.rule.startsWith('coat.fill') ? 'Layer' : 'Coat' }} {{ i + 1 }}</th>
                  <td><ks-figure [answer]="part" /></td>
                </tr>
              }
            </table>
          }
          @if (s.terms.length) {
            <h3>From</h3>
            <table>
              @for (term of s.terms; track $index) {
                <tr>
                  <th scope="row">{{ term.name }}</th>
                  <td>{{ term.value }}</td>
                </tr>
              }
            </table>
          }
          <h3>Source</h3>
          <p>{{ s.rule.source }}</p>
          <h3>How sure</h3>
          <p>{{ s.rule.sure }}</p>
        </div>
      }
    </ks-side-panel>
  `,
  styleUrl: './working.less',
})
export class Working {
  protected readonly panel = inject(WorkingPanel);
  private readonly units = inject(Units);
  protected readonly title = computed(() => {
    const answer = this.panel.answer();
    return answer ? RULES[answer.rule].title : '';
  });
  protected readonly shown = computed(() => {
    const answer = this.panel.answer();
    if (!answer) return undefined;
    const system = this.units.system();
    return {
      value: answerText(answer, system),
      range: rangeText(answer, system),
      rule: RULES[answer.rule],
      parts: answer.parts ?? [],
      terms: answer.terms.map((term) => ({
        name: TERM_NAMES[term.name],
        value:
          typeof term.value === 'string'
            ? choiceName(term.value)
            : term.dimension === 'moment'
              ? momentText(term.value, answer.zone ?? ownZone())
              : text(term.value, term.dimension ?? 'count', system),
      })),
    };
  });
}
