import { Injectable, computed, inject } from '@angular/core';
import { CHOCOLATE_MATTER } from '../../core/matter/chocolate';
import type { Casting } from '../../core/record/casting';
import type { Chocolate, PantryChocolate, PantryEntry, PantryTint, Tint } from '../../core/record/chocolate';
import { LIMITS } from '../../core/record/limits';
import { chocolateOf } from '../../core/record/references';
import { readPantryEntry } from '../../core/record/read-pantry';
import { writePantryFile } from '../../data/pantry-file';
import { shippedPantry } from '../../data/pantry-shipped';
import { PantryStorage } from './pantry-storage';
import { RecordLibrary } from './record-library';
import { saveFile } from './save-file';

/** The chocolates and tints at hand: listed, edited, copied, deleted, exported; all of it undone with everything else. */
@Injectable({ providedIn: 'root' })
export class Pantry extends RecordLibrary<PantryEntry> {
  readonly chocolates = computed(() => this.records().filter((entry): entry is PantryChocolate => entry.entry === 'chocolate'));
  readonly tints = computed(() => this.records().filter((entry): entry is PantryTint => entry.entry === 'tint'));

  constructor() {
    super(inject(PantryStorage), { key: 'pantry', plural: 'entries', accepts: (entry) => readPantryEntry(entry).ok });
  }

  /** Castings that hold a copy of an entry, by name. */
  usedBy(id: string): readonly string[] {
    return this.castings.castings().filter((casting) => usesEntry(casting, id)).map((casting) => casting.name);
  }

  createChocolate(): PantryEntry {
    const { fatShare, meltToC, seedToC, workFromC, workToC, ceilingC } = CHOCOLATE_MATTER.dark;
    return this.added({
      ...this.fresh('New chocolate'), entry: 'chocolate', kind: 'dark', fluidity: 'medium', fatShare, meltToC, seedToC, workFromC, workToC, ceilingC, colour: '#5a3624', allergens: ['soy'], lot: '', packKg: 0.25, stockKg: 0,
    }, 'new chocolate');
  }

  createTint(): PantryEntry | undefined {
    const base = this.chocolates().find((chocolate) => chocolate.kind === 'white') ?? this.chocolates()[0];
    if (!base) return undefined;
    return this.added({ ...this.fresh('New tint'), entry: 'tint', colour: base.colour, chocolates: [{ chocolateId: base.id, parts: 20 }], colours: [], allAtOnce: true }, 'new tint');
  }

  copy(entry: PantryEntry): PantryEntry {
    return this.added({ ...structuredClone(entry), ...this.fresh(entry.name) }, `copy ${entry.name}`);
  }

  remove(entry: PantryEntry): void {
    const used = this.usedBy(entry.id).length;
    const tints = this.tints().filter((tint) => tint.chocolates.some(({ chocolateId }) => chocolateId === entry.id));
    const kept = used === 0 ? '' : ` ${used === 1 ? 'One casting keeps its own copy' : `${used} castings keep their own copies`}.`;
    this.removed(entry, `${kept}${tints.length === 0 ? '' : ` ${tints.map((tint) => `“${tint.name}”`).join(', ')} cannot be mixed without it.`}`);
  }

  bringShippedBack(): void {
    const missing = shippedPantry(new Date()).filter((entry) => !this.byId().has(entry.id));
    this.keep({ before: [], after: missing, label: 'shipped pantry' });
  }

  export(entries: readonly PantryEntry[]): void {
    saveFile(`Kilnstone ${entries.length === 1 ? entries[0].name : 'pantry'}.json`, 'application/json', writePantryFile(entries, new Date()));
  }

  private fresh(name: string): Pick<PantryEntry, 'id' | 'name' | 'schemaVersion' | 'createdAt'> {
    return { id: crypto.randomUUID(), name: this.freeName(name), schemaVersion: 1, createdAt: new Date().toISOString() };
  }

  private added(entry: PantryEntry, label: string): PantryEntry {
    this.keep({ before: [], after: [entry], label });
    return entry;
  }
}

function usesEntry(casting: Casting, id: string): boolean {
  return casting.melts.some(({ source }) => (source.kind === 'chocolate' ? source.chocolateId === id : source.tintId === id));
}

/** A chocolate as a casting holds it. */
export function castingChocolate({ id, name, kind, fluidity, fatShare, meltToC, seedToC, workFromC, workToC, ceilingC, colour, allergens, lot, packKg }: Chocolate): Chocolate {
  return structuredClone({ id, name, kind, fluidity, fatShare, meltToC, seedToC, workFromC, workToC, ceilingC, colour, allergens, lot, packKg });
}

/** A tint as a casting holds it. */
export function castingTint({ id, name, colour, chocolates, colours, allAtOnce }: Tint): Tint {
  return structuredClone({ id, name, colour, chocolates, colours, allAtOnce });
}

/**
 * Melts an entry of the pantry in a casting: copies of the chocolate, or of the tint with its chocolates, go into it.
 * The school follows the kind, and the working temperature is the middle of its band. Nothing changes where a tint lacks a chocolate.
 */
export function meltEntry(casting: Casting, meltId: string, entry: PantryEntry, chocolates: readonly PantryChocolate[]): void {
  const melt = casting.melts.find((candidate) => candidate.id === meltId);
  const needed = entry.entry === 'chocolate' ? [entry] : entry.chocolates.flatMap(({ chocolateId }) => chocolates.find((chocolate) => chocolate.id === chocolateId) ?? []);
  if (!melt || (entry.entry === 'tint' && needed.length < entry.chocolates.length)) return;
  for (const chocolate of needed) putIn(casting.chocolates, castingChocolate(chocolate));
  if (entry.entry === 'tint') putIn(casting.tints, castingTint(entry));
  melt.source = entry.entry === 'tint' ? { kind: 'tint', tintId: entry.id } : { kind: 'chocolate', chocolateId: entry.id };
  suit(casting, meltId);
}

/** Brings a melt's school and working temperature to what its chocolate wants. */
export function suit(casting: Casting, meltId: string): void {
  const melt = casting.melts.find((candidate) => candidate.id === meltId);
  if (!melt) return;
  const { kind, workFromC, workToC } = chocolateOf(casting, melt);
  melt.workingC = Math.min(LIMITS.workingC.high, Math.max(LIMITS.workingC.low, (workFromC + workToC) / 2));
  if (kind === 'compound') melt.school = 'meltOnly';
  else if (melt.school === 'meltOnly') melt.school = 'seeding';
}

function putIn<T extends { readonly id: string }>(list: T[], entry: T): void {
  const at = list.findIndex((candidate) => candidate.id === entry.id);
  if (at < 0) list.push(entry);
  else list[at] = entry;
}
