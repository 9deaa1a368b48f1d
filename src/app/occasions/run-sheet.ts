import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { Occasions } from '../state/occasions';
import { Timetables } from '../state/timetables';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { letterOf } from '../wording/occasion';
import { dueText } from '../wording/times';
import { OccasionBowls } from './occasion-bowls';
import { OccasionShopping } from './occasion-shopping';
import { OccasionView } from './occasion-view';
import { TaskList } from './task-list';

/** The timetable on paper: everything by its time, which letter is which casting, what is melted, what is bought. */
@Component({
  selector: 'ks-run-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Gone, NzButtonComponent, OccasionBowls, OccasionShopping, PageHeader, TaskList],
  providers: [OccasionView],
  template: `
    @if (view.occasion(); as o) {
      <ks-page-header
        class="unprinted"
        heading="Run sheet"
        [of]="o.name"
        [back]="['/occasions', o.id]"
        backLabel="Back to the occasion"
      >
        <button nz-button nzType="primary" type="button" [disabled]="!view.plan()" (click)="print()">Print</button>
      </ks-page-header>
      <article>
        <h1>{{ o.name }}</h1>
        <p>Ready by {{ due() }}. {{ letters() }}</p>
        @if (view.plan()) {
          <ks-task-list [fixed]="true" />
          <div class="two">
            <ks-occasion-bowls [fixed]="true" />
          </div>
          <ks-occasion-shopping />
        } @else {
          <p role="status">The timetable is being looked for…</p>
        }
      </article>
    } @else if (occasions.loaded()) {
      <ks-gone
        heading="This occasion is not here any more"
        why="It was deleted, perhaps in another tab, or it lives in another browser."
        to="/occasions"
        toText="See all occasions"
      />
    }
  `,
  styleUrl: './run-sheet.less',
})
export class RunSheet {
  protected readonly occasions = inject(Occasions);
  private readonly timetables = inject(Timetables);
  protected readonly view = inject(OccasionView);
  readonly id = input.required<string>();
  protected readonly due = computed(() => {
    const due = this.view.occasion()?.due;
    return due ? dueText(due) : '';
  });
  protected readonly letters = computed(() =>
    this.view
      .castings()
      .map(({ name, pieces }, i) => `${letterOf(i)}: ${pieces} ${name}`)
      .join(', '),
  );

  constructor() {
    effect(() => {
      this.view.id.set(this.id());
      this.timetables.open(this.id());
    });
  }

  protected print(): void {
    window.print();
  }
}
