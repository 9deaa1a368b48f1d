import type { Fault } from '../core/schedule/check';
import { momentAt, type Occupation, type Starts, type Workload } from '../core/schedule/workload';

/** A timetable that has been broken on purpose, and what is wrong with it now at least. */
export interface Broken {
  readonly starts: Starts;
  readonly fault: Fault;
}

/**
 * All that is wrong for certain, made of a timetable that is right: each least wait cut short and each most wait drawn out, two occupations begun
 * at once where there is not enough for both, two tasks begun at once where there are not hands enough, what is held moved, and work done
 * by hand where nobody is there.
 */
export function brokenOnPurpose(workload: Workload, starts: Starts): Broken[] {
  return [
    ...waitsBroken(workload, starts),
    ...overfilled(workload, starts),
    ...ontoAnother(workload, starts),
    ...letGo(workload, starts),
    ...nobodyThere(workload, starts),
  ];
}

function at(starts: Starts, operation: number, startS: number): Starts {
  return starts.map((start, i) => (i === operation ? startS : start));
}

function waitsBroken({ lags, operations }: Workload, starts: Starts): Broken[] {
  return lags.flatMap(({ from, to, least, most }, lag) => {
    const after = starts[from] + operations[from].seconds;
    const waits = most === undefined ? [least - 1] : [least - 1, most + 1];
    return waits.flatMap((wait) =>
      after + wait < 0 ? [] : [{ starts: at(starts, to, after + wait), fault: { key: 'lag' as const, lag } }],
    );
  });
}

function overfilled(workload: Workload, starts: Starts): Broken[] {
  const { occupations, resources } = workload;
  const touches = ({ from, to }: Occupation): number[] => [from.operation, to.operation];
  return occupations.flatMap((one) => {
    const atS = momentAt(workload, starts, one.from);
    if (momentAt(workload, starts, one.to) <= atS) return [];
    return occupations.flatMap((other): Broken[] => {
      const enough = one.amount + other.amount <= resources[one.resource].capacity;
      const apart = touches(one).every((operation) => !touches(other).includes(operation));
      if (one.resource !== other.resource || one === other || enough || !apart) return [];
      const late = atS - momentAt(workload, starts, other.from);
      const moved = touches(other).reduce((all, i) => at(all, i, starts[i] + late), starts);
      if (moved.some((start) => start < 0)) return [];
      return [{ starts: moved, fault: { key: 'overfilled', resource: one.resource, atS } }];
    });
  });
}

function ontoAnother({ operations, people }: Workload, starts: Starts): Broken[] {
  return operations.flatMap((one, i) =>
    operations.flatMap((other, k): Broken[] => {
      const enough = one.hands + other.hands <= people || one.hands === 0 || other.hands === 0;
      if (i === k || enough || one.seconds === 0 || other.seconds === 0) return [];
      return [{ starts: at(starts, k, starts[i]), fault: { key: 'hands', atS: starts[i] } }];
    }),
  );
}

function letGo({ operations }: Workload, starts: Starts): Broken[] {
  return operations.flatMap(({ heldAt }, operation): Broken[] =>
    heldAt === undefined ? [] : [{ starts: at(starts, operation, heldAt + 1), fault: { key: 'notHeld', operation } }],
  );
}

function nobodyThere({ operations, stays }: Workload, starts: Starts): Broken[] {
  if (stays.length === 0) return [];
  const after = stays[stays.length - 1].to;
  return operations.flatMap(({ hands }, operation): Broken[] =>
    hands === 0 ? [] : [{ starts: at(starts, operation, after), fault: { key: 'outsideStay', operation } }],
  );
}
