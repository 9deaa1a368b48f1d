import { HANDS_ON, type OutSeconds } from '../matter/working-rules';
import type { Place } from '../record/choices';
import { fillsLevel, handsOnS, isChilled, type Method, tippedOut } from '../record/method';
import type { Rest } from '../record/sets';
import { castRounds, type RoundPart, type RoundRun } from './rounds';
import { inTurn, type Task } from './in-turn';
import { atPace, atUsualPace, type Pace } from './pace';
import { secondsOf, StretchList, type Bare, type Stretch } from './stretch';

export interface TimelineCoat {
  readonly method: Method;
  readonly drainSeconds: number;
  readonly dwellSeconds: number;
  /** A rigid tray is filled with a ladle as a whole. */
  readonly asTray: boolean;
  /** Where a mold that is chilled before it is tipped out stands full meanwhile. */
  readonly standsIn: Place;
  /** Where it rests before its place. */
  readonly rests: readonly Rest[];
  readonly place: Place;
  /** Time in the place, s. */
  readonly chillSeconds: number;
  /** Where it stays on after that, still in its mold. */
  readonly then: readonly Rest[];
  /** A closed vessel is turned by hand for so long of that, s; 0 for everything else. */
  readonly turnedSeconds: number;
  readonly meltIds: readonly string[];
}

/** Something done to a part in its mold, or to a piece: seconds for each, or in all where it waits. */
export interface FurtherTask {
  readonly kind: 'prep' | 'stick' | 'dip' | 'cover' | 'level' | 'fill' | 'close' | 'finish' | 'chill';
  readonly handsOn: boolean;
  /** Hands-on: for each one. Waiting: in all. */
  readonly seconds: number;
  readonly place?: Place;
  /** Which step of painting, from 0. */
  readonly step?: number;
  readonly meltIds?: readonly string[];
}

/** One kind of part, in the order of the work. */
export interface TimelinePart extends RoundPart {
  /** What is done to its empty mold. */
  readonly before: readonly FurtherTask[];
  readonly coats: readonly TimelineCoat[];
  /** What goes on its last coat while that is wet. */
  readonly onWet: readonly FurtherTask[];
  /** What is done before it leaves the mold, as filling and capping. */
  readonly inMold: readonly FurtherTask[];
  /** Hands-on seconds to get it out. */
  readonly out: OutSeconds;
}

export interface TimelineInput {
  readonly parts: readonly TimelinePart[];
  /** From solid chocolate to a bowl that is ready, s, by melt. */
  readonly meltSeconds: ReadonlyMap<string, number>;
  readonly pieces: number;
  /** What is done when all rounds are through, in this order. */
  readonly after: readonly FurtherTask[];
  readonly pace?: Pace;
}

export interface Timeline {
  readonly rounds: number;
  /** Rounds that each part takes part in. */
  readonly roundsOf: readonly number[];
  readonly runs: readonly RoundRun[];
  /** The first round, from melting to unmolding. */
  readonly oneRound: readonly Stretch[];
  readonly wholeJob: readonly Stretch[];
  readonly handsOnSeconds: number;
  /** The same at the usual pace. */
  readonly handsUsuallySeconds: number;
  readonly waitingSeconds: number;
}

/** Filling a rigid tray with a ladle, however many cavities it has, s. Common practice, no source. */
const LADLE_SECONDS = 20;
/** Scraping and wiping that comes with tipping out a mold, s. Common practice, no source. */
const SCRAPE_SECONDS = 40;

/** From so many rounds on those between the first and the last are drawn together. */
const MOST_ROUNDS_SHOWN = 40;
/** Likewise from so many stretches on, where a round has many. */
const MOST_STRETCHES_SHOWN = 360;

/** Hands-on time to coat one mold, s, without what it stands in the cold. Common practice, no source. */
export function coatOneMoldSeconds(
  coat: Pick<TimelineCoat, 'method' | 'drainSeconds' | 'dwellSeconds' | 'asTray'>,
  cavities: number,
): number {
  const { method, drainSeconds, dwellSeconds } = coat;
  const laid = pourSeconds(coat, cavities);
  if (fillsLevel(method)) return laid + HANDS_ON.tapPerMold;
  if (!tippedOut(method)) return laid;
  return laid + (isChilled(method) ? 0 : dwellSeconds) + drainSeconds + SCRAPE_SECONDS;
}

/** Getting the chocolate into the cavities of one mold, s. */
function pourSeconds({ method, asTray }: Pick<TimelineCoat, 'method' | 'asTray'>, cavities: number): number {
  const each = handsOnS(method) * cavities;
  return asTray && tippedOut(method) ? Math.min(each, LADLE_SECONDS) : each;
}

/** Rounds alike in what they cast and in what is melted for them first. */
interface Block {
  readonly from: number;
  readonly count: number;
  readonly stretches: readonly Bare[];
}

/** The order of the work in seconds: each melt when it is first wanted, the rounds, then filling, closing and finishing all pieces. */
export function timeline(input: TimelineInput): Timeline {
  const { rounds, runs, roundsOf } = castRounds(input.parts);
  const melted = new Set<string>();
  const blocks = blocksOf(input, runs, melted);
  const after = afterwards(input, melted);
  const inAll = (of: (stretches: readonly Bare[]) => number): number =>
    blocks.reduce((sum, { count, stretches }) => sum + count * of(stretches), 0) + of(after);
  return {
    rounds,
    roundsOf,
    runs,
    oneRound: new StretchList().append(blocks[0].stretches, 0).list,
    wholeJob: inFull(blocks, rounds).append(after).list,
    handsOnSeconds: inAll((stretches) => secondsOf(stretches, true)),
    handsUsuallySeconds: inAll((stretches) => secondsOf(atUsualPace(stretches, input.pace), true)),
    waitingSeconds: inAll((stretches) => secondsOf(stretches, false)),
  };
}

/** The rounds, alike ones together; one that a melt is first wanted in stands by itself. */
function blocksOf(input: TimelineInput, runs: readonly RoundRun[], melted: Set<string>): Block[] {
  return runs.flatMap(({ from, count, cast }): Block[] => {
    const before = melted.size;
    const first = roundOf(input, cast, melted);
    if (count === 1 || melted.size === before) return [{ from, count, stretches: first }];
    return [
      { from, count: 1, stretches: first },
      { from: from + 1, count: count - 1, stretches: roundOf(input, cast, melted) },
    ];
  });
}

/** Every round; where they are many those between the first and the last are two stretches. */
function inFull(blocks: readonly Block[], rounds: number): StretchList {
  const list = new StretchList();
  const all = blocks.reduce((sum, { count, stretches }) => sum + count * stretches.length, 0);
  if (rounds <= MOST_ROUNDS_SHOWN && all <= MOST_STRETCHES_SHOWN) {
    for (const { from, count, stretches } of blocks) for (let k = 0; k < count; k++) list.append(stretches, from + k);
    return list;
  }
  const [first, last] = [blocks[0], blocks[blocks.length - 1]];
  const between = (handsOn: boolean): number =>
    blocks.reduce(
      (sum, block) =>
        sum +
        (block.count - (block === first ? 1 : 0) - (block === last ? 1 : 0)) * secondsOf(block.stretches, handsOn),
      0,
    );
  list.append(first.stretches, 0);
  const meltIds = [
    ...new Set(blocks.flatMap(({ stretches }) => stretches.flatMap((stretch) => stretch.meltIds ?? []))),
  ];
  for (const handsOn of [true, false])
    list.add({ kind: 'rounds', handsOn, seconds: between(handsOn), ...(handsOn ? { meltIds } : {}) });
  return rounds > 1 ? list.append(last.stretches, rounds - 1) : list;
}

/**
 * A round that casts so many of each part: one pair of hands, which goes on with whatever is ready first in the order of the work. A melt
 * is made when the first of them comes to it.
 */
function roundOf(input: TimelineInput, cast: readonly number[], melted: Set<string>): Bare[] {
  return inTurn(roundLines(input, cast), ({ meltIds = [] }) => melting(meltIds, input.meltSeconds, melted));
}

/** What is done in a round that casts so many of each part: a line of tasks for each part that is in it. */
export function roundLines({ parts, pace }: TimelineInput, cast: readonly number[]): Task<Bare>[][] {
  return parts.flatMap((part, index) => (cast[index] > 0 ? [atPace(partTasks(part, index, cast[index]), pace)] : []));
}

/** What is done to so many pieces when they are cast. */
export function afterTasks({ after, pace }: Pick<TimelineInput, 'after' | 'pace'>, pieces: number): Task<Bare>[] {
  const tasks = after.map((task) => ({ ...task, seconds: task.handsOn ? task.seconds * pieces : task.seconds }));
  return atPace(tasks, pace);
}

function partTasks(part: TimelinePart, index: number, parts: number): Task<Bare>[] {
  const molds = Math.ceil(parts / part.perMold);
  const forAll = (task: FurtherTask): Bare => ({
    ...task,
    seconds: task.handsOn ? task.seconds * parts : task.seconds,
  });
  const tasks: Bare[] = [
    ...part.before.map(forAll),
    ...part.coats.flatMap((coat, i) =>
      coatTasks(coat, molds, parts / molds, i, i === part.coats.length - 1 ? part.onWet.map(forAll) : []),
    ),
    ...part.inMold.map(forAll),
  ];
  tasks.push({ kind: 'unmold', handsOn: true, seconds: part.out.perPartS * parts + part.out.perMoldS * molds });
  return tasks.map((task) => ({ ...task, part: index }));
}

/** @param onWet what is done to it before it goes where it sets */
function coatTasks(coat: TimelineCoat, molds: number, perMold: number, index: number, onWet: readonly Bare[]): Bare[] {
  const { meltIds } = coat;
  const laid = molds * coatOneMoldSeconds(coat, perMold);
  const tasks: Bare[] = [];
  if (isChilled(coat.method)) {
    const pour = molds * pourSeconds(coat, perMold);
    tasks.push({ kind: 'coat', handsOn: true, seconds: pour, coat: index, meltIds });
    tasks.push({ kind: 'chill', handsOn: false, seconds: coat.dwellSeconds, coat: index, place: coat.standsIn });
    tasks.push({ kind: 'coat', handsOn: true, seconds: laid - pour, coat: index, meltIds });
  } else tasks.push({ kind: 'coat', handsOn: true, seconds: laid, coat: index, meltIds });
  tasks.push(...onWet);
  for (const { place, seconds } of coat.rests)
    tasks.push({ kind: 'chill', handsOn: false, seconds, coat: index, place });
  const turned = Math.min(coat.turnedSeconds, coat.chillSeconds);
  if (turned > 0) tasks.push({ kind: 'turn', handsOn: true, seconds: turned, coat: index, place: coat.place });
  tasks.push({
    kind: 'chill',
    handsOn: false,
    seconds: turned < coat.chillSeconds ? coat.chillSeconds - turned : 0,
    coat: index,
    place: coat.place,
  });
  for (const { place, seconds } of coat.then)
    tasks.push({ kind: 'chill', handsOn: false, seconds, coat: index, place });
  return tasks;
}

/** Makes the melts that are wanted for the first time. */
function melting(meltIds: readonly string[], meltSeconds: ReadonlyMap<string, number>, melted: Set<string>): Bare[] {
  return meltIds.flatMap((meltId): Bare[] => {
    if (melted.has(meltId)) return [];
    melted.add(meltId);
    return [{ kind: 'melt', handsOn: true, seconds: meltSeconds.get(meltId) ?? 0, meltIds: [meltId] }];
  });
}

function afterwards(input: TimelineInput, melted: Set<string>): Bare[] {
  return afterTasks(input, input.pieces).flatMap((task) => [
    ...melting(task.meltIds ?? [], input.meltSeconds, melted),
    task,
  ]);
}
