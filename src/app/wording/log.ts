import type { Outcome } from '../../core/run/outcome';
import type { UnitSystem } from '../../core/quantity/units';
import { WRONG_NAMES } from './bench';
import { VERDICT_NAMES, lateText } from './marks';
import { METHOD_NAMES, listed } from './names';
import { momentText, timeText } from './times';

/** "23 whole, 1 broke", or what was to be made. */
function cameOutText({ counted, pieces }: Pick<Outcome, 'counted' | 'pieces'>): string {
  if (!counted) return `${pieces} planned, not counted`;
  return counted.broke > 0 ? `${counted.out} whole, ${counted.broke} broke` : `${counted.out} whole, none broke`;
}

/** "6 min later"; by how much it was ready after its plan. */
function againstPlanText({ readyS, plannedS }: Pick<Outcome, 'readyS' | 'plannedS'>, system: UnitSystem): string {
  if (readyS === undefined) return 'not all was done';
  return lateText(readyS - plannedS, system);
}

/** A row of the log in words. */
export function outcomeWords(outcome: Outcome, system: UnitSystem) {
  const { chocolates, methods, wrongs, verdict } = outcome;
  return {
    when: momentText(outcome.beganS, outcome.zone),
    what: [...chocolates, ...methods.map((method) => METHOD_NAMES[method])].join(', '),
    cameOut: cameOutText(outcome),
    ready: againstPlanText(outcome, system),
    readyAt: [
      ...(outcome.readyS === undefined ? [] : [`ready ${timeText(outcome.readyS, outcome.zone)}`]),
      againstPlanText(outcome, system),
    ].join(', '),
    wrong: listed(wrongs.map((wrong) => WRONG_NAMES[wrong].toLowerCase())),
    verdict: verdict ? VERDICT_NAMES[verdict] : '',
  };
}

/** All words by which a run is found. */
export function searchedText(outcome: Outcome): string {
  const { name, castings, molds, chocolates, methods, wrongs, remarks, verdict } = outcome;
  return [
    name,
    ...castings.map((casting) => casting.name),
    ...molds,
    ...chocolates,
    ...methods.map((method) => METHOD_NAMES[method]),
    ...wrongs.map((wrong) => WRONG_NAMES[wrong]),
    ...(verdict ? [VERDICT_NAMES[verdict]] : []),
    ...remarks,
  ].join(' ');
}
