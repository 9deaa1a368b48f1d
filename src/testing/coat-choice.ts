import { CHOCOLATE_MATTER } from '../core/matter/chocolate';
import type { CoatChoice } from '../core/shell/coat-choice';

/** A coat of dark chocolate of middling fluidity, filled and dumped as is usual, or with what is changed of it. */
export function usualCoat(change: Partial<CoatChoice> = {}): CoatChoice {
  return {
    id: 'a',
    method: 'dump',
    chocolate: { kind: 'dark', fluidity: 'medium', fatShare: CHOCOLATE_MATTER.dark.fatShare },
    workingC: 31.5,
    doseM3: 7.4e-6,
    dwellSeconds: 10,
    drainSeconds: 20,
    tappingSeconds: 10,
    turnSeconds: 20,
    volumeShare: 1,
    wayUp: 'upsideDown',
    where: 'all',
    ...change,
  };
}
