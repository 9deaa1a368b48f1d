import type { OutSeconds } from '../matter/working-rules';
import type { SpareRule } from '../record/casting';
import type { CoatAmount, OnPieces } from './amounts';
import type { Pace } from './pace';
import type { FurtherTask, TimelineCoat } from './timeline';

/** Of one kind of part, those that are cast alike. */
export interface PartCast {
  /** How many pieces they are for. */
  readonly pieces: number;
  /** Whole ones that were cast before, for any of these pieces. */
  readonly there: number;
  readonly breakChance: { readonly value: number; readonly low: number; readonly high: number };
  readonly coats: readonly CoatAmount[];
}

/** One kind of part of a piece, in the order of the work. */
export interface BatchPart {
  readonly partId: string;
  readonly perPiece: number;
  readonly moldId: string;
  readonly cavityId: string;
  readonly perMold: number;
  readonly moldsAtHand: number;
  /** Those for pieces that are made otherwise are cast in the same rounds, and told apart by what they take. */
  readonly casts: readonly PartCast[];
  /** What is done to its empty mold. */
  readonly before: readonly FurtherTask[];
  readonly coats: readonly TimelineCoat[];
  /** What goes on its last coat while that is wet. */
  readonly onWet: readonly FurtherTask[];
  readonly inMold: readonly FurtherTask[];
  /** Hands-on seconds to get it out. */
  readonly out: OutSeconds;
}

/** Chocolate that goes on before or after casting. */
export interface AfterCasting extends Omit<OnPieces, 'kg' | 'perRoundKg'> {
  readonly eachKg: number;
  /** On so many pieces, or on every one that is cast alike of a part, spares included: its place among the part's. */
  readonly on: { readonly pieces: number } | { readonly partId: string; readonly cast: number };
}

export interface BatchInput {
  /** Of every kind together. */
  readonly pieces: number;
  readonly spareRule: SpareRule;
  /** Of parts cast before, how many broke: the computed chance is held against it. */
  readonly breakages?: { readonly cast: number; readonly broken: number } | undefined;
  readonly parts: readonly BatchPart[];
  readonly onPieces: readonly AfterCasting[];
  readonly after: readonly FurtherTask[];
  readonly pace?: Pace;
  /** What sticks to bowl and tools of so many kg of a melt that are worked, kg. */
  readonly stuckKg: (meltId: string, kg: number) => number;
}
