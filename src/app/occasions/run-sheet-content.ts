import { Injectable, computed, inject } from '@angular/core';
import { Units } from '../state/units';
import { letterOf } from '../wording/occasion';
import { dueText } from '../wording/times';
import { shoppingRow } from '../workspace/batch/shopping-row';
import { bowlLines } from './bowl-lines';
import { OccasionCosts } from './occasion-costs';
import { OccasionView } from './occasion-view';
import { taskDays, type TaskLine } from './task-days';

/** The run sheet as words and amounts, for its PDF; the page is made of the same lines. */
export interface RunSheetContent {
  readonly title: string;
  readonly lead: string;
  readonly days: readonly { readonly name: string; readonly lines: readonly TaskLine[] }[];
  readonly bowls: readonly string[];
  /** What, wanted, in the pantry, buy, price. */
  readonly shopping: readonly (readonly string[])[];
  readonly costs: readonly string[];
}

/** Puts the run sheet of the open occasion into words. */
@Injectable()
export class RunSheetWords {
  private readonly view = inject(OccasionView);
  private readonly costs = inject(OccasionCosts);
  private readonly units = inject(Units);

  readonly lead = computed(() => {
    const due = this.view.occasion()?.due;
    const letters = this.view.castings().map(({ name, pieces }, i) => `${letterOf(i)}: ${pieces} ${name}`);
    return due ? `Ready by ${dueText(due)}. ${letters.join(', ')}` : '';
  });

  readonly content = computed<RunSheetContent | undefined>(() => {
    const [plan, occasion, told] = [this.view.plan(), this.view.occasion(), this.view.told()];
    if (!plan || !occasion) return undefined;
    const { all, buy, without, castings } = this.costs.cost();
    const bowls = bowlLines(plan.bowls, told).map(({ kg, name, at, uses, made }) =>
      [`${kg} ${name} at ${at} for ${uses}`, made].filter((words) => words !== '').join('; '),
    );
    return {
      title: occasion.name,
      lead: this.lead(),
      days: taskDays(plan.tasks, told, this.view.zone()),
      bowls,
      shopping: this.costs.lines().map((line) => {
        const {
          name,
          wanted,
          there,
          buy: bought,
          price,
        } = shoppingRow(line, this.costs.currency(), this.units.system());
        return [name, wanted, there, bought, price];
      }),
      costs: [
        `All of it costs ${all}; to spend now ${buy}. ${without}`,
        castings.map(({ letter, piece, all: whole }) => `${letter}: ${piece} a piece, ${whole} in all`).join('; '),
      ].filter((words) => words.trim() !== ''),
    };
  });
}
