/** A change that had not reached the database when the page went away: the record, and what it was changed from where that is known. */
export interface Unsaved<T> {
  readonly record: T;
  readonly from: T | undefined;
}

/** What a page that went away had still to save. */
export interface JournalPage<T> {
  readonly put: readonly Unsaved<T>[];
  readonly remove: readonly string[];
}

/**
 * Keeps what is still to be saved where it can be written at once, as the browser waits for no database when it leaves a page: each
 * tab one page, taken up by whichever tab opens next. Where the browser refuses, nothing is kept, which the storage notice already says.
 */
export class Journal<T> {
  private readonly prefix: string;
  private written = false;

  /** @param kind what is kept, unlike any other's; @param tab this tab, likewise */
  constructor(
    kind: string,
    private readonly tab: string,
  ) {
    this.prefix = `kilnstone.journal.${kind}.`;
  }

  /** Writes down what is still to be saved, in place of what this tab wrote before. */
  write(page: JournalPage<T>): void {
    this.written = true;
    const { put, remove } = page;
    // Without what it was changed from, a change takes half the room.
    if (!attempt(this.prefix + this.tab, { put, remove }))
      attempt(this.prefix + this.tab, { put: put.map(({ record }) => ({ record })), remove });
  }

  /** This tab has nothing more to save. */
  clear(): void {
    if (!this.written) return;
    this.written = false;
    this.drop([this.prefix + this.tab]);
  }

  /** All pages there are, with the keys they are dropped by once what they hold is saved. */
  read(): { readonly pages: readonly JournalPage<T>[]; readonly keys: readonly string[] } {
    try {
      const keys = Object.keys(localStorage).filter((key) => key.startsWith(this.prefix));
      return { keys, pages: keys.flatMap((key) => parsed<T>(localStorage.getItem(key)) ?? []) };
    } catch {
      return { keys: [], pages: [] };
    }
  }

  drop(keys: readonly string[]): void {
    try {
      for (const key of keys) localStorage.removeItem(key);
    } catch {
      // Where nothing can be written nothing was kept.
    }
  }
}

function attempt(key: string, page: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(page));
    return true;
  } catch {
    return false;
  }
}

function parsed<T>(text: string | null): JournalPage<T> | undefined {
  try {
    const page = JSON.parse(text ?? '') as Partial<JournalPage<T>>;
    return Array.isArray(page.put) && Array.isArray(page.remove) ? (page as JournalPage<T>) : undefined;
  } catch {
    return undefined;
  }
}
