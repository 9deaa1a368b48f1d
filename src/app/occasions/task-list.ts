import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterRenderEffect,
  computed,
  inject,
  input,
  output,
} from '@angular/core';
import type { PlannedTask } from '../../core/occasion/occasion-plan';
import { Units } from '../state/units';
import { text } from '../wording/format';
import { amountsText, letterOf, taskText, whoseText } from '../wording/occasion';
import { dayText, timeText } from '../wording/times';
import { OccasionView } from './occasion-view';
import { TaskPanel } from './task-panel';

/** The same timetable as a list by time: what is done when, and for which casting. */
@Component({
  selector: 'ks-task-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TaskPanel],
  template: `
    <h2>By the clock</h2>
    @for (day of days(); track day.name) {
      <h3>{{ day.name }}</h3>
      <ol>
        @for (line of day.lines; track line.key) {
          <li>
            <button
              type="button"
              [class.open]="line.key === view.opened()"
              [class.dim]="view.dim(line.castingId)"
              [class.wait]="!line.handsOn"
              [disabled]="fixed()"
              [attr.aria-expanded]="fixed() ? null : line.key === view.opened()"
              (click)="view.toggle(line.key)"
            >
              <time>{{ line.at }}</time>
              <b [title]="line.whose">{{ line.mark }}</b>
              <span
                >{{ line.what }}<span class="unseen">, {{ line.whose }}</span>
                @if (line.amounts) {
                  <span class="amounts">{{ line.amounts }}</span>
                }
              </span>
              <small>{{ line.takes }}</small>
            </button>
            @if (line.key === view.opened() && !fixed()) {
              <ks-task-panel (held)="held.emit($event)" (freed)="freed.emit($event)" />
            }
          </li>
        }
      </ol>
    }
  `,
  styleUrl: './task-list.less',
})
export class TaskList {
  protected readonly view = inject(OccasionView);
  private readonly units = inject(Units);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  /** Nothing in it is opened, as on paper. */
  readonly fixed = input(false);
  readonly held = output<{ readonly key: string; readonly at: string }>();
  readonly freed = output<string>();

  protected readonly days = computed(() => {
    const plan = this.view.plan();
    const zone = this.view.zone();
    const days = new Map<string, ReturnType<TaskList['line']>[]>();
    for (const task of plan?.tasks ?? []) {
      const name = dayText(task.startS, zone);
      days.set(name, [...(days.get(name) ?? []), this.line(task, zone)]);
    }
    return [...days].map(([name, lines]) => ({ name, lines }));
  });

  constructor() {
    // What is opened in the lanes is brought into sight here.
    afterRenderEffect(() => {
      if (this.view.opened() === undefined || this.fixed()) return;
      this.host.querySelector('button.open')?.scrollIntoView?.({ block: 'nearest' });
    });
  }

  private line(task: PlannedTask, zone: string) {
    const told = this.view.told();
    const index = this.view.letterIndex(task.castingId);
    return {
      key: task.key,
      castingId: task.castingId,
      handsOn: task.handsOn,
      at: timeText(task.startS, zone),
      mark: index >= 0 ? letterOf(index) : '',
      what: taskText(task, told),
      amounts: amountsText(task, told),
      whose: whoseText(task, told),
      takes: text(task.seconds, 'duration', this.units.system()),
    };
  }
}
