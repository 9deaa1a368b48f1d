import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  input,
  signal,
} from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { PdfSaver } from '../pdf/pdf-saver';
import { CastingStore } from '../state/casting-store';
import { InOccasion } from '../state/in-occasion';
import { saveFile } from '../state/save-file';
import { PlanService } from '../state/plan-service';
import { ShoppingList } from '../state/shopping-list';
import { StartTime } from '../state/start-time';
import { Units } from '../state/units';
import { GuestTags } from './guest-tags';
import { sheetContent } from './sheet-content';
import { SheetInside } from './sheet-inside';
import { SheetWeighOut } from './sheet-weigh-out';
import { StepItems } from './step-items';
import { weighOutCsv } from './weigh-out-csv';

/** The PDF package and its fonts: large, and apart from all else. */
const loadPdf = () => import('./sheet-pdf');

/** No more tags are printed at once. */
const MOST_TAGS = 200;

/** The weigh-out sheet: the one page that is cooked from, on screen, printed, as PDF and as CSV. */
@Component({
  selector: 'ks-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [GuestTags, NzButtonComponent, RouterLink, SheetInside, SheetWeighOut, StepItems],
  templateUrl: './sheet.html',
  styleUrl: './sheet.less',
})
export class Sheet {
  private readonly injector = inject(Injector);
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly titles = inject(Title);
  private readonly list = inject(ShoppingList);
  private readonly plans = inject(PlanService);
  private readonly time = inject(StartTime);
  private readonly inOccasion = inject(InOccasion);
  protected readonly plan = this.plans.plan;
  private readonly pdfs = inject(PdfSaver);
  protected readonly writing = this.pdfs.writing;
  /** While tags are printed, and not the sheet. */
  protected readonly tagsAlone = signal(false);
  /** A tag of each sort of piece. */
  protected readonly shown = computed(() => (this.content()?.tags ?? []).map(({ tag }) => tag));
  /** A tag for every piece. */
  protected readonly copies = computed(() =>
    (this.content()?.tags ?? [])
      .flatMap(({ tag, pieces }) => Array.from({ length: pieces }, () => tag))
      .slice(0, MOST_TAGS),
  );
  readonly id = input.required<string>();
  /** When it begins among the others of its occasion, where that is known. */
  private readonly begins = computed(() => {
    const [occasion, part] = [this.inOccasion.occasion(), this.inOccasion.part()];
    return occasion && part && { name: occasion.name, fromS: part.from };
  });

  protected readonly content = computed(() => {
    const plan = this.plan();
    return (
      plan &&
      sheetContent(plan, this.list.lines(), this.list.currency(), this.units.system(), {
        estimated: this.plans.chillSource() !== 'worker' || plan.batch.order === 'about',
        late: this.time.lateness(),
        occasion: this.begins(),
      })
    );
  });

  constructor() {
    effect(() => this.store.open(this.id()));
    effect(() => this.titles.setTitle(`Weigh-out, ${this.plan()?.casting.name ?? ''} · Kilnstone`));
    // It comes in while the sheet is read; where it does not, asking for the PDF tries again and says so.
    afterNextRender(() => window.requestIdleCallback?.(() => void loadPdf().catch(() => undefined)));
  }

  protected print(): void {
    window.print();
  }

  /** Prints the tags once they stand on the page; it stays as it is on screen. */
  protected printTags(): void {
    this.tagsAlone.set(true);
    window.addEventListener('afterprint', () => this.tagsAlone.set(false), { once: true });
    afterNextRender(() => window.print(), { injector: this.injector });
  }

  protected async csv(): Promise<void> {
    const plan = this.plan();
    if (plan) saveFile(`Kilnstone weigh-out ${plan.casting.name}.csv`, 'text/csv', await weighOutCsv(plan));
  }

  protected async pdf(): Promise<void> {
    const content = this.content();
    if (!content) return;
    await this.pdfs.save(`Kilnstone weigh-out ${content.title}.pdf`, content, async () =>
      (await loadPdf()).sheetPdf(content, this.units.system()),
    );
  }
}
