import type { PlannedTask } from '../../../core/occasion/occasion-plan';

/** A stretch of a casting's work in its occasion: something done for it, or what is between. */
export interface OccasionStretch {
  /** What is done; undefined for what is between. */
  readonly task: PlannedTask | undefined;
  readonly startS: number;
  readonly seconds: number;
  /** How long it is drawn, as so many seconds: a night is folded. */
  readonly drawnS: number;
}

/** What is longer between is folded, and drawn as so much, s. */
const FOLDED_FROM_S = 3 * 3600;
const FOLD_S = 1200;

/** What is done by hand, by its time, and what is between, one after another; what overlaps with the one before, as two people do, begins after it. */
export function occasionStretches(tasks: readonly PlannedTask[]): readonly OccasionStretch[] {
  const stretches: OccasionStretch[] = [];
  let overS = tasks.find(({ handsOn }) => handsOn)?.startS ?? 0;
  for (const task of tasks.filter(({ handsOn }) => handsOn)) {
    const gapS = task.startS - overS;
    if (gapS > 0)
      stretches.push({
        task: undefined,
        startS: overS,
        seconds: gapS,
        drawnS: gapS > FOLDED_FROM_S ? FOLD_S : gapS,
      });
    const seconds = Math.max(0, task.startS + task.seconds - Math.max(overS, task.startS));
    if (seconds > 0) stretches.push({ task, startS: Math.max(overS, task.startS), seconds, drawnS: seconds });
    overS = Math.max(overS, task.startS + task.seconds);
  }
  return stretches;
}
