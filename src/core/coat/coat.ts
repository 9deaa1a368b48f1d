import { MOLD_MATTER } from '../matter/mold-material';
import { CHOCOLATE_MATTER, nearestClass } from '../matter/chocolate';
import { fillsLevel, isDosed, isTurned, tippedOut } from '../record/method';
import { answer, term, type Answer, type Term } from '../quantity/answer';
import type { RuleKey } from '../quantity/keys';
import { aimCoats } from './aim';
import { mixedShare, type CoatChoice, type Press } from '../shell/coat-choice';
import { readings, type Readings } from '../shell/laid-film';
import type { SimulatedCoat } from '../shell/simulated';
import { CoatLayer, NOMINAL, THICKEST, THINNEST, type LaidCoat } from './lay-coats';
import {
  massInAll,
  mixedIn,
  narrowAnswer,
  overEdges,
  survival,
  totals,
  withNarrow,
  type CoatAnswer,
  type CoatInput,
  type CoatResult,
} from './coat-answers';
import { solidShell } from './solid';

/** A coat by dose that is laid more than this many times as thick as a vertical wall holds is taken for too heavy, until a simulation tells: it is worked up until it has begun to set. Working rule. */
const HOLD_MULTIPLE = 2.5;
/** Too heavy is what drips off more than this share of a dose, or runs to a base so many times as thick as it leaves at the rim. Working rules. */
const MOST_DRIPS = 0.2;
const MOST_UNEVEN = 2.5;

/**
 * What the chosen coats come to: thickness at rim, wall and base, amounts, and whether the shell survives unmolding.
 *
 * Closed form of the draining Casson film plus the skin from the dwell, corrected by the simulation where there is one; the likely range
 * comes from one evaluation with thin, warm chocolate and one with stiff, cool chocolate, corrected likewise. Takes 1 to 4 coats.
 * Fills from below are told by their levels instead, see `solidShell`; they do not mix with coats.
 */
export function coatStation(input: CoatInput): CoatResult {
  if (fillsLevel(input.coats[0].method)) return solidShell(input);
  const layer = new CoatLayer(input, input.simulated);
  const aimed =
    input.wantedRimM === undefined || input.press ? undefined : aimCoats(input, input.coats, input.wantedRimM, layer);
  const choices = aimed?.coats ?? input.coats;
  const laid = layer.lay(choices, NOMINAL);
  const thin = layer.lay(choices, THINNEST);
  const thick = layer.lay(choices, THICKEST);
  const coats = withNarrow(
    input,
    choices.map((choice, i) =>
      coatAnswer(input, choice, input.simulated?.[choices.length]?.coats[i], laid[i], thin[i], thick[i]),
    ),
  );
  const total = totals(coats);
  return {
    coats,
    total,
    totalM: summed(laid),
    totalLowM: summed(thin),
    totalHighM: summed(thick),
    volumeM3: laid.reduce((sum, l) => sum + l.volumeM3, 0),
    mass: massInAll(coats),
    narrow: narrowAnswer(input),
    ...survival(input, choices, total.rim),
    overEdges: input.press ? undefined : overEdges(input.cavity, total),
    coatsNeeded:
      aimed &&
      answer(choices.length, 'count', 'coat.coatsNeeded', [term('wantedRim', input.wantedRimM ?? 0, 'length')]),
    reached: aimed?.reached ?? true,
    body: undefined,
  };
}

function coatAnswer(
  input: CoatInput,
  choice: CoatChoice,
  simulated: SimulatedCoat | undefined,
  laid: LaidCoat,
  thin: LaidCoat,
  thick: LaidCoat,
): CoatAnswer {
  const { profile } = input.cavity;
  const density = CHOCOLATE_MATTER[choice.chocolate.kind].meltedDensity;
  const terms = input.press ? pressTerms(input.press) : coatTerms(choice, laid);
  const rule = ruleOf(input, choice, simulated !== undefined);
  const nominal = readings(profile, laid.thicknessM);
  const low = readings(profile, thin.thicknessM);
  const high = readings(profile, thick.thicknessM);
  const read = (of: (r: Readings) => number): Answer => answer(of(nominal), 'length', rule, terms, [of(low), of(high)]);
  const mean = (l: LaidCoat): number => l.volumeM3 / input.cavity.wallAreaM2;
  const chocolate = density * (1 - mixedShare(choice, density));
  return {
    choice,
    levels: undefined,
    thickness: { rim: read((r) => r.rimM), wall: read((r) => r.wallM), base: read((r) => r.baseM) },
    thicknessM: laid.thicknessM,
    mass: answer(
      laid.volumeM3 * chocolate,
      'mass',
      'coat.mass',
      [
        term('layerVolume', laid.volumeM3, 'volume'),
        term('meltedDensity', density, 'density'),
        ...(choice.mixIn ? [term('mixedIn', choice.mixIn.share, 'share')] : []),
      ],
      [thin.volumeM3 * chocolate, thick.volumeM3 * chocolate],
    ),
    mixed: mixedIn(choice, laid.volumeM3, density),
    spooned: answer(laid.volumeM3, 'volume', 'coat.mass', [term('layerVolume', laid.volumeM3, 'volume')]),
    ...emptied(choice, terms),
    hold: answer(
      laid.holdM,
      'length',
      'coat.hold',
      [
        term('workingTemperature', choice.workingC, 'temperature'),
        term('fluidity', nearestClass(choice.chocolate.fluidity)),
      ],
      [thin.holdM, thick.holdM],
    ),
    ...(simulated
      ? observed(input, choice, simulated, laid, nominal.wallM, chocolate)
      : { rest: undefined, feet: undefined, thinnestAround: undefined }),
    // A liner or a leaf holds its coat.
    overHold:
      !input.press &&
      !MOLD_MATTER[input.material].peeled &&
      isDosed(choice.method) &&
      !isTurned(choice.method) &&
      (simulated ? runsOff(choice, laid, nominal) : laid.placedM > HOLD_MULTIPLE * laid.holdM),
    wallC: laid.skin.wallC,
    meanM: { value: mean(laid), low: Math.min(mean(laid), mean(thin)), high: Math.max(mean(laid), mean(thick)) },
  };
}

/** Whether too much of a dose drips off, or runs to the base where it was laid on all of the wall. */
function runsOff({ doseM3, where }: CoatChoice, { volumeM3 }: LaidCoat, { rimM, baseM }: Readings): boolean {
  return volumeM3 < (1 - MOST_DRIPS) * doseM3 || (where === 'all' && baseM > MOST_UNEVEN * rimM);
}

/** What is told of a coat that is tipped out, and of no other. */
function emptied(
  { method, drainSeconds, dwellSeconds }: CoatChoice,
  terms: Term[],
): Pick<CoatAnswer, 'drain' | 'dwell'> {
  if (!tippedOut(method)) return { drain: undefined, dwell: undefined };
  return {
    drain: answer(drainSeconds, 'duration', 'coat.drain', terms),
    dwell: answer(dwellSeconds, 'duration', 'coat.dwell', terms),
  };
}

/** What only a simulation sees. */
function observed(
  { press }: CoatInput,
  { method, doseM3, wayUp, workingC, turnSeconds }: CoatChoice,
  { stillAfterSeconds, feetM3, thinnestAround }: SimulatedCoat,
  laid: LaidCoat,
  wallM: number,
  density: number,
): Pick<CoatAnswer, 'rest' | 'feet' | 'thinnestAround'> {
  // Of a dose it is what does not stay, so that none of it is lost.
  const drippedM3 = press || tippedOut(method) ? feetM3 : Math.max(0, doseM3 - laid.volumeM3);
  return {
    rest: answer(stillAfterSeconds, 'duration', 'coat.rest', [
      term('workingTemperature', workingC, 'temperature'),
      term('wayUp', wayUp),
    ]),
    feet: answer(density * drippedM3, 'mass', 'coat.feet', [term('wayUp', wayUp)]),
    thinnestAround:
      thinnestAround === undefined
        ? undefined
        : answer(thinnestAround * wallM, 'length', 'coat.thinnestAround', [
            term('shellThickness', wallM, 'length'),
            term('turnEvery', turnSeconds, 'duration'),
          ]),
  };
}

function ruleOf({ press }: CoatInput, { method }: CoatChoice, simulated: boolean): RuleKey {
  if (press) return 'coat.pressed';
  const way = tippedOut(method) ? 'coat.dumped' : isTurned(method) ? 'coat.turned' : 'coat.spread';
  return simulated ? `${way}Simulated` : way;
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
  if (isTurned(choice.method))
    return [...shared, term('dose', choice.doseM3, 'volume'), term('turnEvery', choice.turnSeconds, 'duration')];
  if (!tippedOut(choice.method)) return [...shared, term('dose', choice.doseM3, 'volume'), term('where', choice.where)];
  return [
    ...shared,
    term('dwell', choice.dwellSeconds, 'duration'),
    ...(choice.stands ? [term('standsAt', choice.stands.airC, 'temperature')] : []),
    term('skin', laid.skin.thicknessM, 'length'),
    term('drain', choice.drainSeconds, 'duration'),
    term('tapping', choice.tappingSeconds, 'duration'),
  ];
}

function summed(laid: readonly LaidCoat[]): Float64Array {
  const total = new Float64Array(laid[0].thicknessM.length);
  for (const coat of laid) coat.thicknessM.forEach((t, i) => (total[i] += t));
  return total;
}
