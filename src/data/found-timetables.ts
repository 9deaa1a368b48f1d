import { KilnstoneDatabase, type FoundTimetable } from './database';

/** A database that another page holds on to may never answer, ms. */
const ANSWERS_WITHIN_MS = 1000;

/** Keeps what was found in the browser's database. Whatever cannot be kept or read there is found anew. */
export class FoundTimetables {
  private readonly database = new KilnstoneDatabase();

  /** @param build that of the program at hand */
  constructor(private readonly build: string) {}

  /** What was found by this program for just this. */
  async of(id: string, asked: string): Promise<FoundTimetable | undefined> {
    const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), ANSWERS_WITHIN_MS));
    const found = await Promise.race([this.database.timetables.get(id).catch(() => undefined), late]);
    return found?.build === this.build && found.asked === asked ? found : undefined;
  }

  /** @param ids those of all occasions: of others nothing is kept */
  async keep(found: Omit<FoundTimetable, 'build'>, ids: readonly string[]): Promise<void> {
    const { timetables } = this.database;
    await this.database
      .transaction('rw', timetables, async () => {
        await timetables.where('id').noneOf(ids).delete();
        await timetables.put({ ...found, build: this.build });
      })
      .catch(() => undefined);
  }
}
