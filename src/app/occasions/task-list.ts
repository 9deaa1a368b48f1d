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
import { OccasionView } from './occasion-view';
import { taskDays } from './task-days';
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
                  <span class="amounts" [class.beside]="fixed()">{{ line.amounts }}</span>
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
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  /** Nothing in it is opened, as on paper. */
  readonly fixed = input(false);
  readonly held = output<{ readonly key: string; readonly at: string }>();
  readonly freed = output<string>();

  protected readonly days = computed(() => taskDays(this.view.plan()?.tasks ?? [], this.view.told(), this.view.zone()));

  constructor() {
    // What is opened in the lanes is brought into sight here.
    afterRenderEffect(() => {
      if (this.view.opened() === undefined || this.fixed()) return;
      this.host.querySelector('button.open')?.scrollIntoView?.({ block: 'nearest' });
    });
  }
}
