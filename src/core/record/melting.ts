import type { Casting, Melt } from './casting';
import { MOST } from './limits';

/** What a melt is made of. */
export type MeltSource = Melt['source'];

/** A key by which two sources can be told to be the same. */
export function sourceKey(source: MeltSource): string {
  return source.kind === 'tint' ? source.tintId : source.chocolateId;
}

/** Ids of the melts that anything in a casting is painted, made, dipped, closed or finished with, in the order of their first use. */
export function meltsInUse({ parts, fill, closure, finishes, variants }: Casting): readonly string[] {
  return [
    ...new Set([
      ...parts.flatMap(({ prep }) => prep.flatMap((step) => ('meltId' in step ? [step.meltId] : []))),
      ...parts.flatMap(({ coats }) => coats.flatMap(({ shares }) => shares.map(({ meltId }) => meltId))),
      ...fill.flatMap(({ dip }) => (dip ? [dip.meltId] : [])),
      ...(closure ? [closure.meltId] : []),
      ...finishes.flatMap((finish) => ('meltId' in finish ? [finish.meltId] : [])),
      ...variants.flatMap(({ melts }) => melts.map(({ insteadId }) => insteadId)),
    ]),
  ];
}

/** Whether a casting has room for so many more copies of each kind. */
export function hasRoomFor({ chocolates, tints, fillings }: Casting, more: number): boolean {
  return (
    chocolates.length + more <= MOST.chocolates &&
    tints.length + more <= MOST.tints &&
    fillings.length + more <= MOST.fillings
  );
}
