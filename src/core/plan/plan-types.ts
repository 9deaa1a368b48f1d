import type { BatchResult } from '../batch/batch';
import type { Cavity } from '../cavity/cavity';
import type { ChillAnswers } from '../chill/chill-answers';
import type { ChillInput } from '../chill/chill-input';
import type { CloseResult } from '../close/close';
import type { CoatResult } from '../coat/coat-answers';
import type { DipAnswer } from '../fill/dip';
import type { FillResult } from '../fill/fill';
import type { Component } from '../fill/recipe';
import type { FinishAnswer } from '../finish/finish';
import type { MeltResult } from '../melt/melt';
import type { PrepAnswer } from '../prep/prep';
import type { MoldResult } from '../mold/mold';
import type { Answer } from '../quantity/answer';
import type { Allergen, MeltingWay, Place } from '../record/choices';
import type { School } from '../record/school';
import type { Keeping } from '../matter/filling';
import type { Casting, Coat, Part, Variant } from '../record/casting';
import type { Closure } from '../record/closing';
import type { Chocolate } from '../record/chocolate';
import type { Mold } from '../record/mold';
import type { Simulated } from '../shell/simulated';

/** A change to a casting that a note offers. */
export type Remedy =
  | { readonly key: 'addCoat' }
  | { readonly key: 'brushSides' }
  | { readonly key: 'paintToFridge'; readonly stepId: string }
  | { readonly key: 'computedPaint'; readonly stepId: string }
  | { readonly key: 'laterSides' }
  | { readonly key: 'wipeMold' }
  | { readonly key: 'splitCoats' }
  | { readonly key: 'wantRim'; readonly rimM: number }
  | { readonly key: 'setWorking'; readonly meltId: string; readonly workingC: number }
  | { readonly key: 'meltBy'; readonly meltId: string; readonly way: MeltingWay }
  | { readonly key: 'temperBy'; readonly meltId: string; readonly school: School }
  | { readonly key: 'lowCeiling'; readonly meltId: string }
  | { readonly key: 'moveTo'; readonly place: Place }
  | { readonly key: 'computedInterval'; readonly coatIndex: number }
  | { readonly key: 'restFirst' }
  | { readonly key: 'restCapped' }
  | { readonly key: 'moveCapTo'; readonly place: Place }
  | { readonly key: 'computedCapped' }
  | { readonly key: 'capFlush' }
  | { readonly key: 'turnEvery'; readonly seconds: number }
  | { readonly key: 'fitFill' }
  | { readonly key: 'emptyFill' }
  | { readonly key: 'coverRest' }
  | { readonly key: 'fitCap'; readonly belowRimM: number }
  | { readonly key: 'plateAt'; readonly plateC: number }
  | { readonly key: 'onPlateFor'; readonly seconds: number }
  | { readonly key: 'addMold'; readonly moldId: string };

export type StationKey = 'mold' | 'melt' | 'coat' | 'chill' | 'fill' | 'close' | 'finish' | 'batch';

/** Something in a plan that wants attention; the screen words it from its key and values. */
export interface Problem {
  readonly key:
    | 'rimTooThin'
    | 'coatTooHeavy'
    | 'wantedNotReached'
    | 'aboveCeiling'
    | 'belowBand'
    | 'tooSmallToMelt'
    | 'untempered'
    | 'notWorkable'
    | 'temperedCoating'
    | 'steelInMicrowave'
    | 'softSet'
    | 'willNotLetGo'
    | 'shortInterval'
    | 'fillTooHigh'
    | 'tooWideForOpening'
    | 'sweats'
    | 'longJob'
    | 'warmRoom'
    | 'dryTopping'
    | 'neverWarms'
    | 'restFirst'
    | 'paintCracks'
    | 'paintRests'
    | 'paintWarm'
    | 'paintNeverSets'
    | 'poolsBetweenTurns'
    | 'poolsInBase'
    | 'moldSweats'
    | 'moldTooWarm'
    | 'noRoomInside'
    | 'noRoomForCap'
    | 'capRunsOver'
    | 'thinCap'
    | 'longOnPlate'
    | 'coldPlate'
    | 'jointSoft'
    | 'jointShort'
    | 'mixedFats'
    | 'someFat'
    | 'lidOnItself';
  readonly station: StationKey;
  /** The part it is about, where it is about one. */
  readonly partId?: string;
  /** The variant it is about, by its name, where the other pieces have no such trouble. */
  readonly variant?: string;
  readonly values: Readonly<Record<string, number | string>>;
  readonly remedy?: Remedy;
}

/** What is served: all parts, what is in them, and what closes and finishes them. */
export interface PieceResult {
  readonly mass: Answer;
  readonly fillMass: Answer;
  readonly allergens: readonly Allergen[];
  /** As its filling that keeps least long. */
  readonly keeping: Keeping;
  /** Something in it is not to be eaten. */
  readonly inedible: boolean;
}

/** A body in a piece that is closed by itself. */
export interface PieceClosing {
  /** The part whose rim or mouth is closed, and how often in a piece. */
  readonly partId: string;
  readonly count: number;
  readonly close: CloseResult;
}

/** A layer whose pieces are dipped before they go in. */
export interface LayerDip {
  readonly layerId: string;
  readonly meltId: string;
  readonly dip: DipAnswer;
}

/** What follows for one part of a casting without its chill. */
export interface PartDraft {
  readonly part: Part;
  readonly moldRecord: Mold;
  readonly cavities: number;
  readonly cavity: Cavity;
  /** What is painted or dusted into its empty mold, in this order. */
  readonly preps: readonly PrepAnswer[];
  /** Coats as made: the chosen ones, or those that reach the wanted thickness. */
  readonly coatsMade: readonly Coat[];
  readonly chocolates: readonly Chocolate[];
  readonly mold: MoldResult;
  readonly coat: CoatResult;
  readonly fill: FillResult;
  /** What of it is dipped. */
  readonly dips: readonly LayerDip[];
  /** How warm what is cooked or melted of its filling may be when it goes in. */
  readonly warmest: Answer | undefined;
  readonly chillInput: ChillInput;
  /** What its shell is corrected by. */
  readonly simulated: Simulated | undefined;
  /** Which of the casting's makings its shell and chill are (`makingsOf`). */
  readonly makingAt: number;
}

/** Everything that follows from a casting without the chill, seen from one of its parts: that part's answers are its own. */
export interface PlanDraft extends PartDraft {
  readonly casting: Casting;
  readonly parts: readonly PartDraft[];
  /** Two halves are topped up and clamped together. */
  readonly clamped: boolean;
  /** What the pieces are closed with; nothing where they are clamped together. */
  readonly closure: Closure | null;
  readonly close: CloseResult | undefined;
  /** The same of every body in a piece that is closed by itself, the first of them first; none where nothing is. */
  readonly closings: readonly PieceClosing[];
  readonly finishes: readonly FinishAnswer[];
  readonly piece: PieceResult;
  readonly variants: readonly VariantDraft[];
}

/** So many pieces that are made otherwise: as a casting of its own, without variants, in the molds of the other. */
export interface VariantDraft {
  readonly variant: Variant;
  readonly draft: PlanDraft;
}

/** What the job takes of one filling, and what that comes down to. */
export interface FillingNeed {
  readonly fillingId: string;
  readonly mass: Answer;
  readonly components: readonly Component[];
  /** When making it has to begin; undefined for what is bought, and where the job never ends. */
  readonly makeBy: Answer | undefined;
}

/** Every answer for one part of a piece. */
export interface PartPlan extends PartDraft {
  readonly chill: ChillAnswers;
}

/** A draft with the chills of all its parts. */
export interface ChilledDraft extends PlanDraft {
  readonly parts: readonly PartPlan[];
  readonly variants: readonly VariantPlan[];
}

/** The same of pieces that are made otherwise. */
export interface VariantPlan extends VariantDraft {
  readonly draft: ChilledDraft;
}

/** Every answer of a casting, each with its working and range, seen from one of its parts. */
export interface CastingPlan extends ChilledDraft, PartPlan {
  readonly parts: readonly PartPlan[];
  readonly batch: BatchResult;
  /** When to start so that it is ready in time. */
  readonly start: Answer;
  /** One for each melt that is used, in the order of its use. */
  readonly melts: readonly MeltResult[];
  readonly fillings: readonly FillingNeed[];
  /** How long the open face stays wet that is topped in the mold; undefined where none is. */
  readonly wet: Answer | undefined;
  readonly problems: readonly Problem[];
}
