import { CLOSING_ROWS, isCap, isLid, isOnPlate, type Closure } from '../record/closing';
import { BOWL_MATTER } from '../matter/bowl-material';
import { depthCurve } from '../cavity/depth-curve';
import { SOFT_BELOW, type ChillCoatAnswer, type PlaceAnswers } from '../chill/chill-answers';
import type { CapAnswer, CloseResult } from '../close/close';
import { chocolateOf, meltOf } from '../record/references';
import { LIMITS } from '../record/limits';
import { pieceWidthM } from '../fill/packing';
import { isFor, schoolRow } from '../record/school';
import { placeOf, restsOf } from '../record/sets';
import { otherHalf, seenFrom } from './draft';
import { RESTS_S } from '../record/sets';
import { isCapped } from './capping';
import { coatProblems } from './coat-problems';
import { toppedFace, toppedPerPiece } from './open-face';
import { paintProblems } from './paint-problems';
import type { CastingPlan, PartDraft, Problem, Remedy } from './plan-types';
import { wantsRest } from './temper';

/** From here on a job is called long for one evening, s. Working rule. */
export const LONG_JOB_S = 2.5 * 3600;

type Planned = Omit<CastingPlan, 'problems'>;

/** Finds what needs attention, most pressing first, each with the change that mends it where there is one. */
export function findProblems(plan: Planned): Problem[] {
  const found = problemsOf(plan);
  const key = ({ key: about, partId, values }: Problem): string => JSON.stringify([about, partId, values['coat']]);
  const told = new Set(found.map(key));
  // What is to be done about a variant is not done to the other pieces, so nothing is offered.
  const ofVariants = plan.variants.flatMap(({ variant: { name }, draft }) =>
    shellProblems({ ...plan, ...draft })
      .filter((problem) => !told.has(key(problem)))
      .map(({ key: about, station, partId, values }): Problem => ({
        key: about,
        station,
        ...(partId === undefined ? {} : { partId }),
        variant: name,
        values,
      })),
  );
  return [...found, ...ofVariants];
}

/** What is wrong with the parts as they are cast and filled. */
function shellProblems(plan: Planned): Problem[] {
  return ofParts(plan, (part) => [
    ...paintProblems(part),
    ...chillProblems(part),
    ...coatProblems(part),
    ...fillProblems(part),
  ]);
}

function ofParts(plan: Planned, find: (part: Planned) => Problem[]): Problem[] {
  return plan.parts.flatMap(({ part }) =>
    find(seenFrom(plan, part.id)).map((problem) => ({ ...problem, partId: part.id })),
  );
}

function problemsOf(plan: Planned): Problem[] {
  return [
    ...meltProblems(plan),
    ...shellProblems(plan),
    ...closeProblems(plan),
    ...ofParts(plan, (part) => [...sweatProblems(part), ...restProblems(part)]),
    ...roomProblems(plan),
    ...toppingProblems(plan),
    ...jobProblems(plan),
  ];
}

/** More of a rim than this lost to the plate makes a piece lopsided, as a share of the depth of its part. Working rule. */
const MOST_LOST = 0.05;

function closeProblems({ closings, parts }: Planned): Problem[] {
  return closings.flatMap(({ partId, close }) => {
    const closed = parts.find(({ part }) => part.id === partId);
    return closed ? problemsOfClosing(close, closed) : [];
  });
}

function problemsOfClosing(close: CloseResult, closed: PartDraft): Problem[] {
  const { closure, cap } = close;
  const about = { station: 'close' as const, partId: closed.part.id };
  if (isLid(closure) && closure.partId === closed.part.id)
    return [{ ...about, key: 'lidOnItself', values: { name: closed.part.name } }];
  const found = cap ? capProblems(cap, closed) : [...plateProblems(close, closed), ...jointProblems(close)];
  return found.map((problem) => ({ ...about, ...problem }));
}

type Found = Pick<Problem, 'key' | 'values' | 'remedy'>;

function plateProblems({ closure, plate }: CloseResult, { cavity }: PartDraft): Found[] {
  if (!isOnPlate(closure) || !plate) return [];
  if (plate.lost.value <= 0)
    return [
      {
        key: 'coldPlate',
        values: { plateC: closure.plateC },
        remedy: { key: 'plateAt', plateC: CLOSING_ROWS.warmPlate.numbers.plateC.usual },
      },
    ];
  // Of each half, where both are melted.
  const halves = closure.rims === 'both' || closure.levelS > 0 ? 2 : 1;
  const most = MOST_LOST * cavity.depthM * halves;
  if (plate.lost.value <= most) return [];
  const seconds = Math.max(LIMITS.plateSeconds.low, Math.floor((closure.seconds * most) / plate.lost.value));
  return [
    {
      key: 'longOnPlate',
      values: { lost: plate.lost.value, seconds: closure.seconds + closure.levelS },
      ...(seconds < closure.seconds && closure.levelS === 0 ? { remedy: { key: 'onPlateFor' as const, seconds } } : {}),
    },
  ];
}

/** A joint that does not set where it is, or is not left until it has. */
function jointProblems({ closure, sets, stay }: CloseResult): Found[] {
  if (!sets || !stay) return [];
  const place = placeOf(closure);
  if (sets.value === Infinity)
    return [
      {
        key: 'jointSoft',
        values: { place },
        ...(place === 'fridge' ? {} : { remedy: { key: 'moveCapTo', place: 'fridge' } }),
      },
    ];
  return stay.value < sets.value
    ? [{ key: 'jointShort', values: { own: stay.value, needed: sets.value }, remedy: { key: 'computedCapped' } }]
    : [];
}

/** A cap thinner than this leaks or cracks when the piece is turned out, and how thick one usually is, m. Common practice, no source. */
const THINNEST_CAP_M = 0.001;
const USUAL_CAP_M = 0.002;

function capProblems({ doseM3, thickness, over }: CapAnswer, { fill }: PartDraft): Found[] {
  const curve = depthCurve(fill.inside);
  const values = { thick: thickness.value, over: over.value };
  const fitted = (belowRimM: number): Pick<Problem, 'remedy'> =>
    fill.layers.length > 0 ? { remedy: { key: 'fitCap', belowRimM } } : {};
  if (over.value > 0 && doseM3 !== undefined)
    return [{ key: 'capRunsOver', values, ...fitted(curve.depthM - curve.levelAt(curve.capacityM3 - doseM3)) }];
  if (thickness.value >= THINNEST_CAP_M) return [];
  return doseM3 === undefined
    ? [{ key: 'noRoomForCap', values, ...fitted(USUAL_CAP_M) }]
    : [{ key: 'thinCap', values, remedy: { key: 'capFlush' } }];
}

/** A coating that is worked no warmer than this is one whose packet says so, °C. Common practice, no source. */
const LOW_CEILING_C = 32;

function meltProblems({ casting, melts }: Planned): Problem[] {
  return melts.flatMap((made): Problem[] => {
    const { meltId, school, way, workingC, bands, kind, bowl } = made.input;
    const values = { name: chocolateOf(casting, meltOf(casting, meltId)).name };
    const found: Problem[] = [];
    const problem = (key: Problem['key'], more: Problem['values'], remedy?: Remedy): void =>
      void found.push({ key, station: 'melt', values: { ...values, ...more }, ...(remedy ? { remedy } : {}) });
    if (workingC > (schoolRow(school).works === 'anywhere' ? bands.meltToC : bands.ceilingC))
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
    if (!isFor(kind, school)) problem('temperedCoating', {}, { key: 'temperBy', meltId, school: 'meltOnly' });
    if (made.reheats.value === Infinity) problem('notWorkable', { workingC });
    if (workingC < bands.workFromC && schoolRow(school).works === 'within') {
      const low = kind === 'compound' && workingC <= LOW_CEILING_C;
      problem(
        'belowBand',
        { workingC, workFromC: bands.workFromC, low: low ? 1 : 0, most: LOW_CEILING_C },
        low
          ? { key: 'lowCeiling', meltId }
          : { key: 'setWorking', meltId, workingC: (bands.workFromC + bands.workToC) / 2 },
      );
    }
    return found;
  });
}

function chillProblems(plan: Planned): Problem[] {
  const { chill, coatsMade } = plan;
  const ofCoats = chill.coats.flatMap((coat, index): Problem[] => {
    const { place } = coat.chosen;
    const values = { place, coat: index + 1, equilibrium: coat.chosen.equilibrium, until: coat.until };
    const short = coat.ready
      ? undefined
      : shortInterval(coat, coat.chosen[coat.until].value, { key: 'computedInterval', coatIndex: index });
    if (short) return [{ ...short, station: 'chill', values: { ...values, ...short.values } }];
    // Every coat in that place shares the reason, so it is said once.
    if (coatsMade.slice(0, index).some((earlier) => placeOf(earlier) === place)) return [];
    const last = chill.coats[chill.coats.length - 1];
    const sticks = last.until === 'unmold' && last.chosen.place === place && last.chosen.unmold.value === Infinity;
    const stays = staysSoft(coat.chosen, coat.until, sticks);
    const toFridge: Remedy | undefined = place === 'fridge' ? undefined : { key: 'moveTo', place: 'fridge' };
    return stays ? [{ key: stays, station: 'chill', values, remedy: toFridge }] : [];
  });
  return [...ofCoats, ...cappedProblems(plan)];
}

/** The same for a cap, with which the piece comes out. */
function cappedProblems({ chill: { cap } }: Planned): Problem[] {
  if (!cap) return [];
  const { place, equilibrium, unmold } = cap.chosen;
  const values = { place, equilibrium, until: 'unmold' };
  const short = shortInterval(cap, unmold.value, { key: 'computedCapped' });
  if (short) return [{ ...short, station: 'close', values: { ...values, ...short.values } }];
  const stays = staysSoft(cap.chosen, 'unmold', unmold.value === Infinity);
  const toFridge: Remedy | undefined = place === 'fridge' ? undefined : { key: 'moveCapTo', place: 'fridge' };
  return stays ? [{ key: stays, station: 'close', values, remedy: toFridge }] : [];
}

/** The user's own time, where what it goes on to is not reached by then. */
function shortInterval(
  { overruled, stay }: Pick<ChillCoatAnswer, 'overruled' | 'stay'>,
  neededS: number,
  remedy: Remedy,
): Pick<Problem, 'key' | 'values' | 'remedy'> | undefined {
  return overruled && stay.value < neededS
    ? { key: 'shortInterval', values: { own: stay.value, needed: neededS }, remedy }
    : undefined;
}

/** What keeps a stay from its end: it sets softly or not at all, or `sticks`; what only has to hold may be soft. */
function staysSoft(
  chosen: PlaceAnswers,
  until: ChillCoatAnswer['until'],
  sticks: boolean,
): 'softSet' | 'willNotLetGo' | undefined {
  const { equilibrium } = chosen;
  if (until === 'holds' ? chosen.holds.value === Infinity : equilibrium < SOFT_BELOW) return 'softSet';
  return sticks ? 'willNotLetGo' : undefined;
}

/** A rest shorter than this is none, s. Working rule. */
const HARDLY_A_REST_S = 300;

/** A piece that wants to rest in the room goes straight into the cold: with its last coat, or with its cap. */
function restProblems({ casting, closure, part, coatsMade }: Planned): Problem[] {
  const last = coatsMade[coatsMade.length - 1];
  const cap = closure !== null && isCapped({ casting, closure }, part.id) ? closure : undefined;
  const setting = cap ?? last;
  const place = placeOf(setting);
  const rested = restsOf(setting).reduce((sum, { seconds }) => sum + seconds, 0);
  if (!wantsRest(casting, part, last.shares[0].meltId) || place === 'room' || rested >= HARDLY_A_REST_S) return [];
  const values = { place, rest: RESTS_S };
  return [
    cap
      ? { key: 'restFirst', station: 'close', values, remedy: { key: 'restCapped' } }
      : { key: 'restFirst', station: 'chill', values, remedy: { key: 'restFirst' } },
  ];
}

function fillProblems({ fill, cavity, coat, parts, part, closure }: Planned): Problem[] {
  if (coat.body && fill.layers.length > 0)
    return [{ key: 'noRoomInside', station: 'fill', values: {}, remedy: { key: 'emptyFill' } }];
  const wide = tooWide(closure, { cavity, coat, fill });
  if (fill.closes) return wide;
  const over = fill.layers.reduce((sum, layer) => sum + layer.leftOver.value, 0);
  const onTop = isCap(closure) ? 'cap' : isLid(closure) ? 'lid' : otherHalf(part, parts) ? 'half' : 'nothing';
  return [{ key: 'fillTooHigh', station: 'fill', values: { over, onTop }, remedy: { key: 'fitFill' } }, ...wide];
}

/** An opening that is narrower than the body by more than this is one that has to be filled through. Working rule. */
const NECK = 0.9;

/** What does not pass the neck or the hole that it is filled through. */
function tooWide(
  closure: Closure | null,
  { cavity, coat, fill }: Pick<PartDraft, 'cavity' | 'coat' | 'fill'>,
): Problem[] {
  const { radiusM } = cavity.profile;
  const widestM = 2 * radiusM.reduce((most, r) => Math.max(most, r), 0);
  const mouthM = 2 * Math.max(0, radiusM[radiusM.length - 1] - coat.total.rim.value);
  const openingM = closure?.kind === 'plug' ? Math.min(closure.holeM, mouthM) : mouthM;
  if (openingM >= NECK * widestM) return [];
  return fill.layers.flatMap(({ choice: { filling } }): Problem[] => {
    const wideM = pieceWidthM(filling);
    return wideM !== undefined && wideM > openingM
      ? [{ key: 'tooWideForOpening', station: 'fill', values: { name: filling.name, wide: wideM, opening: openingM } }]
      : [];
  });
}

function sweatProblems({ chill, part }: Planned): Problem[] {
  if (!chill.sweats || part.coveredRest) return [];
  const values = { surfaceC: chill.surface.value, dewPointC: chill.dewPoint.value, cover: chill.cover.value };
  if (!Number.isFinite(chill.cover.value)) return [{ key: 'neverWarms', station: 'chill', values }];
  return [{ key: 'sweats', station: 'chill', values, remedy: { key: 'coverRest' } }];
}

/** From here on a room is too warm to work tempered chocolate in, °C. Common practice, no source: 18 to 22 is right. */
const WARM_ROOM_C = 24.5;

/** Real chocolate sets slowly and thaws in the hand where it is worked too warm. */
function roomProblems({ casting, parts }: Planned): Problem[] {
  const { roomC } = casting.kitchen;
  const real = parts.some(({ chocolates }) => chocolates.some(({ kind }) => kind !== 'compound'));
  return real && roomC > WARM_ROOM_C ? [{ key: 'warmRoom', station: 'chill', values: { roomC } }] : [];
}

/** A mold of open faces that sets before all of them are topped. */
function toppingProblems(plan: Planned): Problem[] {
  const { finishes, wet } = plan;
  const face = toppedFace(plan);
  if (!face || !wet) return [];
  const hands = finishes.reduce((sum, one) => sum + (one.wet ? one.hands.value : 0), 0) / toppedPerPiece(face);
  const cavities = Math.max(...face.parts.map((one) => one.cavities));
  return hands * cavities > wet.value
    ? [{ key: 'dryTopping', station: 'finish', values: { cavities, hands: hands * cavities, wet: wet.value } }]
    : [];
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
