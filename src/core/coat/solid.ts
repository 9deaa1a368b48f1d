import type { Cavity } from '../cavity/cavity';
import { depthCurve, type DepthCurve } from '../cavity/depth-curve';
import { CHOCOLATE_MATTER, holdThicknessM, nearestClass, rheologyAt } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';
import { mixedShare, type CoatChoice } from '../shell/coat-choice';
import {
  massInAll,
  mixedIn,
  narrowAnswer,
  survival,
  totals,
  withNarrow,
  type CoatAnswer,
  type CoatInput,
  type CoatResult,
  type SolidBody,
} from './coat-answers';

/** Shares that add up to one by rounding alone are not over it. */
const HARDLY_OVER = 1e-9;
/** A fill by eye is off by this share of a layer, and never above the brim: what is over is scraped off. Working rule. */
const BY_EYE = 0.05;

/**
 * A cavity filled from below, in one go or in layers: levels, amounts, and whether the piece survives unmolding. Each layer takes its share
 * of the cavity's volume, as far as there is room. Rim, wall and base are all read as the depth of chocolate in the middle.
 */
export function solidShell(input: CoatInput): CoatResult {
  const { cavity, coats: choices } = input;
  const curve = depthCurve(cavity.profile);
  let filled = 0;
  // What is asked for beyond the brim.
  const over = Math.max(0, choices.reduce((sum, { volumeShare }) => sum + volumeShare, 0) - 1);
  const layers = choices.map((choice) => {
    const from = filled;
    filled = Math.min(1, filled + choice.volumeShare);
    return { choice, from, to: filled };
  });
  const level = (share: number): number => curve.levelAt(share * curve.capacityM3);
  const body = solidBody(cavity, curve, level(filled));
  const filledLayers = layers.map(({ choice, from, to }, i): CoatAnswer =>
    layerAnswer(input, choice, {
      stickM3: i === layers.length - 1 ? (input.stickM3 ?? 0) : 0,
      over: i === layers.length - 1 ? over : 0,
      from,
      to,
      fromM: level(from),
      toM: level(to),
      throughM: (body.depthM * (to - from)) / filled,
    }),
  );
  const coats = withNarrow(input, filledLayers);
  const total = totals(coats);
  const totalM = depthsBelow(cavity, 0, level(filled));
  const off = (factor: number): Float64Array => totalM.map((depth) => depth * factor);
  return {
    coats,
    total,
    totalM,
    totalLowM: off(1 - BY_EYE),
    totalHighM: totalM,
    volumeM3: filled * cavity.volumeM3 - (input.stickM3 ?? 0),
    mass: massInAll(coats),
    narrow: narrowAnswer(input),
    ...survival(input, choices, total.rim),
    coatsNeeded: undefined,
    reached: true,
    overEdges: undefined,
    body,
  };
}

interface Layer {
  readonly from: number;
  readonly to: number;
  readonly fromM: number;
  readonly toM: number;
  /** How much of the slab it stands for the layer takes, m. */
  readonly throughM: number;
  /** What a stick takes up of it, m³. */
  readonly stickM3: number;
  /** What does not fit, as a share of the cavity. */
  readonly over: number;
}

function layerAnswer(
  { cavity, roomC, moldC = roomC }: CoatInput,
  choice: CoatChoice,
  { from, to, fromM, toM, throughM, stickM3, over }: Layer,
): CoatAnswer {
  const { kind, fluidity } = choice.chocolate;
  const density = CHOCOLATE_MATTER[kind].meltedDensity;
  // Its level is as it would be without the stick, which makes it rise by what it takes up.
  const volumeM3 = Math.max(0, (to - from) * cavity.volumeM3 - stickM3);
  const chocolate = density * (1 - mixedShare(choice, density));
  const likely = (value: number): [number, number] => [value * (1 - BY_EYE), to < 1 ? value * (1 + BY_EYE) : value];
  const depth: Answer = answer(
    toM - fromM,
    'length',
    'coat.filled',
    [
      term('volumeShare', to - from, 'share'),
      term('cavityVolume', cavity.volumeM3, 'volume'),
      term('levelFrom', fromM, 'length'),
      term('levelTo', toM, 'length'),
    ],
    likely(toM - fromM),
  );
  const [low, high] = likely(throughM);
  return {
    choice,
    levels: { fromM, toM },
    thickness: { rim: depth, wall: depth, base: depth },
    thicknessM: depthsBelow(cavity, fromM, toM),
    mass: answer(
      volumeM3 * chocolate,
      'mass',
      'coat.fillMass',
      [
        term('layerVolume', volumeM3, 'volume'),
        term('meltedDensity', density, 'density'),
        ...(stickM3 > 0 ? [term('stick', stickM3, 'volume')] : []),
        ...(choice.mixIn ? [term('mixedIn', choice.mixIn.share, 'share')] : []),
      ],
      likely(volumeM3 * chocolate),
    ),
    mixed: mixedIn(choice, volumeM3, density),
    spooned: answer(volumeM3, 'volume', 'coat.fillMass', [term('layerVolume', volumeM3, 'volume')]),
    drain: undefined,
    dwell: undefined,
    hold: answer(holdThicknessM(rheologyAt(fluidity, choice.workingC), density, Math.PI / 2), 'length', 'coat.hold', [
      term('workingTemperature', choice.workingC, 'temperature'),
      term('fluidity', nearestClass(fluidity)),
    ]),
    rest: undefined,
    feet: squeezedOut(over, cavity, chocolate),
    thinnestAround: undefined,
    overHold: false,
    wallC: moldC,
    meanM: { value: throughM, low, high },
  };
}

/** What is over the brim, kg; undefined where nothing is. */
function squeezedOut(over: number, { volumeM3 }: Cavity, density: number): Answer | undefined {
  if (over <= HARDLY_OVER) return undefined;
  return answer(over * volumeM3 * density, 'mass', 'coat.flash', [
    term('volumeShare', over, 'share'),
    term('cavityVolume', volumeM3, 'volume'),
  ]);
}

/** How deep the chocolate between two levels stands over each point of the wall, m. */
function depthsBelow({ profile }: Cavity, fromM: number, toM: number): Float64Array {
  const floor = profile.heightM[0];
  return profile.heightM.map((z) => Math.max(0, toM - Math.max(fromM, z - floor)));
}

/** The slab a body up to a level stands for. */
export function solidBody(cavity: Cavity, curve: DepthCurve, levelM: number): SolidBody {
  const { profile, wallAreaM2, volumeM3 } = cavity;
  // A profile that is not the cavity itself is taken in proportion to it.
  const volume = (volumeM3 * curve.volumeAt(levelM)) / curve.capacityM3;
  const wall = (wallAreaM2 * wettedArea(profile, levelM)) / wettedArea(profile, Infinity);
  const step = Math.min(levelM, 1e-4 * curve.depthM);
  const open = Math.min(
    wall,
    (volumeM3 / curve.capacityM3) * ((curve.volumeAt(levelM) - curve.volumeAt(levelM - step)) / step),
  );
  const depthM = (2 * volume) / (wall + open);
  return { depthM, meanCurvature: (1 - open / wall) / (2 * depthM) };
}

/** Wall below a level, m². */
function wettedArea({ arcM, radiusM, heightM, areaFactor }: Cavity['profile'], levelM: number): number {
  const floor = heightM[0];
  let area = 0;
  for (let i = 1; i < arcM.length; i++) {
    const [low, high] = [heightM[i - 1] - floor, heightM[i] - floor];
    const share = high <= levelM ? 1 : low >= levelM ? 0 : (levelM - low) / (high - low);
    area +=
      share * Math.PI * (arcM[i] - arcM[i - 1]) * (radiusM[i] * areaFactor[i] + radiusM[i - 1] * areaFactor[i - 1]);
  }
  return area;
}
