import { mixedShare, type CoatChoice, type CoatPlaceInput } from '../shell/coat-choice';
import { CHOCOLATE_MATTER } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';
import type { Simulated } from '../shell/simulated';
import { breakChance, neededRimM } from './survival';

export interface CoatInput extends CoatPlaceInput {
  readonly coats: readonly CoatChoice[];
  /** Narrow places beside the cavity's shape, which the first coat fills solid, m³. */
  readonly narrowM3?: number | undefined;
  /** Taken up by a stick that is pushed into what is filled from below, m³. */
  readonly stickM3?: number | undefined;
  /** Wanted thickness at the rim, m: coats and their tuning are found; undefined: the coats as they are. */
  readonly wantedRimM?: number | undefined;
  /** What a simulation of coats made alike found; without it the closed form stands. */
  readonly simulated?: Simulated['byCount'] | undefined;
}

/** Thickness at the three places, each with its likely range. */
export interface ThicknessAnswers {
  readonly rim: Answer;
  readonly wall: Answer;
  readonly base: Answer;
}

/** What one coat comes to. */
export interface CoatAnswer {
  readonly choice: CoatChoice;
  /** Of a fill from below: its lower and upper level above the cavity's lowest point, m; undefined for a coat on the wall. */
  readonly levels: { readonly fromM: number; readonly toM: number } | undefined;
  readonly thickness: ThicknessAnswers;
  /** At each point of the profile, m. */
  readonly thicknessM: Float64Array;
  readonly mass: Answer;
  /** What is stirred into it, kg; undefined where nothing is. */
  readonly mixed: Answer | undefined;
  readonly spooned: Answer;
  readonly drain: Answer | undefined;
  /** How long it stands before it is tipped out: as chosen, or less where a wanted thickness asks for it. */
  readonly dwell: Answer | undefined;
  readonly hold: Answer;
  /** How long it runs on after it is set down, until it holds, and what drips off the rim meanwhile, which only the simulation knows; of a fill, what is squeezed or scraped off. */
  readonly rest: Answer | undefined;
  readonly feet: Answer | undefined;
  /** Of a vessel that lies on its side between two turns: the thinnest line of its wall; only the simulation knows. */
  readonly thinnestAround: Answer | undefined;
  /** The coat is heavier than the chocolate will hold on an upright wall. */
  readonly overHold: boolean;
  /** Mean wall temperature of the mold when this coat is on it, °C. */
  readonly wallC: number;
  /** Mean thickness over the wall with its range, m: what the chill is computed on. */
  readonly meanM: { readonly value: number; readonly low: number; readonly high: number };
}

/**
 * A solid piece as its heat sees it: a slab from the wall inward whose area goes evenly from that of the wetted wall to that of its open
 * face. It has the body's volume and both its surfaces, so that a thin tile comes out as the slab it is, and a deep half with the ratio of
 * volume to surface that decides how fast it cools.
 */
export interface SolidBody {
  readonly depthM: number;
  readonly meanCurvature: number;
}

/** The whole shell. */
export interface CoatResult {
  readonly coats: readonly CoatAnswer[];
  readonly total: ThicknessAnswers;
  /** In all, at each point of the profile, m, with the thin and thick end of the likely range. */
  readonly totalM: Float64Array;
  readonly totalLowM: Float64Array;
  readonly totalHighM: Float64Array;
  readonly volumeM3: number;
  readonly mass: Answer;
  /** What of it fills narrow places; undefined where there are none. */
  readonly narrow: Answer | undefined;
  readonly neededRim: Answer;
  readonly breakChance: Answer;
  /** Only where a thickness was wanted. */
  readonly coatsNeeded: Answer | undefined;
  readonly reached: boolean;
  /** The shell over edges that stand into the mold; undefined where there are none, or nothing of it lies on the wall. */
  readonly overEdges: Answer | undefined;
  /** A solid fill as its heat sees it; undefined for a shell. */
  readonly body: SolidBody | undefined;
}

/** What of a coat's volume is stirred in, kg; undefined where nothing is. */
export function mixedIn(choice: CoatChoice, volumeM3: number, chocolateDensity: number): Answer | undefined {
  const { mixIn } = choice;
  if (!mixIn) return undefined;
  const m3 = volumeM3 * mixedShare(choice, chocolateDensity);
  return answer(m3 * mixIn.density, 'mass', 'coat.mixed', [
    term('mixedIn', mixIn.share, 'share'),
    term('layerVolume', volumeM3, 'volume'),
  ]);
}

/** The chocolate in narrow places, kg, of the first coat, which fills them solid. */
export function narrowAnswer({ narrowM3, coats: [{ chocolate }] }: CoatInput): Answer | undefined {
  if (!narrowM3) return undefined;
  const density = CHOCOLATE_MATTER[chocolate.kind].meltedDensity;
  return answer(narrowM3 * density, 'mass', 'coat.narrow', [
    term('narrowPlaces', narrowM3, 'volume'),
    term('meltedDensity', density, 'density'),
  ]);
}

/** The same coats with what the first of them fills beside the cavity's shape. */
export function withNarrow(input: CoatInput, coats: readonly CoatAnswer[]): readonly CoatAnswer[] {
  const narrow = narrowAnswer(input);
  if (!narrow) return coats;
  const [first, ...others] = coats;
  const more = (mass: Answer): Answer => ({
    ...mass,
    value: mass.value + narrow.value,
    ...(mass.low === undefined || mass.high === undefined
      ? {}
      : { low: mass.low + narrow.value, high: mass.high + narrow.value }),
    terms: [...mass.terms, term('narrowPlaces', narrow.value, 'mass')],
  });
  return [{ ...first, mass: more(first.mass) }, ...others];
}

/** All coats of one cavity, added. */
export function massInAll(coats: readonly CoatAnswer[]): Answer {
  const masses = coats.map((coat) => coat.mass);
  const range: [number, number] = [
    sumOf(masses.map((m) => m.low ?? m.value)),
    sumOf(masses.map((m) => m.high ?? m.value)),
  ];
  return { ...answer(sumOf(masses.map((m) => m.value)), 'mass', 'coat.massInAll', [], range), parts: masses };
}

/** All coats at each of the three places, added. */
export function totals(coats: readonly CoatAnswer[]): ThicknessAnswers {
  const sum = (place: keyof ThicknessAnswers): Answer => {
    const of = coats.map((coat) => coat.thickness[place]);
    const range: [number, number] = [sumOf(of.map((a) => a.low ?? a.value)), sumOf(of.map((a) => a.high ?? a.value))];
    return { ...answer(sumOf(of.map((a) => a.value)), 'length', 'coat.total', [], range), parts: of };
  };
  return { rim: sum('rim'), wall: sum('wall'), base: sum('base') };
}

/** An edge that stands into a mold is as round as this, m. Working rule. */
const EDGE_RADIUS_M = 0.001;

/**
 * A shell over an edge that stands into the mold. What a flat wall holds of it goes round the edge: t = h + h²/2r on a cylinder of radius r
 * (Steiner's formula for parallel surfaces), so that h = r (√(1 + 2t/r) − 1), at every angle of the edge.
 */
export function overEdges(
  { inwardEdges, outward }: CoatInput['cavity'],
  { wall }: ThicknessAnswers,
): Answer | undefined {
  if (inwardEdges === 0 || outward) return undefined;
  const over = (t: number): number => EDGE_RADIUS_M * (Math.sqrt(1 + (2 * t) / EDGE_RADIUS_M) - 1);
  return answer(
    over(wall.value),
    'length',
    'coat.overEdges',
    [term('shellThickness', wall.value, 'length'), term('edgeRadius', EDGE_RADIUS_M, 'length')],
    [over(wall.low ?? wall.value), over(wall.high ?? wall.value)],
  );
}

/** The rim it needs, and the chance that it breaks with the one it has. */
export function survival(
  { cavity, material }: Pick<CoatInput, 'cavity' | 'material'>,
  choices: readonly CoatChoice[],
  rim: Answer,
): Pick<CoatResult, 'neededRim' | 'breakChance'> {
  const { kind } = choices[choices.length - 1].chocolate;
  const needed = neededRimM(cavity.spanM, kind, material);
  return {
    neededRim: answer(needed, 'length', 'coat.neededRim', [
      term('span', cavity.spanM, 'length'),
      term('chocolateKind', kind),
      term('moldMaterial', material),
    ]),
    breakChance: answer(
      breakChance(rim.value / needed),
      'share',
      'coat.breakChance',
      [term('rim', rim.value, 'length'), term('neededRim', needed, 'length')],
      [breakChance((rim.high ?? rim.value) / needed), breakChance((rim.low ?? rim.value) / needed)],
    ),
  };
}

const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);
