import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { LucideArrowDown, LucideArrowUp } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';

/** What a table is sorted by, and whether from the last to the first. */
export interface SortOrder<Column extends string = string> {
  readonly by: Column;
  readonly down: boolean;
}

/** What a row is sorted by in each column: words by the alphabet, numbers by size, nothing ('') last either way. */
export type SortKeys = Readonly<Record<string, string | number>>;

/** The rows in that order; those that are alike, and all where it names no column, stay as they stand. */
export function sortedBy<Row extends { readonly keys: SortKeys }>(
  rows: readonly Row[],
  { by, down }: SortOrder,
): readonly Row[] {
  return [...rows].sort((a, b) => compared(a.keys[by] ?? '', b.keys[by] ?? '', down));
}

function compared(a: string | number, b: string | number, down: boolean): number {
  if (a === '' || b === '') return Number(a === '') - Number(b === '');
  const order = typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b));
  return down ? -order : order;
}

/** The head of a column that the table can be sorted by: pressed once it sorts upward, pressed again downward. */
@Component({
  selector: 'th[ksSortHead]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideArrowDown, LucideArrowUp, NzButtonComponent],
  host: { scope: 'col', '[attr.aria-sort]': 'sorted()' },
  template: `
    <button nz-button nzType="text" type="button" (click)="sort()">
      <ng-content />
      @if (sorted() === 'ascending') {
        <svg lucideArrowUp [size]="14" aria-hidden="true"></svg>
      } @else if (sorted() === 'descending') {
        <svg lucideArrowDown [size]="14" aria-hidden="true"></svg>
      }
    </button>
  `,
  styles: `
    .ant-btn {
      height: 36px;
      padding: 0;
      border: 0;
      color: var(--soft);
      font-size: 13.5px;
      font-weight: 400;
      background: none;
    }
    .ant-btn:hover {
      text-decoration: underline;
      background: none;
    }
    :host([aria-sort='ascending']) .ant-btn,
    :host([aria-sort='descending']) .ant-btn {
      color: var(--ink);
      font-weight: 600;
    }
  `,
})
export class SortHead {
  /** The column it stands over. */
  readonly ksSortHead = input.required<string>();
  readonly order = model.required<SortOrder>();
  protected readonly sorted = computed(() => {
    const { by, down } = this.order();
    if (by !== this.ksSortHead()) return null;
    return down ? 'descending' : 'ascending';
  });

  protected sort(): void {
    const { by, down } = this.order();
    this.order.set({ by: this.ksSortHead(), down: by === this.ksSortHead() && !down });
  }
}
