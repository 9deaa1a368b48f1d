import { chocolateLayer, moldLayer } from '../heat/chocolate-layer';
import { HeatSlab, type SlabLayer } from '../heat/heat-slab';
import type { ChocolateKind } from '../matter/chocolate';
import type { MoldMaterial } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';

/** What stands behind the chocolate while it dwells, and the chocolate itself. */
export interface DwellInput {
  readonly kind: ChocolateKind;
  readonly fatShare: number;
  readonly workingC: number;
  readonly dwellSeconds: number;
  readonly material: MoldMaterial;
  readonly wallM: number;
  /** Heat transfer from the mold to the air it stands in, W/(m² K); still air where it is left out. */
  readonly airH?: number;
  /** Chocolate already set on the wall, m. */
  readonly setThicknessM: number;
  /** Temperature of mold and set chocolate when the next coat is poured, and of the air, °C. */
  readonly wallC: number;
  readonly airC: number;
}

export interface DwellSkin {
  /** Layer at the wall that stays when the mold is tipped out, m. */
  readonly thicknessM: number;
  /** Mean temperature of the mold's wall when it is tipped out, °C. */
  readonly wallC: number;
  /** Mean temperature of what is tipped out, °C. */
  readonly meltC: number;
}

const MELT_DEPTH_M = 0.012;
const MELT_CELLS = [6, 5, 3] as const;
const MELT_SHARES = [0.15, 0.25, 0.6] as const;
const STEPS = 48;
/** One conduction is run for as long as people let it stand, or for as long as they chill it. */
const STANDS_S = 300;
const LONGEST_S = 1200;
/** Steps grow with time by this power, since the first moments are the steepest: from a fiftieth of a second to some seconds. */
const STEP_POWER = 2.5;
/** A skin is conducted over what has set below in steps of this, m, and is told from both sides in between. */
const SET_STEP_M = 0.0001;
const MOST_KEPT = 256;

/**
 * The skin that sets against the cooler wall while the cavity stands full, by the enthalpy slab with the real, finite wall.
 *
 * Setting is in equilibrium here (seconds, at a strongly cooled wall); what has reached the set fraction
 * of the working rules stays. Grows like the square root of time until the wall has warmed, then melts back.
 * @param input up to twenty minutes of dwell
 */
export function dwellSkin(input: DwellInput): DwellSkin {
  if (input.dwellSeconds <= 0) return { thicknessM: 0, wallC: input.wallC, meltC: input.workingC };
  const steps = Math.max(0, input.setThicknessM / SET_STEP_M);
  const over = Math.floor(steps);
  const share = steps - over;
  const thinner = skinOver(input, over * SET_STEP_M);
  if (share === 0) return thinner;
  const thicker = skinOver(input, (over + 1) * SET_STEP_M);
  const between = (key: keyof DwellSkin): number => thinner[key] + share * (thicker[key] - thinner[key]);
  return { thicknessM: between('thicknessM'), wallC: between('wallC'), meltC: between('meltC') };
}

/** The same over so much that has set, m. */
function skinOver(input: DwellInput, setThicknessM: number): DwellSkin {
  const longest = input.dwellSeconds <= STANDS_S ? STANDS_S : LONGEST_S;
  const { thicknessM, wallC, meltC } = curveOf(input, setThicknessM, longest);
  // Straight in the root of time, in which a skin grows evenly.
  const at = STEPS * (Math.min(input.dwellSeconds, longest) / longest) ** (1 / STEP_POWER);
  const k = Math.min(STEPS - 1, Math.floor(at));
  const root = (step: number): number => (step / STEPS) ** (STEP_POWER / 2);
  const share = (root(at) - root(k)) / (root(k + 1) - root(k));
  const between = (values: Float64Array): number => values[k] + share * (values[k + 1] - values[k]);
  return { thicknessM: between(thicknessM), wallC: between(wallC), meltC: between(meltC) };
}

/** Skin and wall after each step. */
interface SkinCurve {
  readonly thicknessM: Float64Array;
  readonly wallC: Float64Array;
  readonly meltC: Float64Array;
}

const kept = new Map<string, SkinCurve>();

/** One conduction tells the skin of every dwell, so searches for a dwell ask for it once. */
function curveOf(input: DwellInput, setThicknessM: number, longest: number): SkinCurve {
  const { kind, fatShare, workingC, material, wallM, wallC, airC, airH = WORKING_RULES.airFlatSurface } = input;
  const key = `${kind} ${fatShare} ${workingC} ${material} ${wallM} ${setThicknessM} ${wallC} ${airC} ${airH} ${longest}`;
  let curve = kept.get(key);
  if (!curve) {
    if (kept.size >= MOST_KEPT) kept.clear();
    curve = skinCurve({ kind, fatShare, workingC, material, wallM, setThicknessM, wallC, airC, airH }, longest);
    kept.set(key, curve);
  }
  return curve;
}

function skinCurve(input: Required<Omit<DwellInput, 'dwellSeconds'>>, longest: number): SkinCurve {
  const layers = dwellLayers(input);
  const slab = new HeatSlab(layers);
  const air = { outsideC: input.airC, outsideH: input.airH, insideC: input.airC, insideH: 0 };
  const wallCells = slab.layerStart[1];
  const firstMelt = slab.layerStart[layers.length - MELT_CELLS.length];
  const curve = {
    thicknessM: new Float64Array(STEPS + 1),
    wallC: new Float64Array(STEPS + 1).fill(input.wallC),
    meltC: new Float64Array(STEPS + 1).fill(input.workingC),
  };
  for (let k = 1; k <= STEPS; k++) {
    slab.step(longest * ((k / STEPS) ** STEP_POWER - ((k - 1) / STEPS) ** STEP_POWER), air);
    curve.thicknessM[k] = depthBelow(slab, firstMelt, input);
    let wallC = 0;
    for (let i = 0; i < wallCells; i++) wallC += slab.temperatureC[i] / wallCells;
    curve.wallC[k] = wallC;
    curve.meltC[k] = meltBeyond(slab, firstMelt, curve.thicknessM[k]) ?? curve.meltC[k - 1];
  }
  return curve;
}

function dwellLayers(input: Omit<DwellInput, 'dwellSeconds'>): SlabLayer[] {
  const melt = chocolateLayer(input.kind, input.fatShare, false);
  const layers: SlabLayer[] = [moldLayer(input.material, input.wallM, input.wallC, 4)];
  if (input.setThicknessM > 0) {
    layers.push({ ...melt, latentHeat: 0, thicknessM: input.setThicknessM, cells: 3, startC: input.wallC });
  }
  for (const [i, cells] of MELT_CELLS.entries()) {
    layers.push({ ...melt, thicknessM: MELT_DEPTH_M * MELT_SHARES[i], cells, startC: input.workingC });
  }
  return layers;
}

/** Mean temperature of the chocolate beyond its skin, °C; undefined where it is all skin. */
function meltBeyond(slab: HeatSlab, first: number, skinM: number): number | undefined {
  let depth = 0;
  let sum = 0;
  let width = 0;
  for (let i = first; i < slab.size; i++) {
    depth += slab.width[i];
    const beyond = Math.min(slab.width[i], Math.max(0, depth - skinM));
    sum += beyond * slab.temperatureC[i];
    width += beyond;
  }
  return width > 0 ? sum / width : undefined;
}

/** Depth from the wall to where the chocolate is still warmer than the skin's temperature, m. */
function depthBelow(slab: HeatSlab, first: number, input: Pick<DwellInput, 'kind' | 'fatShare'>): number {
  const { setFromC, setToC } = chocolateLayer(input.kind, input.fatShare, false);
  const skinC = setFromC - WORKING_RULES.skinSetFraction * (setFromC - setToC);
  let depth = 0;
  let before = slab.faceC(first);
  if (before >= skinC) return 0;
  let reached = 0;
  for (let i = first; i < slab.size; i++) {
    const centre = depth + slab.width[i] / 2;
    const t = slab.temperatureC[i];
    if (t >= skinC) return reached + ((centre - reached) * (skinC - before)) / (t - before);
    before = t;
    reached = centre;
    depth += slab.width[i];
  }
  return depth;
}
