import type { Casting } from '../../core/record/casting';
import type { Named } from '../../data/record-repository';

/** One undoable change: an edit of a casting as it was and is, castings added or taken away, or records of a library as they were and are. */
export type Change =
  | (CastingChange & { readonly kind: 'edit'; readonly label: string; readonly gesture?: string; readonly at: number })
  | { readonly kind: 'add'; readonly castings: readonly Casting[]; readonly label: string }
  | { readonly kind: 'remove'; readonly castings: readonly Casting[]; readonly label: string }
  | LibraryChange;

/** The libraries beside the castings. */
export type LibraryKey = 'molds' | 'pantry' | 'kitchens' | 'occasions' | 'runs';

/** A casting before and after a change. */
export interface CastingChange {
  readonly before: Casting;
  readonly after: Casting;
}

export interface LibraryChange {
  readonly kind: 'library';
  /** A casting that was changed with it. */
  readonly casting?: CastingChange;
  /** Castings that came with it. */
  readonly added?: readonly Casting[];
  readonly library: LibraryKey;
  readonly before: readonly Named[];
  readonly after: readonly Named[];
  readonly label: string;
  readonly gesture?: string;
  readonly at: number;
}

const MOST_STEPS = 100;
/** Edits of one gesture further apart than this are steps of their own. */
const ONE_GESTURE_MS = 1500;

/**
 * Undo and redo of one tab, 100 steps. Consecutive edits of one gesture (a drag, a field being typed in) are one step.
 * Holds each record before and after; they share all that the change left alone. What is undone is merged with what is there by then,
 * so that what another tab changed stays.
 */
export class History {
  private done: Change[] = [];
  private undone: Change[] = [];

  get canUndo(): boolean {
    return this.done.length > 0;
  }

  get canRedo(): boolean {
    return this.undone.length > 0;
  }

  /** What undo or redo would touch next, in words. */
  get undoLabel(): string {
    return this.done.at(-1)?.label ?? '';
  }

  get redoLabel(): string {
    return this.undone.at(-1)?.label ?? '';
  }

  push(change: Change): void {
    this.undone = [];
    const last = this.done.at(-1);
    // A change from another tab between two of a gesture is no part of it.
    if (
      change.kind === 'edit' &&
      last?.kind === 'edit' &&
      change.gesture !== undefined &&
      last.gesture === change.gesture &&
      last.after === change.before &&
      change.at - last.at < ONE_GESTURE_MS
    ) {
      this.done[this.done.length - 1] = { ...change, before: last.before };
      return;
    }
    if (
      change.kind === 'library' &&
      last?.kind === 'library' &&
      last.library === change.library &&
      change.gesture !== undefined &&
      last.gesture === change.gesture &&
      change.at - last.at < ONE_GESTURE_MS
    ) {
      this.done[this.done.length - 1] = { ...change, before: last.before };
      return;
    }
    this.done.push(change);
    if (this.done.length > MOST_STEPS) this.done.shift();
  }

  undo(): Change | undefined {
    const change = this.done.pop();
    if (change) this.undone.push(change);
    return change;
  }

  /** Says anew what redo is to do next. */
  amendRedo(change: Change): void {
    this.undone[this.undone.length - 1] = change;
  }

  redo(): Change | undefined {
    const change = this.undone.pop();
    if (change) this.done.push(change);
    return change;
  }

  /** A change from elsewhere makes what was undone meaningless. */
  clearRedo(): void {
    this.undone = [];
  }
}
