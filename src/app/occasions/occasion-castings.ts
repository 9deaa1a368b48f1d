import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideX } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { CastingStore } from '../state/casting-store';
import { Occasions } from '../state/occasions';
import { ChoiceList } from '../ui/choice-list';
import { Tool } from '../ui/tool';
import { letterOf } from '../wording/occasion';
import { OccasionView } from './occasion-view';

/** The castings of an occasion: each with its letter, lit up on a click; taken in and out. */
@Component({
  selector: 'ks-occasion-castings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceList, LucideX, NzButtonComponent, RouterLink, Tool],
  template: `
    <h2>Castings</h2>
    <ul>
      @for (line of lines(); track line.id) {
        <li [class.lit]="view.lit() === line.id">
          <button
            type="button"
            class="mark"
            [attr.aria-pressed]="view.lit() === line.id"
            [ksTool]="'Light up ' + line.name"
            (click)="light(line.id)"
          >
            {{ line.letter }}
          </button>
          <a [routerLink]="['/casting', line.id]"
            >{{ line.name }}<small>{{ line.said }}</small></a
          >
          <button
            nz-button
            nzType="text"
            type="button"
            [ksTool]="'Take ' + line.name + ' out'"
            (click)="takenOut.emit(line.id)"
          >
            <svg lucideX [size]="16" aria-hidden="true"></svg>
          </button>
        </li>
      }
    </ul>
    @if (missing(); as gone) {
      <p class="plain">
        {{ gone === 1 ? 'One of its castings is' : gone + ' of its castings are' }} not here any more: deleted,
        unreadable, or in another browser. The rest is planned without.
        <button nz-button nzType="link" type="button" (click)="cleared.emit()">Take out what is gone</button>
      </p>
    }
    @if (others().length > 1) {
      <ks-choice-list label="Take in" [options]="others()" value="" (chosen)="take($event)" />
    }
  `,
  styleUrl: './occasion-castings.less',
})
export class OccasionCastings {
  protected readonly view = inject(OccasionView);
  private readonly store = inject(CastingStore);
  private readonly occasions = inject(Occasions);
  readonly takenIn = output<string>();
  readonly takenOut = output<string>();
  readonly cleared = output<void>();

  protected readonly lines = computed(() =>
    this.view.castings().map((casting, i) => {
      return {
        id: casting.id,
        letter: letterOf(i),
        name: casting.name,
        said: `${casting.pieces} ${casting.pieces === 1 ? 'piece' : 'pieces'}`,
      };
    }),
  );
  protected readonly missing = computed(() => {
    const occasion = this.view.occasion();
    return occasion ? occasion.castingIds.length - this.view.castings().length : 0;
  });
  protected readonly others = computed(() => {
    const own = new Set(this.view.occasion()?.castingIds);
    const free = this.store.castings().filter(({ id }) => !own.has(id));
    return [
      { value: '', name: 'a casting…' },
      ...free.map(({ id, name }) => {
        const other = this.occasions.of(id);
        return { value: id, name: other ? `${name} (now in ${other.name})` : name };
      }),
    ];
  });

  protected light(id: string): void {
    this.view.lit.update((lit) => (lit === id ? undefined : id));
  }

  protected take(id: string): void {
    if (id) this.takenIn.emit(id);
  }
}
