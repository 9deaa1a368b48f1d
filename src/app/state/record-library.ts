import { computed, effect, inject, signal } from '@angular/core';
import { produce } from 'immer';
import type { Casting } from '../../core/record/casting';
import { mergeRecords } from '../../core/record/merge';
import type { Named } from '../../data/record-repository';
import { CastingStore } from './casting-store';
import type { CastingChange, LibraryKey } from './history';
import { newId } from './new-id';
import { Notices } from './notices';
import type { RecordStorage } from './record-storage';

/** What is particular to one library. */
export interface LibraryKind<T> {
  readonly key: LibraryKey;
  /** What its records are called in a message, many of them. */
  readonly plural: string;
  /** Whether a changed record is one that may be kept. */
  accepts(record: T): boolean;
}

/** Records beside the castings, such as molds: listed, edited, added, removed, and undone with everything else. */
export abstract class RecordLibrary<T extends Named> {
  protected readonly castings = inject(CastingStore);
  protected readonly notices = inject(Notices);
  private readonly list = signal<readonly T[]>([]);

  readonly records = this.list.asReadonly();
  readonly byId = computed(() => new Map(this.list().map((record) => [record.id, record])));
  readonly loaded = signal(false);
  /** Resolves once what is stored is there. */
  readonly ready: Promise<void>;

  protected constructor(
    private readonly storage: RecordStorage<T>,
    private readonly kind: LibraryKind<T>,
  ) {
    storage.changes.subscribe(({ records, removed }) => this.show(records, removed));
    this.castings.libraryTurned.subscribe(({ library, from, to }) => {
      if (library === kind.key)
        this.turn(
          from as readonly T[],
          (to as readonly T[]).map((record) => this.mergedWithNow(from as readonly T[], record)),
        );
    });
    effect(() => {
      if (storage.state() === 'full')
        this.notices.say({
          text: `The browser’s storage is full: ${kind.plural} changed now are kept in this tab only. Export them, then free some space.`,
        });
    });
    this.ready = storage.open().then((records) => {
      // What was made before they came stays beside them.
      this.list.update((made) => [...records.filter(({ id }) => !made.some((own) => own.id === id)), ...made]);
      this.loaded.set(true);
    });
  }

  /**
   * Changes a record. A change that the record does not allow is not made.
   * @param gesture changes with the same gesture are undone as one
   */
  edit(id: string, label: string, change: (draft: T) => void, gesture?: string): boolean {
    const before = this.byId().get(id);
    if (!before) return false;
    const after = produce(before, (draft) => {
      change(draft as T);
    });
    if (after === before) return true;
    if (!this.kind.accepts(after)) return false;
    this.keep({ before: [before], after: [after], label, ...(gesture === undefined ? {} : { gesture }) });
    return true;
  }

  /** Adds records from a file; one whose id is taken comes in beside it under a new id. */
  take(records: readonly T[]): void {
    const taken = new Set(this.byId().keys());
    const fresh = records.map((record) => {
      const id = taken.has(record.id) ? newId() : record.id;
      taken.add(id);
      return { ...record, id };
    });
    this.keep({ before: [], after: fresh, label: `import of ${this.kind.plural}` });
    this.notices.say({
      text: `Added ${fresh.length} ${fresh.length === 1 ? this.kind.plural.replace(/s$/, '') : this.kind.plural}.`,
    });
  }

  /** Removes a record, and offers the way back. */
  protected removed(record: T, more: string): void {
    this.keep({ before: [record], after: [], label: `delete ${record.name}` });
    this.notices.say({
      text: `Deleted “${record.name}”.${more}`,
      action: { name: 'Undo', run: () => this.castings.undo() },
    });
  }

  protected freeName(name: string): string {
    const taken = new Set(this.list().map((record) => record.name));
    let free = name;
    for (let n = 2; taken.has(free); n++) free = `${name.slice(0, 114)} ${n}`;
    return free;
  }

  protected keep(change: {
    readonly before: readonly T[];
    readonly after: readonly T[];
    readonly label: string;
    readonly gesture?: string;
    readonly casting?: CastingChange;
    readonly added?: readonly Casting[];
  }): void {
    this.castings.remember({ kind: 'library', library: this.kind.key, at: Date.now(), ...change });
    this.turn(change.before, change.after);
  }

  /** Adds records without a step back: what goes on in them is not a matter of editing. */
  protected lay(records: readonly T[]): void {
    this.turn([], records);
  }

  /** A record that undo or redo leads to; what another tab has changed of it since stays. */
  private mergedWithNow(from: readonly T[], to: T): T {
    const [before, now] = [from.find(({ id }) => id === to.id), this.byId().get(to.id)];
    const merged = before && now ? mergeRecords(before, to, now, 'theirs') : to;
    return this.kind.accepts(merged) ? merged : to;
  }

  private turn(from: readonly T[], to: readonly T[]): void {
    const removed = from.map((record) => record.id).filter((id) => !to.some((record) => record.id === id));
    this.show(to, removed);
    this.storage.put(to);
    this.storage.remove(removed);
  }

  private show(changed: readonly T[], removed: readonly string[]): void {
    const byId = new Map(changed.map((record) => [record.id, record]));
    this.list.update((list) => [
      ...list.filter((record) => !removed.includes(record.id)).map((record) => byId.get(record.id) ?? record),
      ...changed.filter((record) => !list.some((known) => known.id === record.id)),
    ]);
  }
}
