import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { usualClosing } from '../../../core/edit/closing';
import { dropUnused, meltFrom } from '../../../core/edit/melting';
import type { Casting } from '../../../core/record/casting';
import { hasRim, PLACES, type Place } from '../../../core/record/choices';
import {
  CLOSING_ROWS,
  CLOSURES,
  closingNumber,
  closingNumbers,
  isLid,
  joinsOf,
  type ClosingNumber,
  type Closure,
  type ClosureKind,
} from '../../../core/record/closing';
import { sourceKey } from '../../../core/record/melting';
import { meltOf } from '../../../core/record/references';
import { UNITS } from '../../../core/quantity/units';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { closingWords } from '../../wording/closing';
import { PLACE_NAMES } from '../../wording/names';
import type { Option } from '../../wording/option';

const OPEN = 'open';
type Choice = ClosureKind | typeof OPEN;
const USUAL_SET_S = 300;

/** How the pieces are closed: in what way, with what, and where that sets. */
@Component({
  selector: 'ks-close-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList],
  templateUrl: './close-fields.html',
  styleUrl: '../station.less',
})
export class CloseFields {
  private readonly store = inject(CastingStore);
  private readonly plan = inject(PlanService).draft;
  protected readonly sources = inject(Sources);
  protected readonly minute = UNITS.minute;
  protected readonly places = PLACES.map((value) => ({ value, name: PLACE_NAMES[value] }));
  protected readonly castingId = computed(() => this.plan()?.casting.id ?? '');
  /** What this piece can be closed with: two rims join, a cavity is capped, a lid is a part of its own. */
  protected readonly kinds = computed<readonly Option<Choice>[]>(() => {
    const plan = this.plan();
    if (!plan) return [];
    const joins = joinsOf(plan.casting.parts);
    const able = { rims: !!joins, cavity: joins !== 'halves', lid: this.lids().length > 0, nothing: true };
    const kinds: Choice[] = [OPEN, ...CLOSURES.filter((kind) => able[CLOSING_ROWS[kind].needs])];
    // A record from elsewhere may be closed in a way that its parts do not suggest.
    if (plan.closure && !kinds.includes(plan.closure.kind)) kinds.push(plan.closure.kind);
    return kinds.map((value) => ({ value, name: value === OPEN ? 'left open' : closingWords(value).name }));
  });
  protected readonly kind = computed<Choice>(() => this.plan()?.closure?.kind ?? OPEN);
  protected readonly lids = computed(() =>
    (this.plan()?.parts ?? [])
      .filter(({ part }, i) => i > 0 && hasRim(part))
      .map(({ part: { id, name } }) => ({ value: id, name })),
  );
  /** Whether it takes chocolate. */
  protected readonly adds = computed(() => {
    const closure = this.plan()?.closure;
    return !!closure && CLOSING_ROWS[closure.kind].adds !== 'nothing';
  });
  /** The part that is its lid, where there is one to choose from. */
  protected readonly lid = computed(() => {
    const closure = this.plan()?.closure ?? null;
    return isLid(closure) && this.lids().length > 0 ? closure.partId : undefined;
  });
  protected readonly numbers = computed(() => {
    const closure = this.plan()?.closure;
    if (!closure) return [];
    return closingNumbers(closure.kind).map(([key, { limit }]) => ({
      key,
      label: closingWords(closure.kind).fields[key] ?? '',
      value: closingNumber(closure, key) ?? 0,
      limit,
    }));
  });
  protected readonly source = computed(() => {
    const plan = this.plan();
    return plan?.closure ? sourceKey(meltOf(plan.casting, plan.closure.meltId).source) : '';
  });
  protected readonly set = computed(() => this.plan()?.closure?.sets[0]);

  protected choose(kind: Choice): void {
    this.store.edit('closing', (casting) => {
      casting.closure = kind === OPEN ? null : usualClosing(casting, kind);
      dropUnused(casting);
    });
  }

  protected setSource(id: string): void {
    this.change('chocolate for closing', (closure, casting) => {
      const source = this.sources.take(casting, id);
      if (source) closure.meltId = meltFrom(casting, source, closure.meltId).id;
      dropUnused(casting);
    });
  }

  protected setNumber(key: ClosingNumber, value: number): void {
    this.change(
      'closing',
      (closure) => {
        if (closingNumber(closure, key) !== undefined) Object.assign(closure, { [key]: value });
      },
      key,
    );
  }

  protected setLid(partId: string): void {
    this.change('lid', (closure) => {
      if (isLid(closure)) closure.partId = partId;
    });
  }

  protected setPlace(place: Place): void {
    this.change(
      'where it sets',
      (closure) => (closure.sets = [{ place, seconds: closure.sets[0]?.seconds ?? USUAL_SET_S }]),
    );
  }

  protected setSeconds(seconds: number): void {
    this.change(
      'how long it sets',
      (closure) => (closure.sets = [{ place: closure.sets[0]?.place ?? 'fridge', seconds }]),
      'closing set',
    );
  }

  private change(label: string, change: (closure: Closure, casting: Casting) => void, gesture?: string): void {
    this.store.edit(
      label,
      (casting) => {
        if (casting.closure) change(casting.closure, casting);
      },
      gesture,
    );
  }
}
