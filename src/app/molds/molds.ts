import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  afterRenderEffect,
  computed,
  effect,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import type { ShapeKind } from '../../core/cavity/shape';
import type { LibraryMold } from '../../core/record/mold';
import { cavityCount } from '../../core/record/mold-cavities';
import { readMoldFile } from '../../data/mold-file';
import { MoldLibrary } from '../state/mold-library';
import { Units } from '../state/units';
import { ChoiceList } from '../ui/choice-list';
import { ImportPanel } from '../ui/import-panel';
import { Nothing } from '../ui/nothing';
import { RecordTools } from '../ui/record-tools';
import { MATERIAL_NAMES } from '../wording/names';
import { SHAPE_NAMES, cavitySizeText } from '../wording/shapes';
import { MoldCardDrawing } from './mold-card-drawing';

/** Cards that are drawn first, as many as are in sight, and at a time when the end comes near. */
const AT_FIRST = 9;
const AT_A_TIME = 12;
const NEXT_MS = 60;

/** The mold library: each mold drawn to scale; found by kind and name, copied, exported, deleted; new ones and imports. */
@Component({
  selector: 'ks-molds',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ChoiceList,
    ImportPanel,
    MoldCardDrawing,
    Nothing,
    NzButtonComponent,
    NzInputDirective,
    ReactiveFormsModule,
    RecordTools,
    RouterLink,
  ],
  templateUrl: './molds.html',
  styleUrls: ['../ui/list-page.less', './molds.less'],
})
export class Molds {
  protected readonly library = inject(MoldLibrary);
  private readonly units = inject(Units);
  private readonly router = inject(Router);
  protected readonly search = new FormControl('', { nonNullable: true });
  protected readonly readFile = readMoldFile;
  protected readonly importing = signal(false);
  protected readonly kind = signal<ShapeKind | 'all'>('all');
  protected readonly kinds = [
    { value: 'all' as const, name: 'all kinds' },
    ...Object.entries(SHAPE_NAMES).map(([value, name]) => ({ value: value as ShapeKind, name })),
  ];
  private readonly searched = signal('');
  private readonly limit = signal(AT_FIRST);
  /** What is done with a mold comes a moment after the molds themselves: the first sight is of what there is. */
  protected readonly withTools = signal(false);
  private readonly end = viewChild<ElementRef<HTMLElement>>('end');

  protected readonly found = computed(() => {
    const wanted = this.searched().trim().toLowerCase();
    const kind = this.kind();
    return this.library
      .molds()
      .filter(
        (mold) =>
          (kind === 'all' || mold.cavities.some((cavity) => cavity.shape.kind === kind)) &&
          mold.name.toLowerCase().includes(wanted),
      );
  });
  protected readonly cards = computed(() => {
    const system = this.units.system();
    return this.found()
      .slice(0, this.limit())
      .map((mold) => ({
        mold,
        size: `${mold.cavities
          .map((cavity) => `${cavitySizeText(cavity.shape, system)} ${SHAPE_NAMES[cavity.shape.kind]}`)
          .slice(0, 2)
          .join(', ')}${mold.cavities.length > 2 ? ' and more' : ''}`,
        what: `${MATERIAL_NAMES[mold.material]}, ${cavitiesText(mold)}${mold.atHand > 1 ? `, ${mold.atHand} at hand` : ''}`,
      }));
  });
  protected readonly more = computed(() => this.found().length - this.cards().length);

  constructor() {
    this.search.valueChanges.pipe(takeUntilDestroyed()).subscribe((text) => this.searched.set(text));
    effect((clean) => {
      this.searched();
      this.kind();
      this.limit.set(AT_FIRST);
      // The first screenful is drawn by itself, and the next follows it.
      const next = setTimeout(() => {
        this.withTools.set(true);
        this.showMore();
      }, NEXT_MS);
      clean(() => clearTimeout(next));
    });
    const seen =
      typeof IntersectionObserver === 'undefined'
        ? undefined
        : new IntersectionObserver((entries) => entries.some((entry) => entry.isIntersecting) && this.showMore(), {
            rootMargin: '400px',
            scrollMargin: '400px',
          } as IntersectionObserverInit);
    afterRenderEffect(() => {
      const end = this.end()?.nativeElement;
      seen?.disconnect();
      if (end) seen?.observe(end);
    });
    inject(DestroyRef).onDestroy(() => seen?.disconnect());
  }

  protected showMore(): void {
    this.limit.update((n) => n + AT_A_TIME);
  }

  protected create(): void {
    this.open(this.library.create());
  }

  protected copy(mold: LibraryMold): void {
    this.open(this.library.copy(mold));
  }

  protected measure(): void {
    void this.router.navigate(['/molds', this.library.create().id, 'measure']);
  }

  protected take(molds: readonly LibraryMold[]): void {
    this.library.take(molds);
    this.importing.set(false);
  }

  protected clear(): void {
    this.search.setValue('');
    this.kind.set('all');
  }

  private open(mold: LibraryMold): void {
    void this.router.navigate(['/molds', mold.id]);
  }
}

function cavitiesText(mold: LibraryMold): string {
  const count = mold.cavities.reduce((sum, cavity) => sum + cavityCount(cavity), 0);
  return count === 1 ? 'one cavity' : `${count} cavities`;
}
