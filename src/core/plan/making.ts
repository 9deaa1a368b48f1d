import { isTurned, isChilled } from '../record/method';
import { coatOneMoldSeconds } from '../batch/timeline';
import { cavityOf, type Cavity } from '../cavity/cavity';
import type { CavityShape } from '../cavity/shape';
import type { ChillInput } from '../chill/chill-input';
import { coatStation } from '../coat/coat';
import type { CoatResult } from '../coat/coat-answers';
import { FILLING_MATTER } from '../matter/filling';
import { MOLD_MATTER, type MoldMaterial } from '../matter/mold-material';
import type { Coat, Part } from '../record/casting';
import type { Place } from '../record/choices';
import { cavityCount } from '../record/mold-cavities';
import type { Chocolate } from '../record/chocolate';
import {
  cavityRecordOf,
  chocolateOf,
  meltOf,
  coatChocolate,
  coatWorkingC,
  fillingOf,
  moldOf,
  type Sources,
} from '../record/references';
import { ownSecondsOf, placeOf, waysIn, type Rest } from '../record/sets';
import { insideOf, liesOnSide, type CoatChocolate, type CoatChoice, type Press } from '../shell/coat-choice';
import { draughtIn, placeC, placeKitchen, type PlaceKitchen } from '../shell/place-air';
import type { Simulated } from '../shell/simulated';
import { isUnseeded } from './temper';
import { coatModels } from './methods';

/** A coat as chosen, with where it sets. */
export interface MakingCoat {
  readonly choice: CoatChoice;
  /** Where it rests before its place. */
  readonly rests: readonly Rest[];
  readonly place: Place;
  /** The user's own interval, s, where they overrule the computed one. */
  readonly overruledSeconds?: number | undefined;
  /** Where it stays on in its mold after that. */
  readonly then: readonly Rest[];
}

/** All that a shell and its chill depend on; plain data, so that it can be sent to a worker, and nothing more, so that it is sent only when it has changed. */
export interface Making {
  readonly shape: CavityShape;
  readonly outward: boolean;
  readonly cavities: number;
  readonly material: MoldMaterial;
  readonly moldWallM: number;
  /** How warm the mold is when the first coat goes on, °C, where that is not as the room is. */
  readonly moldC?: number | undefined;
  readonly kitchen: PlaceKitchen;
  readonly press?: Press | undefined;
  readonly wantedRimM?: number | undefined;
  /** Narrow places beside the shape, which fill solid, m³. */
  readonly narrowM3?: number | undefined;
  /** Taken up by a stick, m³. */
  readonly stickM3?: number | undefined;
  readonly coats: readonly MakingCoat[];
}

/** What a making comes to, but for the chill itself. */
export interface Made {
  readonly cavity: Cavity;
  readonly coat: CoatResult;
  readonly chillInput: ChillInput;
}

/** The making of a casting's part. */
export function makingOf(casting: Sources, part: Part): Making {
  const mold = moldOf(casting, part);
  const cavityRecord = cavityRecordOf(mold, part);
  // What is poured over a former, or pressed, lies as it lies.
  const turnsOver = mold.composition.kind !== 'former' && mold.composition.kind !== 'press';
  return {
    shape: cavityRecord.shape,
    outward: mold.composition.kind === 'former',
    cavities: cavityCount(cavityRecord),
    material: mold.material,
    moldWallM: mold.wallM,
    moldC: part.moldC,
    kitchen: placeKitchen(casting.kitchen),
    press: mold.composition.kind === 'press' ? mold.composition.gap : undefined,
    wantedRimM: part.coatsBy.by === 'thickness' ? part.coatsBy.rimM : undefined,
    narrowM3: cavityRecord.narrowM3,
    stickM3: part.stick && (Math.PI / 4) * part.stick.thickM ** 2 * part.stick.insideM,
    coats: coatModels(casting, part).map((coat) => ({
      choice: coatChoice(casting, coat),
      rests: turnsOver ? waysIn(coat) : waysIn(coat).map(({ place, seconds }) => ({ place, seconds })),
      place: placeOf(coat),
      overruledSeconds: ownSecondsOf(coat),
      then: coat.then,
    })),
  };
}

/** The chocolate of a melt as it runs and sets. */
export function chocolateAsWorked(casting: Sources, meltId: string): CoatChocolate {
  return asWorked(casting, chocolateOf(casting, meltOf(casting, meltId)), meltId);
}

/** @param meltId by which it is told whether it is in temper */
function asWorked(
  casting: Sources,
  { kind, fluidity, fatShare, fluidityWithin }: Chocolate,
  meltId: string,
): CoatChocolate {
  const unseeded = isUnseeded(casting, meltId) ? { unseeded: true } : {};
  return { kind, fluidity, fatShare, ...unseeded, ...(fluidityWithin === undefined ? {} : { fluidityWithin }) };
}

function coatChoice(casting: Sources, coat: Coat): CoatChoice {
  const {
    id,
    method,
    doseM3,
    dwellSeconds,
    drainSeconds,
    tappingSeconds,
    turnSeconds,
    volumeShare,
    wayUp,
    where,
    standsIn,
  } = coat;
  return {
    id,
    method,
    chocolate: asWorked(casting, coatChocolate(casting, coat), coat.shares[0].meltId),
    workingC: coatWorkingC(casting, coat),
    doseM3,
    dwellSeconds,
    drainSeconds,
    tappingSeconds,
    turnSeconds,
    volumeShare,
    wayUp,
    where,
    ...(coat.mixIn ? { mixIn: { share: coat.mixIn.share, density: bitsDensity(casting, coat.mixIn.fillingId) } } : {}),
    ...(isChilled(method)
      ? { stands: { airC: placeC(casting.kitchen, standsIn), draught: draughtIn(casting.kitchen, standsIn) } }
      : {}),
  };
}

/** Share of the space that bits of no known packing fill. Working rule. */
const LOOSE_SHARE = 0.6;

/** Density of the bits of a filling, kg/m³: what is told is their weight over the space they take in bulk. */
function bitsDensity(casting: Sources, fillingId: string): number {
  const { kind, bulkDensity } = fillingOf(casting, fillingId);
  return bulkDensity / (FILLING_MATTER[kind].packed ?? LOOSE_SHARE);
}

/** What must be alike for a simulation's correction of one making to hold for another. */
export function structureOf({ shape, outward, material, press, coats }: Making): string {
  // A correction is given point by point: a cavity of another shape has others.
  const cavity = cavityOf(shape, outward);
  return JSON.stringify([
    shape.kind,
    cavity.profile.arcM.length,
    outward,
    material,
    press?.by,
    coats.map(({ choice }) => [
      choice.method,
      choice.wayUp,
      choice.where,
      choice.chocolate.kind,
      choice.chocolate.unseeded,
      liesOnSide(cavity, choice),
    ]),
  ]);
}

/**
 * Coats and what the chill is computed from, by the closed forms, corrected by a simulation of a making alike.
 * Takes about a millisecond.
 */
export function make(making: Making, simulated?: Simulated): Made {
  const { shape, outward, material, moldWallM, moldC, kitchen, press, wantedRimM, narrowM3, stickM3 } = making;
  const cavity = cavityOf(shape, outward);
  const fits = simulated !== undefined && simulated.structure === structureOf(making);
  const coat = coatStation({
    cavity,
    material,
    moldWallM,
    roomC: kitchen.roomC,
    moldC,
    coats: making.coats.map(({ choice }) => choice),
    press,
    wantedRimM,
    narrowM3,
    stickM3,
    simulated: fits ? simulated.byCount : undefined,
  });
  return { cavity, coat, chillInput: chillFrom(making, cavity, coat) };
}

/** The making's coat that made coat `index` follows: its own, or the last where a wanted thickness asks for more. */
export function modelOf({ coats }: Making, index: number): MakingCoat {
  return coats[Math.min(index, coats.length - 1)];
}

/** Of several coats made as one of the record, the last alone stays on in its mold. */
export function staysOn(index: number, recorded: number, made: number): boolean {
  return index < recorded - 1 || index === made - 1;
}

function chillFrom(making: Making, cavity: Cavity, coat: CoatResult): ChillInput {
  const { material, moldWallM, press, kitchen, cavities } = making;
  const { meanCurvature, gaussCurvature } = coat.body ? { ...coat.body, gaussCurvature: 0 } : cavity;
  return {
    material,
    wallM: moldWallM,
    meanCurvature,
    gaussCurvature,
    floorShare: cavity.floorShare,
    ...(press ? { insertM: moldWallM } : {}),
    // A closed vessel is cut away, a former taken out.
    cutAway: cavity.outward || coat.coats.some(({ choice }) => isTurned(choice.method)),
    kitchen,
    coats: coat.coats.map((answer, i) => {
      const { rests, place, overruledSeconds, then } = modelOf(making, i);
      return {
        kind: answer.choice.chocolate.kind,
        fatShare: answer.choice.chocolate.fatShare,
        ...(answer.choice.chocolate.unseeded ? { unseeded: true } : {}),
        workingC: answer.choice.workingC,
        thicknessM: answer.meanM,
        wallC: answer.wallC,
        wayUp: answer.choice.wayUp,
        inside: insideOf(cavity, answer.choice),
        // The middle cavity of a mold waits half the time that coating it takes.
        handlingSeconds: coatOneMoldSeconds({ ...answer.choice, asTray: MOLD_MATTER[material].rigid }, cavities) / 2,
        rests,
        place,
        ...(overruledSeconds === undefined ? {} : { overruledSeconds }),
        ...(then.length > 0 && staysOn(i, making.coats.length, coat.coats.length) ? { then } : {}),
      };
    }),
  };
}
