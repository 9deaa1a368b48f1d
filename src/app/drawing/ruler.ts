import { scaleLinear } from 'd3-scale';
import type { UnitSystem } from '../../core/quantity/units';

/** Round marks on a ruler of a length, about `most` of them: how far each is, m, and what stands beside it. */
export function rulerTicks(
  lengthM: number,
  system: UnitSystem,
  most: number,
): readonly { readonly m: number; readonly name: string }[] {
  const unit = system === 'us' ? 0.0254 : 0.001;
  return scaleLinear()
    .domain([0, lengthM / unit])
    .ticks(most)
    .map((tick) => ({ m: tick * unit, name: String(tick) }));
}

export const rulerUnit = (system: UnitSystem): string => (system === 'us' ? 'in' : 'mm');
