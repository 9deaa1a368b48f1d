import { Injectable, inject } from '@angular/core';
import { CastingStore } from './casting-store';

const KEY = 'kilnstone.typed';

/** Texts in fields that could not be read as amounts, kept as typed while stations are changed or the page is reloaded. */
@Injectable({ providedIn: 'root' })
export class TypedTexts {
  private readonly texts = new Map<string, string>(remembered());

  get(field: string): string | undefined {
    return this.texts.get(field);
  }

  keep(field: string, text: string): void {
    this.texts.set(field, text);
    this.save();
  }

  drop(field: string): void {
    if (this.texts.delete(field)) this.save();
  }

  private save(): void {
    try {
      sessionStorage.setItem(KEY, JSON.stringify([...this.texts]));
    } catch {
      // Storage may be blocked: texts then last as long as the page, which the storage notice already says.
    }
  }
}

/** What a field has to do as its value, its name or the number of undone edits moves on. */
export interface TypedTurn {
  /** Text that was kept for it when it was here last. */
  readonly kept: string | undefined;
  /** It is another field than before, or an edit was taken back: what was typed in it is over. */
  readonly anew: boolean;
}

/** The text that one field keeps; made where the field is, as a part of it. */
export class KeptText {
  private readonly texts = inject(TypedTexts);
  private readonly store = inject(CastingStore);
  private field: string | undefined;
  private undone = 0;

  get text(): string | undefined {
    return this.field === undefined ? undefined : this.texts.get(this.field);
  }

  keep(text: string): void {
    if (this.field !== undefined) this.texts.keep(this.field, text);
  }

  drop(): void {
    if (this.field !== undefined) this.texts.drop(this.field);
  }

  /**
   * To be asked in the effect that shows a field's value.
   * @param field what names it among all others
   */
  turn(field: string): TypedTurn {
    const another = field !== this.field;
    const undone = this.store.undoneCount();
    const takenBack = undone !== this.undone;
    this.field = field;
    this.undone = undone;
    if (another) return { kept: this.text, anew: true };
    if (takenBack) this.drop();
    return { kept: undefined, anew: takenBack };
  }
}

function remembered(): [string, string][] {
  try {
    const raw: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? '[]');
    return Array.isArray(raw)
      ? raw.filter(
          (pair): pair is [string, string] => Array.isArray(pair) && pair.every((part) => typeof part === 'string'),
        )
      : [];
  } catch {
    return [];
  }
}
