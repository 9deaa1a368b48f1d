import { ChangeDetectionStrategy, Component, effect, inject, input } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { PdfSaver } from '../pdf/pdf-saver';
import { Occasions } from '../state/occasions';
import { Timetables } from '../state/timetables';
import { Units } from '../state/units';
import { Gone } from '../ui/gone';
import { PageHeader } from '../ui/page-header';
import { OccasionBowls } from './occasion-bowls';
import { OccasionCosts } from './occasion-costs';
import { OccasionShopping } from './occasion-shopping';
import { OccasionView } from './occasion-view';
import { RunSheetWords } from './run-sheet-content';
import { TaskList } from './task-list';

/** The timetable on paper: everything by its time, which letter is which casting, what is melted, what is bought. */
@Component({
  selector: 'ks-run-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Gone, NzButtonComponent, OccasionBowls, OccasionShopping, PageHeader, TaskList],
  providers: [OccasionView, OccasionCosts, RunSheetWords],
  template: `
    @if (view.occasion(); as o) {
      <ks-page-header
        class="unprinted"
        heading="Run sheet"
        [of]="o.name"
        [back]="['/occasions', o.id]"
        backLabel="Back to the occasion"
      >
        <button nz-button type="button" [disabled]="!view.plan() || pdfs.writing()" (click)="pdf()">Save as PDF</button>
        <button nz-button nzType="primary" type="button" [disabled]="!view.plan()" (click)="print()">Print</button>
      </ks-page-header>
      <article>
        <h1>{{ o.name }}</h1>
        <p>{{ words.lead() }}</p>
        @if (view.plan()) {
          <ks-task-list [fixed]="true" />
          <div class="two">
            <ks-occasion-bowls [fixed]="true" />
          </div>
          <ks-occasion-shopping />
        } @else {
          <p role="status">The timetable is being looked for…</p>
        }
      </article>
    } @else if (occasions.loaded()) {
      <ks-gone
        heading="This occasion is not here any more"
        why="It was deleted, perhaps in another tab, or it lives in another browser."
        to="/occasions"
        toText="See all occasions"
      />
    }
  `,
  styleUrl: './run-sheet.less',
})
export class RunSheet {
  protected readonly occasions = inject(Occasions);
  private readonly timetables = inject(Timetables);
  protected readonly view = inject(OccasionView);
  readonly id = input.required<string>();
  protected readonly words = inject(RunSheetWords);
  protected readonly pdfs = inject(PdfSaver);
  private readonly units = inject(Units);

  constructor() {
    effect(() => {
      this.view.id.set(this.id());
      this.timetables.open(this.id());
    });
  }

  protected async pdf(): Promise<void> {
    const content = this.words.content();
    if (!content) return;
    await this.pdfs.save(`Kilnstone run sheet ${content.title}.pdf`, content, async () =>
      (await import('./run-sheet-pdf')).runSheetPdf(content, this.units.system()),
    );
  }

  protected print(): void {
    window.print();
  }
}
