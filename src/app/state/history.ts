import type { Patch } from 'immer';
import type { Casting } from '../../core/record/casting';
import type { Named } from '../../data/record-repository';

/** One undoable change: an edit of a casting as patches, castings added or taken away, or records of a library as they were and are. */
export type Change =
  | { readonly kind: 'edit'; readonly castingId: string; readonly forward: readonly Patch[]; readonly back: readonly Patch[]; readonly label: string; readonly gesture?: string; readonly at: number }
  | { readonly kind: 'add'; readonly castings: readonly Casting[]; readonly label: string }
  | { readonly kind: 'remove'; readonly castings: readonly Casting[]; readonly label: string }
  | LibraryChange;

/** The libraries beside the castings. */
export type LibraryKey = 'molds' | 'pantry' | 'kitchens';

export interface LibraryChange {
  readonly kind: 'library';
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
 * Holds patches and not copies, so undoing keeps what another tab changed elsewhere.
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
    if (change.kind === 'edit' && last?.kind === 'edit' && change.gesture !== undefined && last.gesture === change.gesture && last.castingId === change.castingId && change.at - last.at < ONE_GESTURE_MS) {
      this.done[this.done.length - 1] = { ...last, at: change.at, forward: [...last.forward, ...change.forward], back: [...change.back, ...last.back] };
      return;
    }
    if (change.kind === 'library' && last?.kind === 'library' && last.library === change.library && change.gesture !== undefined && last.gesture === change.gesture && change.at - last.at < ONE_GESTURE_MS) {
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
