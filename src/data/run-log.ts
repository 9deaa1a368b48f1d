import { Observable, map } from 'rxjs';
import type { Mark } from '../core/run/mark';
import type { MarkRepository, StoredMarks } from './mark-repository';

/**
 * What is noted in a run, as one tab has it: marks that are stored, by this tab and by others, in the order in which they are; then those that
 * the browser would not take. A mark is shown once it is stored, or once it is known that it cannot be; those that could not be stored are written, in their order,
 * before the next.
 */
export class RunLog {
  private readonly ids = new Set<string>();
  /** By their places. */
  private readonly stored: { readonly mark: Mark; readonly place: number }[] = [];
  private last = 0;
  private writing: Promise<void> = Promise.resolve();
  private refused: readonly Mark[] = [];
  private unread = 0;
  private all: readonly Mark[] = [];

  /** @param changed is called when there are more marks to be shown, or others are stored */
  constructor(
    readonly run: string,
    private readonly store: Pick<MarkRepository, 'append' | 'watch'>,
    private readonly changed: () => void = () => undefined,
  ) {}

  /** In their order. */
  get marks(): readonly Mark[] {
    return this.all;
  }

  /** Marks that are in this tab alone. */
  get unsaved(): readonly Mark[] {
    return this.refused;
  }

  get unreadable(): number {
    return this.unread;
  }

  /** Hears what any tab stores, from what there is on; for as long as it is subscribed to. */
  watch(): Observable<void> {
    return this.store.watch(this.run, () => this.last).pipe(map((now) => this.hear(now)));
  }

  /** Adds a mark; resolves once it is shown. */
  note(mark: Mark): Promise<void> {
    this.writing = this.writing.then(async () => {
      const wanted = [...this.refused, mark];
      try {
        const last = await this.store.append(this.run, wanted);
        wanted.forEach((one, i) => this.keep(one, last - wanted.length + 1 + i));
        this.refused = [];
      } catch {
        this.refused = wanted;
      }
      this.show();
    });
    return this.writing;
  }

  private hear({ marks, places, last, unreadable }: StoredMarks): void {
    marks.forEach((mark, i) => this.keep(mark, places[i]));
    this.last = Math.max(this.last, last);
    this.unread += unreadable;
    this.refused = this.refused.filter(({ id }) => !this.ids.has(id));
    this.show();
  }

  /** One that was stored twice, as where the answer to its writing was lost, counts once. */
  private keep(mark: Mark, place: number): void {
    if (this.ids.has(mark.id)) return;
    this.ids.add(mark.id);
    let at = this.stored.length;
    // Nearly always it is the last.
    while (at > 0 && this.stored[at - 1].place > place) at--;
    this.stored.splice(at, 0, { mark, place });
  }

  private show(): void {
    this.all = [...this.stored.map(({ mark }) => mark), ...this.refused];
    this.changed();
  }
}
