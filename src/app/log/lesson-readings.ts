import { ChangeDetectionStrategy, Component, ViewEncapsulation, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { LessonKey } from '../../core/record/kitchen';
import { Lessons } from '../state/lessons';
import { Units } from '../state/units';
import { readingTexts, runDay } from '../wording/lessons';

/** So many runs of a lesson are listed. */
const MOST_RUNS = 40;

/** A lesson's readings, by the run that each was noted in, the latest first. */
@Component({
  selector: 'ks-lesson-readings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [RouterLink],
  template: `
    <ul>
      @for (run of runs(); track run.id) {
        <li>
          <a [routerLink]="['/log', run.id]">{{ run.name }}</a>
          <time>{{ run.day }}</time>
          @for (line of run.said; track line) {
            <p>{{ line }}</p>
          }
        </li>
      }
    </ul>
  `,
})
export class LessonReadings {
  private readonly lessons = inject(Lessons);
  private readonly units = inject(Units);
  readonly lesson = input.required<LessonKey>();

  protected readonly runs = computed(() =>
    this.lessons
      .runs()
      .map((run) => ({
        ...run,
        day: runDay(run),
        said: readingTexts(this.lesson(), run.readings, this.units.system()),
      }))
      .filter(({ said }) => said.length > 0)
      .slice(0, MOST_RUNS),
  );
}
