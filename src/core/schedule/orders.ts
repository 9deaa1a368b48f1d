import { Network, type Windows } from './network';
import type { Moment, Occupation, Operation, Starts, Stay, Workload } from './workload';

/** Occupations of the workload and of its hands, as the search asks for them: by node, with what lies between the node and the moment, s. */
export interface Spans {
  readonly count: number;
  readonly resource: Int32Array;
  readonly amount: Float64Array;
  readonly takenBy: Int32Array;
  readonly takenAfter: Float64Array;
  readonly freedBy: Int32Array;
  readonly freedAfter: Float64Array;
  /** Of each resource: its capacity and its occupations. */
  readonly capacity: readonly number[];
  readonly of: readonly (readonly number[])[];
}

/** The hands are the last of the resources. */
export function spansOf({ operations, occupations, resources, people }: Workload): Spans {
  const byHand = operations.flatMap(({ hands }, i): Occupation[] =>
    hands > 0
      ? [
          {
            resource: resources.length,
            amount: hands,
            from: { operation: i, at: 'start' },
            to: { operation: i, at: 'end' },
          },
        ]
      : [],
  );
  const all = [...occupations, ...byHand].filter(({ amount }) => amount > 0);
  const after = ({ operation, at }: Moment): number => (at === 'end' ? operations[operation].seconds : 0);
  const of = [...resources, 0].map((): number[] => []);
  all.forEach(({ resource }, k) => of[resource].push(k));
  return {
    count: all.length,
    resource: Int32Array.from(all, ({ resource }) => resource),
    amount: Float64Array.from(all, ({ amount }) => amount),
    takenBy: Int32Array.from(all, ({ from }) => from.operation),
    takenAfter: Float64Array.from(all, ({ from }) => after(from)),
    freedBy: Int32Array.from(all, ({ to }) => to.operation),
    freedAfter: Float64Array.from(all, ({ to }) => after(to)),
    capacity: [...resources.map(({ capacity }) => capacity), people],
    of,
  };
}

/** The network of a workload's lags: a node for the start of each operation, and one for the end of all. */
export function networkOf({ operations, lags, occupations, stays }: Workload): {
  readonly network: Network;
  readonly end: number;
} {
  const end = operations.length;
  const network = new Network(end + 1, windowsOf(operations, stays));
  operations.forEach(({ seconds }, i) => network.arc(i, end, seconds));
  for (const { from, to, least, most } of lags) {
    network.arc(from, to, operations[from].seconds + least);
    if (most !== undefined) network.arc(to, from, -(operations[from].seconds + most));
  }
  // What is taken is not freed before.
  for (const { from, to } of occupations) {
    const after = (moment: Moment): number => (moment.at === 'end' ? operations[moment.operation].seconds : 0);
    if (from.operation !== to.operation) network.arc(from.operation, to.operation, after(from) - after(to));
  }
  for (const [i, { heldAt }] of operations.entries()) {
    if (heldAt === undefined) continue;
    network.notBefore(i, heldAt);
    network.notAfter(i, heldAt);
  }
  return { network, end };
}

/** When each operation can start, and the end of all be, by the stays and between which moments it is to lie: what takes no hands at any time. */
export function windowsOf(operations: readonly Operation[], stays: readonly Stay[]): readonly (Windows | undefined)[] {
  const windows = operations.map(({ hands, seconds, stay, within }) => {
    const own = stay === undefined ? stays : [stays[stay]];
    const there = hands > 0 && stays.length > 0 ? own : undefined;
    if (!within) return there && startsWithin(there, seconds);
    return startsWithin(there ? there.map((one) => overlap(one, within)) : [within], seconds);
  });
  return [...windows, undefined];
}

/**
 * Puts the order that a timetable has into a network: each occupation takes over from those that were freed last before it.
 * @param loose occupations that may come in any order
 */
export function keepOrder(network: Network, spans: Spans, starts: Starts, loose: (k: number) => boolean): void {
  const { of, capacity, amount, takenBy, takenAfter, freedBy, freedAfter } = spans;
  const taken = (k: number): number => starts[takenBy[k]] + takenAfter[k];
  const freed = (k: number): number => starts[freedBy[k]] + freedAfter[k];
  of.forEach((users, r) => {
    let free: { readonly k: number; amount: number; readonly at: number }[] = [
      { k: -1, amount: capacity[r], at: -Infinity },
    ];
    for (const b of users.filter((k) => !loose(k)).sort((x, y) => taken(x) - taken(y) || freed(x) - freed(y))) {
      let need = amount[b];
      free.sort((x, y) => y.at - x.at);
      for (const from of free) {
        if (from.at > taken(b) || need <= 0) continue;
        const part = Math.min(need, from.amount);
        from.amount -= part;
        need -= part;
        if (from.k >= 0) network.arc(freedBy[from.k], takenBy[b], freedAfter[from.k] - takenAfter[b]);
      }
      free = free.filter((one) => one.amount > 0);
      free.push({ k: b, amount: amount[b], at: freed(b) });
    }
  });
}

const overlap = (one: Stay, other: Stay): Stay => ({
  from: Math.max(one.from, other.from),
  to: Math.min(one.to, other.to),
});

/** When something of a length can start to lie wholly within a stay. */
function startsWithin(stays: readonly Stay[], seconds: number): Windows {
  return stays.filter(({ from, to }) => to - from >= seconds).map(({ from, to }) => ({ from, to: to - seconds }));
}
