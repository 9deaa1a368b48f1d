import { afterTasks } from '../batch/timeline';
import { madeAhead } from '../fill/made-ahead';
import { FILLING_MATTER, KEEPS_DAYS } from '../matter/filling';
import { isCapped } from '../plan/capping';
import type { CastingPlan } from '../plan/plan-types';
import { fillingOf } from '../record/references';

/** What of a casting can be done on another day than the rest. */
export type AheadStep = 'make' | 'cast' | 'fill' | 'finish';

/** When a step of a casting can be done: early enough, and so late that what it makes is at its best at the event; s since 1970 UTC. */
export interface Ahead {
  readonly castingId: string;
  readonly step: AheadStep;
  /** The filling that is made. */
  readonly fillingId?: string;
  /** Of what is made; before this it would be past its best. */
  readonly fromS: number;
  /** It is begun by then, as all that follows it takes the rest, by one pair of hands with nothing else to do. */
  readonly untilS: number;
}

const DAY_S = 86_400;

/**
 * When each step of a casting can be done. Empty shells keep as chocolate does; once filled as long as the filling; a filling as long as its kind.
 * What is filled and capped in its mold is cast and filled in one.
 * @param dueS when it is to be ready, s since 1970 UTC
 * @param goesInS when the first filling goes in by a timetable, s since 1970 UTC
 */
export function aheadOf(plan: CastingPlan, dueS: number, goesInS = Infinity): readonly Ahead[] {
  const { casting, batch, fillings, parts, piece } = plan;
  const after = afterTasks(batch.work, batch.work.pieces);
  const left = (from: number): number => after.slice(from).reduce((sum, { seconds }) => sum + seconds, 0);
  const first = (is: (kind: (typeof after)[number]['kind']) => boolean): number => {
    const at = after.findIndex(({ kind }) => is(kind));
    return at < 0 ? after.length : at;
  };
  const [fillAt, finishAt] = [first((kind) => kind !== 'cover'), first((kind) => kind === 'finish')];
  const pieceFromS = dueS - KEEPS_DAYS[piece.keeping] * DAY_S;
  const capped = parts.some(({ part, fill }) => fill.layers.length > 0 && isCapped(plan, part.id));
  const castingId = casting.id;
  const castUntilS = dueS - batch.total.value;
  const fillUntilS = capped ? castUntilS : dueS - left(fillAt);
  const made = fillings.flatMap(({ fillingId }): Ahead[] => {
    const filling = fillingOf(casting, fillingId);
    const making = madeAhead(casting.fillings, filling);
    if (!making) return [];
    const keepsS = KEEPS_DAYS[FILLING_MATTER[filling.kind].keeping] * DAY_S;
    const untilS = Math.min(fillUntilS, goesInS) - making.standsS - making.handsOnS;
    return [{ castingId, step: 'make', fillingId, fromS: Math.min(untilS, dueS - keepsS), untilS }];
  });
  return [
    ...made,
    { castingId, step: 'cast', fromS: capped ? pieceFromS : dueS - KEEPS_DAYS.dry * DAY_S, untilS: castUntilS },
    ...(fillAt < finishAt ? [{ castingId, step: 'fill' as const, fromS: pieceFromS, untilS: fillUntilS }] : []),
    ...(finishAt < after.length
      ? [{ castingId, step: 'finish' as const, fromS: pieceFromS, untilS: dueS - left(finishAt) }]
      : []),
  ];
}
