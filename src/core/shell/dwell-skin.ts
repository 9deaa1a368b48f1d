import { chocolateLayer, moldLayer } from '../heat/chocolate-layer';
import { StillAir } from '../heat/still-air';
import { HeatSlab, type SlabLayer } from '../heat/heat-slab';
import type { SettingChocolate } from '../matter/chocolate';
import type { MoldMaterial } from '../matter/mold-material';
import { WORKING_RULES } from '../matter/working-rules';

/** What stands behind the chocolate while it dwells, and the chocolate itself. */
export interface DwellInput extends SettingChocolate {
  readonly workingC: number;
  /** Melt that stands before the wall, m: its volume over the area that cools it. */
  readonly meltDepthM: number;
  readonly dwellSeconds: number;
  readonly material: MoldMaterial;
  readonly wallM: number;
  /** How much more heat the air takes than still air. */
  readonly draught: number;
  /** Chocolate already set on the wall, m. */
  readonly setThicknessM: number;
  /** Temperature of mold and set chocolate when the next coat is poured, and of the air, °C. */
  readonly wallC: number;
  readonly airC: number;
}

export interface DwellSkin {
  /** Layer at the wall that stays when the mold is tipped out, m, with its mean temperature, °C, and set fraction. */
  readonly thicknessM: number;
  readonly skinC: number;
  readonly skinSet: number;
  /** Mean temperature of the mold's wall when it is tipped out, °C. */
  readonly wallC: number;
  /** What is tipped out: mean temperature, °C, and set fraction. */
  readonly meltC: number;
  readonly meltSet: number;
}

const MELT_CELLS = [6, 5, 3] as const;
const MELT_SHARES = [0.15, 0.25, 0.6] as const;
const STEPS = 72;
/** One conduction is run for as long as anybody lets it stand, in the room or in the cold, s. */
const LONGEST_S = 1200;
/** Steps grow with time by this power, since the first moments are the steepest: from a fiftieth of a second to some ten. */
const STEP_POWER = 2.5;
/** A skin is conducted over what has set below in steps of this, m, and is told from both sides in between. */
const SET_STEP_M = 0.0001;
const MOST_KEPT = 64;

/**
 * The skin that sets against the cooler wall while the cavity stands full, by the enthalpy slab with the real, finite wall and as much
 * melt as there is for each part of the wall.
 *
 * What has reached the set fraction of the working rules stays, and does not melt back below the melting range: it grows with time, ever
 * more slowly.
 * @param input up to twenty minutes of dwell
 */
export function dwellSkin(input: DwellInput): DwellSkin {
  if (input.dwellSeconds <= 0) return { ...unmoved(input) };
  const steps = Math.max(0, input.setThicknessM / SET_STEP_M);
  const over = Math.floor(steps);
  const share = steps - over;
  const curves = curvesOf(input);
  const thinner = skinOver(input, curves, over);
  if (share === 0) return thinner;
  const thicker = skinOver(input, curves, over + 1);
  return mapSkin((key) => thinner[key] + share * (thicker[key] - thinner[key]));
}

/** Written out: this is asked for dozens of times a plan. */
function mapSkin<T>(of: (key: keyof DwellSkin) => T): Record<keyof DwellSkin, T> {
  return {
    thicknessM: of('thicknessM'),
    skinC: of('skinC'),
    skinSet: of('skinSet'),
    wallC: of('wallC'),
    meltC: of('meltC'),
    meltSet: of('meltSet'),
  };
}

/** Nothing has stood yet. */
function unmoved({ workingC, wallC }: Pick<DwellInput, 'workingC' | 'wallC'>): DwellSkin {
  return { thicknessM: 0, skinC: workingC, skinSet: 0, wallC, meltC: workingC, meltSet: 0 };
}

/** The same over so many steps of what has set. */
function skinOver(input: DwellInput, curves: SkinCurve[], over: number): DwellSkin {
  const curve = (curves[over] ??= skinCurve({ ...input, setThicknessM: over * SET_STEP_M }));
  // Straight in the root of time, in which a skin grows evenly.
  const at = STEPS * (Math.min(input.dwellSeconds, LONGEST_S) / LONGEST_S) ** (1 / STEP_POWER);
  const k = Math.min(STEPS - 1, Math.floor(at));
  const root = (step: number): number => (step / STEPS) ** (STEP_POWER / 2);
  const share = (root(at) - root(k)) / (root(k + 1) - root(k));
  return mapSkin((key) => curve[key][k] + share * (curve[key][k + 1] - curve[key][k]));
}

/** Skin, wall and melt after each step. */
type SkinCurve = Readonly<Record<keyof DwellSkin, Float64Array>>;

const kept = new Map<string, SkinCurve[]>();

/** One conduction tells the skin of every dwell, so searches for a dwell ask for it once: those of alike chocolate and mold, by the steps of what has set below. */
function curvesOf(input: DwellInput): SkinCurve[] {
  const { kind, fatShare, unseeded = false, workingC, meltDepthM, material, wallM, wallC, airC, draught } = input;
  const key = `${kind} ${fatShare} ${unseeded} ${workingC} ${meltDepthM} ${material} ${wallM} ${wallC} ${airC} ${draught}`;
  let curves = kept.get(key);
  if (!curves) {
    if (kept.size >= MOST_KEPT) kept.clear();
    curves = [];
    kept.set(key, curves);
  }
  return curves;
}

function skinCurve(input: DwellInput): SkinCurve {
  const layers = dwellLayers(input);
  const slab = new HeatSlab(layers);
  const still = StillAir.of(input.airC);
  const wallCells = slab.layerStart[1];
  const firstMelt = slab.layerStart[layers.length - MELT_CELLS.length];
  const start = unmoved(input);
  const curve = mapSkin((key) => new Float64Array(STEPS + 1).fill(start[key]));
  for (let k = 1; k <= STEPS; k++) {
    slab.step(LONGEST_S * ((k / STEPS) ** STEP_POWER - ((k - 1) / STEPS) ** STEP_POWER), {
      outsideC: input.airC,
      insideC: input.airC,
      outsideH: input.draught * still.at(slab.temperatureC[0]),
      insideH: 0,
    });
    const thicknessM = Math.max(curve.thicknessM[k - 1], depthThatStays(slab, firstMelt));
    const skin = meansBetween(slab, firstMelt, 0, thicknessM);
    const melt = meansBetween(slab, firstMelt, thicknessM, Infinity);
    const before = (key: keyof DwellSkin): number => curve[key][k - 1];
    curve.thicknessM[k] = thicknessM;
    curve.skinC[k] = skin?.celsius ?? slab.temperatureC[firstMelt];
    curve.skinSet[k] = skin?.set ?? slab.setFraction[firstMelt];
    curve.meltC[k] = melt?.celsius ?? before('meltC');
    curve.meltSet[k] = melt?.set ?? before('meltSet');
    let wallC = 0;
    for (let i = 0; i < wallCells; i++) wallC += slab.temperatureC[i] / wallCells;
    curve.wallC[k] = wallC;
  }
  return curve;
}

function dwellLayers(input: Omit<DwellInput, 'dwellSeconds'>): SlabLayer[] {
  const melt = chocolateLayer(input, 1);
  const layers: SlabLayer[] = [moldLayer(input.material, input.wallM, input.wallC, 4)];
  if (input.setThicknessM > 0) {
    layers.push({ ...melt, latentHeat: 0, thicknessM: input.setThicknessM, cells: 3, startC: input.wallC });
  }
  for (const [i, cells] of MELT_CELLS.entries()) {
    layers.push({ ...melt, thicknessM: input.meltDepthM * MELT_SHARES[i], cells, startC: input.workingC });
  }
  return layers;
}

/** Mean temperature, °C, and set fraction of the chocolate between two depths from the wall, m; undefined where there is none. */
function meansBetween(slab: HeatSlab, first: number, fromM: number, toM: number) {
  let depth = 0;
  let celsius = 0;
  let set = 0;
  let width = 0;
  for (let i = first; i < slab.size; i++) {
    const within = Math.max(0, Math.min(depth + slab.width[i], toM) - Math.max(depth, fromM));
    celsius += within * slab.temperatureC[i];
    set += within * slab.setFraction[i];
    width += within;
    depth += slab.width[i];
  }
  return width > 0 ? { celsius: celsius / width, set: set / width } : undefined;
}

/** Depth from the wall to where too little has set to stay, m: straight between the middles of the cells, and before the first of them up to the wall. */
function depthThatStays(slab: HeatSlab, first: number): number {
  const stays = WORKING_RULES.skinSetFraction;
  const { setFraction, width } = slab;
  let reached = 0;
  let depth = 0;
  // What has set at the wall itself, by the same slope as between the first two cells.
  const slope = (setFraction[first] - setFraction[first + 1]) / ((width[first] + width[first + 1]) / 2);
  let before = setFraction[first] + Math.max(0, slope) * (width[first] / 2);
  if (before <= stays) return 0;
  for (let i = first; i < slab.size; i++) {
    const centre = depth + width[i] / 2;
    if (setFraction[i] <= stays) return reached + ((centre - reached) * (before - stays)) / (before - setFraction[i]);
    before = setFraction[i];
    reached = centre;
    depth += width[i];
  }
  return depth;
}
