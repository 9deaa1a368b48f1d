import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LucideArrowUp, LucideTrash2 } from '@lucide/angular';
import { NzButtonComponent } from 'ng-zorro-antd/button';
import { dropUnused, meltFrom } from '../../../core/edit/melting';
import { addPrep, makePrep, movePrep, removePrep } from '../../../core/edit/prep';
import { restFirst, setIn, stayFor } from '../../../core/edit/sets';
import type { PrepAnswer } from '../../../core/prep/prep';
import { UNITS } from '../../../core/quantity/units';
import type { Casting, Prep } from '../../../core/record/casting';
import type { Place } from '../../../core/record/choices';
import { MOST } from '../../../core/record/limits';
import { sourceKey } from '../../../core/record/melting';
import { PATTERNS, patternRow, PREP_KINDS, prepRow, type Pattern, type PrepKind } from '../../../core/record/prep';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { ownSecondsOf, placeOf, restsOf } from '../../../core/record/sets';
import { newId } from '../../state/new-id';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { Sources } from '../../state/sources';
import { Units } from '../../state/units';
import { AmountField } from '../../ui/amount-field';
import { ChoiceList } from '../../ui/choice-list';
import { FieldScope } from '../../ui/field-scope';
import { Figure } from '../../ui/figure';
import { Pick } from '../../ui/pick';
import { TextField } from '../../ui/text-field';
import { Tool } from '../../ui/tool';
import { text } from '../../wording/format';
import { LONGEST_NAME, tidyName } from '../../wording/naming';
import { PATTERN_WORDS, PREP_WORDS, prepName, prepText } from '../../wording/painting';
import { SetFields } from '../setting/set-fields';

/** Numbers of a step that are typed. */
type PrepNumber = 'share' | 'count' | 'spotM' | 'thickM';

/** What is painted, sprayed and dusted into the empty mold of the open part, in its order: one step open, the others a line each. */
@Component({
  selector: 'ks-prep-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AmountField,
    ChoiceList,
    FieldScope,
    Figure,
    LucideArrowUp,
    LucideTrash2,
    NzButtonComponent,
    Pick,
    SetFields,
    TextField,
    Tool,
  ],
  templateUrl: './prep-list.html',
  styleUrls: ['../station.less', '../parts/part-list.less', './prep-list.less'],
})
export class PrepList {
  private readonly open = inject(OpenPart);
  private readonly plan = inject(PlanService).draft;
  private readonly units = inject(Units);
  protected readonly sources = inject(Sources);
  protected readonly minute = UNITS.minute;
  protected readonly most = MOST.prep;
  protected readonly adds = PREP_KINDS.map((kind) => ({ kind, name: PREP_WORDS[kind].add }));
  protected readonly kinds = PREP_KINDS.map((value) => ({ value, name: PREP_WORDS[value].name }));
  protected readonly patterns = PATTERNS.map((value) => ({ value, name: PATTERN_WORDS[value].name }));
  private readonly wanted = signal<string | undefined>(undefined);

  protected readonly rows = computed(() => {
    const plan = this.plan();
    return (plan?.preps ?? []).map((one) => ({
      id: one.step.id,
      name: plan ? prepName(plan.casting, one.step) : '',
      amount: text(one.mass.value, 'mass', this.units.system()),
      colour: plan ? this.colourOf(plan.casting, one.step) : '',
    }));
  });
  /** The step whose fields are shown: the one asked for, while it is there. */
  protected readonly shown = computed(() => {
    const one = this.plan()?.preps.find(({ step }) => step.id === this.wanted());
    return one && this.fieldsOf(one);
  });

  protected toggle(id: string): void {
    this.wanted.set(this.wanted() === id ? undefined : id);
  }

  protected add(kind: PrepKind): void {
    const id = `prep-${newId().slice(0, 8)}`;
    this.open.edit(`add ${PREP_WORDS[kind].add}`, (part) => addPrep(part, kind, id, PREP_WORDS[kind].colour));
    this.wanted.set(id);
  }

  protected remove(id: string): void {
    this.open.edit('take a step of painting out', (part, casting) => removePrep(casting, part, id));
  }

  protected earlier(id: string): void {
    this.open.edit('order of painting', (part) => movePrep(part, id, -1));
  }

  protected setKind(id: string, kind: PrepKind): void {
    this.open.edit('how it is painted', (part, casting) => makePrep(casting, part, id, kind, PREP_WORDS[kind].colour));
  }

  protected setName(id: string, name: string): void {
    const kept = tidyName(name).slice(0, LONGEST_NAME);
    if (kept) this.change(id, 'name of a colour', (step) => (step.name = kept));
  }

  protected setColour(id: string, colour: string): void {
    this.change(id, 'colour', (step) => 'colour' in step && (step.colour = colour), 'colour');
  }

  protected setSource(id: string, source: string): void {
    this.change(id, 'chocolate to paint with', (step, casting) => {
      const from = this.sources.take(casting, source);
      if (!from || !('meltId' in step)) return;
      step.meltId = meltFrom(casting, from, step.meltId).id;
      dropUnused(casting);
    });
  }

  protected setPattern(id: string, pattern: Pattern): void {
    this.change(id, 'pattern', (step) => (step.pattern = pattern));
  }

  protected setNumber(id: string, key: PrepNumber, value: number): void {
    this.change(id, 'painting', (step) => (step[key] = value), key);
  }

  protected setPlace(id: string, place: Place): void {
    this.change(id, 'where paint sets', (step) => setIn(step, place));
  }

  protected setRest(id: string, seconds: number): void {
    this.change(id, 'rest of paint', (step) => restFirst(step, seconds), 'rest');
  }

  /** Undefined for the computed time. */
  protected setOwn(id: string, seconds: number | undefined): void {
    this.change(id, 'own time for paint', (step) => stayFor(step, seconds), seconds === undefined ? undefined : 'own');
  }

  private fieldsOf(one: PrepAnswer) {
    const { step, stay } = one;
    const casting = this.plan()?.casting;
    const { of } = prepRow(step.kind);
    return {
      one,
      step,
      first: this.plan()?.preps[0] === one,
      asks: patternRow(step.pattern).asks,
      text: prepText(step),
      source: casting && 'meltId' in step ? sourceKey(meltOf(casting, step.meltId).source) : undefined,
      colour: 'colour' in step ? step.colour : '',
      thick: of !== 'dust',
      sets: of !== 'dust',
      beside: one.takes.value > one.mass.value,
      place: placeOf(step),
      restSeconds: restsOf(step).reduce((sum, { seconds }) => sum + seconds, 0),
      staySeconds: stay.value,
      overruled: ownSecondsOf(step) !== undefined,
    };
  }

  private colourOf(casting: Casting, step: Prep): string {
    return 'meltId' in step ? chocolateOf(casting, meltOf(casting, step.meltId)).colour : step.colour;
  }

  private change(id: string, label: string, change: (step: Prep, casting: Casting) => void, gesture?: string): void {
    this.open.edit(
      label,
      (part, casting) => {
        const step = part.prep.find((candidate) => candidate.id === id);
        if (step) change(step, casting);
      },
      gesture && `${id} ${gesture}`,
    );
  }
}
