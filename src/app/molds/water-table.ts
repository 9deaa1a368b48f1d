import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { waterMethod } from '../../core/mold/water-method';
import type { WaterReadings } from '../../core/record/mold';
import { Units } from '../state/units';
import { Tool } from '../ui/tool';
import { text } from '../wording/format';
import { waterProblemText } from '../wording/measuring';

/** The weighings of a cavity's water, each with what it makes of the cavity or why it cannot be. */
@Component({
  selector: 'ks-water-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideX, NzButtonComponent, Tool],
  template: `
    <table>
      <thead>
        <tr>
          <th scope="col">Reading</th>
          <th scope="col">empty</th>
          <th scope="col">full</th>
          <th scope="col">a cavity</th>
          <th><span class="unseen">Take out</span></th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track $index; let i = $index) {
          <tr [class.bad]="row.problem">
            <th scope="row">{{ i + 1 }}</th>
            <td>{{ row.empty }}</td>
            <td>{{ row.full }}</td>
            <td>{{ row.each || 'none' }}</td>
            <td>
              <button
                nz-button
                nzType="text"
                type="button"
                (click)="dropped.emit(i)"
                [ksTool]="'Take reading ' + (i + 1) + ' out'"
              >
                <svg lucideX [size]="15" aria-hidden="true"></svg>
              </button>
            </td>
          </tr>
          @if (row.problem) {
            <tr class="why">
              <td colspan="5">{{ row.problem }}</td>
            </tr>
          }
        }
      </tbody>
    </table>
    @if (spread(); as problem) {
      <p class="wrong" role="alert">{{ problem }}</p>
    }
  `,
  styleUrls: ['../ui/measured-table.less', './water-table.less'],
})
export class WaterTable {
  private readonly units = inject(Units);

  readonly water = input.required<WaterReadings>();
  /** The reading that is taken out, by its place. */
  readonly dropped = output<number>();

  private readonly weighed = computed(() => waterMethod(this.water()));
  protected readonly rows = computed(() => {
    const { eachM3, problems } = this.weighed();
    const system = this.units.system();
    return this.water().readings.map((reading, i) => {
      const problem = problems.find((candidate) => 'reading' in candidate && candidate.reading === i);
      return {
        empty: text(reading.emptyKg, 'mass', system),
        full: text(reading.fullKg, 'mass', system),
        each: eachM3[i] > 0 ? text(eachM3[i], 'volume', system) : '',
        problem: problem ? waterProblemText(problem) : '',
      };
    });
  });
  protected readonly spread = computed(() => {
    const problem = this.weighed().problems.find((candidate) => candidate.key === 'disagree');
    return problem ? waterProblemText(problem) : '';
  });
}
