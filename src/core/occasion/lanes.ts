import type { Starts, Stay, Workload } from '../schedule/workload';
import type { Work } from './work';

/** Something in use for a stretch of time, s. */
export interface Use extends Stay {
  /** Undefined where several castings use it. */
  readonly castingId: string | undefined;
}

/** What a timetable occupies, beside hands. */
export interface Lanes {
  readonly molds: readonly { readonly moldId: string; readonly uses: readonly Use[] }[];
  readonly shelves: readonly {
    readonly place: 'fridge' | 'freezer';
    readonly uses: readonly (Use & { readonly m2: number })[];
  }[];
  /** From the melting of each bowl to when it is worked from for the last time. */
  readonly bowls: readonly (Use & { readonly bowl: number })[];
}

/** The lanes of a timetable. @param starts of the tasks, s */
export function lanesOf({ tasks, moldUses, shelfUses, lags }: Work, starts: readonly number[]): Lanes {
  const end = (i: number): number => starts[i] + tasks[i].seconds;
  const inMolds = moldUses.map((use) => ({ ...use, from: starts[use.from], to: end(use.to) }));
  const onShelves = shelfUses.map((use) => ({ ...use, from: end(use.from), to: starts[use.to] }));
  return {
    molds: [...new Set(moldUses.map(({ moldId }) => moldId))].map((moldId) => ({
      moldId,
      uses: inMolds.filter((use) => use.moldId === moldId),
    })),
    shelves: (['fridge', 'freezer'] as const).flatMap((place) => {
      const uses = onShelves.filter((use) => use.place === place);
      return uses.length > 0 ? [{ place, uses }] : [];
    }),
    bowls: tasks.flatMap(({ bowl, castingId }, i) => {
      if (bowl === undefined) return [];
      const last = Math.max(...lags.filter(({ from }) => from === i).map(({ to }) => end(to)));
      return [{ bowl, castingId, from: starts[i], to: Math.max(end(i), last) }];
    }),
  };
}

/** Who does each operation that takes hands, from 0: the first who is free; what takes all hands and what takes none is of the first. */
export function handsOf({ operations, people }: Workload, starts: Starts): readonly number[] {
  const who = starts.map(() => 0);
  const freeAt = Array.from({ length: people }, () => -Infinity);
  const byHand = operations.flatMap(({ hands }, i) => (hands > 0 ? [i] : []));
  for (const i of byHand.sort((a, b) => starts[a] - starts[b] || a - b)) {
    const end = starts[i] + operations[i].seconds;
    if (operations[i].hands === people) freeAt.fill(end);
    else {
      who[i] = Math.max(
        0,
        freeAt.findIndex((at) => at <= starts[i]),
      );
      freeAt[who[i]] = end;
    }
  }
  return who;
}
