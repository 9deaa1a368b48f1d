import { formatInTimeZone } from 'date-fns-tz';
import type { Outcome } from '../../core/run/outcome';
import { WRONG_NAMES } from '../wording/bench';
import { VERDICT_NAMES } from '../wording/marks';
import { METHOD_NAMES } from '../wording/names';

const FIELDS = [
  'begun',
  'name',
  'castings',
  'molds',
  'chocolates',
  'methods',
  'pieces planned',
  'came out whole',
  'broke',
  'planned ready',
  'ready',
  'minutes after plan',
  'not as it should be',
  'verdict',
  'remarks',
  'rehearsal',
];

/** The log as CSV, a run a line, times by each run's own zone. The CSV package loads only when it is asked for. */
export async function logCsv(outcomes: readonly Outcome[]): Promise<string> {
  const { default: papaparse } = await import('papaparse');
  const data = outcomes.map((one) => {
    const at = (seconds: number): string => formatInTimeZone(seconds * 1000, one.zone, "yyyy-MM-dd'T'HH:mmXXX");
    return [
      at(one.beganS),
      one.name,
      one.castings.map(({ name }) => name).join('; '),
      one.molds.join('; '),
      one.chocolates.join('; '),
      one.methods.map((method) => METHOD_NAMES[method]).join('; '),
      one.pieces,
      one.counted?.out ?? '',
      one.counted?.broke ?? '',
      at(one.plannedS),
      one.readyS === undefined ? '' : at(one.readyS),
      one.readyS === undefined ? '' : ((one.readyS - one.plannedS) / 60).toFixed(1),
      one.wrongs.map((wrong) => WRONG_NAMES[wrong]).join('; '),
      one.verdict ? VERDICT_NAMES[one.verdict] : '',
      one.remarks.join('; '),
      one.rehearsal ? 'yes' : '',
    ];
  });
  return papaparse.unparse({ fields: FIELDS, data }, { escapeFormulae: true });
}
