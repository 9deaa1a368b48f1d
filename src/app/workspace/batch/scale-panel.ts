import { ChangeDetectionStrategy, Component, computed, inject, signal, type Signal } from '@angular/core';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { draftPlan } from '../../../core/plan/draft';
import { chillsOf, makingsOf } from '../../../core/plan/makings';
import { structureOf } from '../../../core/plan/making';
import { castIn } from '../../../core/edit/parts';
import { finishPlan } from '../../../core/plan/plan';
import type { CastingPlan } from '../../../core/plan/plan-types';
import { changesInKind } from '../../../core/plan/scale';
import type { Casting } from '../../../core/record/casting';
import { castingMold } from '../../../core/record/copies';
import { copyOf } from '../../../core/record/copy';
import { LIMITS, within } from '../../../core/record/limits';
import { pourFrom } from '../../../core/edit/melting';
import { sourceKey } from '../../../core/record/melting';
import { meltOf, partOf } from '../../../core/record/references';
import { CastingStore } from '../../state/casting-store';
import { MoldLibrary } from '../../state/mold-library';
import { OpenPart } from '../../state/open-part';
import { Orders } from '../../state/orders';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Fold } from '../../ui/fold';
import { scaledTexts } from '../../wording/scaling';

/** The casting with more pieces, in another mold or of another chocolate, before it is made so: what follows, and what changes in kind. */
@Component({
  selector: 'ks-scale-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Fold, NzButtonComponent],
  template: `
    <ks-fold name="Scale it, or make it otherwise" (turned)="opened.set($event)">
      @if (opened() && plan(); as p) {
        <div class="fields">
          <p class="links">
            @for (factor of factors; track factor.name) {
              <button nz-button nzType="link" type="button" class="small" (click)="times(factor.by)">
                {{ factor.name }}
              </button>
            }
          </p>
          <ks-amount-field
            label="Pieces then"
            field="scaled"
            [value]="pieces()"
            [whole]="true"
            limit="pieces"
            (amount)="wantedPieces.set($event.value)"
          />
          <ks-choice-list label="In" [options]="molds()" [value]="moldId()" (chosen)="wantedMold.set($event)" />
          <ks-choice-list
            label="Of"
            [options]="sources.options()"
            [value]="source()"
            (chosen)="wantedSource.set($event)"
          />
        </div>
        @if (texts(); as lines) {
          <ul role="status">
            @for (line of lines; track line) {
              <li>{{ line }}</li>
            }
          </ul>
          <button nz-button type="button" (click)="take()">Make it so</button>
        }
      }
    </ks-fold>
  `,
  styleUrls: ['../station.less', './scale-panel.less'],
})
export class ScalePanel {
  private readonly store = inject(CastingStore);
  private readonly library = inject(MoldLibrary);
  private readonly open = inject(OpenPart);
  private readonly units = inject(Units);
  protected readonly sources = inject(Sources);
  private readonly plans = inject(PlanService);
  private readonly orders = inject(Orders);
  protected readonly plan = this.plans.plan;
  protected readonly factors = [
    { name: 'half', by: 0.5 },
    { name: 'double', by: 2 },
    { name: 'three times', by: 3 },
  ];
  protected readonly opened = signal(false);
  protected readonly wantedPieces = signal<number | undefined>(undefined);
  protected readonly wantedMold = signal<string | undefined>(undefined);
  protected readonly wantedSource = signal<string | undefined>(undefined);

  protected readonly pieces = computed(() => this.wantedPieces() ?? this.plan()?.casting.pieces ?? 1);
  protected readonly moldId = computed(() => this.wantedMold() ?? this.plan()?.moldRecord.id ?? '');
  protected readonly molds = computed(() => {
    const own = this.plan()?.moldRecord;
    const listed = this.library.molds().map(({ id, name }) => ({ value: id, name }));
    return own && !listed.some(({ value }) => value === own.id)
      ? [{ value: own.id, name: own.name }, ...listed]
      : listed;
  });
  private readonly ownSource = computed(() => {
    const plan = this.plan();
    return plan ? sourceKey(meltOf(plan.casting, plan.part.coats[0].shares[0].meltId).source) : '';
  });
  protected readonly source = computed(() => this.wantedSource() ?? this.ownSource());
  /** The casting as it would be; undefined where nothing is changed. */
  private readonly changed = computed<Casting | undefined>(() => {
    const plan = this.plan();
    if (!plan || !this.opened()) return undefined;
    const { casting } = plan;
    const changed = copyOf(casting);
    this.change(changed);
    return JSON.stringify(changed) === JSON.stringify(casting) ? undefined : changed;
  });
  /** Both by the simulation's correction where it holds for both, else both by the closed form, so that only what was changed makes a difference. */
  private readonly corrections = computed(() => {
    const changed = this.changed();
    const corrections = this.plans.allSimulated();
    if (!changed || !corrections) return undefined;
    const { makings } = makingsOf(changed);
    const holds =
      corrections.length === makings.length &&
      makings.every((making, i) => corrections[i].structure === structureOf(making));
    return holds ? corrections : undefined;
  });
  private readonly before = this.planned('before', () => this.changed() && this.plan()?.casting);
  private readonly after = this.planned('after', () => this.changed());
  protected readonly texts = computed(() => {
    const [before, after] = [this.before(), this.after()];
    if (!before || !after) return undefined;
    const texts = scaledTexts(before, after, changesInKind(before, after), this.units.system());
    return this.corrections()
      ? texts
      : [...texts, 'Estimated, before and after: the simulation follows once it is made so.'];
  });

  /** @param id by which its order is told from that of the casting itself */
  private planned(id: string, of: () => Casting | undefined): Signal<CastingPlan | undefined> {
    return this.orders.ordering(
      computed(() => {
        const casting = of();
        if (!casting) return undefined;
        const draft = draftPlan({ ...casting, id }, this.corrections() ?? []);
        return finishPlan(draft, chillsOf(draft));
      }),
    );
  }

  protected times(by: number): void {
    this.wantedPieces.set(within(LIMITS.pieces, (this.plan()?.casting.pieces ?? 1) * by, 1));
  }

  protected take(): void {
    this.store.edit('scaled casting', (casting) => this.change(casting));
    for (const wanted of [this.wantedPieces, this.wantedMold, this.wantedSource]) wanted.set(undefined);
  }

  private change(casting: Casting): void {
    const partId = this.open.id();
    casting.pieces = this.pieces();
    const mold = this.library.byId().get(this.moldId());
    const part = partOf(casting, partId);
    if (mold && mold.id !== part.moldId) castIn(casting, part.id, castingMold(mold));
    const source = this.source() === this.ownSource() ? undefined : this.sources.take(casting, this.source());
    if (source) pourFrom(casting, partOf(casting, partId).coats, source);
  }
}
