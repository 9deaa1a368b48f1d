import { CHOCOLATE_MATTER, nearestClass } from '../matter/chocolate';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import { aimCoats, HOLD_MULTIPLE } from './aim';
import type { CoatChoice, CoatPlaceInput, Press } from '../shell/coat-choice';
import { readings, type Readings } from '../shell/laid-film';
import type { Simulated, SimulatedCoat } from '../shell/simulated';
import { CoatLayer, NOMINAL, THICKEST, THINNEST, type LaidCoat } from './lay-coats';
import { breakChance, neededRimM } from './survival';

export interface CoatInput extends CoatPlaceInput {
  readonly coats: readonly CoatChoice[];
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
  readonly thickness: ThicknessAnswers;
  /** At each point of the profile, m. */
  readonly thicknessM: Float64Array;
  readonly mass: Answer;
  readonly spooned: Answer;
  readonly drain: Answer | undefined;
  /** How long it stands before it is tipped out: as chosen, or less where a wanted thickness asks for it. */
  readonly dwell: Answer | undefined;
  readonly hold: Answer;
  /** How long it runs on after it is set down, until it holds, and what drips off the rim meanwhile; known from the simulation alone. */
  readonly rest: Answer | undefined;
  readonly feet: Answer | undefined;
  /** The coat is heavier than the chocolate will hold on an upright wall. */
  readonly overHold: boolean;
  /** Mean wall temperature of the mold when this coat is on it, °C. */
  readonly wallC: number;
  /** Mean thickness over the wall with its range, m: what the chill is computed on. */
  readonly meanM: { readonly value: number; readonly low: number; readonly high: number };
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
  readonly neededRim: Answer;
  readonly breakChance: Answer;
  /** Only where a thickness was wanted. */
  readonly coatsNeeded: Answer | undefined;
  readonly reached: boolean;
}

/**
 * What the chosen coats come to: thickness at rim, wall and base, amounts, and whether the shell survives unmolding.
 *
 * Closed form of the draining Casson film plus the skin from the dwell, corrected by the simulation where there is one; the likely range
 * comes from one evaluation with thin, warm chocolate and one with stiff, cool chocolate, corrected likewise. Takes 1 to 4 coats.
 */
export function coatStation(input: CoatInput): CoatResult {
  const layer = new CoatLayer(input, input.simulated);
  const aimed = input.wantedRimM === undefined || input.press ? undefined : aimCoats(input, input.coats, input.wantedRimM, layer);
  const choices = aimed?.coats ?? input.coats;
  const laid = layer.lay(choices, NOMINAL);
  const thin = layer.lay(choices, THINNEST);
  const thick = layer.lay(choices, THICKEST);
  const coats = choices.map((choice, i) => coatAnswer(input, choice, input.simulated?.[choices.length]?.coats[i], laid[i], thin[i], thick[i]));
  const total = totals(coats);
  const last = choices[choices.length - 1];
  const needed = neededRimM(input.cavity.spanM, last.chocolate.kind);
  const rim = total.rim;
  return {
    coats,
    total,
    totalM: summed(laid),
    totalLowM: summed(thin),
    totalHighM: summed(thick),
    volumeM3: laid.reduce((sum, l) => sum + l.volumeM3, 0),
    mass: massInAll(coats),
    neededRim: answer(needed, 'length', 'coat.neededRim', [term('span', input.cavity.spanM, 'length'), term('chocolateKind', last.chocolate.kind)]),
    breakChance: answer(
      breakChance(rim.value / needed), 'share', 'coat.breakChance',
      [term('rim', rim.value, 'length'), term('neededRim', needed, 'length')],
      [breakChance((rim.high ?? rim.value) / needed), breakChance((rim.low ?? rim.value) / needed)],
    ),
    coatsNeeded: aimed && answer(choices.length, 'count', 'coat.coatsNeeded', [term('wantedRim', input.wantedRimM ?? 0, 'length')]),
    reached: aimed?.reached ?? true,
  };
}

function coatAnswer(input: CoatInput, choice: CoatChoice, simulated: SimulatedCoat | undefined, laid: LaidCoat, thin: LaidCoat, thick: LaidCoat): CoatAnswer {
  const { profile } = input.cavity;
  const density = CHOCOLATE_MATTER[choice.chocolate.kind].meltedDensity;
  const terms = input.press ? pressTerms(input.press) : coatTerms(choice, laid);
  const rule = ruleOf(input, choice, simulated !== undefined);
  const nominal = readings(profile, laid.thicknessM);
  const low = readings(profile, thin.thicknessM);
  const high = readings(profile, thick.thicknessM);
  const read = (of: (r: Readings) => number): Answer => answer(of(nominal), 'length', rule, terms, ordered(of(low), of(high)));
  const mean = (l: LaidCoat): number => l.volumeM3 / input.cavity.wallAreaM2;
  return {
    choice,
    thickness: { rim: read((r) => r.rimM), wall: read((r) => r.wallM), base: read((r) => r.baseM) },
    thicknessM: laid.thicknessM,
    mass: answer(laid.volumeM3 * density, 'mass', 'coat.mass', [term('layerVolume', laid.volumeM3, 'volume'), term('meltedDensity', density, 'density')],
      ordered(thin.volumeM3 * density, thick.volumeM3 * density)),
    spooned: answer(laid.volumeM3, 'volume', 'coat.mass', [term('layerVolume', laid.volumeM3, 'volume')]),
    drain: choice.method === 'dump' ? answer(choice.drainSeconds, 'duration', 'coat.drain', terms) : undefined,
    dwell: choice.method === 'dump' ? answer(choice.dwellSeconds, 'duration', 'coat.dwell', terms) : undefined,
    hold: answer(laid.holdM, 'length', 'coat.hold', [term('workingTemperature', choice.workingC, 'temperature'), term('fluidity', nearestClass(choice.chocolate.fluidity))],
      ordered(thin.holdM, thick.holdM)),
    rest: simulated && answer(simulated.stillAfterSeconds, 'duration', 'coat.rest', [term('workingTemperature', choice.workingC, 'temperature'), term('wayUp', choice.wayUp)]),
    feet: simulated && answer(simulated.feetM3 * density, 'mass', 'coat.feet', [term('wayUp', choice.wayUp)]),
    overHold: !input.press && choice.method !== 'dump' && laid.placedM > HOLD_MULTIPLE * laid.holdM,
    wallC: laid.skin.wallC,
    meanM: { value: mean(laid), low: mean(thin), high: mean(thick) },
  };
}

function ruleOf({ press }: CoatInput, { method }: CoatChoice, simulated: boolean): string {
  if (press) return 'coat.pressed';
  const way = method === 'dump' ? 'coat.dumped' : 'coat.spread';
  return simulated ? `${way}Simulated` : way;
}

function massInAll(coats: readonly CoatAnswer[]): Answer {
  const masses = coats.map((coat) => coat.mass);
  const range: [number, number] = [sumOf(masses.map((m) => m.low ?? m.value)), sumOf(masses.map((m) => m.high ?? m.value))];
  return { ...answer(sumOf(masses.map((m) => m.value)), 'mass', 'coat.massInAll', [], range), parts: masses };
}

function pressTerms(press: Press): Term[] {
  return [press.by === 'width' ? term('gap', press.gapM, 'length') : term('gapWater', press.m3, 'volume')];
}

function coatTerms(choice: CoatChoice, laid: LaidCoat): Term[] {
  const shared = [
    term('method', choice.method),
    term('fluidity', nearestClass(choice.chocolate.fluidity)),
    term('workingTemperature', choice.workingC, 'temperature'),
    term('wayUp', choice.wayUp),
  ];
  if (choice.method !== 'dump') return [...shared, term('dose', choice.doseM3, 'volume'), term('where', choice.where)];
  return [
    ...shared,
    term('dwell', choice.dwellSeconds, 'duration'),
    term('skin', laid.skin.thicknessM, 'length'),
    term('drain', choice.drainSeconds, 'duration'),
    term('tapping', choice.tappingSeconds, 'duration'),
  ];
}

function totals(coats: readonly CoatAnswer[]): ThicknessAnswers {
  const sum = (place: keyof ThicknessAnswers): Answer => {
    const of = coats.map((coat) => coat.thickness[place]);
    const range: [number, number] = [sumOf(of.map((a) => a.low ?? a.value)), sumOf(of.map((a) => a.high ?? a.value))];
    return { ...answer(sumOf(of.map((a) => a.value)), 'length', 'coat.total', [], range), parts: of };
  };
  return { rim: sum('rim'), wall: sum('wall'), base: sum('base') };
}

function summed(laid: readonly LaidCoat[]): Float64Array {
  const total = new Float64Array(laid[0].thicknessM.length);
  for (const coat of laid) coat.thicknessM.forEach((t, i) => (total[i] += t));
  return total;
}

const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);
const ordered = (a: number, b: number): [number, number] => (a <= b ? [a, b] : [b, a]);
