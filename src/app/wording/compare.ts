import type { AimGoal, Blow, FoundWay, WantedRim } from '../../core/study/aim-search';
import { unevenness, WORKED_APART_K, type ComparedSide, type Verdict, type Way } from '../../core/study/ways';
import type { UnitSystem } from '../../core/quantity/units';
import { isChilled, tippedOut } from '../../core/record/method';
import { placeOf } from '../../core/record/sets';
import { capital, spoons, text } from './format';
import { METHOD_NAMES, WAY_UP_NAMES } from './names';

/** What a way is called where it is chosen. */
export function wayName(way: Way, system: UnitSystem): string {
  const kelvin = system === 'us' ? `${Math.round(WORKED_APART_K * 1.8)} °F` : `${WORKED_APART_K} °C`;
  const names: Readonly<Record<Way, string>> = {
    asPlanned: 'as planned',
    upright: 'set upright',
    upsideDown: 'set upside down',
    oneThick: 'as one thick coat',
    twoThin: 'as two thin coats',
    fridge: 'in the fridge',
    freezer: 'in the freezer',
    room: 'in the room',
    cooler: `worked ${kelvin} cooler`,
    warmer: `worked ${kelvin} warmer`,
    spooned: 'spooned instead of tipped out',
    dumped: 'filled and tipped out',
    noDwell: 'tipped out at once',
    longDwell: 'left to stand 25 s',
  };
  return names[way];
}

const BECAUSE: Readonly<Record<NonNullable<Verdict['because']>, string>> = {
  pooled: ', as the other way the chocolate runs to the base before it holds',
  dripped: ', as the other way some of it drips off the rim before it holds',
  less: '',
};

/** The verdict on two ways in one plain sentence with its reason. */
export function verdictText(
  verdict: Verdict,
  sides: readonly [ComparedSide, ComparedSide],
  names: readonly [string, string],
  system: UnitSystem,
): string {
  const { better, by, because } = verdict;
  if (better === undefined)
    return `No difference that you would notice: both come out at about ${text(sides[0].coat.total.rim.value, 'length', system)} at the rim and take about as long.`;
  const [won, lost] = better === 0 ? sides : [sides[1], sides[0]];
  const name = capital(names[better]);
  const than = (of: (side: ComparedSide) => string): string => `${of(won)} against ${of(lost)}`;
  const rim = than((side) => text(side.coat.total.rim.value, 'length', system));
  const breaks = than((side) => text(side.coat.breakChance.value, 'share', system));
  const minutes = than((side) => text(side.roundSeconds, 'duration', system));
  const grams = than((side) => text(side.coat.mass.value, 'mass', system));
  const why = because ? BECAUSE[because] : '';
  const damp = won.coatsMade.some((coat) => placeOf(coat) === 'freezer')
    ? ' Mind the damp: out in time, and under a cover until it has warmed.'
    : '';
  switch (by) {
    case 'unset':
      return `${name} it lets go of the mold; the other way it does not set far enough to.`;
    case 'breaking':
      return `${name} it breaks less often (${breaks}): its rim comes out at ${rim}${why}.`;
    case 'time':
      return `${name} it is through sooner (${minutes} a round), and breaks about as often (${breaks}).${damp}`;
    case 'mass':
      return `${name} it takes less chocolate (${grams} a part), in about the same time and as safe to unmold.`;
    case 'evenness':
      return `${name} it comes out more even: its base is ${unevenness(won).toFixed(1)} times its rim, the other’s ${unevenness(lost).toFixed(1)} times; time and safety are alike.`;
    case 'nothing':
      return '';
  }
}

/** What a shell may be wanted for, as it is picked. */
export type GoalKey = Exclude<AimGoal['by'], 'smash'> | Blow;

/** What it is called where it is picked. */
export function goalText(key: GoalKey): string {
  const names: Readonly<Record<GoalKey, string>> = {
    survive: 'survive unmolding',
    spoon: 'smash with a spoon',
    mallet: 'smash with a metal mallet',
    rim: 'have a rim of …',
  };
  return names[key];
}

/** The rim that a goal comes to, in words. */
export function wantedRimText({ by }: AimGoal, { aimM, lowM, highM }: WantedRim, system: UnitSystem): string {
  const length = (m: number): string => text(m, 'length', system);
  switch (by) {
    case 'smash':
      return `${length(lowM)} to ${length(highM)}`;
    case 'survive':
      return `at least ${length(aimM)}`;
    case 'rim':
      return `about ${length(aimM)}`;
  }
}

/** A found way in a line: coats, how, how warm, which way up, and how long the whole job takes. */
export function foundText(
  { method, sides, wayUp, workingC, coats, side, totalSeconds }: FoundWay,
  system: UnitSystem,
): string {
  const { choice } = side.coat.coats[0];
  const stands = isChilled(method)
    ? `stands ${text(choice.dwellSeconds, 'duration', system)} in the cold`
    : choice.dwellSeconds < 0.5
      ? 'no standing'
      : `stands ${Math.round(choice.dwellSeconds)} s`;
  const how = tippedOut(method)
    ? `${stands}, tipped out ${Math.round(choice.drainSeconds)} s`
    : `${spoons(choice.doseM3).number} ${spoons(choice.doseM3).unit} each`;
  const brushed = side.coat.coats.at(-1)?.choice.doseM3 ?? 0;
  const then = sides ? `, then the sides brushed with ${spoons(brushed).number} ${spoons(brushed).unit} each` : '';
  return `${sides ? coats - 1 : coats} × ${METHOD_NAMES[method]}, ${how}${then}, ${WAY_UP_NAMES[wayUp]}, at ${text(workingC, 'temperature', system)}: ${text(totalSeconds, 'duration', system)} in all`;
}
