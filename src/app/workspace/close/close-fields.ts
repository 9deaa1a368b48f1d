import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { usualClosing } from '../../../core/edit/closing';
import { dropUnused, meltFrom } from '../../../core/edit/melting';
import { restFirst, setIn, stayFor } from '../../../core/edit/sets';
import type { Casting } from '../../../core/record/casting';
import { hasRim, type Place } from '../../../core/record/choices';
import {
  CLOSING_ROWS,
  CLOSURES,
  closingChoice,
  closingChoices,
  closingNumber,
  closingNumbers,
  isCap,
  isLid,
  joinsOf,
  type ClosingNumber,
  type Closure,
  type ClosureKind,
} from '../../../core/record/closing';
import { cappedChill } from '../../../core/plan/capping';
import { sourceKey } from '../../../core/record/melting';
import { meltOf } from '../../../core/record/references';
import { ownSecondsOf, placeOf, restsOf } from '../../../core/record/sets';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { Pick } from '../../ui/pick';
import { SetFields } from '../setting/set-fields';
import { closingWords } from '../../wording/closing';
import type { Option } from '../../wording/option';
import { FieldScope } from '../../ui/field-scope';

const OPEN = 'open';
type Choice = ClosureKind | typeof OPEN;

/** How the pieces are closed: in what way, with what, and where that sets. */
@Component({
  selector: 'ks-close-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AmountField, ChoiceList, FieldScope, Pick, SetFields],
  templateUrl: './close-fields.html',
  styleUrl: '../station.less',
})
export class CloseFields {
  private readonly store = inject(CastingStore);
  private readonly plans = inject(PlanService);
  private readonly plan = this.plans.draft;
  protected readonly sources = inject(Sources);
  /** What this piece can be closed with: two rims join, a cavity is capped, a lid is a part of its own. */
  protected readonly kinds = computed<readonly Option<Choice>[]>(() => {
    const plan = this.plan();
    if (!plan) return [];
    const joins = joinsOf(plan.casting.parts);
    // Halves join; several cavities side by side are capped each.
    const cavities = plan.parts.every(
      ({ part, moldRecord }) => !hasRim(part) || moldRecord.composition.kind === 'single',
    );
    const able = { rims: !!joins, cavity: joins !== 'halves' || cavities, lid: this.lids().length > 0, nothing: true };
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
  /** What the way of closing leaves to choose. */
  protected readonly choices = computed(() => {
    const closure = this.plan()?.closure;
    if (!closure) return [];
    const words = closingWords(closure.kind).choices ?? {};
    return closingChoices(closure.kind).map(([key, options]) => ({
      key,
      label: words[key].label,
      options: options.map((value) => ({ value, name: words[key].names[value] })),
      value: closingChoice(closure, key),
    }));
  });
  protected readonly source = computed(() => {
    const plan = this.plan();
    return plan?.closure ? sourceKey(meltOf(plan.casting, plan.closure.meltId).source) : '';
  });
  /** Where it sets, where it has a place: for as long as is computed, or as the record says. */
  protected readonly set = computed(() => {
    const closure = this.plan()?.closure;
    if (!closure) return undefined;
    const own = ownSecondsOf(closure);
    const computed = cappedChill(this.plans.plan())?.stay.value ?? this.plan()?.close?.stay?.value;
    return {
      place: placeOf(closure),
      restSeconds: restsOf(closure).reduce((sum, { seconds }) => sum + seconds, 0),
      staySeconds: own ?? computed ?? 0,
      overruled: own !== undefined,
      name: isCap(closure) ? closingWords(closure.kind).label : 'The joint',
    };
  });

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

  protected setChoice(key: string, value: string): void {
    this.change('closing', (closure) => {
      if (closingChoices(closure.kind).some(([name, options]) => name === key && options.includes(value)))
        Object.assign(closure, { [key]: value });
    });
  }

  protected setLid(partId: string): void {
    this.change('lid', (closure) => {
      if (isLid(closure)) closure.partId = partId;
    });
  }

  protected setPlace(place: Place): void {
    this.change('where it sets', (closure) => setIn(closure, place));
  }

  protected setRest(seconds: number): void {
    this.change('rest first', (closure) => restFirst(closure, seconds), 'closing rest');
  }

  /** Undefined for the computed time. */
  protected setOwn(seconds: number | undefined): void {
    const gesture = seconds === undefined ? undefined : 'closing own';
    this.change('own interval', (closure) => stayFor(closure, seconds), gesture);
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
