import MiniSearch from 'minisearch';
import type { Outcome } from '../../core/run/outcome';
import { searchedText } from '../wording/log';

/** Finds runs by words of theirs: all that are typed, each from its beginning, a letter in five may be wrong. */
export class LogSearch {
  private readonly index = new MiniSearch<{ readonly id: string; readonly words: string }>({ fields: ['words'] });

  constructor(outcomes: readonly Outcome[]) {
    this.index.addAll(outcomes.map((outcome) => ({ id: outcome.id, words: searchedText(outcome) })));
  }

  /** Ids of the runs found. */
  found(typed: string): ReadonlySet<string> {
    const hits = this.index.search(typed, { prefix: true, fuzzy: 0.2, combineWith: 'AND' });
    return new Set(hits.map(({ id }) => id as string));
  }
}
