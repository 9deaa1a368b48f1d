import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { SheetContent } from './sheet-content';

/** What goes inside: for a piece and for the whole job. */
@Component({
  selector: 'ks-sheet-inside',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Inside</h2>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="unseen">What</span></th>
          <th scope="col">each piece</th>
          <th scope="col">whole job</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr>
            <th scope="row">
              {{ row.name }}
              @if (row.mixed) {
                <span class="mixed">{{ row.mixed }}</span>
              }
            </th>
            <td>{{ row.each }}</td>
            <td>{{ row.job }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './sheet-part.less',
})
export class SheetInside {
  readonly rows = input.required<SheetContent['inside']>();
}
