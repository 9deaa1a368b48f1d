import {
  ChangeDetectionStrategy,
  Component,
  ViewEncapsulation,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormsModule, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzCheckboxComponent } from 'ng-zorro-antd/checkbox';
import { NzInputDirective } from 'ng-zorro-antd/input';
import {
  NzTableComponent,
  NzTableVirtualScrollDirective,
  NzTbodyComponent,
  NzTheadComponent,
  NzTrDirective,
} from 'ng-zorro-antd/table';
import type { Outcome } from '../../core/run/outcome';
import type { Method } from '../../core/record/method';
import { Logbook } from '../state/logbook';
import { saveFile } from '../state/save-file';
import { Units } from '../state/units';
import { ChoiceList } from '../ui/choice-list';
import { Nothing } from '../ui/nothing';
import { SortHead, sortedBy, type SortKeys, type SortOrder } from '../ui/sort-head';
import { WRONG_NAMES } from '../wording/bench';
import { outcomeWords } from '../wording/log';
import { VERDICT_NAMES } from '../wording/marks';
import { METHOD_NAMES } from '../wording/names';
import { RunDrawing } from './run-drawing';
import { LogSearch } from './log-search';

/** Height of a row, px, as the style has it. */
const ROW_PX = 72;

/** The words of a search are gathered so long after the log stands, ms. */
const INDEXED_AFTER_MS = 300;

interface Row {
  readonly id: string;
  readonly outcome: Outcome;
  readonly keys: SortKeys;
}

/** Every finished run: what came out, how it was against its plan, what was not as it should be; searched, filtered and sorted. */
@Component({
  selector: 'ks-log-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  imports: [
    ChoiceList,
    FormsModule,
    Nothing,
    NzButtonComponent,
    NzCheckboxComponent,
    NzInputDirective,
    NzTableComponent,
    NzTableVirtualScrollDirective,
    NzTbodyComponent,
    NzTheadComponent,
    NzTrDirective,
    ReactiveFormsModule,
    RouterLink,
    RunDrawing,
    SortHead,
  ],
  templateUrl: './log-page.html',
  styleUrl: './log-page.less',
})
export class LogPage {
  protected readonly log = inject(Logbook);
  private readonly units = inject(Units);
  protected readonly rowPx = ROW_PX;
  protected readonly search = new FormControl('', { nonNullable: true });
  private readonly searched = toSignal(this.search.valueChanges, { initialValue: '' });
  protected readonly mold = signal('');
  protected readonly chocolate = signal('');
  protected readonly method = signal<Method | ''>('');
  protected readonly rehearsals = signal(true);
  protected readonly order = signal<SortOrder>({ by: '', down: false });

  protected readonly molds = computed(() =>
    options(
      'every mold',
      this.log.finished().flatMap(({ molds }) => molds),
    ),
  );
  protected readonly chocolates = computed(() =>
    options(
      'every chocolate',
      this.log.finished().flatMap(({ chocolates }) => chocolates),
    ),
  );
  protected readonly methods = computed(() =>
    options(
      'every method',
      this.log.finished().flatMap(({ methods }) => methods),
      (method) => METHOD_NAMES[method],
    ),
  );
  protected readonly hasRehearsals = computed(() => this.log.finished().some(({ rehearsal }) => rehearsal));
  private readonly index = computed(() => new LogSearch(this.log.finished()));

  protected readonly found = computed(() => {
    const [searched, mold, chocolate, method] = [this.searched(), this.mold(), this.chocolate(), this.method()];
    const hits = searched.trim() === '' ? undefined : this.index().found(searched);
    return this.log
      .finished()
      .filter(
        (one) =>
          (!hits || hits.has(one.id)) &&
          (mold === '' || one.molds.includes(mold)) &&
          (chocolate === '' || one.chocolates.includes(chocolate)) &&
          (method === '' || one.methods.includes(method)) &&
          (this.rehearsals() || !one.rehearsal),
      );
  });
  protected readonly rows = computed(() => sortedBy(this.found().map(rowOf), this.order()));

  constructor() {
    effect((clean) => {
      if (this.log.finished().length === 0) return;
      const later = setTimeout(() => untracked(() => this.index()), INDEXED_AFTER_MS);
      clean(() => clearTimeout(later));
    });
  }

  protected byId(_: number, { id }: { readonly id: string }): string {
    return id;
  }

  protected showAll(): void {
    this.search.setValue('');
    this.mold.set('');
    this.chocolate.set('');
    this.method.set('');
    this.rehearsals.set(true);
  }

  /** What is in sight, as it is sorted. */
  protected async save(): Promise<void> {
    const { logCsv } = await import('./log-csv');
    saveFile('Kilnstone log.csv', 'text/csv', await logCsv(this.rows().map(({ outcome }) => outcome)));
  }

  /** A row in words: of those in sight alone. */
  protected words({ outcome }: Row) {
    return outcomeWords(outcome, this.units.system());
  }
}

function rowOf(outcome: Outcome): Row {
  const { id, name, beganS, counted, readyS, plannedS, wrongs, verdict } = outcome;
  return {
    id,
    outcome,
    keys: {
      when: beganS,
      what: name,
      out: counted ? counted.broke / Math.max(1, counted.out + counted.broke) : '',
      ready: readyS === undefined ? '' : readyS - plannedS,
      wrong: wrongs.length > 0 ? WRONG_NAMES[wrongs[0]] : '',
      verdict: verdict ? VERDICT_NAMES[verdict] : '',
    },
  };
}

/** What there is to choose from, once each, by its name; all of it first. */
function options<T extends string>(all: string, values: readonly T[], nameOf: (value: T) => string = (value) => value) {
  return [
    { value: '' as const, name: all },
    ...[...new Set(values)]
      .map((value) => ({ value, name: nameOf(value) }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  ];
}
