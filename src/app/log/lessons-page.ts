import { ChangeDetectionStrategy, Component, ViewEncapsulation, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzCheckboxComponent } from 'ng-zorro-antd/checkbox';
import type { Taught } from '../../core/learn/lessons';
import type { LessonKey } from '../../core/record/kitchen';
import { Lessons } from '../state/lessons';
import { Logbook } from '../state/logbook';
import { Units } from '../state/units';
import { Nothing } from '../ui/nothing';
import { PageHeader } from '../ui/page-header';
import { lessonWords } from '../wording/lessons';
import { LessonReadings } from './lesson-readings';
import { LessonScale } from './lesson-scale';

/** What runs have taught of the kitchen and of who works in it: each told with what it changes, switched off, forgotten, and looked at reading by reading. */
@Component({
  selector: 'ks-lessons-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [
    FormsModule,
    LessonReadings,
    LessonScale,
    Nothing,
    NzButtonComponent,
    NzCheckboxComponent,
    PageHeader,
    RouterLink,
  ],
  templateUrl: './lessons-page.html',
  styleUrl: './lessons-page.less',
})
export class LessonsPage {
  protected readonly lessons = inject(Lessons);
  protected readonly log = inject(Logbook);
  private readonly units = inject(Units);
  protected readonly open = signal<LessonKey | undefined>(undefined);

  protected readonly rows = computed(() =>
    [...this.lessons.taught()]
      .sort((a, b) => weight(b) - weight(a))
      .map((taught) => ({
        taught,
        key: taught.key,
        on: !this.lessons.off().has(taught.key),
        words: lessonWords(taught, this.units.system()),
      })),
  );
  protected look(key: LessonKey): void {
    this.open.update((now) => (now === key ? undefined : key));
  }
}

/** What is farthest from what was assumed, for how sure it is, comes first. */
const weight = ({ factor, low, high }: Taught): number => Math.abs(Math.log(factor)) / Math.log(high / low);
