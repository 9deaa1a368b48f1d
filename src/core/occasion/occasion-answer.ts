import type { NoWork } from './occasion-work';
import type { SavedTimetable } from './kept-timetable';
import type { OccasionPlan } from './occasion-plan';
import type { Wider } from './wider';
import type { Task } from './work';

/** Why an occasion has no timetable. */
export type NoTimetable =
  | NoWork
  /** It is longer than every stay. */
  | { readonly key: 'tooLong'; readonly task: Task }
  /** All that is done by hand is more than the stays have hours, s. */
  | { readonly key: 'tooFewHours'; readonly wantedS: number; readonly givenS: number }
  /** It wants more room than there is, m². */
  | { readonly key: 'shelf'; readonly place: 'fridge' | 'freezer'; readonly castingId: string; readonly m2: number }
  /** All stays begin when everything is to be ready. */
  | { readonly key: 'noStay' }
  /** It is held where it cannot be, whatever the order, perhaps only beside another that is held: it can start between these moments, s since 1970 UTC. */
  | {
      readonly key: 'held';
      readonly task: Task;
      readonly earliestS: number;
      readonly latestS: number;
      readonly beside?: Task;
    }
  /** What is held, or the stays, contradict each other. */
  | { readonly key: 'contradiction' | 'notFound'; readonly help: Help };

/** What would help where there is no timetable. */
export interface Help {
  /** What it would take without stays and holds, s, and when it would be begun, s since 1970 UTC. */
  readonly stretch?: { readonly takesS: number; readonly startS: number };
  /** What it would take with one more of a mold, s. */
  readonly mold?: { readonly name: string; readonly takesS: number };
}

export type OccasionAnswer =
  | {
      readonly ok: true;
      readonly plan: OccasionPlan;
      /** To go on from at another time. */
      readonly saves?: SavedTimetable;
    }
  | { readonly ok: false; readonly why: NoTimetable };

/** That what is held does not go with the rest as it was; which stay would have to be longer for it, where that would do. */
export interface Unfit {
  readonly wider?: Wider;
}

/** How far the search is, 0 to 1, and what it has found so far. */
export interface OccasionProgress {
  readonly share: number;
  readonly plan?: OccasionPlan;
  /** What is held does not go with the timetable that there was, and another is searched for; it would if a stay were longer. */
  readonly unfit?: Unfit;
}

/** The search, so that a worker can tell how far it is and be stopped. */
export type Steps = Generator<OccasionProgress, OccasionAnswer>;
