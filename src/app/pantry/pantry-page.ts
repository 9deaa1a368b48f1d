import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { NzInputDirective } from 'ng-zorro-antd/input';
import { nearestClass } from '../../core/matter/chocolate';
import type { PantryChocolate, PantryEntry, PantryTint } from '../../core/record/chocolate';
import { readPantryFile } from '../../data/pantry-file';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { Units } from '../state/units';
import { ImportPanel } from '../ui/import-panel';
import { Nothing } from '../ui/nothing';
import { RecordTools } from '../ui/record-tools';
import { text, written } from '../wording/format';
import { FLUIDITY_NAMES, KIND_NAMES } from '../wording/names';
import { bestBeforeText, packText } from '../wording/pantry';
import { FillingTable } from './filling-table';
import { GoodsList } from './goods-list';

/** What is at hand: chocolates with their colours and bands, tints and fillings with their recipes; found, copied, exported, deleted. */
@Component({
  selector: 'ks-pantry-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FillingTable,
    GoodsList,
    ImportPanel,
    Nothing,
    NzButtonComponent,
    NzInputDirective,
    ReactiveFormsModule,
    RecordTools,
    RouterLink,
  ],
  templateUrl: './pantry-page.html',
  styleUrls: ['../ui/list-page.less', './pantry-page.less'],
})
export class PantryPage {
  protected readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly units = inject(Units);
  private readonly router = inject(Router);
  protected readonly search = new FormControl('', { nonNullable: true });
  protected readonly readFile = readPantryFile;
  protected readonly importing = signal(false);
  private readonly searched = signal('');

  protected readonly chocolates = computed(() =>
    this.pantry
      .chocolates()
      .filter(({ name }) => this.wanted(name))
      .map((chocolate) => ({ chocolate, ...this.lines(chocolate) })),
  );
  protected readonly tints = computed(() =>
    this.pantry
      .tints()
      .filter(({ name }) => this.wanted(name))
      .map((tint) => ({ tint, recipe: this.recipe(tint) })),
  );

  protected readonly fillings = computed(() => this.pantry.fillings().filter(({ name }) => this.wanted(name)));

  protected readonly goods = computed(() => this.pantry.goods().filter(({ name }) => this.wanted(name)));

  constructor() {
    this.search.valueChanges.pipe(takeUntilDestroyed()).subscribe((typed) => this.searched.set(typed));
  }

  protected newChocolate(): void {
    this.open(this.pantry.createChocolate());
  }

  protected newTint(): void {
    this.open(this.pantry.createTint());
  }

  protected newFilling(): void {
    this.open(this.pantry.createFilling());
  }

  protected newGoods(): void {
    this.open(this.pantry.createGoods('New ingredient'));
  }

  protected newSupply(): void {
    this.open(this.pantry.createSupply('New supply', 'bag'));
  }

  protected copy(entry: PantryEntry): void {
    this.open(this.pantry.copy(entry));
  }

  protected take(entries: readonly PantryEntry[]): void {
    this.pantry.take(entries);
    this.importing.set(false);
  }

  private open(entry: PantryEntry | undefined): void {
    if (entry) void this.router.navigate(['/pantry', entry.id]);
  }

  private wanted(name: string): boolean {
    return name.toLowerCase().includes(this.searched().trim().toLowerCase());
  }

  private lines(chocolate: PantryChocolate): {
    readonly kind: string;
    readonly work: string;
    readonly stock: string;
    readonly before: string;
    readonly old: boolean;
  } {
    const system = this.units.system();
    const best = bestBeforeText(chocolate.bestBefore, new Date());
    return {
      kind: `${KIND_NAMES[chocolate.kind]}, runs ${FLUIDITY_NAMES[nearestClass(chocolate.fluidity)]}`,
      work: `Work ${written(chocolate.workFromC, 'temperature', system).number} to ${text(chocolate.workToC, 'temperature', system)}`,
      stock: `${chocolate.stockKg > 0 ? text(chocolate.stockKg, 'mass', system) : 'none'} here; ${packText(chocolate, this.kitchens.kitchen().currency, system)}`,
      before: best.text,
      old: best.past,
    };
  }

  private recipe(tint: PantryTint): string {
    const names = tint.chocolates.map(
      ({ chocolateId, parts }) =>
        `${parts} ${this.pantry.byId().get(chocolateId)?.name ?? 'something not here any more'}`,
    );
    return [...names, ...tint.colours.map(({ name, parts }) => `${parts} ${name}`)].join(' : ');
  }
}
