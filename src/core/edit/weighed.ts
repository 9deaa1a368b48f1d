import { cassonAt40, stiffened } from '../matter/chocolate';
import { LIMITS, within } from '../record/limits';
import type { Casting } from '../record/casting';
import { tippedOut } from '../record/method';
import { meltOf, partOf, sharesOf } from '../record/references';

/** What the weight of a finished shell says. */
export interface Weighed {
  /** Factor on both Casson values where the coats are tipped out, on the dose where they are spooned in. */
  readonly by: 'stiffness' | 'dose';
  readonly factor: number;
  /** How surely it is known then: a factor either way. */
  readonly within: number;
}

/** Takes over what a weighed shell of one of a casting's parts said, on a draft of the casting that may be written to. */
export function takeWeighed(casting: Casting, partId: string, { by, factor, within: surely }: Weighed): void {
  const { coats } = partOf(casting, partId);
  if (by === 'dose') {
    for (const coat of coats) if (!tippedOut(coat.method)) coat.doseM3 = within(LIMITS.doseM3, coat.doseM3 * factor);
    return;
  }
  const used = new Set(
    coats.flatMap(({ shares }) =>
      shares.flatMap(({ meltId }) => sharesOf(casting, meltOf(casting, meltId)).map(({ chocolateId }) => chocolateId)),
    ),
  );
  for (const chocolate of casting.chocolates) {
    if (!used.has(chocolate.id)) continue;
    const { yieldPa, viscosityPas } = stiffened(cassonAt40(chocolate.fluidity), factor);
    chocolate.fluidityWithin = within(LIMITS.fluidityWithin, surely);
    chocolate.fluidity = {
      yieldPa: within(LIMITS.yieldPa, yieldPa),
      viscosityPas: within(LIMITS.viscosityPas, viscosityPas),
    };
  }
}
