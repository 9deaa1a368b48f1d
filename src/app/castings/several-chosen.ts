import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Router } from '@angular/router';
import { CastingStore } from '../state/casting-store';
import { Occasions } from '../state/occasions';
import { ChoiceList } from '../ui/choice-list';

/** What stands for an occasion that is yet to be begun. */
const NEW = 'new';

/** What is done with several castings that were chosen: they are put into an occasion. */
@Component({
  selector: 'ks-several-chosen',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList],
  template: `
    <p role="status">{{ said() }}</p>
    @if (castingIds().length > 0 && occasions.loaded()) {
      <ks-choice-list label="Put into" [options]="options()" value="" (chosen)="choose($event)" />
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: end;
      gap: 4px 18px;
      min-height: 66px;
      border-bottom: 1px solid var(--rule);
      padding-bottom: 8px;
      margin-bottom: 14px;
    }
    ks-choice-list {
      width: 260px;
    }
  `,
})
export class SeveralChosen {
  protected readonly occasions = inject(Occasions);
  private readonly store = inject(CastingStore);
  private readonly router = inject(Router);
  readonly castingIds = input.required<readonly string[]>();
  /** They have been put somewhere. */
  readonly put = output<void>();
  protected readonly said = computed(() => {
    const count = this.castingIds().length;
    return count === 0 ? 'Choose castings that are made for the same event.' : `${count} chosen`;
  });
  protected readonly options = computed(() => [
    { value: '', name: 'an occasion…' },
    ...this.occasions.records().map(({ id, name }) => ({ value: id, name })),
    { value: NEW, name: 'a new one' },
  ]);

  protected choose(value: string): void {
    const ids = this.castingIds();
    const first = this.store.castings().find(({ id }) => id === ids[0]);
    if (!value || !first) return;
    if (value !== NEW) this.occasions.put(ids, value);
    const id = value === NEW ? this.occasions.putAnew(ids, first.due)?.id : value;
    if (id === undefined) return;
    this.put.emit();
    void this.router.navigate(['/occasions', id]);
  }
}
