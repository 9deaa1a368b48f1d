import {
  ChangeDetectionStrategy,
  Component,
  ViewEncapsulation,
  afterRenderEffect,
  computed,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzTableComponent, NzTableVirtualScrollDirective, NzTbodyComponent, NzTrDirective } from 'ng-zorro-antd/table';
import type { Readings } from '../../core/melt/thermometer';
import { Units } from '../state/units';
import { text } from '../wording/format';

/** Height of a row, px, as the style has it; and how many stand in sight. */
const ROW_PX = 32;
const IN_SIGHT = 6;

/** All that the thermometer read, the latest first; each can be taken out. Of many only those in sight are drawn. */
@Component({
  selector: 'ks-readings-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [NzButtonComponent, NzTableComponent, NzTableVirtualScrollDirective, NzTbodyComponent, NzTrDirective],
  template: `
    <h2>Latest first</h2>
    <nz-table
      [nzData]="rows()"
      [nzFrontPagination]="false"
      [nzShowPagination]="false"
      [nzVirtualItemSize]="rowPx"
      [nzVirtualForTrackBy]="bySeconds"
      [nzScroll]="{ y: height() + 'px' }"
    >
      <tbody>
        <ng-template nz-virtual-scroll let-row>
          <tr>
            <th scope="row">{{ row.at }}</th>
            <td>{{ row.read }}</td>
            <td>
              <button
                nz-button
                nzType="link"
                type="button"
                (click)="dropped.emit(row.seconds)"
                [attr.aria-label]="'Take the reading at ' + row.at + ' out'"
              >
                take out
              </button>
            </td>
          </tr>
        </ng-template>
      </tbody>
    </nz-table>
  `,
  styleUrl: './readings-table.less',
})
export class ReadingsTable {
  private readonly units = inject(Units);
  readonly readings = input.required<Readings>();
  /** Its time since the first, s. */
  readonly dropped = output<number>();

  protected readonly rowPx = ROW_PX;
  protected readonly rows = computed(() => {
    const { seconds, celsius } = this.readings();
    const system = this.units.system();
    return Array.from(seconds, (s, i) => ({
      seconds: s,
      at: clock(s),
      read: Number.isNaN(celsius[i]) ? 'gap' : text(celsius[i], 'temperature', system),
    })).reverse();
  });
  protected readonly height = computed(() => ROW_PX * Math.min(IN_SIGHT, this.rows().length));

  private readonly table = viewChild.required<NzTableComponent<unknown>>(NzTableComponent);

  constructor() {
    // As it grows with its readings, what is in sight has to be asked for anew.
    afterRenderEffect(() => {
      this.height();
      this.table().cdkVirtualScrollViewport?.checkViewportSize();
    });
  }

  protected bySeconds(_: number, { seconds }: { readonly seconds: number }): number {
    return seconds;
  }
}

/** Minutes and seconds since the first reading, as "12:05"; hours before them from the first hour on. */
function clock(seconds: number): string {
  const whole = Math.round(seconds);
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
