import type { RunReadings } from '../../core/learn/run-readings';
import { tellsOf, type Taught } from '../../core/learn/lessons';
import type { SetReading } from '../../core/learn/set-evidence';
import type { UnitSystem } from '../../core/quantity/units';
import { isHandWork, type LessonKey } from '../../core/record/kitchen';
import { text } from './format';
import { dayText } from './times';

/** What is learned: its heading, and what was found of it. */
interface LessonWords {
  readonly name: string;
  readonly more: string;
  readonly less: string;
  readonly as: string;
}

const air = (name: string, whose: string): LessonWords => ({
  name,
  more: `${whose} takes heat away faster than assumed`,
  less: `${whose} takes heat away slower than assumed`,
  as: `${whose} takes heat away about as fast as assumed`,
});

const hands = (name: string, doing: string): LessonWords => ({
  name,
  more: `You take longer ${doing} than is usual`,
  less: `You are quicker ${doing} than is usual`,
  as: `You take about as long ${doing} as is usual`,
});

export const LESSON_WORDS: Readonly<Record<LessonKey, LessonWords>> = {
  fridge: air('Fridge', 'Your fridge'),
  freezer: air('Freezer', 'Your freezer'),
  room: air('Room', 'The air of your kitchen'),
  goesOn: {
    name: 'How firm you want it',
    more: 'You leave it longer than would do',
    less: 'You go on sooner than is assumed',
    as: 'You go on about when it would do',
  },
  prep: hands('Painting molds', 'to paint and dust molds'),
  coat: hands('Coating', 'to coat'),
  unmold: hands('Unmolding', 'to get parts out'),
  fill: hands('Filling', 'to fill'),
  close: hands('Closing', 'to close'),
  finish: hands('Finishing', 'to finish'),
};

/** So near to the working rule it is the same. */
const ALIKE = 0.04;
const times = (factor: number): string => factor.toFixed(factor < 2 ? 2 : 1);

/** A lesson in words: what was found, how sure it is, and what follows from it. */
export function lessonWords({ key, factor, low, high, readings, usuallyS, nowS }: Taught, system: UnitSystem) {
  const words = LESSON_WORDS[key];
  const log = Math.log(factor);
  const found = Math.abs(log) < ALIKE ? words.as : log > 0 ? words.more : words.less;
  const [usually, now] = [usuallyS, nowS].map((s) => text(s, 'duration', system));
  const changes = isHandWork(key)
    ? `Where ${usually} is usual, new plans allow ${now}.`
    : `Where the working rules wait ${usually}, new plans wait ${now} with all that is ticked.`;
  return {
    name: words.name,
    found: `${found}.`,
    factor: `${times(factor)} times`,
    range: `likely ${times(low)} to ${times(high)}`,
    readings: readings === 1 ? '1 reading' : `${readings} readings`,
    changes,
  };
}

/** What the readings of a lesson were, in words, those that read alike together; the day and the run they were noted in are told beside it. */
export function readingTexts(
  key: LessonKey,
  { sets, hands: works }: RunReadings,
  system: UnitSystem,
): readonly string[] {
  const said = (s: number): string => text(s, 'duration', system);
  const lines = isHandWork(key)
    ? works.flatMap(({ work, plannedS, tookS }) =>
        work === key ? [`Took ${said(tookS)}, ${said(plannedS)} usually`] : [],
      )
    : sets.filter((one) => tellsOf(one, key)).map((one) => waitText(one, said));
  const counts = new Map<string, number>();
  for (const line of lines) counts.set(line, (counts.get(line) ?? 0) + 1);
  return [...counts].map(([line, count]) => (count === 1 ? line : `${count} times: ${line.toLowerCase()}`));
}

function waitText({ deed, readyS, softS, byS }: SetReading, said: (s: number) => string): string {
  const rules = `${said(readyS)} by the working rules`;
  switch (deed) {
    case 'waited':
      return `Still soft after ${said(softS)}, gone on with after ${said(byS)}; ${rules}`;
    case 'early':
      return `Gone on with before its time, after ${said(byS)}; ${rules}`;
    case 'wentOn':
      return `Gone on with after ${said(byS)}, and nothing said; ${rules}`;
  }
}

export const runDay = ({ beganS, zone }: { readonly beganS: number; readonly zone: string }): string =>
  dayText(beganS, zone);
