import { Injectable } from '@angular/core';

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
