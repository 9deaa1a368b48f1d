import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { exchangeFilling, exchangeMelt, freshVariant } from '../../../core/edit/variants';
import type { VariantDraft } from '../../../core/plan/plan-types';
import type { Casting, Variant } from '../../../core/record/casting';
import { MOST } from '../../../core/record/limits';
import { meltsInUse, sourceKey } from '../../../core/record/melting';
import { chocolateOf, fillingOf, meltOf } from '../../../core/record/references';
import { piecesOfEach } from '../../../core/record/variants';
import { CastingStore } from '../../state/casting-store';
import { Fillings } from '../../state/fillings';
import { newId } from '../../state/new-id';
import { Notices } from '../../state/notices';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Figure } from '../../ui/figure';
import { TextField } from '../../ui/text-field';
import { Ticks } from '../../ui/ticks';
import { Tool } from '../../ui/tool';
import { FINISH_NAMES } from '../../wording/closing';
import { PREP_WORDS, prepName } from '../../wording/painting';
import { containsText } from '../../wording/guest-tag';
import { nameProblem, tidyName } from '../../wording/naming';
import type { Option } from '../../wording/option';

/** Stands for what the casting has itself. */
const SAME = 'same';
const AS_OTHERS = { value: SAME, name: 'as the others' };

/** What a variant has in place of something of the casting. */
interface Choice {
  readonly key: string;
  readonly label: string;
  readonly options: readonly Option<string>[];
  readonly value: string;
  readonly choose: (value: string) => void;
}

/** Of how many pieces what is otherwise: another chocolate, another filling, not painted or finished as the others. */
@Component({
  selector: 'ks-variant-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, Figure, LucideTrash2, NzButtonComponent, TextField, Ticks, Tool],
  templateUrl: './variant-list.html',
  styleUrls: ['../station.less', './variant-list.less'],
})
export class VariantList {
  private readonly store = inject(CastingStore);
  private readonly plan = inject(PlanService).draft;
  private readonly sources = inject(Sources);
  private readonly fillings = inject(Fillings);
  private readonly notices = inject(Notices);

  private readonly casting = computed(() => this.plan()?.casting);
  private readonly counts = computed(() => {
    const casting = this.casting();
    return casting ? piecesOfEach(casting, casting.pieces) : [];
  });
  protected readonly full = computed(() => (this.casting()?.variants.length ?? 0) >= MOST.variants);
  /** What some of the pieces may go without: paint and dust in the mold, finishes. */
  protected readonly extras = computed(() => {
    const casting = this.casting();
    return casting ? extrasOf(casting) : [];
  });
  protected readonly rows = computed(() => {
    const [plan, counts] = [this.plan(), this.counts()];
    if (!plan) return [];
    return plan.casting.variants.map((variant, i) => {
      const { id, name, pieces: wanted, without } = variant;
      const there = counts[i + 1];
      return {
        id,
        name,
        wanted,
        fewer: there < wanted ? `There is room for ${there} of them: the casting is of ${plan.casting.pieces}.` : '',
        choices: [...this.meltChoices(plan.casting, variant), ...this.layerChoices(plan.casting, variant)],
        gets: this.extras()
          .map(({ value }) => value)
          .filter((finish) => !without.includes(finish)),
        piece: pieceOf(plan.variants.find((one) => one.variant.id === id)),
      };
    });
  });
  protected readonly leftText = computed(() => {
    const [left] = this.counts();
    if (left === 0) return 'None is as the other stations have it.';
    return left === 1 ? 'One is as the other stations have it.' : `${left} are as the other stations have it.`;
  });

  protected add(): void {
    this.store.edit('variant', (casting) => void casting.variants.push(freshVariant(casting, newId())));
  }

  protected remove(id: string): void {
    this.store.edit('take a variant out', (casting) => {
      casting.variants = casting.variants.filter((variant) => variant.id !== id);
    });
  }

  protected setName(id: string, typed: string): void {
    const problem = nameProblem(typed);
    if (problem) this.notices.say({ text: problem });
    else this.change(id, 'name of a variant', (variant) => void (variant.name = tidyName(typed)));
  }

  protected setPieces(id: string, pieces: number): void {
    this.change(id, 'pieces of a variant', (variant) => void (variant.pieces = pieces), `pieces of ${id}`);
  }

  protected setExtras(id: string, gets: readonly string[]): void {
    this.change(id, 'what a variant gets', (variant, casting) => {
      variant.without = extrasOf(casting).flatMap(({ value }) => (gets.includes(value) ? [] : [value]));
    });
  }

  /** Of each chocolate that the casting is made of, what these pieces are made of. */
  private meltChoices(casting: Casting, variant: Variant): Choice[] {
    return meltsInUse({ ...casting, variants: [] }).map((meltId): Choice => {
      const own = meltOf(casting, meltId);
      const insteadId = variant.melts.find((one) => one.meltId === meltId)?.insteadId;
      const { name } = chocolateOf(casting, own);
      return {
        key: meltId,
        label: `${variant.name}: in place of ${name}`,
        options: [AS_OTHERS, ...this.sources.options().filter(({ value }) => value !== sourceKey(own.source))],
        value: insteadId === undefined ? SAME : sourceKey(meltOf(casting, insteadId).source),
        choose: (key) =>
          this.change(variant.id, 'chocolate of a variant', (one, draft) =>
            exchangeMelt(draft, one, meltId, key === SAME ? undefined : this.sources.take(draft, key)),
          ),
      };
    });
  }

  /** Of each layer, what these pieces are filled with. */
  private layerChoices(casting: Casting, variant: Variant): Choice[] {
    return casting.fill.map((layer): Choice => {
      const own = fillingOf(casting, layer.fillingId);
      return {
        key: layer.id,
        label: `${variant.name}: in place of ${own.name}`,
        options: [AS_OTHERS, ...this.fillings.options().filter(({ value }) => value !== own.id)],
        value: variant.fillings.find(({ layerId }) => layerId === layer.id)?.fillingId ?? SAME,
        choose: (key) =>
          this.change(variant.id, 'filling of a variant', (one, draft) => {
            if (key === SAME || this.fillings.take(draft, key))
              exchangeFilling(one, layer.id, key === SAME ? undefined : key);
          }),
      };
    });
  }

  private change(id: string, what: string, how: (variant: Variant, casting: Casting) => void, gesture?: string): void {
    this.store.edit(
      what,
      (casting) => {
        const variant = casting.variants.find((one) => one.id === id);
        if (variant) how(variant, casting);
      },
      gesture,
    );
  }
}

/** Paint and dust in the molds, then finishes, as they are told of. */
function extrasOf(casting: Casting): readonly Option<string>[] {
  const several = casting.parts.length > 1;
  return [
    ...casting.parts.flatMap((part) =>
      part.prep.map((step) => ({
        value: step.id,
        name: `${PREP_WORDS[step.kind].name}${several ? `, ${part.name}` : ''}: ${prepName(casting, step)}`,
      })),
    ),
    ...casting.finishes.map(({ id, kind, name }) => ({ value: id, name: `${FINISH_NAMES[kind]}: ${name}` })),
  ];
}

/** What a piece of a variant comes to. */
function pieceOf(variant: VariantDraft | undefined) {
  return (
    variant && {
      mass: variant.draft.piece.mass,
      rim: variant.draft.coat.total.rim,
      contains: containsText(variant.draft.piece),
    }
  );
}
