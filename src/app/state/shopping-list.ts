import { Injectable, computed, inject } from '@angular/core';
import { shopping, type Shopping } from '../../core/batch/shopping';
import { larderNeeds, type LarderNeed } from '../../core/plan/larder';
import { piecesFrom } from '../../core/plan/needs';
import type { Casting } from '../../core/record/casting';
import type { PantryChocolate } from '../../core/record/chocolate';
import type { PantryFilling } from '../../core/record/filling';
import { Kitchens } from './kitchens';
import { Pantry } from './pantry';
import { PlanService } from './plan-service';

/** One line: what the job takes, what is there, what to buy and what it costs. */
export interface ShoppingLine extends LarderNeed {
  readonly stockKg: number | undefined;
  readonly packKg: number | undefined;
  readonly packPrice: number | undefined;
  readonly shopping: Shopping | undefined;
}

/** How much of a chocolate is on hand. */
export interface OnHand {
  readonly chocolateId: string;
  readonly name: string;
  readonly kg: number;
  readonly stockKg: number | undefined;
  /** Said for this casting, whatever the pantry holds. */
  readonly overruled: boolean;
}

/** The open casting's shopping list against the pantry. */
@Injectable({ providedIn: 'root' })
export class ShoppingList {
  private readonly plans = inject(PlanService);
  private readonly pantry = inject(Pantry);
  private readonly kitchens = inject(Kitchens);

  readonly currency = computed(() => this.kitchens.kitchen().currency);
  readonly lines = computed<readonly ShoppingLine[]>(() => {
    const plan = this.plans.plan();
    if (!plan) return [];
    return larderNeeds(plan).map((need): ShoppingLine => {
      const own =
        need.entryId === undefined
          ? undefined
          : plan.casting.onHand.find(({ chocolateId }) => chocolateId === need.entryId)?.kg;
      return shoppingLine(need, this.stocked(need.entryId), [plan.casting], own);
    });
  });
  readonly cost = computed(() => costOf(this.lines()));

  /** Chocolate on hand, kg by its id, for what the job takes of it: as this casting says, else what the pantry holds. */
  readonly onHand = computed<readonly OnHand[]>(() => {
    const plan = this.plans.plan();
    if (!plan) return [];
    return this.lines().flatMap(({ entryId, name, kind, stockKg }) => {
      if (kind !== 'chocolate' || entryId === undefined) return [];
      const own = plan.casting.onHand.find(({ chocolateId }) => chocolateId === entryId)?.kg;
      return [{ chocolateId: entryId, name, kg: own ?? stockKg ?? 0, stockKg, overruled: own !== undefined }];
    });
  });
  /** How many pieces that makes; undefined until the pantry has been looked into. */
  readonly makes = computed(() => {
    const plan = this.plans.plan();
    return plan && this.pantry.loaded()
      ? piecesFrom(plan, new Map(this.onHand().map(({ chocolateId, kg }) => [chocolateId, kg])))
      : undefined;
  });

  /** Before the pantry has been read nothing can be booked into it. */
  readonly isPantryRead = computed(() => this.pantry.loaded());

  /** Books the job into the pantry, once: what was bought comes in, what was used goes out. Undone with one step. Gives how many entries it touched. */
  book(): number {
    const casting = this.plans.plan()?.casting;
    if (!casting || casting.bookedAt !== undefined) return 0;
    const booked = this.lines().flatMap(({ entryId, shopping: bought }) => {
      const entry = this.stocked(entryId);
      return entry && bought ? [{ ...entry, stockKg: Math.round(bought.leftKg * 1e6) / 1e6 }] : [];
    });
    this.pantry.book(booked, casting.id);
    return booked.length;
  }

  private stocked(id: string | undefined): PantryChocolate | PantryFilling | undefined {
    return stockedIn(this.pantry, id);
  }
}

/** What is used, and what is bought, at known prices; `unpriced` names what has none. */
export function costOf(lines: readonly ShoppingLine[]) {
  const sum = (of: (line: ShoppingLine) => number | undefined): number =>
    lines.reduce((all, line) => all + (of(line) ?? 0), 0);
  return {
    used: sum((line) => line.shopping?.usedCost),
    bought: sum((line) => line.shopping?.cost),
    unpriced: lines.filter(({ packPrice }) => packPrice === undefined).map(({ name }) => name),
  };
}

/** What the pantry has of something that can be bought. */
export function stockedIn(
  pantry: Pick<Pantry, 'byId'>,
  id: string | undefined,
): PantryChocolate | PantryFilling | undefined {
  const entry = id === undefined ? undefined : pantry.byId().get(id);
  return entry && entry.entry !== 'tint' ? entry : undefined;
}

/**
 * What is to be bought of one thing.
 * @param castings sold by their own copies where the pantry has none of it
 * @param own what is on hand of it, kg, whatever the pantry holds
 */
export function shoppingLine(
  need: LarderNeed,
  entry: PantryChocolate | PantryFilling | undefined,
  castings: readonly Pick<Casting, 'chocolates'>[],
  own?: number,
): ShoppingLine {
  const copies = castings.flatMap(({ chocolates }) => chocolates);
  const packKg = entry?.packKg ?? copies.find(({ id }) => id === need.entryId)?.packKg;
  const { stockKg, packPrice } = entry ?? {};
  return {
    ...need,
    stockKg,
    packKg,
    packPrice,
    shopping:
      packKg === undefined ? undefined : shopping(need.neededKg, own ?? stockKg ?? 0, packKg, packPrice, need.usedKg),
  };
}
