import { Dexie, liveQuery } from 'dexie';
import { Observable, from } from 'rxjs';
import { MarkSchema, type Mark } from '../core/run/mark';
import { KilnstoneDatabase, type MarkRow } from './database';

/** Marks of a run as they are stored, in their order, with their places; the place of the last, and how many cannot be read. */
export interface StoredMarks {
  readonly marks: readonly Mark[];
  readonly places: readonly number[];
  readonly last: number;
  readonly unreadable: number;
}

/** Keeps the marks of runs in the browser's database: they are only ever added to. Every method rejects when the browser refuses. */
export class MarkRepository {
  private readonly database = new KilnstoneDatabase('strict');

  /** Writes marks after all that the run has, whichever tab added it. Once it resolves they are there for good. @returns the place of the last */
  async append(run: string, marks: readonly Mark[]): Promise<number> {
    const { marks: table, outcomes } = this.database;
    return this.database.transaction('rw', table, outcomes, async () => {
      const last = (await this.rows(run, 0).last())?.n ?? 0;
      await table.bulkAdd(marks.map((mark, i) => ({ run, n: last + 1 + i, mark })));
      // What it had come to is no longer so.
      await outcomes.delete(run);
      return last + marks.length;
    });
  }

  /** Marks of a run after a place. */
  async of(run: string, after = 0): Promise<StoredMarks> {
    return readMarks(await this.rows(run, after).toArray(), after);
  }

  /** Those after a place, again whenever any tab adds one. @param after is asked each time */
  watch(run: string, after: () => number): Observable<StoredMarks> {
    return from(liveQuery(() => this.of(run, after())));
  }

  private rows(run: string, after: number) {
    return this.database.marks.where('[run+n]').between([run, after], [run, Dexie.maxKey], false);
  }
}

/** Marks out of their rows; those that cannot be read are counted. */
export function readMarks(rows: readonly MarkRow[], after = 0): StoredMarks {
  const good = rows.flatMap(({ mark, n }) => {
    const parsed = MarkSchema.safeParse(mark);
    return parsed.success ? [{ mark: parsed.data, n }] : [];
  });
  return {
    marks: good.map(({ mark }) => mark),
    places: good.map(({ n }) => n),
    last: rows.at(-1)?.n ?? after,
    unreadable: rows.length - good.length,
  };
}
