import type { CavityShape } from '../cavity/shape';
import { copyOf } from '../record/copy';
import { LIMITS, within } from '../record/limits';
import { ShapeSchema, type Mold } from '../record/mold';

/** A shape so many times as large in every direction: lengths by the factor, volumes by its cube; what is a share or a count stays. */
export function scaledShape(shape: CavityShape, factor: number): CavityShape {
  return Object.fromEntries(
    Object.entries(shape).map(([key, value]) => [key, scaled(key, value as unknown, factor)]),
  ) as unknown as CavityShape;
}

function scaled(key: string, value: unknown, factor: number): unknown {
  if (Array.isArray(value)) return value.map((point: object) => scaledShape(point as CavityShape, factor));
  if (typeof value !== 'number') return value;
  if (key.endsWith('M3')) return value * factor ** 3;
  return key.endsWith('M') ? value * factor : value;
}

/**
 * A mold with every cavity so many times as large, its wall and what an insert leaves as they are; what was weighed or measured with water
 * of the old one is left out.
 * @returns undefined where a cavity would be larger or smaller than any mold is
 */
export function scaledMold(mold: Mold, factor: number): Mold | undefined {
  const larger = copyOf(mold);
  delete larger.emptyKg;
  for (const cavity of larger.cavities) {
    delete cavity.water;
    if (cavity.narrowM3 !== undefined) cavity.narrowM3 = within(LIMITS.narrowM3, cavity.narrowM3 * factor ** 3);
    cavity.shape = scaledShape(cavity.shape as CavityShape, factor) as typeof cavity.shape;
  }
  const whole = larger.cavities.every(({ shape }) => ShapeSchema.safeParse(shape).success);
  return whole ? larger : undefined;
}
