import { Injectable, computed, inject, signal } from '@angular/core';
import { produce } from 'immer';
import { Subject } from 'rxjs';
import type { Casting } from '../../core/record/casting';
import { alike, mergeRecords } from '../../core/record/merge';
import { readChanged } from '../../core/record/read-casting';
import { refusalText } from '../wording/refusals';
import { CastingStorage } from './casting-storage';
import { History, type CastingChange, type Change, type LibraryChange, type LibraryKey } from './history';
import { Notices } from './notices';

/** The castings of this tab: what is shown, edited, undone and handed to storage. */
@Injectable({ providedIn: 'root' })
export class CastingStore {
  private readonly storage = inject(CastingStorage);
  private readonly notices = inject(Notices);
  private readonly history = new History();
  private readonly list = signal<readonly Casting[]>([]);
  private readonly openId = signal<string | undefined>(undefined);
  private readonly historyTick = signal(0);
  private readonly ownReset = signal(0);

  /** Records of a library that undo or redo puts back: what was there, and what is to be there instead. */
  readonly libraryTurned = new Subject<{
    readonly library: LibraryKey;
    readonly from: LibraryChange['before'];
    readonly to: LibraryChange['after'];
  }>();

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
   * @returns whether it was made
   */
  edit(label: string, change: (draft: Casting) => void, gesture?: string): boolean {
    const id = this.openId();
    return id !== undefined && this.editOne(id, label, change, gesture);
  }

  /** Changes a casting that need not be the open one. What could not be read again later is refused, and said. */
  editOne(id: string, label: string, change: (draft: Casting) => void, gesture?: string): boolean {
    const changed = this.changed(id, change);
    if (!changed) return false;
    if (changed.before === changed.after) return true;
    this.notices.outdate();
    this.history.push({
      kind: 'edit',
      ...changed,
      label,
      at: Date.now(),
      ...(gesture === undefined ? {} : { gesture }),
    });
    this.replace(changed.after);
    return true;
  }

  /** What a change makes of a casting; the same before and after where that is nothing, undefined where it is refused. Changes nothing itself. */
  changed(id: string, change: (draft: Casting) => void): CastingChange | undefined {
    const before = this.byId(id);
    if (!before) return undefined;
    const after = produce(before, (draft) => {
      change(draft);
    });
    if (alike(before, after)) return { before, after: before };
    const read = readChanged(before, after);
    if (read.ok) return { before, after };
    this.notices.say({ text: refusalText(read) });
    // Fields show what is there again.
    this.ownReset.update((n) => n + 1);
    return undefined;
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
    if (change?.kind === 'edit') this.turn(change.after, change.before);
    else if (change?.kind === 'add') {
      // Redo brings them back as they are now, and not as they were added.
      this.history.amendRedo({ ...change, castings: this.asTheyAre(change.castings) });
      this.take(change.castings);
    } else if (change?.kind === 'remove') this.put(change.castings);
    else if (change?.kind === 'library') {
      this.libraryTurned.next({ library: change.library, from: change.after, to: change.before });
      if (change.casting) this.turn(change.casting.after, change.casting.before);
      if (change.added) {
        this.history.amendRedo({ ...change, added: this.asTheyAre(change.added) });
        this.take(change.added);
      }
    }
    this.afterUndo(change, 'Undone');
    return change;
  }

  redo(): Change | undefined {
    const change = this.history.redo();
    if (change?.kind === 'edit') this.turn(change.before, change.after);
    else if (change?.kind === 'add') this.put(change.castings);
    else if (change?.kind === 'remove') this.take(change.castings);
    else if (change?.kind === 'library') {
      this.libraryTurned.next({ library: change.library, from: change.before, to: change.after });
      if (change.casting) this.turn(change.casting.before, change.casting.after);
      if (change.added) this.put(change.added);
    }
    this.afterUndo(change, 'Done again');
    return change;
  }

  private asTheyAre(castings: readonly Casting[]): readonly Casting[] {
    return castings.map((casting) => this.byId(casting.id) ?? casting);
  }

  private byId(id: string): Casting | undefined {
    return this.list().find((casting) => casting.id === id);
  }

  private afterUndo(change: Change | undefined, done: string): void {
    this.historyTick.update((n) => n + 1);
    this.ownReset.update((n) => n + 1);
    // What is not in sight must not change unnoticed.
    if (change?.kind === 'edit' && change.after.id !== this.openId())
      this.notices.say({ text: `${done} in “${change.after.name}”: ${change.label}.` });
  }

  /** Takes a change of a library into the same undo as everything else. */
  remember(change: Change): void {
    this.notices.outdate();
    this.history.push(change);
    if (change.kind === 'library' && change.casting) this.replace(change.casting.after);
    if (change.kind === 'library' && change.added) this.put(change.added);
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

  /** Takes a casting back, or forth, between two of its states; what another tab has changed of it since stays. */
  private turn(from: Casting, to: Casting): void {
    const now = this.byId(to.id);
    if (!now) return;
    const turned = mergeRecords(from, to, now, 'theirs');
    if (alike(turned, now) || !readChanged(now, turned).ok)
      this.notices.say({ text: `Nothing to take back in “${now.name}”: it was changed elsewhere since.` });
    else this.replace(turned);
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
