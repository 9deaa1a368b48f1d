import { sweptM2 } from '../cavity/along-line';
import { depthCurve, type DepthCurve } from '../cavity/depth-curve';
import { insetLine } from '../cavity/inset';
import { cumulativeVolume, type Line, type Profile } from '../cavity/profile';
import { FILLING_MATTER } from '../matter/filling';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { FillAmount, Filling } from '../record/casting';
import { heapM, heapRoomM3 } from './heap';
import { densityIn, pieceKg } from './packing';

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
  /** Inside of the half that goes on top, where loose pieces may be heaped into it. */
  readonly heapInto?: Line | undefined;
}

/** One layer as it comes to lie in one filled part. */
export interface LayerAnswer {
  readonly choice: LayerChoice;
  /** What fits. */
  readonly mass: Answer;
  readonly volume: Answer;
  readonly count: Answer | undefined;
  /** What was asked for and does not fit, kg. */
  readonly leftOver: Answer;
  /** Mass over space as it lies in here, kg/m³. */
  readonly density: number;
  /** Bottom and top of the layer above the inside's lowest point, m; a heap above the rim is not counted. */
  readonly fromM: number;
  readonly toM: number;
}

/** What is in one filled part. */
export interface FillResult {
  readonly layers: readonly LayerAnswer[];
  readonly inside: Line;
  /** Depth of the space inside the shell, m. */
  readonly depthM: number;
  readonly capacity: Answer;
  /** Room above the rim for a heap; undefined where nothing may be heaped. */
  readonly heapRoom: Answer | undefined;
  /** How far the heap stands above the rim, m. */
  readonly heapM: number;
  /** From the top of the fill to the rim, m. */
  readonly headspace: Answer;
  readonly fillMass: Answer;
  readonly closes: boolean;
}

/** Likely spread of a loose filling's density. Working rule. */
const DENSITY_SPREAD = 0.12;
/** Overfill below which a fill still counts as closing, m³: a level spoon is not better than this. */
const CLOSING_TOLERANCE_M3 = 0.2e-6;

/**
 * What fits inside one filled part, in layers from the bottom up: amounts, levels, headspace and whether it closes.
 * A layer "to the line" fills up to its distance below the rim; others are asked for by volume, mass, count or share of the room.
 */
export function fillStation(input: FillInput): FillResult {
  const inside = insetLine(input.profile, input.shellM);
  const curve = depthCurve(inside);
  const wallPerVolume = wallOver(inside);
  const last = input.layers[input.layers.length - 1];
  const room = input.heapInto && last && heaps(last.filling) ? heapRoomM3(inside, input.heapInto) : undefined;
  const layers: LayerAnswer[] = [];
  let below = 0;
  let over = 0;
  for (const choice of input.layers) {
    const density = densityIn(choice.filling, wallPerVolume);
    const asked = askedVolume(choice, density, curve, below);
    // The sum of the layers below may pass the capacity by rounding alone.
    const volume = Math.max(0, Math.min(asked, curve.capacityM3 + (choice === last ? (room ?? 0) : 0) - below));
    layers.push(layerAnswer(choice, density, volume, asked, curve, below));
    below += volume;
    over += asked - volume;
  }
  const top = curve.levelAt(below);
  return {
    layers,
    inside,
    depthM: curve.depthM,
    capacity: answer(curve.capacityM3, 'volume', 'fill.capacity', [
      term('shellThickness', input.shellM[input.shellM.length - 1], 'length'),
      term('insideDepth', curve.depthM, 'length'),
    ]),
    heapRoom:
      room === undefined
        ? undefined
        : answer(room, 'volume', 'fill.heapRoom', [term('insideDepth', curve.depthM, 'length')]),
    heapM: heapM(inside, Math.max(0, below - curve.capacityM3)),
    headspace: answer(curve.depthM - top, 'length', 'fill.headspace', [
      term('insideDepth', curve.depthM, 'length'),
      term('fillTop', top, 'length'),
    ]),
    fillMass: massOf(layers),
    closes: over <= CLOSING_TOLERANCE_M3,
  };
}

/** All layers, added. */
function massOf(layers: readonly LayerAnswer[]): Answer {
  const sum = (of: (mass: Answer) => number): number => layers.reduce((all, { mass }) => all + of(mass), 0);
  return answer(
    sum(({ value }) => value),
    'mass',
    'fill.massInAll',
    layers.map((l) => term('layerMass', l.mass.value, 'mass')),
    [sum((m) => m.low ?? m.value), sum((m) => m.high ?? m.value)],
  );
}

/** Loose things can stand above a rim; what is poured or spread cannot. */
export function heaps({ kind }: Pick<Filling, 'kind'>): boolean {
  return FILLING_MATTER[kind].packed !== undefined || kind === 'powder' || kind === 'crumbs';
}

/** Wall over volume of a turned inside, 1/m; its mouth is open and counts for nothing. */
function wallOver(inside: Line): number {
  const volumes = cumulativeVolume(inside);
  return sweptM2(inside) / Math.max(1e-12, volumes[volumes.length - 1]);
}

function askedVolume({ filling, amount }: LayerChoice, density: number, curve: DepthCurve, below: number): number {
  switch (amount.by) {
    case 'volume':
      return amount.m3;
    case 'mass':
      return amount.kg / density;
    case 'count':
      return (amount.count * pieceKg(filling)) / density;
    case 'share':
      return amount.share * curve.capacityM3;
    case 'line':
      return Math.max(0, curve.volumeAt(curve.depthM - amount.belowRimM) - below);
  }
}

function layerAnswer(
  choice: LayerChoice,
  density: number,
  volume: number,
  asked: number,
  curve: DepthCurve,
  below: number,
): LayerAnswer {
  const { filling, amount } = choice;
  const [fromM, toM] = [curve.levelAt(below), curve.levelAt(below + volume)];
  const terms: Term[] = [
    term('filling', filling.name),
    term('bulkDensity', filling.bulkDensity, 'density'),
    ...(density === filling.bulkDensity ? [] : [term('densityHere', density, 'density')]),
    term('layerVolume', volume, 'volume'),
  ];
  const kg = volume * density;
  const byWeight = amount.by === 'mass' || amount.by === 'count';
  const countable = FILLING_MATTER[filling.kind].pieceKg !== undefined;
  const one = pieceKg(filling);
  return {
    choice,
    density,
    mass: answer(
      kg,
      'mass',
      'fill.layerMass',
      terms,
      byWeight ? undefined : [kg * (1 - DENSITY_SPREAD), kg * (1 + DENSITY_SPREAD)],
    ),
    volume: answer(volume, 'volume', 'fill.layerVolume', [
      term('levelFrom', fromM, 'length'),
      term('levelTo', toM, 'length'),
      term('volumeBelow', below, 'volume'),
    ]),
    count: countable
      ? answer(Math.round(kg / one), 'count', 'fill.layerCount', [...terms, term('pieceMass', one, 'mass')])
      : undefined,
    leftOver: answer((asked - volume) * density, 'mass', 'fill.leftOver', [
      term('asked', asked * density, 'mass'),
      term('fits', kg, 'mass'),
    ]),
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
  return amountOf(layer, volume, curve, level, Math.round);
}

/**
 * So much of a layer, in the way it is asked for.
 * @param level where its top then is; @param whole how pieces are counted out where it is asked for by number
 */
export function amountOf(
  { choice: { filling, amount }, density, fromM }: LayerAnswer,
  volume: number,
  curve: DepthCurve,
  level = curve.levelAt(curve.volumeAt(fromM) + volume),
  whole: (pieces: number) => number = Math.floor,
): FillAmount {
  switch (amount.by) {
    case 'volume':
      return { by: 'volume', m3: volume };
    case 'mass':
      return { by: 'mass', kg: volume * density };
    case 'share':
      return { by: 'share', share: Math.min(1, volume / Math.max(1e-12, curve.capacityM3)) };
    case 'count': {
      const pieces = (v: number): number => (v * density) / pieceKg(filling);
      // A hair more than a whole piece is one: what was computed from a count comes back as it.
      return {
        by: 'count',
        count: Math.min(whole(pieces(volume) + 1e-6), Math.floor(pieces(curve.capacityM3 - curve.volumeAt(fromM)))),
      };
    }
    case 'line':
      return { by: 'line', belowRimM: curve.depthM - level };
  }
}
