import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { stayEvents } from '../../core/occasion/calendar';
import type { CalendarEvent } from '../../data/calendar-file';
import { saveFile } from '../state/save-file';
import { fromToText, taskText, whoseText } from '../wording/occasion';
import { dayText, timeText } from '../wording/times';
import { OccasionView } from './occasion-view';

/** The stays as events of a calendar, each with a call when the hands are wanted again: looked at here, then saved as a file. */
@Component({
  selector: 'ks-occasion-calendar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NzButtonComponent],
  template: `
    <h2>Calendar</h2>
    <ul>
      @for (event of shown(); track event.when) {
        <li>
          <strong>{{ event.when }}</strong>
          <small>{{ event.calls }}</small>
        </li>
      }
    </ul>
    <button nz-button type="button" (click)="save()">Save for a calendar (.ics)</button>
  `,
  styles: `
    h2 {
      font: 650 17px/1.2 var(--answer);
      margin-bottom: 4px;
    }
    ul {
      list-style: none;
      margin: 0 0 8px;
      padding: 0;
    }
    li {
      padding: 4px 0;
      border-bottom: 1px solid var(--rule);
      font-size: 14px;
    }
    strong {
      font-weight: 600;
    }
    small {
      display: block;
      color: var(--soft);
      font-size: 12.5px;
    }
  `,
})
export class OccasionCalendar {
  private readonly view = inject(OccasionView);
  private readonly events = computed<readonly CalendarEvent[]>(() => {
    const [plan, occasion] = [this.view.plan(), this.view.occasion()];
    if (!plan || !occasion) return [];
    const [told, zone] = [this.view.told(), this.view.zone()];
    return stayEvents(plan).map(({ from, to, tasks, calls }, i) => ({
      id: `${occasion.id}-${i + 1}`,
      title: occasion.name,
      from,
      to,
      text: tasks
        .map((task) => `${timeText(task.startS, zone)} ${taskText(task, told)}: ${whoseText(task, told)}`)
        .join('\n'),
      calls: calls.map((task) => ({ atS: task.startS, text: `${taskText(task, told)}: ${whoseText(task, told)}` })),
    }));
  });
  protected readonly shown = computed(() => {
    const zone = this.view.zone();
    return this.events().map(({ from, to, calls }) => ({
      when: `${dayText(from, zone)}, ${fromToText({ from, to }, zone)}`,
      calls: `calls you ${calls.length === 1 ? 'once' : `${calls.length} times`}, when the hands are wanted again`,
    }));
  });

  protected async save(): Promise<void> {
    const { writeCalendarFile } = await import('../../data/calendar-file');
    const name = this.view.occasion()?.name ?? '';
    saveFile(`Kilnstone ${name}.ics`, 'text/calendar', writeCalendarFile(name, this.events(), new Date()));
  }
}
