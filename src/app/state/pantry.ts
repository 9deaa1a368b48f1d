import { Injectable, computed, inject } from '@angular/core';
import { CHOCOLATE_MATTER, FLUIDITY_CLASSES, nearestClass } from '../../core/matter/chocolate';
import { FILLING_MATTER } from '../../core/matter/filling';
import type { Casting } from '../../core/record/casting';
import type { PantryChocolate, PantryEntry, PantryTint } from '../../core/record/chocolate';
import { castingChocolate, castingTint } from '../../core/record/copies';
import { putCopy } from '../../core/record/copy';
import type { SupplyKind } from '../../core/record/choices';
import type { PantryFilling } from '../../core/record/filling';
import type { PantryGoods, PantrySupply } from '../../core/record/goods';
import { dropUnusedCopies } from '../../core/edit/melting';
import { hasRoomFor, type MeltSource } from '../../core/record/melting';
import { goodsKey } from '../../core/record/references';
import { readPantryEntry } from '../../core/record/read-pantry';
import { writePantryFile } from '../../data/pantry-file';
import { shippedPantry } from '../../data/pantry-shipped';
import { newId } from './new-id';
import { PantryStorage } from './pantry-storage';
import { RecordLibrary } from './record-library';
import { saveFile } from './save-file';

/** A pack of what is used by the spoon, kg, and of what is counted, until it is said. */
const GOODS_PACK_KG = 0.1;
const SUPPLY_PACK = 50;
/** As brown as peanut butter. */
const CARAMEL_COLOUR = '#b07c46';

/** The chocolates, tints and fillings at hand: listed, edited, copied, deleted, exported; all of it undone with everything else. */
@Injectable({ providedIn: 'root' })
export class Pantry extends RecordLibrary<PantryEntry> {
  readonly chocolates = computed(() =>
    this.records().filter((entry): entry is PantryChocolate => entry.entry === 'chocolate'),
  );
  readonly fillings = computed(() =>
    this.records().filter((entry): entry is PantryFilling => entry.entry === 'filling'),
  );
  readonly tints = computed(() => this.records().filter((entry): entry is PantryTint => entry.entry === 'tint'));

  /** What is bought besides: by weight, and counted. */
  readonly goods = computed(() =>
    this.records().filter(
      (entry): entry is PantryGoods | PantrySupply => entry.entry === 'goods' || entry.entry === 'supply',
    ),
  );

  constructor() {
    super(inject(PantryStorage), { key: 'pantry', plural: 'entries', accepts: (entry) => readPantryEntry(entry).ok });
  }

  /** Castings that hold a copy of an entry, by name. */
  usedBy(id: string): readonly string[] {
    return this.castings
      .castings()
      .filter((casting) => usesEntry(casting, id))
      .map((casting) => casting.name);
  }

  createChocolate(): PantryEntry {
    const { fatShare, meltToC, seedToC, workFromC, workToC, ceilingC } = CHOCOLATE_MATTER.dark;
    return this.added(
      {
        ...this.fresh('New chocolate'),
        entry: 'chocolate',
        kind: 'dark',
        fluidity: 'medium',
        fatShare,
        meltToC,
        seedToC,
        workFromC,
        workToC,
        ceilingC,
        colour: '#5a3624',
        allergens: ['soy'],
        lot: '',
        packKg: 0.25,
        stockKg: 0,
      },
      'new chocolate',
    );
  }

  /** So much of a coating, caramelised: a coating of its own, thicker by a class, as browned milk and sugar stiffen it. */
  createCaramelised(coating: PantryChocolate, kg: number): PantryEntry {
    const thicker = Math.max(0, FLUIDITY_CLASSES.indexOf(nearestClass(coating.fluidity)) - 1);
    return this.added(
      {
        ...structuredClone(coating),
        ...this.fresh(`${coating.name}, caramelised`),
        fluidity: FLUIDITY_CLASSES[thicker],
        colour: CARAMEL_COLOUR,
        stockKg: kg,
      },
      'caramelised coating',
    );
  }

  createTint(): PantryEntry | undefined {
    const base = this.chocolates().find((chocolate) => chocolate.kind === 'white') ?? this.chocolates()[0];
    if (!base) return undefined;
    return this.added(
      {
        ...this.fresh('New tint'),
        entry: 'tint',
        colour: base.colour,
        chocolates: [{ chocolateId: base.id, parts: 20 }],
        colours: [],
        allAtOnce: true,
      },
      'new tint',
    );
  }

  copy(entry: PantryEntry): PantryEntry {
    return this.added({ ...structuredClone(entry), ...this.fresh(entry.name) }, `copy ${entry.name}`);
  }

  remove(entry: PantryEntry): void {
    const used = this.usedBy(entry.id).length;
    const tints = this.tints().filter((tint) => tint.chocolates.some(({ chocolateId }) => chocolateId === entry.id));
    const mixed = this.fillings().filter(({ recipe }) =>
      recipe.some(({ chocolateId, fillingId }) => chocolateId === entry.id || fillingId === entry.id),
    );
    const kept =
      used === 0 ? '' : ` ${used === 1 ? 'One casting keeps its own copy' : `${used} castings keep their own copies`}.`;
    this.removed(
      entry,
      `${kept}${tints.length === 0 ? '' : ` ${tints.map((tint) => `“${tint.name}”`).join(', ')} cannot be mixed without it.`}${mixed.length === 0 ? '' : ` ${mixed.map((filling) => `“${filling.name}”`).join(', ')} ${mixed.length === 1 ? 'has' : 'have'} it in the recipe, by name.`}`,
    );
  }

  createFilling(): PantryEntry {
    return this.added(
      {
        ...this.fresh('New filling'),
        entry: 'filling',
        kind: 'ganache',
        bulkDensity: FILLING_MATTER.ganache.bulkDensity,
        allergens: [],
        recipe: [],
        stockKg: 0,
        packKg: 0.25,
      },
      'new filling',
    );
  }

  /** @param name as recipes and painted molds call it: they find it by that */
  createGoods(name: string, packKg = GOODS_PACK_KG): PantryEntry {
    const own = this.goods().some((one) => goodsKey(one.name) === goodsKey(name)) ? this.freeName(name) : name;
    return this.added({ ...this.fresh(name), name: own, entry: 'goods', stockKg: 0, packKg }, `${name} kept`);
  }

  createSupply(name: string, kind: SupplyKind, thickM?: number): PantryEntry {
    const thick = thickM === undefined ? {} : { thickM };
    return this.added(
      { ...this.fresh(name), entry: 'supply', kind, ...thick, stock: 0, pack: SUPPLY_PACK },
      `${name} kept`,
    );
  }

  /** Puts entries as they are after the job of a casting, which is marked as booked, in one step of undo. */
  book(entries: readonly PantryEntry[], castingId: string): void {
    const before = entries.flatMap(({ id }) => this.byId().get(id) ?? []);
    const mark = this.castings.changed(castingId, (casting) => (casting.bookedAt = new Date().toISOString()));
    if (before.length > 0 && mark)
      this.keep({ before, after: entries, label: 'job booked into the pantry', casting: mark });
  }

  /** Takes what a run has used up out of the pantry, kg by the chocolate's id, in one step of undo. Gives the names of what it touched. */
  bookRun(used: ReadonlyMap<string, number>): readonly string[] {
    const before = this.chocolates().filter(({ id }) => (used.get(id) ?? 0) > 0);
    const after = before.map((entry) => ({
      ...entry,
      stockKg: Math.round(Math.max(0, entry.stockKg - (used.get(entry.id) ?? 0)) * 1e6) / 1e6,
    }));
    if (before.length > 0) this.keep({ before, after, label: 'run booked into the pantry' });
    return before.map(({ name }) => name);
  }

  bringShippedBack(): void {
    const missing = shippedPantry(new Date()).filter((entry) => !this.byId().has(entry.id));
    this.keep({ before: [], after: missing, label: 'shipped pantry' });
  }

  export(entries: readonly PantryEntry[]): void {
    saveFile(
      `Kilnstone ${entries.length === 1 ? entries[0].name : 'pantry'}.json`,
      'application/json',
      writePantryFile(entries, new Date()),
    );
  }

  private fresh(name: string): Pick<PantryEntry, 'id' | 'name' | 'schemaVersion' | 'createdAt'> {
    return { id: newId(), name: this.freeName(name), schemaVersion: 1, createdAt: new Date().toISOString() };
  }

  private added(entry: PantryEntry, label: string): PantryEntry {
    this.keep({ before: [], after: [entry], label });
    return entry;
  }
}

function usesEntry(casting: Casting, id: string): boolean {
  const fillings = new Set([
    ...casting.fill.map(({ fillingId }) => fillingId),
    ...casting.finishes.flatMap((finish) =>
      'fillingId' in finish && finish.fillingId !== undefined ? [finish.fillingId] : [],
    ),
  ]);
  return (
    fillings.has(id) ||
    casting.melts.some(({ source }) => (source.kind === 'chocolate' ? source.chocolateId === id : source.tintId === id))
  );
}

/**
 * Brings an entry of the pantry into a casting, as a copy: the chocolate, or the tint with its chocolates. A copy that is there already
 * stays with all that was learned of it, unless it is to be renewed.
 * Gives what can be melted from it; undefined, and nothing changed, where a tint lacks a chocolate.
 */
export function bringIn(
  casting: Casting,
  entry: PantryChocolate | PantryTint,
  chocolates: readonly PantryChocolate[],
  renewed = false,
): MeltSource | undefined {
  const needed =
    entry.entry === 'chocolate'
      ? [entry]
      : entry.chocolates.flatMap(
          ({ chocolateId }) => chocolates.find((chocolate) => chocolate.id === chocolateId) ?? [],
        );
  if (entry.entry === 'tint' && needed.length < entry.chocolates.length) return undefined;
  if (!hasRoomFor(casting, needed.length + 1)) dropUnusedCopies(casting);
  for (const chocolate of needed) putCopy(casting.chocolates, castingChocolate(chocolate), renewed);
  if (entry.entry === 'chocolate') return { kind: 'chocolate', chocolateId: entry.id };
  putCopy(casting.tints, castingTint(entry), renewed);
  return { kind: 'tint', tintId: entry.id };
}
