import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { FormControl, FormsModule, ReactiveFormsModule } from '@angular/forms';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzCheckboxComponent } from 'ng-zorro-antd/checkbox';
import { NzInputDirective } from 'ng-zorro-antd/input';
import type { Casting } from '../../core/record/casting';
import { Keys } from '../frame/keys';
import { CastingStore } from '../state/casting-store';
import { Clock } from '../state/clock';
import { CastingsActions } from '../state/castings-actions';
import { dueSeconds } from '../../core/record/due';
import { cavityRecordOf, chocolateOf, meltOf, moldOf } from '../../core/record/references';
import { Notices } from '../state/notices';
import { Units } from '../state/units';
import { allMadeText } from '../wording/coats';
import { listed } from '../wording/names';
import { dueText } from '../wording/times';
import { readCastingFile } from '../../data/casting-file';
import { cavitySizeText } from '../wording/shapes';
import { ImportPanel } from '../ui/import-panel';
import { Nothing } from '../ui/nothing';
import { RecordTools } from '../ui/record-tools';
import { SeveralChosen } from './several-chosen';
import { SmallSection } from './small-section';

/** All castings, each with its section drawn small: open, copy, export, delete; new ones and imports. */
@Component({
  selector: 'ks-castings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FormsModule,
    ImportPanel,
    Nothing,
    NzButtonComponent,
    NzCheckboxComponent,
    NzInputDirective,
    ReactiveFormsModule,
    RecordTools,
    RouterLink,
    SeveralChosen,
    SmallSection,
  ],
  templateUrl: './castings.html',
  styleUrls: ['../ui/list-page.less', './castings.less'],
})
export class Castings {
  protected readonly store = inject(CastingStore);
  protected readonly actions = inject(CastingsActions);
  private readonly units = inject(Units);
  private readonly clock = inject(Clock);
  private readonly notices = inject(Notices);
  protected readonly readFile = readCastingFile;
  protected readonly search = new FormControl('', { nonNullable: true });
  protected readonly importing = signal(false);
  protected readonly choosing = signal(false);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly chosenIds = computed(() =>
    this.store.castings().flatMap(({ id }) => (this.chosen().has(id) ? [id] : [])),
  );
  private readonly searched = toSignal(this.search.valueChanges, { initialValue: '' });
  private readonly box = viewChild<ElementRef<HTMLInputElement>>('box');

  protected readonly found = computed(() => {
    const wanted = this.searched().trim().toLowerCase();
    return this.store.castings().filter((casting) => casting.name.toLowerCase().includes(wanted));
  });

  constructor() {
    const keys = inject(Keys);
    effect(() => {
      if (keys.searchWanted() > 0) this.box()?.nativeElement.focus();
    });
  }

  protected due({ due }: Casting): string {
    return `${dueSeconds(due) < this.clock.seconds() ? 'was due' : 'ready by'} ${dueText(due)}`;
  }

  /** "64 mm, dark, fill and dump". */
  protected what(casting: Casting): string {
    const part = casting.parts[0];
    const chocolates = listed([
      ...new Set(
        casting.parts.flatMap(({ coats }) =>
          coats.flatMap(({ shares }) => shares.map(({ meltId }) => chocolateOf(casting, meltOf(casting, meltId)).name)),
        ),
      ),
    ]);
    const mold = moldOf(casting, part);
    const { shape } = cavityRecordOf(mold, part);
    return `${cavitySizeText(shape, this.units.system())}, ${chocolates}, ${allMadeText(mold, part.coats)}`;
  }

  /** Begins to choose, or ends it. */
  protected turnChoosing(): void {
    this.chosen.set(new Set());
    this.choosing.update((choosing) => !choosing);
  }

  protected choose(id: string, is: boolean): void {
    this.chosen.update((chosen) => {
      const next = new Set(chosen);
      if (is) next.add(id);
      else next.delete(id);
      return next;
    });
  }

  protected take(castings: readonly Casting[]): void {
    this.actions.take(castings);
    this.notices.say({ text: `Added ${castings.length} ${castings.length === 1 ? 'casting' : 'castings'}.` });
    this.importing.set(false);
  }

  protected clear(): void {
    this.search.setValue('');
  }
}
