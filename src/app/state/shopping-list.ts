import { Injectable, computed, inject } from '@angular/core';
import { shopping, type Shopping } from '../../core/batch/shopping';
import { larderNeeds, type LarderNeed } from '../../core/plan/larder';
import { piecesFrom } from '../../core/plan/needs';
import { suppliesAlone, type Supply } from '../../core/plan/supplies';
import type { Casting } from '../../core/record/casting';
import type { PantryChocolate, PantryEntry } from '../../core/record/chocolate';
import type { PantryFilling } from '../../core/record/filling';
import type { PantryGoods, PantrySupply } from '../../core/record/goods';
import { goodsKey } from '../../core/record/references';
import { Kitchens } from './kitchens';
import { Pantry } from './pantry';
import { PlanService } from './plan-service';

/** One line: what the job takes, what is there, what to buy and what it costs; in kg, or in pieces where it is counted. */
export interface ShoppingLine {
  /** What is weighed, by the name it goes by; what is counted, by its kind. */
  readonly of: LarderNeed | Supply;
  readonly counted: boolean;
  readonly needed: number;
  /** The pantry's, where it keeps it. */
  readonly entry: Kept | undefined;
  readonly stock: number | undefined;
  readonly pack: number | undefined;
  readonly packPrice: number | undefined;
  readonly shopping: Shopping | undefined;
}

/** What the pantry keeps of something that is bought. */
export type Kept = PantryChocolate | PantryFilling | PantryGoods | PantrySupply;

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
    const weighed = larderNeeds(plan).map((need) => {
      const own = plan.casting.onHand.find(({ chocolateId }) => chocolateId === need.entryId)?.kg;
      return weighedLine(need, this.pantry.records(), [plan.casting], own);
    });
    return [...weighed, ...suppliesAlone(plan).map((supply) => countedLine(supply, this.pantry.records()))];
  });
  readonly cost = computed(() => costOf(this.lines()));

  /** Chocolate on hand, kg by its id, for what the job takes of it: as this casting says, else what the pantry holds. */
  readonly onHand = computed<readonly OnHand[]>(() => {
    const plan = this.plans.plan();
    if (!plan) return [];
    return this.lines().flatMap(({ of, stock }) => {
      if (of.kind !== 'chocolate' || of.entryId === undefined) return [];
      const own = plan.casting.onHand.find(({ chocolateId }) => chocolateId === of.entryId)?.kg;
      return [
        { chocolateId: of.entryId, name: of.name, kg: own ?? stock ?? 0, stockKg: stock, overruled: own !== undefined },
      ];
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
    const booked = new Map<string, Kept>();
    for (const { entry, shopping: bought } of this.lines()) {
      if (!entry || !bought) continue;
      // Two lines may be of one entry: sticks of one thickness that reach in differently far.
      const gone = bought.left - stockOf(entry);
      booked.set(entry.id, withStock(booked.get(entry.id) ?? entry, gone));
    }
    this.pantry.book([...booked.values()], casting.id);
    return booked.size;
  }
}

/** What is used, and what is bought, at known prices; `unpriced` are the lines that have none. */
export function costOf(lines: readonly ShoppingLine[]) {
  const sum = (of: (line: ShoppingLine) => number | undefined): number =>
    lines.reduce((all, line) => all + (of(line) ?? 0), 0);
  return {
    used: sum((line) => line.shopping?.usedCost),
    bought: sum((line) => line.shopping?.cost),
    unpriced: lines.filter(({ packPrice }) => packPrice === undefined),
  };
}

/**
 * What is to be bought of something that is weighed.
 * @param castings sold by their own copies where the pantry has none of it
 * @param own what is on hand of it, kg, whatever the pantry holds
 */
export function weighedLine(
  need: LarderNeed,
  pantry: readonly PantryEntry[],
  castings: readonly Pick<Casting, 'chocolates'>[],
  own?: number,
): ShoppingLine {
  const entry = pantry.find((one): one is PantryChocolate | PantryFilling | PantryGoods =>
    need.entryId === undefined
      ? one.entry === 'goods' && goodsKey(one.name) === goodsKey(need.name)
      : one.id === need.entryId && one.entry !== 'tint' && one.entry !== 'supply',
  );
  const copies = castings.flatMap(({ chocolates }) => chocolates);
  const pack = entry?.packKg ?? copies.find(({ id }) => id === need.entryId)?.packKg;
  const bought = (size: number): Shopping =>
    shopping(need.neededKg, own ?? entry?.stockKg ?? 0, size, entry?.packPrice, need.usedKg);
  return {
    of: need,
    counted: false,
    needed: need.neededKg,
    entry,
    stock: entry?.stockKg,
    pack,
    packPrice: entry?.packPrice,
    shopping: pack === undefined ? undefined : bought(pack),
  };
}

/** What is to be bought of something that is counted: of sticks those that are as thick. */
export function countedLine(supply: Supply, pantry: readonly PantryEntry[]): ShoppingLine {
  const { kind, count, stick } = supply;
  const entry = pantry.find(
    (one): one is PantrySupply =>
      one.entry === 'supply' && one.kind === kind && (!stick || Math.abs((one.thickM ?? 0) - stick.thickM) < 1e-6),
  );
  return {
    of: supply,
    counted: true,
    needed: count,
    entry,
    stock: entry?.stock,
    pack: entry?.pack,
    packPrice: entry?.packPrice,
    shopping: entry && shopping(count, entry.stock, entry.pack, entry.packPrice, count, 'count'),
  };
}

const stockOf = (entry: Kept): number => (entry.entry === 'supply' ? entry.stock : entry.stockKg);

/** @param more kg, or pieces; what falls below nothing is nothing */
function withStock(entry: Kept, more: number): Kept {
  const stock = Math.max(0, stockOf(entry) + more);
  return entry.entry === 'supply'
    ? { ...entry, stock: Math.round(stock) }
    : { ...entry, stockKg: Math.round(stock * 1e6) / 1e6 };
}
