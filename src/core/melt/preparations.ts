import { CHOCOLATE_MATTER, type ChocolateKind } from '../matter/chocolate';
import { answer, term, type Answer } from '../quantity/answer';
import type { Bowl } from './bowl';
import { longestBurst } from './bursts';
import { heatHeld, meltable } from './heat-held';
import { deliveredW } from './microwave';
import { heatedPot, meltedPot, potHeat, potTemperatureC, secondsToReach, type Pot } from './pot';
import { potOf } from './vessel';

/** Where a preparation is made. */
export interface PreparationPlace {
  readonly bowl: Bowl;
  readonly roomC: number;
  readonly fridgeC: number;
  readonly microwaveW: number;
  /** By the weight that was melted once; 1 without. */
  readonly microwaveFactor: number;
}

/** What a ganache is for: it is firmer for a cut or rolled piece, softer in a bomb that melts in milk. */
export const GANACHE_USES = ['molded', 'bomb', 'rolled', 'poured'] as const;
export type GanacheUse = (typeof GANACHE_USES)[number];

/**
 * Chocolate for one part of cream, by weight. Near 1:1 for dark and a little more chocolate for white: common practice, no source.
 * Milk between them, firmer and softer uses by the same factors: working rules.
 */
const CHOCOLATE_TO_CREAM: Readonly<Record<ChocolateKind, number>> = { dark: 1, milk: 1.15, white: 1.25, compound: 1.1 };
const BY_USE: Readonly<Record<GanacheUse, number>> = { molded: 1, bomb: 1, rolled: 1.5, poured: 0.8 };
/** Cream is taken hot, not boiling, to the chocolate; a filling goes in when it is as cool as this. Common practice, no source. */
const CREAM_C = 85;
const FILLING_C = 22;
/** Specific heat of cream of 35 % fat, J/(kg K), and of a ganache. From memory. */
const CREAM_SPECIFIC_HEAT = 3500;
/** Chilled faster: stirring now and then, in the fridge. */
const FRIDGE_FACTOR = 1.3;

export interface GanacheAnswer {
  readonly chocolate: Answer;
  readonly cream: Answer;
  /** What it comes to when cream and chocolate are stirred together, °C. */
  readonly mixed: Answer;
  /** Until it is cool enough to go into a shell, s. */
  readonly inRoom: Answer;
  readonly inFridge: Answer;
}

/** Chocolate for one part of cream as it is usually taken, by weight. */
export function usualGanache(kind: ChocolateKind, use: GanacheUse): number {
  return CHOCOLATE_TO_CREAM[kind] * BY_USE[use];
}

/**
 * A ganache of chocolate and cream, scaled to an amount, with the time it cools to where it may go into a shell.
 * @param ratio chocolate for one part of cream, by weight
 */
export function ganache(
  kg: number,
  kind: ChocolateKind,
  fatShare: number,
  place: PreparationPlace,
  ratio: number,
): GanacheAnswer {
  const chocolateKg = (kg * ratio) / (1 + ratio);
  const creamKg = kg - chocolateKg;
  const chocolate = meltable(kind, fatShare, CHOCOLATE_MATTER[kind].workFromC);
  const shell = potOf('microwave', place.bowl, chocolate, kg, 1100, place.roomC, 'none');
  // Cream's heat beyond that of chocolate counts with the bowl, so that one pot holds both.
  const pot: Pot = { ...shell, kg: chocolateKg, bowlHeat: shell.bowlHeat + creamKg * CREAM_SPECIFIC_HEAT };
  const heat =
    chocolateKg * heatHeld(chocolate, place.roomC) +
    creamKg * CREAM_SPECIFIC_HEAT * CREAM_C +
    shell.bowlHeat * place.roomC;
  const mixedC = potTemperatureC(pot, heat);
  const cool = meltedPot(pot);
  const until = (aroundC: number, factor: number): number =>
    secondsToReach({ ...cool, aroundC, lossWK: cool.lossWK * factor }, Math.max(mixedC, FILLING_C), FILLING_C, 0);
  const terms = [term('amount', kg, 'mass'), term('chocolateToCream', ratio, 'ratio')];
  const cooling = [term('mixedAt', mixedC, 'temperature'), term('fillingAt', FILLING_C, 'temperature')];
  return {
    chocolate: answer(chocolateKg, 'mass', 'prepare.ganacheChocolate', terms),
    cream: answer(creamKg, 'mass', 'prepare.ganacheCream', terms),
    mixed: answer(mixedC, 'temperature', 'prepare.ganacheMixed', [
      term('creamAt', CREAM_C, 'temperature'),
      term('room', place.roomC, 'temperature'),
    ]),
    inRoom: answer(until(place.roomC, 1), 'duration', 'prepare.ganacheCools', [
      ...cooling,
      term('placeTemperature', place.roomC, 'temperature'),
    ]),
    inFridge: answer(until(place.fridgeC, FRIDGE_FACTOR), 'duration', 'prepare.ganacheCools', [
      ...cooling,
      term('placeTemperature', place.fridgeC, 'temperature'),
    ]),
  };
}

/** Sprayed or painted: parts of colour to a hundred parts of cocoa butter. Common practice, no source. */
const COLOUR_PER_HUNDRED = 10;

export interface SprayAnswer {
  readonly colour: Answer;
  readonly cocoaButter: Answer;
}

/** Coloured cocoa butter to paint or spray into a mold, scaled to an amount. */
export function cocoaButterColour(kg: number): SprayAnswer {
  const colourKg = (kg * COLOUR_PER_HUNDRED) / (100 + COLOUR_PER_HUNDRED);
  const terms = [term('amount', kg, 'mass')];
  return {
    colour: answer(colourKg, 'mass', 'prepare.sprayColour', terms),
    cocoaButter: answer(kg - colourKg, 'mass', 'prepare.sprayButter', terms),
  };
}

/**
 * Caramelised coating: heated in short bursts until its sugar and milk brown. Browns from about `BROWNS_C`, scorches soon after.
 * From memory; by eye in practice.
 */
const BROWNS_C = 112;
const SCORCHES_C = 125;
const CARAMEL_UNEVEN = 0.25;
const STIR_S = 25;
const HALF = 0.5;
const MOST_BURSTS = 60;
/** Below this it is melted and warmed like any other, in longer bursts; held where it browns for so many bursts more. Working rules. */
const BROWNING_BURSTS = 6;

export interface CaramelAnswer {
  readonly bursts: readonly { readonly seconds: number; readonly afterC: number }[];
  readonly count: Answer;
  readonly time: Answer;
  /** From where it browns until it is cool enough to be worked like any coating, in the room, s. */
  readonly cools: Answer;
  /** False where even the shortest burst would scorch so small an amount. */
  readonly reached: boolean;
}

/** A series of short bursts at half power, stirred after each, that caramelises an amount of white coating; and how long it then cools. */
export function caramelised(kg: number, fatShare: number, place: PreparationPlace): CaramelAnswer {
  const { bowl, roomC, microwaveW, microwaveFactor } = place;
  const pot = potOf(
    'microwave',
    bowl,
    meltable('compound', fatShare, CHOCOLATE_MATTER.compound.workFromC),
    kg,
    CHOCOLATE_MATTER.compound.meltedDensity,
    roomC,
    'none',
  );
  // Half power is what reaches it here, so that the bursts stay as short as at full power.
  const watts = HALF * deliveredW(microwaveW, kg, microwaveFactor);
  const series = {
    pot,
    targetC: Infinity,
    toTheDegree: false,
    ceilingC: SCORCHES_C,
    fullW: watts,
    power: 1,
    uneven: CARAMEL_UNEVEN,
  };
  const bursts: { seconds: number; afterC: number }[] = [];
  let heat = potHeat(pot, roomC);
  let browning = 0;
  while (bursts.length < MOST_BURSTS && browning < BROWNING_BURSTS) {
    const next = longestBurst(series, heat);
    if (!next) break;
    const { seconds, afterC } = next.burst;
    bursts.push({ seconds, afterC });
    if (afterC >= BROWNS_C) browning++;
    heat = heatedPot(pot, next.heat, 0, STIR_S);
  }
  const seconds = bursts.reduce((sum, burst) => sum + burst.seconds + STIR_S, 0);
  const terms = [
    term('amount', kg, 'mass'),
    term('delivered', watts, 'power'),
    term('browns', BROWNS_C, 'temperature'),
  ];
  const { workToC } = CHOCOLATE_MATTER.compound;
  const cools = secondsToReach(meltedPot(pot), BROWNS_C, workToC, 0);
  return {
    bursts,
    reached: browning >= BROWNING_BURSTS,
    cools: answer(cools, 'duration', 'prepare.caramelCools', [
      term('browns', BROWNS_C, 'temperature'),
      term('workingTemperature', workToC, 'temperature'),
      term('room', roomC, 'temperature'),
    ]),
    count: answer(bursts.length, 'count', 'prepare.caramelBursts', terms, [
      Math.floor(bursts.length / 1.4),
      Math.ceil(bursts.length * 1.4),
    ]),
    time: answer(seconds, 'duration', 'prepare.caramelTime', terms, [seconds / 1.4, seconds * 1.4]),
  };
}
