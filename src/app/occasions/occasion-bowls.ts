import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Bowl } from '../../core/occasion/bowls';
import { Occasions } from '../state/occasions';
import { Ticks } from '../ui/ticks';
import { letterOf } from '../wording/occasion';
import type { Option } from '../wording/option';
import { bowlLines } from './bowl-lines';
import { OccasionView } from './occasion-view';

/** What is melted for all castings: each bowl, for which of them, and what sharing it saves. */
@Component({
  selector: 'ks-occasion-bowls',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Ticks],
  template: `
    <h2>Bowls</h2>
    <ul>
      @for (bowl of bowls(); track $index) {
        <li>
          <i [style.background]="bowl.colour" aria-hidden="true"></i>
          <strong>{{ bowl.kg }}</strong> {{ bowl.name }} at {{ bowl.at }}
          <small>for {{ bowl.uses }}</small>
          @if (bowl.saves) {
            <small>{{ bowl.saves }}</small>
          }
          @if (bowl.made) {
            <small>{{ bowl.made }}</small>
          }
          @if (bowl.options.length > 0) {
            <ks-ticks
              [label]="'Cast last of ' + bowl.name"
              [showLabel]="false"
              [options]="bowl.options"
              [ticked]="bowl.ticked"
              (turned)="turn(bowl.options, $event)"
            />
          }
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
    ks-ticks {
      --ticks-wide: 220px;
      display: block;
      padding-left: 18px;
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
  private readonly occasions = inject(Occasions);
  /** Nothing in it is chosen, as on paper. */
  readonly fixed = input(false);
  protected readonly bowls = computed(() => {
    const bowls = this.view.plan()?.bowls ?? [];
    const late = this.view.occasion()?.fromLeft ?? [];
    return bowlLines(bowls, this.view.told()).map((line, i) => {
      const options = this.fixed() ? [] : this.fromLeft(bowls[i]);
      return { ...line, options, ticked: options.flatMap(({ value }) => (late.includes(value) ? [value] : [])) };
    });
  });

  protected turn(options: readonly Option<string>[], ticked: readonly string[]): void {
    this.occasions.edit(this.view.id(), 'bowls', (draft) => {
      const others = draft.fromLeft.filter((id) => !options.some(({ value }) => value === id));
      draft.fromLeft = [...others, ...ticked];
    });
  }

  /** Castings of which nothing is tipped out, where others leave something. */
  private fromLeft({ uses }: Bowl): readonly Option<string>[] {
    const tips = new Set(uses.flatMap(({ castingId, tipsOut }) => (tipsOut ? [castingId] : [])));
    const others = [...new Set(uses.map(({ castingId }) => castingId))].filter((id) => !tips.has(id));
    if (tips.size === 0) return [];
    return others.map((id) => ({
      value: id,
      name: `${this.letter(id)} last, from what is left`,
    }));
  }

  private letter(castingId: string): string {
    return letterOf(this.view.letterIndex(castingId));
  }
}
