import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { letterOf } from '../wording/occasion';
import { OccasionView } from './occasion-view';

/** What is melted for all castings: each bowl, for which of them, and what sharing it saves. */
@Component({
  selector: 'ks-occasion-bowls',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Bowls</h2>
    <ul>
      @for (bowl of bowls(); track $index) {
        <li>
          <i [style.background]="bowl.colour" aria-hidden="true"></i>
          <strong>{{ bowl.kg }}</strong> {{ bowl.name }} at {{ bowl.at }}
          <small>for {{ bowl.letters }}{{ bowl.saves }}</small>
        </li>
      }
    </ul>
  `,
  styles: `
    h2 {
      font: 650 17px/1.2 var(--answer);
      margin-bottom: 4px;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      padding: 4px 0;
      border-bottom: 1px solid var(--rule);
      font-size: 14px;
    }
    i {
      display: inline-block;
      width: 12px;
      height: 12px;
      border-radius: 50%;
      border: 1px solid var(--edge);
      margin-right: 6px;
    }
    small {
      display: block;
      color: var(--soft);
      font-size: 12.5px;
      padding-left: 18px;
    }
  `,
})
export class OccasionBowls {
  private readonly view = inject(OccasionView);
  private readonly units = inject(Units);
  protected readonly bowls = computed(() => {
    const system = this.units.system();
    return (this.view.plan()?.bowls ?? []).map(({ name, colour, workingC, kg, apartKg, uses }) => ({
      name,
      colour,
      kg: text(kg, 'mass', system),
      at: text(workingC, 'temperature', system),
      letters: [...new Set(uses.map(({ castingId }) => letterOf(this.view.letterIndex(castingId))))].join(', '),
      saves: apartKg - kg > 0.0005 ? `, ${text(apartKg - kg, 'mass', system)} less than each by itself` : '',
    }));
  });
}
