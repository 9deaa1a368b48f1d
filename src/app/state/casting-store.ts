import { Injectable, computed, inject, signal } from '@angular/core';
import { applyPatches, enablePatches, produceWithPatches } from 'immer';
import type { Casting } from '../../core/record/casting';
import { readCasting } from '../../core/record/read-casting';
import { Subject } from 'rxjs';
import { History, type Change, type LibraryChange, type LibraryKey } from './history';
import { CastingStorage } from './casting-storage';

enablePatches();

/** The castings of this tab: what is shown, edited, undone and handed to storage. */
@Injectable({ providedIn: 'root' })
export class CastingStore {
  private readonly storage = inject(CastingStorage);
  private readonly history = new History();
  private readonly list = signal<readonly Casting[]>([]);
  private readonly openId = signal<string | undefined>(undefined);
  private readonly historyTick = signal(0);
  private readonly ownReset = signal(0);

  /** Records of a library that undo or redo puts back: what was there, and what is to be there instead. */
  readonly libraryTurned = new Subject<{ readonly library: LibraryKey; readonly from: LibraryChange['before']; readonly to: LibraryChange['after'] }>();

  readonly castings = this.list.asReadonly();
  readonly loaded = signal(false);
  readonly current = computed(() => this.list().find((casting) => casting.id === this.openId()));
  readonly canUndo = computed(() => this.historyTick() >= 0 && this.history.canUndo);
  readonly canRedo = computed(() => this.historyTick() >= 0 && this.history.canRedo);
  readonly undoLabel = computed(() => (this.historyTick() >= 0 ? this.history.undoLabel : ''));
  readonly redoLabel = computed(() => (this.historyTick() >= 0 ? this.history.redoLabel : ''));
  /** Counts undo and redo, so that a focused field takes the value back too. */
  readonly undoneCount = this.ownReset.asReadonly();

  constructor() {
    this.storage.changes.subscribe(({ records, removed }) => this.adopt(records, removed));
  }

  /** Opens storage and fills the list; resolves when there is something to show. */
  async load(): Promise<void> {
    const castings = await this.storage.open();
    // Reading the records and building the page from them are two tasks, so that neither holds the browser up for long.
    await new Promise((resolve) => setTimeout(resolve));
    this.list.set(castings);
    this.loaded.set(true);
  }

  open(id: string | undefined): void {
    this.openId.set(id);
  }

  /**
   * Changes the open casting.
   * @param label what was changed, for undo
   * @param gesture changes with the same gesture are undone as one
   */
  edit(label: string, change: (draft: Casting) => void, gesture?: string): void {
    const id = this.openId();
    if (id !== undefined) this.editOne(id, label, change, gesture);
  }

  /** Changes a casting that need not be the open one. */
  editOne(id: string, label: string, change: (draft: Casting) => void, gesture?: string): void {
    const casting = this.list().find((candidate) => candidate.id === id);
    if (!casting) return;
    const [next, forward, back] = produceWithPatches(casting, (draft) => {
      change(draft);
    });
    if (forward.length === 0) return;
    this.history.push({ kind: 'edit', castingId: casting.id, forward, back, label, at: Date.now(), ...(gesture === undefined ? {} : { gesture }) });
    this.replace(next);
  }

  add(castings: readonly Casting[], label: string): void {
    this.remember({ kind: 'add', castings, label });
    this.put(castings);
  }

  remove(id: string): void {
    const gone = this.list().filter((casting) => casting.id === id);
    if (gone.length === 0) return;
    this.remember({ kind: 'remove', castings: gone, label: `delete ${gone[0].name}` });
    this.take(gone);
  }

  undo(): Change | undefined {
    const change = this.history.undo();
    if (change?.kind === 'edit') this.patch(change.castingId, change.back);
    else if (change?.kind === 'add') this.take(change.castings);
    else if (change?.kind === 'remove') this.put(change.castings);
    else if (change?.kind === 'library') this.libraryTurned.next({ library: change.library, from: change.after, to: change.before });
    this.afterUndo();
    return change;
  }

  redo(): Change | undefined {
    const change = this.history.redo();
    if (change?.kind === 'edit') this.patch(change.castingId, change.forward);
    else if (change?.kind === 'add') this.put(change.castings);
    else if (change?.kind === 'remove') this.take(change.castings);
    else if (change?.kind === 'library') this.libraryTurned.next({ library: change.library, from: change.before, to: change.after });
    this.afterUndo();
    return change;
  }

  private afterUndo(): void {
    this.historyTick.update((n) => n + 1);
    this.ownReset.update((n) => n + 1);
  }

  /** Takes a change of a library into the same undo as everything else. */
  remember(change: Change): void {
    this.history.push(change);
    this.historyTick.update((n) => n + 1);
  }

  private replace(casting: Casting): void {
    this.list.update((list) => list.map((candidate) => (candidate.id === casting.id ? casting : candidate)));
    this.historyTick.update((n) => n + 1);
    this.storage.put([casting]);
  }

  private put(castings: readonly Casting[]): void {
    const ids = new Set(castings.map((casting) => casting.id));
    this.list.update((list) => [...list.filter((casting) => !ids.has(casting.id)), ...castings]);
    this.storage.put(castings);
  }

  private take(castings: readonly Casting[]): void {
    const ids = castings.map((casting) => casting.id);
    this.list.update((list) => list.filter((casting) => !ids.includes(casting.id)));
    this.storage.remove(ids);
  }

  /** Patches that no longer fit (another tab changed the same place) leave the casting as it is. */
  private patch(id: string, patches: Extract<Change, { kind: 'edit' }>['forward']): void {
    const casting = this.list().find((candidate) => candidate.id === id);
    if (!casting) return;
    let patched: unknown;
    try {
      patched = applyPatches(casting, [...patches]);
    } catch {
      return;
    }
    const read = readCasting(patched);
    if (read.ok) this.replace(read.casting);
  }

  private adopt(changed: readonly Casting[], removed: readonly string[]): void {
    if (changed.length === 0 && removed.length === 0) return;
    const byId = new Map(changed.map((casting) => [casting.id, casting]));
    this.list.update((list) => [
      ...list.filter((casting) => !removed.includes(casting.id)).map((casting) => byId.get(casting.id) ?? casting),
      ...changed.filter((casting) => !list.some((known) => known.id === casting.id)),
    ]);
    this.history.clearRedo();
    this.historyTick.update((n) => n + 1);
  }
}
