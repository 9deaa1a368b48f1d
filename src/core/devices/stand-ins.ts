import { heatedPot, potHeat, potTemperatureC, type Pot } from '../melt/pot';
import { randoms } from '../quantity/randoms';
import type { DeskCommand, DeskState, Scenario, StandInBowl, Thing } from './desk-command';
import { DEVICES, type Device, type DeviceMessage } from './device-message';

/** What a scenario changes. Working rules. */
interface Kitchen {
  /** The room is so much warmer than planned, K. */
  readonly warmerK: number;
  /** The bowl loses so many times the heat that is reckoned with. */
  readonly loss: number;
  /** It was melted so much hotter than told, K. */
  readonly hotterK: number;
  /** The probe's tip is as far as this, 0 to 1, on the way from the chocolate to what is around the bowl. */
  readonly toWall: number;
  /** What is dosed by hand is off by about this share. */
  readonly doseShare: number;
  /** The scale's pan is knocked out of its place by so much, kg, and its zero wanders by so much in a minute, kg. */
  readonly knockKg: number;
  readonly driftKg: number;
}

const CALM: Kitchen = { warmerK: 0, loss: 1, hotterK: 0, toWall: 0, doseShare: 0.01, knockKg: 0, driftKg: 0 };
const KITCHENS: Readonly<Record<Scenario, Kitchen>> = {
  calm: CALM,
  hurried: { ...CALM, hotterK: 1.5, doseShare: 0.1 },
  warmRoom: { ...CALM, warmerK: 6 },
  forgotten: { ...CALM, loss: 1.8 },
  onBottom: { ...CALM, toWall: 0.25 },
  knocked: { ...CALM, knockKg: 0.006, driftKg: 0.001 },
};

/** Between two readings, ms by the clock on the wall; sooner where the stand-ins' time runs faster. */
const EVERY_MS = 250;
const EVERY_FAST_MS = 100;

/** What the probe hangs in without a bowl, °C. */
const ROOM_C = 21;
/** A probe follows what it is held in by this time, s; it is off by about this, K; and counts in steps of a tenth. */
const LAG_S = 6;
const NOISE_K = 0.1;
const PROBE_STEP = 0.1;
/** A scale is within a thousandth of what lies on it after a second and a half: seven times this, s. */
const SCALE_TAU_S = 1.5 / 7;
/** By the step it counts in, a scale weighs up to so much, kg. */
const MOST_KG = { 0.001: 5, 0.0001: 0.5 } as const;
const KNOCKED_EVERY_S = 40;

const NAMES: Readonly<Record<Device, string>> = { probe: 'Simulated probe', scale: 'Simulated scale' };

/**
 * A probe and a scale that are not there: simulated from the bowl and the amounts of a real job. Nobody who listens to them has to know.
 * The bowl follows the pot model; a reading is made when it is asked for.
 */
export class StandIns {
  private deviceS = 0;
  private seenMs: number;
  private scenario: Scenario = 'calm';
  private speed: DeskState['speed'] = 1;
  private step: DeskState['step'] = 0.001;
  private readonly unplugged = new Set<Device>();
  private things: readonly Thing[] = [];
  private thing: Thing | undefined;
  private bowl: StandInBowl | undefined;
  private bowlC = ROOM_C;
  private probeC = ROOM_C;
  private loadKg = 0;
  private shownKg = 0;
  private tareKg = 0;
  private driftKg = 0;
  private readonly random: () => number;

  /** @param nowMs the clock on the wall, ms @param seed of the noise */
  constructor(nowMs: number, seed: number) {
    this.seenMs = nowMs;
    this.random = randoms(seed);
  }

  /** The chocolate's own temperature, °C, without the probe's lag and noise: what a test compares with. */
  get trueC(): number {
    return this.bowl ? this.bowlC : this.airC;
  }

  /** How long it is until they are to be asked again, ms. */
  get everyMs(): number {
    return this.speed > 1 ? EVERY_FAST_MS : EVERY_MS;
  }

  command(command: DeskCommand, nowMs: number): void {
    this.pass(nowMs);
    switch (command.kind) {
      case 'scenario':
        this.scenario = command.scenario;
        break;
      case 'speed':
        this.speed = command.speed;
        break;
      case 'plug':
        if (command.plugged) this.unplugged.delete(command.device);
        else this.unplugged.add(command.device);
        break;
      case 'step':
        this.step = command.step;
        break;
      case 'load':
        this.thing = command.thing;
        this.loadKg = command.thing ? command.thing.kg * (command.thing.byHand ? this.dosed() : 1) : 0;
        break;
      case 'tare':
        // Once it stands.
        this.tareKg = this.onPanKg(this.loadKg);
        break;
      case 'bowl':
        if (command.bowl && command.bowl.key !== this.bowl?.key)
          this.bowlC = command.bowl.startC + KITCHENS[this.scenario].hotterK;
        this.bowl = command.bowl;
        break;
      case 'warm':
        if (this.bowl) this.bowlC = this.bowl.startC;
        break;
      case 'things':
        this.things = command.things;
        break;
    }
  }

  /** What each device has to say now. */
  messages(nowMs: number): readonly DeviceMessage[] {
    this.pass(nowMs);
    return DEVICES.map((device) => {
      const of = { device, name: NAMES[device], atS: this.deviceS };
      if (this.unplugged.has(device)) return { kind: 'unplugged', ...of };
      if (device === 'probe') {
        const value = stepped(this.probeC + NOISE_K * this.gauss(), PROBE_STEP);
        return { kind: 'reading', ...of, value, step: PROBE_STEP };
      }
      const onPanKg = this.onPanKg();
      if (onPanKg > MOST_KG[this.step]) return { kind: 'overload', ...of };
      return { kind: 'reading', ...of, value: stepped(onPanKg - this.tareKg, this.step), step: this.step };
    });
  }

  desk(): DeskState {
    return {
      kind: 'desk',
      scenario: this.scenario,
      speed: this.speed,
      unplugged: [...this.unplugged],
      step: this.step,
      load: this.thing?.name ?? '',
      things: [...this.things],
    };
  }

  /** Lets the time pass since it was looked at last: a clock that was put back lets none. */
  private pass(nowMs: number): void {
    const seconds = (Math.max(0, nowMs - this.seenMs) / 1000) * this.speed;
    this.seenMs = nowMs;
    if (seconds === 0) return;
    this.deviceS += seconds;
    const { loss, driftKg, toWall } = KITCHENS[this.scenario];
    if (this.bowl) {
      const pot: Pot = { ...this.bowl, lossWK: this.bowl.lossWK * loss, aroundC: this.airC };
      this.bowlC = potTemperatureC(pot, heatedPot(pot, potHeat(pot, this.bowlC), 0, seconds));
    }
    const heldInC = this.bowl ? this.bowlC + toWall * (this.airC - this.bowlC) : this.airC;
    this.probeC = heldInC + (this.probeC - heldInC) * Math.exp(-seconds / LAG_S);
    this.shownKg = this.loadKg + (this.shownKg - this.loadKg) * Math.exp(-seconds / SCALE_TAU_S);
    this.driftKg += (driftKg * seconds) / 60;
  }

  private get airC(): number {
    return (this.bowl?.aroundC ?? ROOM_C) + KITCHENS[this.scenario].warmerK;
  }

  /** What the scale feels, kg. */
  private onPanKg(loadKg = this.shownKg): number {
    const knocked = Math.floor(this.deviceS / KNOCKED_EVERY_S) % 2 === 1 ? KITCHENS[this.scenario].knockKg : 0;
    return loadKg + this.driftKg + knocked;
  }

  private dosed(): number {
    return Math.max(0, 1 + KITCHENS[this.scenario].doseShare * this.gauss());
  }

  /** Of mean 0 and spread 1, as the sum of twelve. */
  private gauss(): number {
    return Array.from({ length: 12 }, this.random).reduce((sum, one) => sum + one, -6);
  }
}

/** As it is counted: without the dust that counting in steps leaves. */
function stepped(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(6));
}
