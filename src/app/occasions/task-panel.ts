import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { localTime } from '../../core/record/due';
import { Units } from '../state/units';
import { MomentField } from '../ui/moment-field';
import { text } from '../wording/format';
import { fromToText, mayWaitText, reasonText, whoseText } from '../wording/occasion';
import { OccasionView } from './occasion-view';

/** The opened task: why then, how long it may wait, and at which time it is held. */
@Component({
  selector: 'ks-task-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MomentField, NzButtonComponent],
  template: `
    @if (task(); as t) {
      <section aria-label="What is opened" aria-live="polite">
        <p class="plain">{{ t.when }}</p>
        <p>{{ t.why }} {{ t.mayWait }}</p>
        @if (t.handsOn) {
          <div class="hold">
            <ks-moment-field label="Hold it at" [value]="t.local" (moment)="held.emit({ key: t.key, at: $event })" />
            @if (t.held) {
              <button nz-button type="button" (click)="freed.emit(t.key)">Let go</button>
            }
          </div>
        }
      </section>
    }
  `,
  styleUrl: './task-panel.less',
})
export class TaskPanel {
  protected readonly view = inject(OccasionView);
  private readonly units = inject(Units);
  readonly held = output<{ readonly key: string; readonly at: string }>();
  readonly freed = output<string>();

  protected readonly task = computed(() => {
    const [task, plan, told, zone] = [this.view.openedTask(), this.view.plan(), this.view.told(), this.view.zone()];
    if (!task || !plan) return undefined;
    const time = fromToText({ from: task.startS, to: task.startS + task.seconds }, zone);
    return {
      key: task.key,
      handsOn: task.handsOn,
      when: `${whoseText(task, told)}: ${time}, ${text(task.seconds, 'duration', this.units.system())}`,
      why: reasonText(task, plan, told),
      mayWait: mayWaitText(task, this.units.system()),
      local: localTime(task.startS, zone),
      held: this.view.occasion()?.holds.some(({ operation }) => operation === task.key) ?? false,
    };
  });
}
