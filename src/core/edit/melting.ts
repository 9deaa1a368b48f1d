import { isFor } from '../record/school';
import type { Casting, Coat, Melt } from '../record/casting';
import { LIMITS, within } from '../record/limits';
import { chocolateOf, meltOf } from '../record/references';
import { meltsInUse, sourceKey, type MeltSource } from '../record/melting';

/** Brings a melt's school and working temperature to what its chocolate wants. */
export function suit(casting: Casting, meltId: string): void {
  const melt = casting.melts.find((candidate) => candidate.id === meltId);
  if (!melt) return;
  const { kind, workFromC, workToC } = chocolateOf(casting, melt);
  melt.workingC = within(LIMITS.workingC, (workFromC + workToC) / 2);
  if (!isFor(kind, melt.school) || kind === 'compound') melt.school = 'meltOnly';
  if (kind !== 'compound' && melt.school === 'meltOnly') melt.school = 'seeding';
}

/** The melt of a source: one that is there, or a new one that is melted like another. */
export function meltFrom(casting: Casting, source: MeltSource, like: string): Melt {
  const there = casting.melts.find((melt) => sourceKey(melt.source) === sourceKey(source));
  if (there) return there;
  const taken = new Set(casting.melts.map(({ id }) => id));
  let n = casting.melts.length + 1;
  while (taken.has(`melt-${n}`)) n++;
  const { way, school, power, bowlId, coolBowl, jacket, workingC } = meltOf(casting, like);
  casting.melts.push({ id: `melt-${n}`, source, way, school, power, bowlId, coolBowl, jacket, workingC, tests: [] });
  suit(casting, `melt-${n}`);
  return casting.melts[casting.melts.length - 1];
}

/**
 * Pours coats from a source, on a draft of the casting that may be written to. Where nothing else is made of their melt it becomes that
 * source itself, and what it paints, closes or finishes goes with it; else they get the melt of that source, or a new one. Melts that nothing
 * uses any more are dropped.
 */
export function pourFrom(casting: Casting, coats: readonly Coat[], source: MeltSource): void {
  const [{ meltId }] = coats[0].shares;
  const others = casting.parts
    .flatMap((part) => part.coats)
    .filter((coat) => !coats.some(({ id }, i) => id === coat.id && coats[i] === coat));
  const shared = others.some(({ shares }) => shares.some((share) => share.meltId === meltId));
  const there = casting.melts.find((melt) => sourceKey(melt.source) === sourceKey(source));
  if (!shared && !there) {
    meltOf(casting, meltId).source = source;
    suit(casting, meltId);
  }
  const { id } = meltFrom(casting, source, meltId);
  for (const coat of coats) coat.shares = [{ meltId: id, share: 1 }];
  if (!shared && there) followMelt(casting, meltId, id);
  dropUnused(casting);
}

/**
 * Makes a melt of another source, on a draft of the casting that may be written to. Where there is a melt of that source already,
 * everything that was made of this one is made of that: one colour is melted at once.
 */
export function turnInto(casting: Casting, meltId: string, source: MeltSource): void {
  const twin = casting.melts.find((melt) => melt.id !== meltId && sourceKey(melt.source) === sourceKey(source));
  if (!twin) {
    meltOf(casting, meltId).source = source;
    suit(casting, meltId);
    return;
  }
  for (const coat of casting.parts.flatMap(({ coats }) => coats)) {
    const shares = new Map<string, number>();
    for (const share of coat.shares) {
      const id = share.meltId === meltId ? twin.id : share.meltId;
      shares.set(id, (shares.get(id) ?? 0) + share.share);
    }
    coat.shares = [...shares].map(([id, share]) => ({ meltId: id, share: Math.min(1, share) }));
  }
  followMelt(casting, meltId, twin.id);
  dropUnused(casting);
}

/** What was painted, dipped, closed or finished with one melt is now done with another. */
function followMelt({ parts, fill, closure, finishes, variants }: Casting, from: string, to: string): void {
  for (const step of parts.flatMap(({ prep }) => prep)) if ('meltId' in step && step.meltId === from) step.meltId = to;
  for (const { dip } of fill) if (dip?.meltId === from) dip.meltId = to;
  if (closure?.meltId === from) closure.meltId = to;
  for (const finish of finishes) if ('meltId' in finish && finish.meltId === from) finish.meltId = to;
  for (const one of variants.flatMap(({ melts }) => melts)) {
    if (one.meltId === from) one.meltId = to;
    if (one.insteadId === from) one.insteadId = to;
  }
}

/** Drops melts that nothing is painted, made, dipped, closed or finished with. */
export function dropUnused(casting: Casting): void {
  const used = new Set(meltsInUse(casting));
  casting.melts = casting.melts.filter(({ id }) => used.has(id));
}

/** Streaks another source into a coat for a share of it, or takes it out again for a share of 0. */
export function streakInto(casting: Casting, coat: Coat, source: MeltSource, share: number): void {
  const [{ meltId }] = coat.shares;
  const { id } = meltFrom(casting, source, meltId);
  coat.shares =
    share > 0 && id !== meltId
      ? [
          { meltId, share: 1 - share },
          { meltId: id, share },
        ]
      : [{ meltId, share: 1 }];
  dropUnused(casting);
}

/** Drops copies of chocolates, tints and fillings that nothing in the casting is made of, to make room for others. */
export function dropUnusedCopies(casting: Casting): void {
  const { melts, parts, fill, finishes, variants, onHand } = casting;
  const tints = new Set(melts.flatMap(({ source }) => (source.kind === 'tint' ? [source.tintId] : [])));
  casting.tints = casting.tints.filter(({ id }) => tints.has(id));
  const fillings = new Set([
    ...fill.map(({ fillingId }) => fillingId),
    ...variants.flatMap((variant) => variant.fillings.map(({ fillingId }) => fillingId)),
    ...parts.flatMap(({ coats }) => coats.flatMap(({ mixIn }) => mixIn?.fillingId ?? [])),
    ...finishes.flatMap((finish) =>
      'fillingId' in finish && finish.fillingId !== undefined ? [finish.fillingId] : [],
    ),
  ]);
  // What a filling is mixed of is used with it.
  for (const id of fillings)
    for (const { fillingId } of casting.fillings.find((one) => one.id === id)?.recipe ?? [])
      if (fillingId !== undefined) fillings.add(fillingId);
  casting.fillings = casting.fillings.filter(({ id }) => fillings.has(id));
  const chocolates = new Set([
    ...melts.flatMap(({ source }) => (source.kind === 'chocolate' ? [source.chocolateId] : [])),
    ...casting.tints.flatMap((tint) => tint.chocolates.map(({ chocolateId }) => chocolateId)),
    ...casting.fillings.flatMap(({ recipe }) => recipe.flatMap(({ chocolateId }) => chocolateId ?? [])),
    ...onHand.map(({ chocolateId }) => chocolateId),
  ]);
  casting.chocolates = casting.chocolates.filter(({ id }) => chocolates.has(id));
}
