import { STAND_IN_SPEEDS, type Scenario } from '../../core/devices/desk-command';
import type { Device } from '../../core/devices/device-message';
import type { Heard, Standing } from '../../core/devices/heard';
import type { UnitSystem } from '../../core/quantity/units';
import { text, weighedText } from './format';
import type { Option } from './option';

export const DEVICE_NAMES: Readonly<Record<Device, string>> = { probe: 'Probe', scale: 'Scale' };

/** How a device stands, and what to do where it does not count. */
const STANDING_TEXTS: Readonly<Record<Device, Readonly<Record<Standing, string>>>> = {
  probe: {
    silent: 'says nothing: measure by hand',
    unplugged: 'unplugged: measure by hand',
    overload: 'too hot for it',
    jumped: 'jumped: is its tip still in the bowl?',
    settling: 'settling…',
    settled: 'settled',
    drifts: 'wanders',
  },
  scale: {
    silent: 'says nothing: weigh by hand',
    unplugged: 'unplugged: weigh by hand',
    overload: 'too much on it: take some off',
    jumped: 'was moved',
    settling: 'settling…',
    settled: 'settled',
    drifts: 'its zero has moved: clear it, and tare',
  },
};

export const standingText = ({ device, standing }: Heard): string => STANDING_TEXTS[device][standing];

/** What it shows: "31.4 °C", "8.2 g"; a dash where it shows nothing. */
export function shownText({ device, value, step }: Heard, system: UnitSystem): string {
  if (value === undefined) return '–';
  return device === 'probe' ? text(value, 'temperature', system) : weighedText(value, step, system);
}

/** So far from what is reckoned it is worth a word, K. */
const FAR_K = 1.5;

/** What a settled temperature is far from, and what that may be; nothing where it is near. */
export function farText(c: number, reckonedC: number): string {
  const offK = c - reckonedC;
  if (Math.abs(offK) < FAR_K) return '';
  return offK < 0
    ? 'Colder than reckoned: stir, and keep the tip off the wall of the bowl. Still colder, note it.'
    : 'Warmer than reckoned: stir, and note it.';
}

export const SCENARIO_OPTIONS: readonly Option<Scenario>[] = [
  { value: 'calm', name: 'All as it should be' },
  { value: 'hurried', name: 'In a hurry: melted too hot, dosed by eye' },
  { value: 'warmRoom', name: 'A room 6 °C warmer than planned' },
  { value: 'forgotten', name: 'A bowl that is forgotten and cools fast' },
  { value: 'onBottom', name: 'The probe’s tip touches the bowl' },
  { value: 'knocked', name: 'A scale that is knocked and creeps' },
];

export const SPEED_OPTIONS: readonly Option<string>[] = STAND_IN_SPEEDS.map((speed) => ({
  value: String(speed),
  name: speed === 1 ? 'as the clock' : `${speed} times`,
}));

export const STEP_OPTIONS: readonly Option<string>[] = [
  { value: '0.001', name: '1 g, up to 5 kg' },
  { value: '0.0001', name: '0.1 g, up to 500 g' },
];
