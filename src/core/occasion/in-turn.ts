import type { Bowl, Mix } from './bowls';
import type { Work } from './work';

/** One bowl that is made of what is left of another, by their places. */
interface Link {
  readonly from: number;
  readonly to: number;
  /** So much of the later bowl can be of the earlier one, a share. */
  readonly share: number;
}

/** Less than this of the other in it, it is melted by itself. Working rule. */
const WORTH_SHARE = 0.7;
/** Bowls that are worked further apart than this are not made of each other, °C. Working rule. */
const WITHIN_C = 2;
/** Stirring colour into what is in temper already, s. Working rule. */
const STIRRED_IN_S = 300;

/**
 * Bowls of which the later ones are made of what is left of the earlier, by stirring in what they have more of: from light to dark, as nothing
 * is ever taken out. Amounts are counted back from the last, so that each step leaves enough for the next.
 * @param work the work with each melted by itself; what has to be done before the earlier bowl is through is not made of it
 */
export function inTurn(bowls: readonly Bowl[], work: Work): readonly Bowl[] {
  const links = linksOf(bowls, work);
  const made = [...bowls];
  // From the last of each chain to its first: one that goes on into another is settled after that other.
  for (const link of byEnd(links)) {
    const [from, to] = [made[link.from], made[link.to]];
    const kg = link.share * to.kg;
    const leftKg = Math.max(from.leftKg, kg);
    made[link.to] = { ...to, seconds: STIRRED_IN_S, from: { bowl: link.from, kg, added: addedTo(to, kg, from.mix) } };
    made[link.from] = { ...from, kg: from.kg + leftKg - from.leftKg, leftKg: leftKg - kg };
  }
  return made;
}

/** What is made of another bowl is made once all that is worked from that one is done. */
export function addTurns(work: Work, bowls: readonly Bowl[]): void {
  const usesOf = (bowl: number): number[] =>
    work.tasks.flatMap((task, melt) =>
      task.bowl === bowl ? work.lags.filter(({ from }) => from === melt).map(({ to }) => to) : [],
    );
  for (const [melt, { bowl, again }] of [...work.tasks.entries()]) {
    const from = bowl === undefined || again ? undefined : bowls[bowl].from;
    if (from) for (const use of new Set(usesOf(from.bowl))) work.lag(use, melt, { least: 0 });
  }
}

/** What is cast from what the others leave of a bowl comes after them. @param late the castings, see `lateOf` */
export function addLate(work: Work, bowls: readonly Bowl[], late: readonly string[]): void {
  for (const at of bowls.keys()) {
    const { own, others } = usesBy(work, at, (castingId) => late.includes(castingId));
    for (const use of own) for (const before of others) work.lag(before, use, { least: 0 });
  }
}

/** Of some castings those that can come last in each bowl that they share: where nothing of them has to be done before another is through. */
export function lateOf(work: Work, bowls: readonly Bowl[], castingIds: readonly string[]): readonly string[] {
  return castingIds.filter((id) =>
    [...bowls.keys()].every((at) => {
      const { own } = usesBy(work, at, (castingId) => castingId === id);
      const { others } = usesBy(work, at, (castingId) => castingIds.includes(castingId));
      return !reaches(work, own, others);
    }),
  );
}

function usesBy(work: Work, at: number, is: (castingId: string) => boolean) {
  const uses = work.tasks.flatMap(({ bowl }, melt) =>
    bowl === at ? work.lags.filter(({ from }) => from === melt).map(({ to }) => to) : [],
  );
  const ownOnes = uses.filter((use) => is(work.tasks[use].castingId ?? ''));
  return { own: ownOnes, others: uses.filter((use) => !ownOnes.includes(use)) };
}

function linksOf(bowls: readonly Bowl[], work: Work): readonly Link[] {
  const links: Link[] = [];
  const places = bowls.map((_, i) => i);
  const purest = [...places].sort((a, b) => pureness(bowls[b].mix) - pureness(bowls[a].mix));
  for (const [rank, to] of purest.entries()) {
    const best = purest
      .slice(0, rank)
      .filter((from) => !links.some((link) => link.from === from))
      .filter((from) => Math.abs(bowls[from].workingC - bowls[to].workingC) <= WITHIN_C)
      .map((from): Link => ({ from, to, share: shareWithin(bowls[from].mix, bowls[to].mix) }))
      .filter(({ share }) => share >= WORTH_SHARE && share < 1)
      .filter(({ from }) => !comesBefore(work, to, from))
      .sort((a, b) => b.share - a.share)
      .at(0);
    if (best) links.push(best);
  }
  return links;
}

/** The largest share of one thing in it: what has colour in it is less pure than what it is coloured of. */
const pureness = (mix: Mix): number => Math.max(...mix.map(({ share }) => share));

/** How much of a mix can be another, a share: as much as nothing of the other is too much. */
function shareWithin(part: Mix, whole: Mix): number {
  return Math.min(
    ...part.map(({ component, share }) => (whole.find((own) => own.component === component)?.share ?? 0) / share),
  );
}

function addedTo({ mix, kg }: Bowl, ofKg: number, part: Mix): NonNullable<Bowl['from']>['added'] {
  return mix.flatMap(({ component, name, share }) => {
    const there = ofKg * (part.find((own) => own.component === component)?.share ?? 0);
    const addedKg = share * kg - there;
    return addedKg > 1e-9 ? [{ component, name, kg: addedKg }] : [];
  });
}

/** Links that others go on from come after those. */
function byEnd(links: readonly Link[]): readonly Link[] {
  const next = (link: Link): Link | undefined => links.find(({ from }) => from === link.to);
  const depth = (link: Link | undefined): number => (link ? 1 + depth(next(link)) : 0);
  return [...links].sort((a, b) => depth(a) - depth(b));
}

/** Whether something that is worked from one bowl has to be done before something that is worked from another. */
function comesBefore(work: Work, bowl: number, other: number): boolean {
  const usesOf = (one: number): number[] =>
    work.lags.flatMap(({ from, to }) => (work.tasks[from].bowl === one ? [to] : []));
  return reaches(work, usesOf(bowl), usesOf(other));
}

function reaches({ lags }: Work, some: Iterable<number>, others: readonly number[]): boolean {
  const reached = new Set(some);
  const open = [...reached];
  while (open.length > 0) {
    const at = open.pop();
    for (const { from, to } of lags)
      if (from === at && !reached.has(to)) {
        reached.add(to);
        open.push(to);
      }
  }
  return others.some((use) => reached.has(use));
}
