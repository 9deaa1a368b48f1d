import { momentAt, type Starts, type Stay, type Workload } from './workload';

/** What is wrong with a timetable, by indices of the workload. */
export type Fault =
  | { readonly key: 'noTime'; readonly operation: number }
  | { readonly key: 'lag'; readonly lag: number }
  | { readonly key: 'notHeld'; readonly operation: number }
  /** In no stay that it may lie in, or not between the moments that it is to lie between. */
  | { readonly key: 'outsideStay'; readonly operation: number }
  | { readonly key: 'overfilled'; readonly resource: number; readonly atS: number }
  | { readonly key: 'freedFirst'; readonly occupation: number }
  | { readonly key: 'hands'; readonly atS: number };

/** Rounding of times, s. */
const NEAR_S = 1e-6;

/**
 * Everything that is wrong with a timetable; nothing where it can be carried out. Shares nothing with the search but the words of the
 * workload: times are looked at one by one.
 */
export function faultsOf(workload: Workload, starts: Starts): Fault[] {
  const { operations, lags, occupations, resources, people, stays } = workload;
  const without = operations.flatMap((_, operation): Fault[] =>
    starts[operation] >= -NEAR_S && Number.isFinite(starts[operation]) ? [] : [{ key: 'noTime', operation }],
  );
  if (without.length > 0) return without;
  const end = (i: number): number => starts[i] + operations[i].seconds;
  const broken = lags.flatMap(({ from, to, least, most = Infinity }, lag): Fault[] => {
    const waits = starts[to] - end(from);
    return waits < least - NEAR_S || waits > most + NEAR_S ? [{ key: 'lag', lag }] : [];
  });
  const moved = operations.flatMap(({ heldAt }, i): Fault[] =>
    heldAt !== undefined && Math.abs(starts[i] - heldAt) > NEAR_S ? [{ key: 'notHeld', operation: i }] : [],
  );
  const liesIn = (i: number, { from, to }: Stay): boolean => starts[i] >= from - NEAR_S && end(i) <= to + NEAR_S;
  const outside = operations.flatMap(({ hands, stay, within }, i): Fault[] => {
    const attended = hands === 0 || stays.length === 0 || stays.some((one, k) => (stay ?? k) === k && liesIn(i, one));
    return attended && (!within || liesIn(i, within)) ? [] : [{ key: 'outsideStay', operation: i }];
  });
  const held = occupations.map((one) => ({
    ...one,
    fromS: momentAt(workload, starts, one.from),
    toS: momentAt(workload, starts, one.to),
  }));
  const backward = held.flatMap(({ fromS, toS }, occupation): Fault[] =>
    toS < fromS - NEAR_S ? [{ key: 'freedFirst', occupation }] : [],
  );
  // A load is highest at a moment where something begins.
  const overfilled = resources.flatMap(({ capacity }, resource): Fault[] => {
    const here = held.filter((one) => one.resource === resource);
    return overAt(here, capacity).map((atS) => ({ key: 'overfilled', resource, atS }));
  });
  const byHand = operations.map(({ hands }, i) => ({ amount: hands, fromS: starts[i], toS: end(i) }));
  const busy = overAt(byHand, people).map((atS): Fault => ({ key: 'hands', atS }));
  return [...broken, ...moved, ...outside, ...backward, ...overfilled, ...busy];
}

function overAt(
  held: readonly { readonly amount: number; readonly fromS: number; readonly toS: number }[],
  capacity: number,
): number[] {
  return held
    .map(({ fromS }) => fromS)
    .filter(
      (atS) =>
        held.reduce((sum, { amount, fromS, toS }) => {
          const there = fromS <= atS + NEAR_S && toS > atS + NEAR_S;
          return there ? sum + amount : sum;
        }, 0) >
        capacity + NEAR_S,
    );
}
