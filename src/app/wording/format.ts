import type { Answer, Dimension } from '../../core/quantity/answer';
import { displayUnit, significant } from '../../core/quantity/display-unit';
import { UNITS, fromSi, type UnitSystem } from '../../core/quantity/units';
import { momentText, ownZone } from './times';

/** A quantity written for people: the number and its unit apart, so that each can be set in its own size. */
export interface Written {
  readonly number: string;
  readonly unit: string;
}

/** Writes an SI value in the reader's units with no more figures than it deserves. */
export function written(si: number, dimension: Dimension, system: UnitSystem): Written {
  if (!Number.isFinite(si)) return { number: 'no end', unit: '' };
  switch (dimension) {
    case 'mass':
      return writtenMass(si, system);
    case 'duration':
      return writtenDuration(si);
    case 'volume':
      return writtenVolume(si, system);
    case 'area':
      return system === 'us'
        ? { number: significant(si / 0.0254 ** 2, 3), unit: 'in²' }
        : { number: significant(si * 1e4, 3), unit: 'cm²' };
    case 'temperature':
      return {
        number: trimmed(fromSi(si, displayUnit('temperature', system) ?? UNITS.celsius), 1),
        unit: system === 'us' ? '°F' : '°C',
      };
    case 'temperatureDifference':
      return { number: trimmed(system === 'us' ? si * 1.8 : si, 1), unit: system === 'us' ? '°F' : 'K' };
    case 'length':
      return system === 'us'
        ? { number: significant(si / 0.0254, 2), unit: 'in' }
        : { number: significant(si * 1e3, 2), unit: 'mm' };
    case 'share':
      return { number: significant(si * 100, 2), unit: '%' };
    case 'count':
      return { number: String(Math.round(si)), unit: '' };
    case 'ratio':
      return { number: significant(si, 3), unit: '' };
    case 'density':
      return { number: significant(si / 1000, 3), unit: 'g/mL' };
    case 'yieldStress':
      return { number: significant(si, 2), unit: 'Pa' };
    case 'viscosity':
      return { number: significant(si, 2), unit: 'Pa·s' };
    case 'power':
      return { number: significant(si, 2), unit: 'W' };
    case 'moment':
      return { number: momentText(si, ownZone()), unit: '' };
    case 'heatTransfer':
      return { number: significant(si, 2), unit: 'W/m² K' };
  }
}

function writtenMass(kg: number, system: UnitSystem): Written {
  if (system === 'us') {
    const oz = fromSi(kg, UNITS.ounce);
    return oz >= 32 ? { number: significant(oz / 16, 3), unit: 'lb' } : { number: significant(oz, 2), unit: 'oz' };
  }
  const g = kg * 1000;
  if (g >= 10000) return { number: significant(kg, 3), unit: 'kg' };
  return { number: g < 9.95 ? significant(g, 2) : String(Math.round(g)), unit: 'g' };
}

/** An amount of a sum as a scale shows it, to its step: amounts that add up on the scale add up as written. */
export function weighedText(kg: number, stepKg: number, system: UnitSystem): string {
  if (system === 'us') {
    const digits = stepKg < 0.075 * UNITS.ounce.factor ? 2 : 1;
    const ounces = Number((kg / UNITS.ounce.factor).toFixed(digits));
    const pounds = Math.floor(ounces / 16);
    return ounces < 32 ? `${ounces.toFixed(digits)} oz` : `${pounds} lb ${(ounces - 16 * pounds).toFixed(digits)} oz`;
  }
  return kg >= 10 ? `${kg.toFixed(3)} kg` : `${(kg * 1000).toFixed(stepKg < 0.0005 ? 1 : 0)} g`;
}

function writtenDuration(s: number): Written {
  if (s < 90) return { number: String(Math.round(s)), unit: 's' };
  const minutes = Math.round(s / 60);
  if (minutes < 120)
    return {
      number: s < 600 && Math.abs(s / 60 - minutes) > 0.05 ? (s / 60).toFixed(1) : String(minutes),
      unit: 'min',
    };
  if (minutes % 60 === 0) return { number: String(minutes / 60), unit: 'h' };
  return { number: `${Math.floor(minutes / 60)} h ${minutes % 60}`, unit: 'min' };
}

function writtenVolume(m3: number, system: UnitSystem): Written {
  if (system === 'us') return spoons(m3);
  const ml = m3 * 1e6;
  return { number: significant(ml, ml < 100 ? 2 : 3), unit: 'mL' };
}

/** A volume in the largest kitchen spoon that suits it, to a quarter: "1½ tbsp". */
export function spoons(m3: number): Written {
  const [unit, step] =
    m3 >= 59e-6
      ? ([UNITS.cup, 0.125] as const)
      : m3 >= 12e-6
        ? ([UNITS.tablespoon, 0.25] as const)
        : ([UNITS.teaspoon, 0.25] as const);
  const amount = Math.max(step, Math.round(m3 / unit.factor / step) * step);
  if (m3 <= 0) return { number: '0', unit: 'tsp' };
  const whole = Math.floor(amount);
  const sign = FRACTIONS[Math.round((amount - whole) * 8)];
  return { number: sign === undefined ? String(amount) : `${whole || ''}${sign}` || '0', unit: unit.symbol };
}

// Eighths without a sign in the shipped fonts are written out by the number itself.
const FRACTIONS: Readonly<Record<number, string | undefined>> = { 0: '', 2: '¼', 4: '½', 6: '¾' };

/** Number and unit in one text. */
export function text(si: number, dimension: Dimension, system: UnitSystem): string {
  const { number, unit } = written(si, dimension, system);
  return unit === '' ? number : unit === '%' ? `${number} %` : `${number} ${unit}`;
}

/** What a figure is where it has no end, by the beginning of its rule: why is said by a note. */
const ENDLESS: readonly (readonly [string, string])[] = [
  ['chill.cover', 'stays cold'],
  ['chill', 'does not set here'],
  ['coat.rest', 'runs on'],
  ['batch.start', 'no time'],
  ['batch', 'no end'],
  ['melt', 'not this way'],
];

/** A figure as it is shown: number and unit, a moment by the clocks of its own zone, one without an end by what that means. */
export function answerText({ value, dimension, rule, zone }: Answer, system: UnitSystem): string {
  if (!Number.isFinite(value)) return ENDLESS.find(([start]) => rule.startsWith(start))?.[1] ?? 'no end';
  return dimension === 'moment' ? momentText(value, zone ?? ownZone()) : text(value, dimension, system);
}

/** A counted answer as how often something is done: "13 times", "1 time"; as it is said where it has no end. */
export function timesText(answer: Answer, system: UnitSystem): string {
  const said = answerText(answer, system);
  if (!Number.isFinite(answer.value)) return said;
  return `${said} ${answer.value === 1 ? 'time' : 'times'}`;
}

/** "likely 1.1 to 1.5 mm", or nothing where the answer has no range or both ends read alike. */
export function rangeText(answer: Answer, system: UnitSystem): string {
  if (answer.low === undefined || answer.high === undefined || !Number.isFinite(answer.low)) return '';
  const low = written(answer.low, answer.dimension, system);
  const high = written(answer.high, answer.dimension, system);
  if (low.number === high.number && low.unit === high.unit) return '';
  if (!Number.isFinite(answer.high)) return `likely ${low.number} ${low.unit} or more`;
  return low.unit === high.unit
    ? `likely ${low.number} to ${high.number} ${high.unit}`.trim()
    : `likely ${low.number} ${low.unit} to ${high.number} ${high.unit}`;
}

function trimmed(value: number, digits: number): string {
  return String(Number(value.toFixed(digits)));
}

/** Keeps each number on the line of its unit. */
export function unbroken(sentence: string): string {
  return sentence.replace(/(\d) (?=[a-z°%])/g, '$1\u00a0');
}

/** Words as a sentence begins with them. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
