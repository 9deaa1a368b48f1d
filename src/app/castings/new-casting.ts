import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzRadioModule } from 'ng-zorro-antd/radio';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { PIECE_KINDS } from '../../core/edit/piece-kinds';
import { CastingsActions } from '../state/castings-actions';
import { Kitchens } from '../state/kitchens';
import { Lessons } from '../state/lessons';
import { MoldLibrary } from '../state/mold-library';
import { Pantry } from '../state/pantry';
import { AmountField } from '../ui/amount-field';
import { ChoiceList } from '../ui/choice-list';
import { MomentField } from '../ui/moment-field';
import { Figure } from '../ui/figure';
import { Once } from '../ui/once';
import { PageHeader } from '../ui/page-header';
import { madeText } from '../wording/coats';
import { PIECE_NAMES } from '../wording/piece-kinds';
import { dueHint } from '../wording/times';
import { Beginning, BY_MEASURES } from './beginning';
import { PieceKindDrawing } from './piece-kind-drawing';
import { SmallSection } from './small-section';
import { FieldScope } from '../ui/field-scope';

/** The first minute of a casting: what is cast, in which mold, of what, how many and for when; planned as one chooses. */
@Component({
  selector: 'ks-new-casting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    ChoiceList,
    FieldScope,
    Figure,
    FormsModule,
    MomentField,
    NzButtonComponent,
    NzRadioModule,
    Once,
    PageHeader,
    PieceKindDrawing,
    SmallSection,
  ],
  providers: [Beginning],
  templateUrl: './new-casting.html',
  styleUrl: './new-casting.less',
})
export class NewCasting {
  protected readonly begun = inject(Beginning);
  protected readonly actions = inject(CastingsActions);
  private readonly library = inject(MoldLibrary);
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  private readonly lessons = inject(Lessons);

  /** Query parameter: a mold to begin with. */
  readonly mold = input<string>();

  protected readonly kinds = PIECE_KINDS.map((value) => ({ value, name: PIECE_NAMES[value].name }));
  protected readonly ready = computed(() => this.library.loaded() && this.pantry.loaded() && this.kitchens.loaded());
  protected readonly hint = computed(() => {
    const kind = this.begun.kind();
    return kind ? PIECE_NAMES[kind].hint : '';
  });
  protected readonly dueHint = computed(() => dueHint(this.begun.due()));
  protected readonly made = computed(() => {
    const plan = this.begun.plan();
    const last = plan?.coatsMade.at(-1);
    return plan && last
      ? `${madeText(plan.moldRecord, last.method)}, ${plan.coatsMade.length === 1 ? 'once' : `${plan.coatsMade.length} coats`}`
      : '';
  });

  private begunOnce = false;

  constructor() {
    effect(() => {
      const mold = this.library.byId().get(this.mold() ?? '');
      if (mold) untracked(() => this.begun.withMold(mold));
    });
  }

  protected setDue(local: string): void {
    this.begun.due.update(({ zone }) => ({ local, zone }));
  }

  /** Plans it: a new mold comes into the library first, so that it is there for the next one. */
  protected async begin(): Promise<void> {
    if (!this.begun.casting() || this.begunOnce) return;
    this.begunOnce = true;
    if (!this.lessons.known()) await this.lessons.learnedByAll();
    const casting = this.begun.casting();
    if (!casting) return;
    if (this.begun.moldKey() === BY_MEASURES) {
      const mold = this.library.add(casting.molds[0]);
      casting.molds[0] = { ...casting.molds[0], id: mold.id, name: mold.name };
      for (const part of casting.parts) part.moldId = mold.id;
    }
    this.actions.begin(casting);
  }
}
