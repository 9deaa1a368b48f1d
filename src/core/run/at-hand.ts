import type { Followed } from './following';
import type { Run } from './run-record';
import { rungKey, type RunState } from './run-state';
import { waitsOf, type RunWait } from './run-waits';

/** A wait that runs. Moments are s since 1970 UTC. */
export interface RunClock {
  readonly wait: RunWait;
  readonly sinceS: number;
  /** At the end of each of its steps but the last, where there are several. */
  readonly turnsS: readonly number[];
  readonly dueS: number;
  readonly latestS: number | undefined;
  /** Which call is wanted and has not been made. */
  readonly rings: 'due' | 'latest' | undefined;
}

/** What is to be done: a task by its place in the run, and from when. */
export interface Next {
  readonly task: number;
  readonly startS: number;
}

export interface AtHand {
  /** What is done now, of each pair of hands one; what is to be waited for is still to come. */
  readonly now: readonly Next[];
  readonly next: readonly Next[];
  /** By their end. */
  readonly clocks: readonly RunClock[];
}

/** Sooner than this it is begun, s: nobody waits for it. */
const AT_ONCE_S = 5;

/** What is at hand in a run. @param several so many of what comes after are told */
export function atHand(run: Run, state: RunState, followed: Followed, nowS: number, several = 3): AtHand {
  const byHand = run.tasks
    .flatMap(({ handsOn }, task) => (handsOn && followed.open[task] ? [{ task, startS: followed.startS[task] }] : []))
    .sort((a, b) => a.startS - b.startS || a.task - b.task);
  const people = new Map<number, Next>();
  for (const next of byHand) {
    const person = run.tasks[next.task].person % run.people;
    if (!people.has(person) && next.startS - nowS <= AT_ONCE_S) people.set(person, next);
  }
  const now = [...people.values()];
  return {
    now,
    next: byHand.filter((one) => !now.includes(one)).slice(0, several),
    clocks: clocksOf(run, state, nowS),
  };
}

/** The waits that run: what begins them is done, and what they are waited for is not. */
export function clocksOf(run: Run, state: RunState, nowS: number): readonly RunClock[] {
  const { doneS, longerS, rung } = state;
  return waitsOf(run)
    .flatMap((wait): RunClock[] => {
      const sinceS = doneS.get(run.tasks[wait.from].key);
      if (sinceS === undefined) return [];
      if (wait.to !== undefined && doneS.has(run.tasks[wait.to].key)) return [];
      if (wait.task !== undefined && doneS.has(wait.key)) return [];
      const longer = longerS.get(wait.key) ?? 0;
      const dueS = sinceS + wait.leastS + longer;
      // A most that is no longer than the least says that it is done at once: there is nothing to be late for in between.
      const latestS = wait.mostS === undefined ? undefined : Math.max(dueS, sinceS + wait.mostS);
      const wanted = (at: 'due' | 'latest', momentS: number | undefined): boolean =>
        momentS !== undefined && nowS >= momentS && !rung.has(rungKey(wait.key, at));
      const late = latestS !== undefined && latestS > dueS && wanted('latest', latestS);
      // Once it has been called for the last time, its end is no news.
      const isNews = wanted('due', dueS) && !rung.has(rungKey(wait.key, 'latest'));
      const rings = late ? 'latest' : isNews ? 'due' : undefined;
      let at = sinceS;
      const turnsS = wait.steps.slice(0, -1).map(({ seconds }) => (at += seconds));
      return [{ wait, sinceS, turnsS, dueS, latestS, rings }];
    })
    .sort((a, b) => a.dueS - b.dueS);
}
