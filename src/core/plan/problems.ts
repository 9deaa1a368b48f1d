import { isPainted, isTurned } from '../record/method';
import { CLOSING_ROWS, isCap, isLid, isOnPlate } from '../record/closing';
import { BOWL_MATTER } from '../matter/bowl-material';
import { SOFT_BELOW } from '../chill/chill-answers';
import { chocolateOf, meltOf } from '../record/references';
import { MOLD_MATTER } from '../matter/mold-material';
import { LIMITS, within } from '../record/limits';
import { placeOf, restsOf } from '../record/sets';
import { closedPart, otherHalf, seenFrom } from './draft';
import { RESTS_S } from '../record/sets';
import type { CastingPlan, Problem, Remedy } from './plan-types';

/** A rim that is proposed is told to this, m. */
const RIM_STEP_M = 1e-5;

/** From here on a job is called long for one evening, s. Working rule. */
export const LONG_JOB_S = 2.5 * 3600;

type Planned = Omit<CastingPlan, 'problems'>;

/** Finds what needs attention, most pressing first, each with the change that mends it where there is one. */
export function findProblems(plan: Planned): Problem[] {
  const ofParts = (find: (part: Planned) => Problem[]): Problem[] =>
    plan.parts.flatMap(({ part }) => find(seenFrom(plan, part.id)).map((problem) => ({ ...problem, partId: part.id })));
  return [
    ...meltProblems(plan),
    ...ofParts((part) => [
      ...mixedFats(part),
      ...chillProblems(part),
      ...paintProblems(part),
      ...turnProblems(part),
      ...coatProblems(part),
      ...fillProblems(part),
    ]),
    ...closeProblems(plan),
    ...ofParts((part) => [...sweatProblems(part), ...restProblems(part)]),
    ...jobProblems(plan),
  ];
}

/** A coat that coating and real chocolate are streaked into sets soft and dull. Common practice, no source. */
function mixedFats({ casting, coatsMade }: Planned): Problem[] {
  const index = coatsMade.findIndex(
    ({ shares }) =>
      new Set(shares.map(({ meltId }) => chocolateOf(casting, meltOf(casting, meltId)).kind === 'compound')).size > 1,
  );
  return index < 0 ? [] : [{ key: 'mixedFats', station: 'coat', values: { coat: index + 1 } }];
}

/** More of a rim than this lost to the plate makes a piece lopsided, as a share of the depth of its part. Working rule. */
const MOST_LOST = 0.05;

function closeProblems({ close, parts, casting }: Planned): Problem[] {
  if (!close) return [];
  const closed = closedPart(casting, parts);
  const { closure, spare, plate } = close;
  const about = { station: 'close' as const, partId: closed.part.id };
  if (isLid(closure) && closure.partId === closed.part.id)
    return [{ ...about, key: 'lidOnItself', values: { name: closed.part.name } }];
  if (isCap(closure) && spare && spare.value < 0) {
    const values = { headspace: closure.thicknessM + spare.value, cap: closure.thicknessM };
    return [
      {
        ...about,
        key: 'noRoomForCap',
        values,
        ...(closed.fill.layers.length > 0 ? { remedy: { key: 'fitCap' as const, belowRimM: closure.thicknessM } } : {}),
      },
    ];
  }
  if (!isOnPlate(closure) || !plate) return [];
  if (plate.lost.value <= 0)
    return [
      {
        ...about,
        key: 'coldPlate',
        values: { plateC: closure.plateC },
        remedy: { key: 'plateAt', plateC: CLOSING_ROWS.warmPlate.numbers.plateC.usual },
      },
    ];
  const most = MOST_LOST * closed.cavity.depthM;
  if (plate.lost.value <= most) return [];
  const seconds = Math.max(LIMITS.plateSeconds.low, Math.floor((closure.seconds * most) / plate.lost.value));
  return [
    {
      ...about,
      key: 'longOnPlate',
      values: { lost: plate.lost.value, seconds: closure.seconds },
      ...(seconds < closure.seconds ? { remedy: { key: 'onPlateFor' as const, seconds } } : {}),
    },
  ];
}

function meltProblems({ casting, melts }: Planned): Problem[] {
  return melts.flatMap((made): Problem[] => {
    const { meltId, school, way, workingC, bands, kind, bowl } = made.input;
    const values = { name: chocolateOf(casting, meltOf(casting, meltId)).name };
    const found: Problem[] = [];
    const problem = (key: Problem['key'], more: Problem['values'], remedy?: Remedy): void =>
      void found.push({ key, station: 'melt', values: { ...values, ...more }, ...(remedy ? { remedy } : {}) });
    if (workingC > bands.ceilingC)
      problem(
        'aboveCeiling',
        { workingC, ceilingC: bands.ceilingC },
        { key: 'setWorking', meltId, workingC: bands.workToC },
      );
    if (way === 'microwave' && !BOWL_MATTER[bowl.material].microwave)
      problem('steelInMicrowave', {}, { key: 'meltBy', meltId, way: 'doubleBoiler' });
    else if (!made.plan.reached)
      problem(
        'tooSmallToMelt',
        { kg: made.perLotKg, hottestC: made.plan.hottestC, ceilingC: made.plan.ceilingC },
        { key: 'meltBy', meltId, way: 'doubleBoiler' },
      );
    if (kind !== 'compound' && school === 'meltOnly')
      problem('untempered', {}, { key: 'temperBy', meltId, school: 'seeding' });
    if (kind === 'compound' && school !== 'meltOnly')
      problem('temperedCoating', {}, { key: 'temperBy', meltId, school: 'meltOnly' });
    if (made.reheats.value === Infinity) problem('notWorkable', { workingC });
    if (workingC < bands.workFromC && school !== 'holdBelow')
      problem(
        'belowBand',
        { workingC, workFromC: bands.workFromC },
        { key: 'setWorking', meltId, workingC: (bands.workFromC + bands.workToC) / 2 },
      );
    return found;
  });
}

function chillProblems({ chill, coatsMade }: Planned): Problem[] {
  return chill.coats.flatMap((coat, index): Problem[] => {
    const { place, equilibrium, unmold, touch } = coat.chosen;
    const toFridge: Remedy | undefined = place === 'fridge' ? undefined : { key: 'moveTo', place: 'fridge' };
    const values = { place, coat: index + 1, equilibrium };
    const waited = coat.last ? unmold.value : touch.value;
    if (coat.overruled && coat.stay.value < waited) {
      return [
        {
          key: 'shortInterval',
          station: 'chill',
          values: { ...values, own: coat.stay.value, needed: waited, last: coat.last ? 1 : 0 },
          remedy: { key: 'computedInterval', coatIndex: index },
        },
      ];
    }
    // Every coat in that place shares the reason, so it is said once.
    if (coatsMade.slice(0, index).some((earlier) => placeOf(earlier) === place)) return [];
    if (equilibrium < SOFT_BELOW) return [{ key: 'softSet', station: 'chill', values, remedy: toFridge }];
    const lastHere = chill.coats[chill.coats.length - 1].chosen;
    if (!Number.isFinite(lastHere.unmold.value) && lastHere.place === place)
      return [{ key: 'willNotLetGo', station: 'chill', values, remedy: toFridge }];
    return [];
  });
}

/** Thin painted details crack where it is very cold. Common practice, no source. */
function paintProblems({ part, coatsMade }: Planned): Problem[] {
  const painted = part.prep.some(({ kind }) => kind === 'paint') || coatsMade.some(({ method }) => isPainted(method));
  const frozen = coatsMade.some((coat) => placeOf(coat) === 'freezer');
  return painted && frozen
    ? [{ key: 'paintCracks', station: 'chill', values: {}, remedy: { key: 'moveTo', place: 'fridge' } }]
    : [];
}

/** A rest shorter than this is none, s. Working rule. */
const HARDLY_A_REST_S = 300;

/** Tempered chocolate in a rigid mold wants to set quietly before it goes into the cold. Common practice, no source. */
function restProblems({ coatsMade, moldRecord, melts }: Planned): Problem[] {
  const last = coatsMade[coatsMade.length - 1];
  const melt = melts.find(({ input }) => input.meltId === last.shares[0].meltId);
  const tempered = melt !== undefined && melt.input.kind !== 'compound' && melt.input.school !== 'meltOnly';
  const rested = restsOf(last).reduce((sum, { seconds }) => sum + seconds, 0);
  if (!tempered || !MOLD_MATTER[moldRecord.material].rigid || placeOf(last) === 'room' || rested >= HARDLY_A_REST_S)
    return [];
  return [
    {
      key: 'restFirst',
      station: 'chill',
      values: { place: placeOf(last), rest: RESTS_S },
      remedy: { key: 'restFirst' },
    },
  ];
}

/** Base over rim from which a turned vessel counts as pooled. Working rule. */
const POOLED = 1.5;

function pooled({ total: { rim, base } }: Planned['coat'], [{ method }]: Planned['coatsMade']): boolean {
  return isTurned(method) && base.value >= POOLED * rim.value;
}

function turnProblems({ coat, coatsMade }: Planned): Problem[] {
  if (!pooled(coat, coatsMade)) return [];
  const { rim, base } = coat.total;
  const [{ turnSeconds }] = coatsMade;
  const seconds = Math.max(LIMITS.turnSeconds.low, turnSeconds / 2);
  return [
    {
      key: 'poolsBetweenTurns',
      station: 'coat',
      values: { every: turnSeconds, rim: rim.value, base: base.value },
      ...(seconds < turnSeconds ? { remedy: { key: 'turnEvery' as const, seconds } } : {}),
    },
  ];
}

/** A shell that breaks oftener than this is too thin: people take one in ten to twenty as it comes. Common practice, no source. */
const TOO_LIKELY = 0.1;

function coatProblems({ coat, part, coatsMade, moldRecord }: Planned): Problem[] {
  const pressed = moldRecord.composition.kind === 'press';
  const problems: Problem[] = [];
  if (!coat.reached && part.coatsBy.by === 'thickness') {
    problems.push({
      key: 'wantedNotReached',
      station: 'coat',
      values: { wanted: part.coatsBy.rimM, comesOut: coat.total.rim.value, coats: coat.coats.length },
      remedy: { key: 'wantRim', rimM: nearestWithinReach(coat.total.rim.value, part.coatsBy.rimM) },
    });
  }
  const heavy = coat.coats.findIndex((c) => c.overHold);
  if (heavy >= 0) {
    const remedy: Remedy | undefined = coatsMade.length < LIMITS.coats.high ? { key: 'splitCoats' } : undefined;
    problems.push({
      key: 'coatTooHeavy',
      station: 'coat',
      values: { coat: heavy + 1, hold: coat.coats[heavy].hold.value },
      remedy,
    });
  }
  // Where it has pooled, another coat would pool as well.
  if (coat.breakChance.value > TOO_LIKELY && !pooled(coat, coatsMade)) {
    const values = { rim: coat.total.rim.value, needed: coat.neededRim.value, chance: coat.breakChance.value };
    const remedy: Remedy | undefined = pressed
      ? undefined
      : part.coatsBy.by === 'thickness'
        ? { key: 'wantRim', rimM: within(LIMITS.wantedRimM, coat.neededRim.value * 1.1, RIM_STEP_M) }
        : coatsMade.length < LIMITS.coats.high
          ? { key: 'addCoat' }
          : undefined;
    problems.push({ key: 'rimTooThin', station: 'coat', values, remedy });
  }
  return problems;
}

/** What comes out, as a wanted thickness: rounded to the side that can be reached. */
function nearestWithinReach(comesOutM: number, wantedM: number): number {
  const steps = comesOutM * 1e5;
  return within(LIMITS.wantedRimM, (comesOutM < wantedM ? Math.floor(steps) : Math.ceil(steps)) / 1e5, RIM_STEP_M);
}

function fillProblems({ fill, coat, parts, part, closure }: Planned): Problem[] {
  if (coat.body && fill.layers.length > 0)
    return [{ key: 'noRoomInside', station: 'fill', values: {}, remedy: { key: 'emptyFill' } }];
  if (fill.closes) return [];
  const over = fill.layers.reduce((sum, layer) => sum + layer.leftOver.value, 0);
  const onTop = isCap(closure) ? 'cap' : isLid(closure) ? 'lid' : otherHalf(part, parts) ? 'half' : 'nothing';
  return [{ key: 'fillTooHigh', station: 'fill', values: { over, onTop }, remedy: { key: 'fitFill' } }];
}

function sweatProblems({ chill, part }: Planned): Problem[] {
  if (!chill.sweats || part.coveredRest) return [];
  const values = { surfaceC: chill.surface.value, dewPointC: chill.dewPoint.value, cover: chill.cover.value };
  if (!Number.isFinite(chill.cover.value)) return [{ key: 'neverWarms', station: 'chill', values }];
  return [{ key: 'sweats', station: 'chill', values, remedy: { key: 'coverRest' } }];
}

function jobProblems({ batch, parts }: Planned): Problem[] {
  // More of the mold that most rounds wait for.
  const busiest = batch.byPart.reduce((most, one) => (one.rounds.value > most.rounds.value ? one : most)).partId;
  const { moldRecord } = parts.find(({ part }) => part.id === busiest) ?? parts[0];
  if (!(batch.total.value > LONG_JOB_S) || !Number.isFinite(batch.total.value) || batch.rounds.value < 2) return [];
  const remedy: Remedy | undefined =
    moldRecord.atHand < LIMITS.moldsAtHand.high ? { key: 'addMold', moldId: moldRecord.id } : undefined;
  return [
    {
      key: 'longJob',
      station: 'batch',
      values: { rounds: batch.rounds.value, total: batch.total.value, molds: moldRecord.atHand + 1 },
      remedy,
    },
  ];
}
