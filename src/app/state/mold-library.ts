import { Injectable, computed, effect, inject, signal } from '@angular/core';
import { produce } from 'immer';
import { LibraryMoldSchema, MOLD_SCHEMA_VERSION, type LibraryMold, type Mold } from '../../core/record/mold';
import { SHIPPED_MOLDS, shippedMolds } from '../../data/mold-library';
import { writeMoldFile } from '../../data/mold-file';
import { CastingStore } from './casting-store';
import { MoldStorage } from './mold-storage';
import { Notices } from './notices';
import { saveFile } from './save-file';

/** The molds of this kitchen: listed, edited, copied, deleted, exported; all of it undone with everything else. */
@Injectable({ providedIn: 'root' })
export class MoldLibrary {
  private readonly storage = inject(MoldStorage);
  private readonly castings = inject(CastingStore);
  private readonly notices = inject(Notices);
  private readonly list = signal<readonly LibraryMold[]>([]);

  readonly molds = this.list.asReadonly();
  readonly byId = computed(() => new Map(this.list().map((mold) => [mold.id, mold])));
  readonly loaded = signal(false);

  constructor() {
    this.storage.changes.subscribe(({ records, removed }) => this.show(records, removed));
    this.castings.moldsTurned.subscribe(({ from, to }) => this.turn(from, to));
    effect(() => {
      if (this.storage.state() === 'full') this.notices.say({ text: 'The browser’s storage is full: molds changed now are kept in this tab only. Export them, then free some space.' });
    });
    void this.storage.open().then((molds) => {
      this.list.set(molds);
      this.loaded.set(true);
    });
  }

  /** Castings that hold a copy of a mold, by name. */
  usedBy(moldId: string): readonly string[] {
    return this.castings.castings().filter((casting) => casting.molds.some((mold) => mold.id === moldId)).map((casting) => casting.name);
  }

  /**
   * Changes a mold. A change that the record does not allow is not made.
   * @param gesture changes with the same gesture are undone as one
   */
  edit(id: string, label: string, change: (draft: LibraryMold) => void, gesture?: string): boolean {
    const before = this.byId().get(id);
    if (!before) return false;
    const after = produce(before, (draft) => {
      change(draft as LibraryMold);
    });
    if (after === before) return true;
    if (!LibraryMoldSchema.safeParse(after).success) return false;
    this.keep({ before: [before], after: [after], label, ...(gesture === undefined ? {} : { gesture }) });
    return true;
  }

  /** A new mold like the first one shipped, under a free name. */
  create(): LibraryMold {
    const model = SHIPPED_MOLDS[0];
    return this.added({ ...structuredClone(model), emptyKg: undefined }, 'New mold', 'new mold');
  }

  copy(mold: LibraryMold): LibraryMold {
    return this.added(mold, mold.name, `copy ${mold.name}`);
  }

  remove(mold: LibraryMold): void {
    const used = this.usedBy(mold.id);
    this.keep({ before: [mold], after: [], label: `delete ${mold.name}` });
    const kept = used.length === 0 ? '' : ` ${used.length === 1 ? `“${used[0]}” keeps its own copy` : `${used.length} castings keep their own copies`}.`;
    this.notices.say({ text: `Deleted “${mold.name}”.${kept}`, action: { name: 'Undo', run: () => this.castings.undo() } });
  }

  /** Adds molds from a file; one whose id is taken comes in beside it under a new id. */
  take(molds: readonly LibraryMold[]): void {
    const taken = new Set(this.byId().keys());
    const fresh = molds.map((mold) => {
      const id = taken.has(mold.id) ? crypto.randomUUID() : mold.id;
      taken.add(id);
      return { ...mold, id };
    });
    this.keep({ before: [], after: fresh, label: 'import of molds' });
    this.notices.say({ text: `Added ${fresh.length} ${fresh.length === 1 ? 'mold' : 'molds'}.` });
  }

  /** Brings back those of the shipped molds that are not there. */
  bringShippedBack(): void {
    const missing = shippedMolds(new Date()).filter((mold) => !this.byId().has(mold.id));
    this.keep({ before: [], after: missing, label: 'shipped molds' });
  }

  export(molds: readonly LibraryMold[]): void {
    saveFile(`Kilnstone ${molds.length === 1 ? molds[0].name : 'molds'}.json`, 'application/json', writeMoldFile(molds, new Date()));
  }

  private added(model: Mold, name: string, label: string): LibraryMold {
    const mold: LibraryMold = { ...structuredClone(model), id: crypto.randomUUID(), name: this.freeName(name), schemaVersion: MOLD_SCHEMA_VERSION, createdAt: new Date().toISOString() };
    this.keep({ before: [], after: [mold], label });
    return mold;
  }

  private freeName(name: string): string {
    const taken = new Set(this.list().map((mold) => mold.name));
    let free = name;
    for (let n = 2; taken.has(free); n++) free = `${name.slice(0, 114)} ${n}`;
    return free;
  }

  private keep(change: { readonly before: readonly LibraryMold[]; readonly after: readonly LibraryMold[]; readonly label: string; readonly gesture?: string }): void {
    this.castings.remember({ kind: 'molds', at: Date.now(), ...change });
    this.turn(change.before, change.after);
  }

  private turn(from: readonly LibraryMold[], to: readonly LibraryMold[]): void {
    const removed = from.map((mold) => mold.id).filter((id) => !to.some((mold) => mold.id === id));
    this.show(to, removed);
    this.storage.put(to);
    this.storage.remove(removed);
  }

  private show(changed: readonly LibraryMold[], removed: readonly string[]): void {
    const byId = new Map(changed.map((mold) => [mold.id, mold]));
    this.list.update((list) => [
      ...list.filter((mold) => !removed.includes(mold.id)).map((mold) => byId.get(mold.id) ?? mold),
      ...changed.filter((mold) => !list.some((known) => known.id === mold.id)),
    ]);
  }
}
