import type { MeltingWay } from '../record/choices';
import { isTurned } from '../record/method';
import type { Coat } from '../record/casting';
import type { RunClock } from './at-hand';
import type { BowlNow } from './bowl-left';
import type { Run } from './run-record';

/** What has to be done again and again while something runs. */
export type NudgeKind = 'knead' | 'stir' | 'turn';

/** When it is to be done next. */
export interface Nudge {
  readonly kind: NudgeKind;
  /** How many times it has been due, from 0; it is told when this grows. */
  readonly times: number;
  readonly leftS: number;
}

/** So often, s. Common practice, no source: a bag or tube is kneaded every one to two minutes, a bowl stirred before a skin sets at its rim. */
const EVERY_S: Readonly<Record<NudgeKind, number>> = { knead: 90, stir: 300, turn: 120 };

const OF_WAY: Readonly<Record<MeltingWay, NudgeKind>> = {
  microwave: 'stir',
  doubleBoiler: 'stir',
  bag: 'knead',
  tube: 'knead',
};

/** What a bowl wants while it is worked from, counted from when it was melted or measured: both are done stirring. */
export function nudgeOfBowl(run: Run, { bowl, stirredS }: Pick<BowlNow, 'bowl' | 'stirredS'>, nowS: number): Nudge {
  return nudge(OF_WAY[run.bowls[bowl].way], stirredS, nowS);
}

/** What a wait wants until its end: a closed vessel goes on being turned. Undefined for what is left alone. */
export function nudgeOfWait(run: Run, { wait, sinceS, dueS }: RunClock, nowS: number): Nudge | undefined {
  const coat = coatOf(run, run.tasks[wait.from]);
  return coat && isTurned(coat.method) && nowS < dueS ? nudge('turn', sinceS, nowS) : undefined;
}

function nudge(kind: NudgeKind, sinceS: number, nowS: number): Nudge {
  const every = EVERY_S[kind];
  const passed = Math.max(0, nowS - sinceS);
  return { kind, times: Math.floor(passed / every), leftS: every - (passed % every) };
}

/** The coat that a task is of, as it was chosen; one that was added for a wanted thickness is made as the last. Undefined for what is of none. */
export function coatOf(run: Run, { castingId, part, coat }: Run['tasks'][number]): Coat | undefined {
  const casting = run.castings.find(({ id }) => id === castingId);
  const name = run.names[castingId ?? '']?.parts[part ?? 0]?.name;
  const coats = casting?.parts.find((one) => one.name === name)?.coats ?? [];
  return coat === undefined ? undefined : coats[Math.min(coat, coats.length - 1)];
}
