import { setFractionAt, slowGain } from '../src/core/heat/setting';
import type { SlabAir, SlabLayer } from '../src/core/heat/heat-slab';

/**
 * The yardstick: the same conduction with lagged setting by a plain explicit scheme, written apart from the solver.
 * Small steps are forced by stability; there is nothing clever in it.
 * @returns seconds until the mean set fraction of the last layer reaches `share`
 */
export function explicitSecondsToSet(
  layers: readonly SlabLayer[],
  air: SlabAir,
  curvature: number,
  outsideCapacity: number,
  share: number,
): number {
  const cells: { layer: SlabLayer; dx: number; area: number; volume: number; t: number; set: number; heat: number }[] =
    [];
  let depth = -layers[0].thicknessM;
  const area = (n: number): number => (1 - curvature * n) ** 2;
  for (const layer of layers) {
    const dx = layer.thicknessM / layer.cells;
    for (let k = 0; k < layer.cells; k++) {
      cells.push({
        layer,
        dx,
        area: area(depth),
        volume: dx * area(depth + dx / 2),
        t: layer.startC,
        set: 0,
        heat: layer.volumetricHeat,
      });
      depth += dx;
    }
  }
  cells[0].heat += outsideCapacity / cells[0].volume;
  const inner = area(depth);
  const first = cells.length - layers[layers.length - 1].cells;
  const dt = 0.4 * Math.min(...cells.map((c) => (c.dx * c.dx * c.layer.volumetricHeat) / (2 * c.layer.conductivity)));
  const half = (c: (typeof cells)[number]): number => c.dx / (2 * c.layer.conductivity);
  const flux = new Float64Array(cells.length + 1);
  for (let time = 0; time < 7200; time += dt) {
    flux[0] = (cells[0].area * (cells[0].t - air.outsideC)) / (1 / air.outsideH + half(cells[0]));
    for (let i = 1; i < cells.length; i++)
      flux[i] = (cells[i].area * (cells[i].t - cells[i - 1].t)) / (half(cells[i]) + half(cells[i - 1]));
    const end = cells[cells.length - 1];
    flux[cells.length] = (inner * (air.insideC - end.t)) / (1 / air.insideH + half(end));
    let set = 0;
    let all = 0;
    for (const [i, c] of cells.entries()) {
      let gained = (flux[i + 1] - flux[i]) * dt;
      if (c.layer.latentHeat > 0) {
        const wanted = setFractionAt(c.t, c.layer.setFromC, c.layer.setFromC - c.layer.setToC) - c.set;
        const grown = wanted > 0 ? (wanted * dt) / c.layer.lagS : 0;
        const more = grown + (c.layer.slow ? slowGain(c.layer.slow, c.t, c.set + grown, dt) : 0);
        c.set += more;
        gained += more * c.layer.latentHeat * c.volume;
      }
      c.t += gained / (c.heat * c.volume);
      if (i >= first) {
        set += c.set * c.volume;
        all += c.volume;
      }
    }
    if (set / all >= share) return time + dt;
  }
  return Infinity;
}
