import { depthCurve } from '../cavity/depth-curve';
import { heaps, type FillResult, type LayerAnswer } from './fill';

/**
 * Layers as they lie once a part is turned over onto what closes it: what is loose falls to the opening, the last in lying lowest; what
 * has set, and all that it holds up, stays where it was. Heights go on being measured from the inside's lowest point with the opening up.
 * @param closedM how far what closes the opening reaches in, m
 */
export function turnedOver({ layers, inside }: Pick<FillResult, 'layers' | 'inside'>, closedM: number): LayerAnswer[] {
  const curve = depthCurve(inside);
  const held = layers.reduce((last, { choice }, i) => (heaps(choice.filling) ? last : i), -1) + 1;
  let below = curve.volumeAt(curve.depthM - closedM);
  const fallen = layers
    .slice(held)
    .reverse()
    .map((layer): LayerAnswer => {
      const toM = curve.levelAt(below);
      below = Math.max(0, below - layer.volume.value);
      return { ...layer, fromM: curve.levelAt(below), toM };
    });
  return [...layers.slice(0, held), ...fallen.reverse()];
}
