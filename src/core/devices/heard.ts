import type { Device, DeviceMessage } from './device-message';

/** How a device stands: what it says counts only where it has settled. */
export type Standing =
  /** Nothing has come of it yet, or for a while. */
  | 'silent'
  | 'unplugged'
  /** More lies on it than it weighs. */
  | 'overload'
  /** It has changed at once by more than a bowl does: it is out of it, or was moved. */
  | 'jumped'
  | 'settling'
  | 'settled'
  /** It has settled, and yet creeps; or shows less than nothing: its zero is to be set anew. */
  | 'drifts';

interface Reading {
  readonly atS: number;
  readonly value: number;
}

/** What has been heard of a device. A probe's °C, a scale's kg. */
export interface Heard {
  readonly device: Device;
  readonly name: string;
  readonly standing: Standing;
  /** What it shows now; undefined where it shows nothing. */
  readonly value: number | undefined;
  /** What counts: the middle of its settled readings. Only where it has settled. */
  readonly settled: number | undefined;
  readonly step: number;
  /** The last readings, oldest first. */
  readonly readings: readonly Reading[];
  /** Since when no reading differed from the one before by more than a step: that time and its value. */
  readonly still: Reading | undefined;
}

interface Rule {
  /** So long, s, and at least so many readings, it must have stood within so many steps. */
  readonly overS: number;
  readonly atLeast: number;
  readonly withinSteps: number;
  /** From the first to the second half of these it may have moved by so much; more is still on its way. */
  readonly movedSteps: number;
  /** From one reading to the next it changes by no more, unless it was moved; none for what things are put on. */
  readonly jump: number | undefined;
  /** It stands on a zero that may wander. */
  readonly hasZero: boolean;
}

/** A probe's noise is a step or two, and a bowl cools by less than one while it settles. Working rules. */
const RULES: Readonly<Record<Device, Rule>> = {
  probe: { overS: 4, atLeast: 5, withinSteps: 7, movedSteps: 2, jump: 8, hasZero: false },
  scale: { overS: 1.2, atLeast: 3, withinSteps: 1, movedSteps: 1, jump: undefined, hasZero: true },
};

/** More readings than these tell nothing more. */
const KEPT = 40;
/** Still for so long, and yet by so many steps elsewhere: it creeps. */
const CREEPS_OVER_S = 20;
const CREEPS_STEPS = 3;
/** A reading of so many steps below nothing is a zero that has moved. */
const BELOW_STEPS = 2;

export function nothingHeard(device: Device): Heard {
  return {
    device,
    name: '',
    standing: 'silent',
    value: undefined,
    settled: undefined,
    step: 0,
    readings: [],
    still: undefined,
  };
}

/** What is known of a device once this has been heard; what another says changes nothing. */
export function heard(before: Heard, message: DeviceMessage): Heard {
  if (message.device !== before.device) return before;
  const { device, name, atS } = message;
  if (message.kind !== 'reading') return { ...nothingHeard(device), name, standing: message.kind };
  const { value, step } = message;
  const rule = RULES[device];
  const last = before.readings.at(-1);
  // A device that was started anew counts its time from nothing.
  const goesOn = last !== undefined && atS >= last.atS && step === before.step;
  const jumped = goesOn && rule.jump !== undefined && Math.abs(value - last.value) > rule.jump;
  const readings = [...(goesOn && !jumped ? before.readings : []), { atS, value }].slice(-KEPT);
  const near = goesOn && before.still && Math.abs(value - last.value) <= step * 1.001;
  const still = near ? before.still : { atS, value };
  const settled = settledOf(readings, step, rule);
  const drifts = rule.hasZero && (value < -BELOW_STEPS * step || crept(still, { atS, value }, step));
  const waits = jumped || (before.standing === 'jumped' && goesOn);
  const standing: Standing = settled === undefined ? (waits ? 'jumped' : 'settling') : drifts ? 'drifts' : 'settled';
  return { device, name, standing, value, settled: drifts ? undefined : settled, step, readings, still };
}

function crept(still: Reading, { atS, value }: Reading, step: number): boolean {
  return atS - still.atS >= CREEPS_OVER_S && Math.abs(value - still.value) >= (CREEPS_STEPS - 0.001) * step;
}

/** The middle of the last readings, where they have stood; undefined where they have not. */
function settledOf(
  readings: readonly Reading[],
  step: number,
  { overS, atLeast, withinSteps, movedSteps }: Rule,
): number | undefined {
  const now = readings[readings.length - 1].atS;
  const whole = readings.map(({ atS }) => now - atS >= overS).lastIndexOf(true);
  if (whole < 0 || readings.length < atLeast) return undefined;
  const recent = readings.slice(Math.min(whole, readings.length - atLeast));
  const values = recent.map(({ value }) => value);
  if (Math.max(...values) - Math.min(...values) > (withinSteps + 0.001) * step) return undefined;
  const half = Math.floor(values.length / 2);
  const moved = Math.abs(mean(values.slice(-half)) - mean(values.slice(0, half)));
  if (moved > (movedSteps + 0.001) * step) return undefined;
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
}

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
