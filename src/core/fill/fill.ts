import { depthCurve, type DepthCurve } from '../cavity/depth-curve';
import { insetLine } from '../cavity/inset';
import type { Line, Profile } from '../cavity/profile';
import { FILLING_MATTER } from '../matter/filling';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { FillAmount, Filling } from '../record/casting';
import type { Allergen } from '../record/choices';

export interface LayerChoice {
  readonly id: string;
  readonly filling: Filling;
  readonly amount: FillAmount;
}

export interface FillInput {
  readonly profile: Profile;
  /** Shell thickness at each point of the profile, m. */
  readonly shellM: ArrayLike<number>;
  readonly layers: readonly LayerChoice[];
  /** Mass of the shells of one piece, kg, and what is in their chocolate. */
  readonly shellKg: number;
  readonly shellAllergens: readonly Allergen[];
}

/** One layer as it comes to lie. */
export interface LayerAnswer {
  readonly choice: LayerChoice;
  /** What fits, per piece. */
  readonly mass: Answer;
  readonly volume: Answer;
  readonly count: Answer | undefined;
  /** What was asked for and does not fit, per piece, kg. */
  readonly leftOver: Answer;
  /** Bottom and top of the layer above the inside's lowest point, m. */
  readonly fromM: number;
  readonly toM: number;
}

export interface FillResult {
  readonly layers: readonly LayerAnswer[];
  readonly inside: Line;
  /** Depth of the space inside the shell, m. */
  readonly depthM: number;
  readonly capacity: Answer;
  /** From the top of the fill to the rim, m. */
  readonly headspace: Answer;
  readonly fillMass: Answer;
  readonly pieceMass: Answer;
  readonly closes: boolean;
  readonly allergens: readonly Allergen[];
}

/** Likely spread of a loose filling's density. Working rule. */
const DENSITY_SPREAD = 0.12;
/** Overfill below which a fill still counts as closing, m³: a level spoon is not better than this. */
const CLOSING_TOLERANCE_M3 = 0.2e-6;

/**
 * What fits inside one filled part, in layers from the bottom up: amounts, levels, headspace and whether it closes.
 * A layer "to the line" fills up to its distance below the rim; others are asked for by volume, mass or count.
 */
export function fillStation(input: FillInput): FillResult {
  const inside = insetLine(input.profile, input.shellM);
  const curve = depthCurve(inside);
  const layers: LayerAnswer[] = [];
  let below = 0;
  let over = 0;
  for (const choice of input.layers) {
    const asked = askedVolume(choice, curve, below);
    // The sum of the layers below may pass the capacity by rounding alone.
    const volume = Math.max(0, Math.min(asked, curve.capacityM3 - below));
    layers.push(layerAnswer(choice, volume, asked, curve.levelAt(below), curve.levelAt(below + volume), below));
    below += volume;
    over += asked - volume;
  }
  const fillKg = layers.reduce((sum, layer) => sum + layer.mass.value, 0);
  const spread = (a: Answer, side: 'low' | 'high'): number => a[side] ?? a.value;
  const range = (side: 'low' | 'high'): number => layers.reduce((sum, layer) => sum + spread(layer.mass, side), 0);
  const top = curve.levelAt(below);
  return {
    layers,
    inside,
    depthM: curve.depthM,
    capacity: answer(curve.capacityM3, 'volume', 'fill.capacity', [term('shellThickness', input.shellM[input.shellM.length - 1], 'length'), term('insideDepth', curve.depthM, 'length')]),
    headspace: answer(curve.depthM - top, 'length', 'fill.headspace', [term('insideDepth', curve.depthM, 'length'), term('fillTop', top, 'length')]),
    fillMass: answer(fillKg, 'mass', 'fill.massInAll', layers.map((l) => term('layerMass', l.mass.value, 'mass')), [range('low'), range('high')]),
    pieceMass: answer(input.shellKg + fillKg, 'mass', 'fill.pieceMass', [term('shellMass', input.shellKg, 'mass'), term('fillMass', fillKg, 'mass')]),
    closes: over <= CLOSING_TOLERANCE_M3,
    allergens: [...new Set([...input.shellAllergens, ...input.layers.flatMap((l) => l.filling.allergens)])],
  };
}

function askedVolume({ filling, amount }: LayerChoice, curve: DepthCurve, below: number): number {
  switch (amount.by) {
    case 'volume': return amount.m3;
    case 'mass': return amount.kg / filling.bulkDensity;
    case 'count': return (amount.count * pieceKg(filling)) / filling.bulkDensity;
    case 'line': return Math.max(0, curve.volumeAt(curve.depthM - amount.belowRimM) - below);
  }
}

/** Mass of one countable piece of a filling, kg; its kind's usual one where the filling does not say. */
export function pieceKg(filling: Filling): number {
  return filling.pieceKg ?? FILLING_MATTER[filling.kind].pieceKg ?? 0.001;
}

function layerAnswer(choice: LayerChoice, volume: number, asked: number, fromM: number, toM: number, below: number): LayerAnswer {
  const density = choice.filling.bulkDensity;
  const terms: Term[] = [term('filling', choice.filling.name), term('bulkDensity', density, 'density'), term('layerVolume', volume, 'volume')];
  const kg = volume * density;
  const byWeight = choice.amount.by === 'mass' || choice.amount.by === 'count';
  const countable = FILLING_MATTER[choice.filling.kind].pieceKg !== undefined;
  const one = pieceKg(choice.filling);
  return {
    choice,
    mass: answer(kg, 'mass', 'fill.layerMass', terms, byWeight ? undefined : [kg * (1 - DENSITY_SPREAD), kg * (1 + DENSITY_SPREAD)]),
    volume: answer(volume, 'volume', 'fill.layerVolume', [term('levelFrom', fromM, 'length'), term('levelTo', toM, 'length'), term('volumeBelow', below, 'volume')]),
    count: countable ? answer(Math.round(kg / one), 'count', 'fill.layerCount', [...terms, term('pieceMass', one, 'mass')]) : undefined,
    leftOver: answer((asked - volume) * density, 'mass', 'fill.leftOver', [term('asked', asked * density, 'mass'), term('fits', kg, 'mass')]),
    fromM,
    toM,
  };
}

/**
 * The amount that puts a layer's top at a level, in the way it was asked for: what dragging the fill line does.
 * @param levelM wanted top above the inside's lowest point, m; taken to the layer's own bottom or the rim at the ends
 */
export function amountForLevel(fill: FillResult, layerIndex: number, levelM: number): FillAmount {
  const layer = fill.layers[layerIndex];
  const curve = depthCurve(fill.inside);
  const level = Math.min(curve.depthM, Math.max(layer.fromM, levelM));
  const volume = Math.max(0, curve.volumeAt(level) - curve.volumeAt(layer.fromM));
  const { filling, amount } = layer.choice;
  switch (amount.by) {
    case 'volume': return { by: 'volume', m3: volume };
    case 'mass': return { by: 'mass', kg: volume * filling.bulkDensity };
    case 'count': {
      const pieces = (v: number): number => (v * filling.bulkDensity) / pieceKg(filling);
      // The nearest number of whole pieces that still fits.
      return { by: 'count', count: Math.min(Math.round(pieces(volume)), Math.floor(pieces(curve.capacityM3 - curve.volumeAt(layer.fromM)))) };
    }
    case 'line': return { by: 'line', belowRimM: curve.depthM - level };
  }
}
