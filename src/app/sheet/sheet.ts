import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { chocolateOf, meltOf } from '../../core/record/references';
import { shopping } from '../../core/batch/shopping';
import { CastingStore } from '../state/casting-store';
import { Kitchens } from '../state/kitchens';
import { Pantry } from '../state/pantry';
import { saveFile } from '../state/save-file';
import { PlanService } from '../state/plan-service';
import { Units } from '../state/units';
import { coatName, handsText, placesText } from '../wording/coats';
import { rangeText, text } from '../wording/format';
import { stepWordings } from '../wording/melting';
import { ALLERGEN_NAMES, METHOD_NAMES, PREP_TEXTS, SCHOOL_NAMES, WAY_UP_NAMES, listed } from '../wording/names';
import { dueInstant, momentText, startText } from '../wording/times';
import { weighOutTables } from '../workspace/weigh-out/weigh-out-table';
import { weighOutCsv } from './weigh-out-csv';

/** The weigh-out sheet: the one page that is cooked from, on screen and printed. */
@Component({
  selector: 'ks-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  templateUrl: './sheet.html',
  styleUrl: './sheet.less',
})
export class Sheet {
  private readonly store = inject(CastingStore);
  private readonly units = inject(Units);
  private readonly titles = inject(Title);
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);
  protected readonly plan = inject(PlanService).plan;
  protected readonly prepTexts = PREP_TEXTS;
  readonly id = input.required<string>();

  protected readonly tables = computed(() => {
    const plan = this.plan();
    return plan ? weighOutTables(plan) : [];
  });
  protected readonly facts = computed(() => {
    const plan = this.plan();
    if (!plan) return undefined;
    const { due, pieces } = plan.casting;
    const system = this.units.system();
    const melt = meltOf(plan.casting, plan.coatsMade[0].shares[0].meltId);
    return {
      ready: momentText(dueInstant(due), due.zone),
      start: startText(due, plan.batch.total.value),
      total: text(plan.batch.total.value, 'duration', system),
      job: `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}: ${plan.batch.parts.value} parts, ${plan.batch.spares.value} of them spare, in ${plan.batch.rounds.value} ${plan.batch.rounds.value === 1 ? 'round' : 'rounds'}`,
      working: text(melt.workingC, 'temperature', system),
      allergens: listed(plan.fill.allergens.map((allergen) => ALLERGEN_NAMES[allergen])) || 'none of the listed allergens',
      plate: plan.closure?.kind === 'warmPlate',
    };
  });
  /** Melting and tempering, one melt after another. */
  protected readonly melts = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const system = this.units.system();
    return plan.melts.map(({ input, plan: { steps, seedKg }, perLotKg, lots }) => ({
      id: input.meltId,
      head: `${chocolateOf(plan.casting, meltOf(plan.casting, input.meltId)).name}, ${SCHOOL_NAMES[input.school]}`,
      amount: `${lots > 1 ? `${lots} times ` : ''}${text(perLotKg - seedKg, 'mass', system)}${seedKg > 0 ? ` and ${text(seedKg, 'mass', system)} of seed, chopped fine` : ''}`,
      steps: stepWordings(steps, input.way, system),
    }));
  });
  protected readonly steps = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const system = this.units.system();
    return plan.coatsMade.map((made, i) => {
      const { stay, last } = plan.chill.coats[i];
      return {
        name: coatName(made.method, i),
        how: `${METHOD_NAMES[made.method]}: ${handsText(made, system)}`,
        chill: `Set ${WAY_UP_NAMES[made.wayUp]}${placesText(made, system)} for ${text(stay.value, 'duration', system)}${rangeText(stay, system) ? ` (${rangeText(stay, system)})` : ''}, then ${last ? 'unmold' : 'the next coat'}`,
      };
    });
  });

  constructor() {
    effect(() => this.store.open(this.id()));
    effect(() => this.titles.setTitle(`Weigh-out, ${this.plan()?.casting.name ?? ''} · Kilnstone`));
  }

  protected write(kg: number | undefined): string {
    return kg === undefined ? '' : text(kg, 'mass', this.units.system());
  }

  /** What a chocolate comes to in packs, and what of it the pantry lacks. */
  protected buying(chocolateId: string, neededKg: number, packs: number): string {
    const chocolate = this.plan()?.casting.chocolates.find((candidate) => candidate.id === chocolateId);
    if (!chocolate) return '';
    const all = `${this.write(neededKg)} ${chocolate.name}: ${packs} ${packs === 1 ? 'pack' : 'packs'} of ${this.write(chocolate.packKg)}.`;
    const there = this.pantry.chocolates().find((candidate) => candidate.id === chocolateId);
    if (!there || there.stockKg === 0) return all;
    const { packs: missing, cost } = shopping(neededKg, there.stockKg, there.packKg, there.packPrice);
    const price = cost === undefined ? '' : `, ${this.kitchens.kitchen().currency} ${cost.toFixed(2)}`;
    return `${all} ${this.write(there.stockKg)} is in the pantry: ${missing === 0 ? 'nothing to buy' : `buy ${missing}${price}`}.`;
  }

  protected print(): void {
    window.print();
  }

  protected async csv(): Promise<void> {
    const plan = this.plan();
    if (plan) saveFile(`Kilnstone weigh-out ${plan.casting.name}.csv`, 'text/csv', await weighOutCsv(plan));
  }
}
