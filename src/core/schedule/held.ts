import { networkOf } from './orders';
import type { Workload } from './workload';

/** Between when an operation can start at all, s. */
export interface Bounds {
  readonly operation: number;
  readonly earliest: number;
  readonly latest: number;
  /** The other that is held, where these bounds are so only because of it. */
  readonly beside?: number;
}

/**
 * The first operation that is held where it cannot be, whatever the order: before or after all that its lags, the stays, or one other that is
 * held leave it. Undefined where each and each two could be where they are held, or nothing could be anywhere.
 * @param endS when all is to be over, s
 */
export function heldOutside(workload: Workload, endS: number): Bounds | undefined {
  const held = workload.operations.flatMap(({ heldAt }, i) => (heldAt === undefined ? [] : [i]));
  // One alone has no other that it could contradict.
  for (const beside of held.length > 1 ? [undefined, ...held] : [undefined]) {
    const bounds = outsideBeside(workload, endS, beside);
    if (bounds) return bounds;
  }
  return undefined;
}

/** The same with no other held, or with one. */
function outsideBeside(workload: Workload, endS: number, beside: number | undefined): Bounds | undefined {
  const operations = workload.operations.map((operation, i) =>
    i === beside ? operation : { ...operation, heldAt: undefined },
  );
  const { network, end } = networkOf({ ...workload, operations });
  network.notAfter(end, endS);
  if (!network.settle()) return undefined;
  const { early, late } = network;
  const operation = workload.operations.findIndex(
    ({ heldAt }, i) => heldAt !== undefined && (heldAt < early[i] || heldAt > late[i]),
  );
  return operation < 0 ? undefined : { operation, earliest: early[operation], latest: late[operation], beside };
}
