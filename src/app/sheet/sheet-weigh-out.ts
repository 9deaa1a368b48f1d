import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Units } from '../state/units';
import { text, weighedText } from '../wording/format';
import type { WeighOutTable } from '../workspace/weigh-out/weigh-out-table';

/** What is weighed out of one melt: for a part, for the fullest round and for the whole job. */
@Component({
  selector: 'ks-sheet-weigh-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ table().chocolate }}</h2>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="unseen">What</span></th>
          <th scope="col">each {{ table().partName }}</th>
          <th scope="col">fullest round</th>
          <th scope="col">whole job</th>
        </tr>
      </thead>
      <tbody>
        @for (row of table().rows; track row.name) {
          <tr [class.sum]="row.use === 'sum'">
            <th scope="row">{{ row.name }}</th>
            <td>{{ write(row.perPartKg) }}</td>
            <td>{{ weighed(row.perRoundKg) }}</td>
            <td>{{ weighed(row.jobKg) }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './sheet-part.less',
})
export class SheetWeighOut {
  private readonly units = inject(Units);

  readonly table = input.required<WeighOutTable>();

  protected write(kg: number | undefined): string {
    return kg === undefined ? '' : text(kg, 'mass', this.units.system());
  }

  protected weighed(kg: number | undefined): string {
    return kg === undefined ? '' : weighedText(kg, this.table().stepKg, this.units.system());
  }
}
