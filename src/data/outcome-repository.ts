import { Dexie, liveQuery } from 'dexie';
import { Observable, concatMap, defer, from, switchMap } from 'rxjs';
import { readingsOf, type RunReadings } from '../core/learn/run-readings';
import { OUTCOME_VERSION, outcomeOf, type Outcome } from '../core/run/outcome';
import { readRun, type Run } from '../core/run/run-record';
import { KilnstoneDatabase, type KeptOutcome } from './database';
import { readMarks } from './mark-repository';

/** So many runs are worked out before the log is shown once more. */
const AT_A_TIME = 50;

/** What all stored runs have come to, and how many are still to be worked out. */
export interface KnownOutcomes {
  readonly outcomes: readonly Outcome[];
  /** What each run has to teach, by its id. */
  readonly readings: ReadonlyMap<string, RunReadings>;
  readonly missing: number;
}

/**
 * What runs have come to, kept so that a long log opens at once. One that is not there is worked out of the run and its marks; a new mark of a run drops it
 * (MarkRepository). Every method rejects, or errs, when the browser refuses.
 */
export class OutcomeRepository {
  private readonly database = new KilnstoneDatabase();

  /** Those of all runs, again whenever any tab notes something; what is missing is worked out in between. */
  watch(): Observable<KnownOutcomes> {
    return this.live(() => this.known()).pipe(
      concatMap(async ({ outcomes, readings, missing }) => {
        // Once these are kept, all is told again.
        if (missing.length > 0) await this.workOut(missing.slice(0, AT_A_TIME));
        return { outcomes, readings, missing: missing.length };
      }),
    );
  }

  /** A run as it is stored; undefined where it is not there, or cannot be read. */
  async run(id: string): Promise<Run | undefined> {
    const read = readRun((await this.database.runs.get(id))?.run);
    return read.ok ? read.record : undefined;
  }

  /** The same, again whenever any tab changes it. */
  watchRun(id: string): Observable<Run | undefined> {
    return this.live(() => this.run(id));
  }

  /** Opened first: a database that is refused errs then, and never answers else. */
  private live<T>(query: () => Promise<T>): Observable<T> {
    return defer(() => this.database.open()).pipe(switchMap(() => from(liveQuery(query))));
  }

  private async known(): Promise<Omit<KnownOutcomes, 'missing'> & { readonly missing: readonly string[] }> {
    const [ids, rows] = await Promise.all([
      this.database.runs.toCollection().primaryKeys(),
      this.database.outcomes.toArray(),
    ]);
    const kept = new Map(rows.flatMap((row) => (row.version === OUTCOME_VERSION ? [[row.id, row] as const] : [])));
    return {
      outcomes: ids.flatMap((id) => kept.get(id)?.outcome ?? []),
      readings: new Map(
        ids.flatMap((id) => {
          const readings = kept.get(id)?.readings;
          return readings ? [[id, readings] as const] : [];
        }),
      ),
      missing: ids.filter((id) => !kept.has(id)),
    };
  }

  /** In one transaction: what is noted meanwhile drops it again, and all of them are heard of at once. */
  private async workOut(ids: readonly string[]): Promise<void> {
    const { runs, marks, outcomes } = this.database;
    await this.database.transaction('rw', runs, marks, outcomes, async () => {
      const rows = await runs.bulkGet([...ids]);
      const worked: KeptOutcome[] = [];
      for (const [i, id] of ids.entries()) {
        const read = readRun(rows[i]?.run);
        const noted = await marks.where('[run+n]').between([id, Dexie.minKey], [id, Dexie.maxKey]).toArray();
        const { marks: known } = readMarks(noted);
        const came = read.ok
          ? { outcome: outcomeOf(read.record, known), readings: readingsOf(read.record, known) }
          : { outcome: undefined };
        worked.push({ id, version: OUTCOME_VERSION, ...came });
      }
      await outcomes.bulkPut(worked);
    });
  }
}
