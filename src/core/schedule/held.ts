import { networkOf } from './orders';
import type { Workload } from './workload';

/** Between when an operation can start at all, s. */
export interface Bounds {
  readonly operation: number;
  readonly earliest: number;
  readonly latest: number;
}

/**
 * The first operation that is held where it cannot be, whatever the order: before or after all that its lags and the stays leave it. Undefined
 * where each by itself could be where it is held, or nothing could be anywhere.
 * @param endS when all is to be over, s
 */
export function heldOutside(workload: Workload, endS: number): Bounds | undefined {
  const free = workload.operations.map((operation) => ({ ...operation, heldAt: undefined }));
  const { network, end } = networkOf({ ...workload, operations: free });
  network.notAfter(end, endS);
  if (!network.settle()) return undefined;
  const { early, late } = network;
  const operation = workload.operations.findIndex(
    ({ heldAt }, i) => heldAt !== undefined && (heldAt < early[i] || heldAt > late[i]),
  );
  return operation < 0 ? undefined : { operation, earliest: early[operation], latest: late[operation] };
}
