import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { dueSeconds } from '../../../core/record/due';
import type { Casting } from '../../../core/record/casting';
import { Occasions } from '../../state/occasions';
import { Timetables } from '../../state/timetables';
import { ChoiceList } from '../../ui/choice-list';
import { dueText, momentText } from '../../wording/times';

/** What stands for an occasion that is yet to be begun, and for none. */
const NEW = 'new';
const NONE = 'none';

/** The occasion that a casting belongs to: put into one, a new one, or taken out. */
@Component({
  selector: 'ks-occasion-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, RouterLink],
  template: `
    @if (occasions.loaded()) {
      <ks-choice-list label="Occasion" [options]="options()" [value]="own()?.id ?? none" (chosen)="choose($event)" />
      @if (own(); as o) {
        <p class="plain"><a [routerLink]="['/occasions', o.id]">Its timetable</a>{{ other() }}</p>
      }
    }
  `,
  styles: `
    .plain {
      color: var(--soft);
      font-size: 13.5px;
    }
    a {
      text-decoration: underline;
    }
  `,
})
export class OccasionChoice {
  protected readonly occasions = inject(Occasions);
  private readonly timetables = inject(Timetables);
  readonly casting = input.required<Casting>();
  protected readonly none = NONE;
  protected readonly own = computed(() => this.occasions.of(this.casting().id));
  protected readonly options = computed(() => [
    { value: NONE, name: 'none: by itself' },
    ...this.occasions.records().map(({ id, name }) => ({ value: id, name })),
    { value: NEW, name: 'a new one' },
  ]);
  /** What is to be said where the occasion is at another time than the casting by itself. */
  protected readonly other = computed(() => {
    const [own, casting] = [this.own(), this.casting()];
    const part = own && this.timetables.partOf(casting.id);
    if (part)
      return `: ${momentText(part.from, own.due.zone)} to ${momentText(part.to, own.due.zone)}. What is told here is the casting by itself.`;
    return own && dueSeconds(own.due) !== dueSeconds(casting.due)
      ? `, ready by ${dueText(own.due)}; what is told here is the casting by itself.`
      : ' says when each of it is done among the others; what is told here is the casting by itself.';
  });

  protected choose(value: string): void {
    const { id, due } = this.casting();
    if (value === NONE) this.occasions.takeOut(id);
    else if (value === NEW) this.occasions.putAnew([id], due);
    else this.occasions.put([id], value);
  }
}
