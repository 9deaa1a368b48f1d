import * as fc from 'fast-check';
import { CHOCOLATE_SPECIFIC_HEAT } from '../matter/chocolate';
import { DEVICES, DeviceMessageSchema, readDeviceMessage, type DeviceMessage } from './device-message';
import { DeskCommandSchema, DeskStateSchema, SCENARIOS, type DeskCommand, type StandInBowl } from './desk-command';
import { heard, nothingHeard, type Heard } from './heard';
import { StandIns } from './stand-ins';

/** 600 g of dark in a plastic bowl in a room of 21 °C, as it is worked from. */
const BOWL: StandInBowl = {
  key: 'run 0 1',
  kg: 0.6,
  chocolate: { fatShare: 0.36, solidToC: 23, meltedFromC: 32 },
  bowlHeat: 200,
  lossWK: 0.6,
  aroundC: 21,
  startC: 31.5,
};
const EVERY_MS = 250;

/** A kitchen in which time passes only when it is told to. */
class Kitchen {
  nowMs = 0;
  readonly standIns = new StandIns(0, 7);
  readonly known = new Map<string, Heard>(DEVICES.map((device) => [device, nothingHeard(device)]));

  tell(command: DeskCommand): this {
    this.standIns.command(command, this.nowMs);
    return this;
  }

  /** Listens for so long, s by the clock on the wall. */
  listen(seconds: number, each: (messages: readonly DeviceMessage[]) => void = () => undefined): this {
    for (let k = 0; k < (seconds * 1000) / EVERY_MS; k++) {
      this.nowMs += EVERY_MS;
      const messages = this.standIns.messages(this.nowMs);
      for (const message of messages) {
        const before = this.known.get(message.device);
        if (before) this.known.set(message.device, heard(before, message));
      }
      each(messages);
    }
    return this;
  }

  get probe(): Heard {
    return this.known.get('probe') as Heard;
  }

  get scale(): Heard {
    return this.known.get('scale') as Heard;
  }
}

const thing = (kg: number, byHand = false) => ({ kind: 'load' as const, thing: { name: 'A thing', kg, byHand } });

describe('the stand-ins', () => {
  it('say nothing but messages of devices, and take nothing but commands, in every scenario', () => {
    for (const scenario of SCENARIOS) {
      const kitchen = new Kitchen().tell({ kind: 'scenario', scenario }).tell({ kind: 'bowl', bowl: BOWL });
      kitchen.listen(60, (messages) => {
        for (const message of messages) expect(DeviceMessageSchema.safeParse(message).success).toBe(true);
      });
      expect(DeskStateSchema.safeParse(kitchen.standIns.desk()).success).toBe(true);
    }
    fc.assert(
      fc.property(fc.anything(), (raw) => {
        expect(DeskCommandSchema.safeParse(raw).success).toBe(false);
        expect(readDeviceMessage(raw)).toBeUndefined();
      }),
      { numRuns: 500 },
    );
  });

  it('lets a probe follow by a lag of 6 s: after 6 s it has come 63 % of the way', () => {
    const warm = { ...BOWL, startC: 45, lossWK: 0 };
    const values: number[] = [];
    // Many probes, so that their noise is none.
    for (let seed = 1; seed <= 200; seed++) {
      const standIns = new StandIns(0, seed);
      standIns.command({ kind: 'bowl', bowl: warm }, 0);
      const [probe] = standIns.messages(6000);
      if (probe.kind === 'reading') values.push(probe.value);
    }
    const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
    expect(mean).toBeCloseTo(21 + (45 - 21) * (1 - Math.exp(-1)), 1);
    const spread = Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / values.length);
    expect(spread).toBeGreaterThan(0.08);
    expect(spread).toBeLessThan(0.13);
  });

  it('cool a bowl as Newton has it where nothing sets in it, however often they are looked at', () => {
    const plain = { ...BOWL, chocolate: { fatShare: 0, solidToC: 20, meltedFromC: 30 } };
    const often = new Kitchen().tell({ kind: 'bowl', bowl: plain }).listen(600);
    const once = new StandIns(0, 7);
    once.command({ kind: 'bowl', bowl: plain }, 0);
    once.messages(600_000);
    expect(once.trueC).toBeCloseTo(often.standIns.trueC, 6);
    const heatJK = 0.6 * CHOCOLATE_SPECIFIC_HEAT + 200;
    expect(once.trueC).toBeCloseTo(21 + (31.5 - 21) * Math.exp((-0.6 * 600) / heatJK), 9);
  });

  it('go sixty times as fast where they are told to, and stand where the clock was put back', () => {
    const fast = new StandIns(0, 7);
    fast.command({ kind: 'bowl', bowl: BOWL }, 0);
    fast.command({ kind: 'speed', speed: 60 }, 0);
    fast.messages(10_000);
    const slow = new StandIns(0, 7);
    slow.command({ kind: 'bowl', bowl: BOWL }, 0);
    slow.messages(600_000);
    expect(fast.trueC).toBeCloseTo(slow.trueC, 9);
    const before = fast.trueC;
    fast.messages(1000);
    expect(fast.trueC).toBe(before);
  });

  it('keep a bowl as warm as it is when something is taken of it, and begin anew when it is melted again', () => {
    const kitchen = new Kitchen().tell({ kind: 'bowl', bowl: BOWL }).listen(300);
    const before = kitchen.standIns.trueC;
    expect(before).toBeLessThan(31.4);
    kitchen.tell({ kind: 'bowl', bowl: { ...BOWL, kg: 0.3 } });
    expect(kitchen.standIns.trueC).toBe(before);
    kitchen.tell({ kind: 'bowl', bowl: { ...BOWL, key: 'run 0 2' } });
    expect(kitchen.standIns.trueC).toBe(31.5);
  });

  it('tell of each scenario what it is for', () => {
    const after = (scenario: (typeof SCENARIOS)[number]) =>
      new Kitchen().tell({ kind: 'scenario', scenario }).tell({ kind: 'bowl', bowl: BOWL }).listen(900);
    const calm = after('calm');
    expect(after('hurried').standIns.trueC).toBeGreaterThan(calm.standIns.trueC);
    expect(after('warmRoom').standIns.trueC).toBeGreaterThan(calm.standIns.trueC);
    expect(after('forgotten').standIns.trueC).toBeLessThan(calm.standIns.trueC);
    const bottom = after('onBottom');
    expect(bottom.standIns.trueC).toBeCloseTo(calm.standIns.trueC, 9);
    expect(bottom.probe.value).toBeLessThan((calm.probe.value ?? 0) - 1);
    expect(calm.scale.settled).toBe(0);
    expect(after('knocked').scale.value).toBeGreaterThan(0.01);
  });
});

describe('what is heard of a probe', () => {
  it('counts once it has settled, and is then within two tenths of the truth', () => {
    const kitchen = new Kitchen().tell({ kind: 'bowl', bowl: BOWL }).listen(3);
    expect(kitchen.probe).toMatchObject({ standing: 'settling', settled: undefined, name: 'Simulated probe' });
    kitchen.listen(60);
    let settled = 0;
    kitchen.listen(120, () => {
      if (kitchen.probe.settled === undefined) return;
      settled++;
      expect(Math.abs(kitchen.probe.settled - kitchen.standIns.trueC)).toBeLessThan(0.25);
    });
    expect(settled).toBeGreaterThan(400);
  });

  it('says that it jumped when it is taken out, until it has settled anew', () => {
    const kitchen = new Kitchen().tell({ kind: 'bowl', bowl: { ...BOWL, startC: 45 } }).listen(60);
    expect(kitchen.probe.standing).toBe('settled');
    // As by a wire that broke for a moment.
    const at = kitchen.probe.readings[kitchen.probe.readings.length - 1].atS;
    const message = { kind: 'reading' as const, device: 'probe' as const, name: 'Probe', atS: at + 0.25, step: 0.1 };
    let known = heard(kitchen.probe, { ...message, value: 12 });
    expect(known).toMatchObject({ standing: 'jumped', settled: undefined });
    for (let k = 2; k < 30; k++) known = heard(known, { ...message, atS: at + 0.25 * k, value: 12 });
    expect(known).toMatchObject({ standing: 'settled', settled: 12 });
  });

  it('is nothing while it is unplugged, and has to settle anew', () => {
    const kitchen = new Kitchen().tell({ kind: 'bowl', bowl: BOWL }).listen(60);
    kitchen.tell({ kind: 'plug', device: 'probe', plugged: false }).listen(1);
    expect(kitchen.probe).toMatchObject({ standing: 'unplugged', value: undefined, settled: undefined });
    kitchen.tell({ kind: 'plug', device: 'probe', plugged: true }).listen(1);
    expect(kitchen.probe).toMatchObject({ standing: 'settling', settled: undefined });
    kitchen.listen(6);
    expect(kitchen.probe.standing).toBe('settled');
  });
});

describe('what is heard of a probe in a kitchen where anything happens', () => {
  it('is near the truth whenever it counts: unplugged, taken to another bowl, warmed, in any room', () => {
    const happens = fc.oneof(
      fc.integer({ min: 1, max: 40 }).map((s) => ({ pass: s })),
      fc.constantFrom<DeskCommand>(
        { kind: 'plug', device: 'probe', plugged: false },
        { kind: 'plug', device: 'probe', plugged: true },
        { kind: 'scenario', scenario: 'warmRoom' },
        { kind: 'scenario', scenario: 'forgotten' },
        { kind: 'scenario', scenario: 'hurried' },
        { kind: 'warm' },
        { kind: 'bowl' },
        { kind: 'bowl', bowl: BOWL },
        { kind: 'bowl', bowl: { ...BOWL, key: 'another', kg: 0.1, startC: 40 } },
      ),
    );
    let counted = 0;
    fc.assert(
      fc.property(fc.array(happens, { minLength: 3, maxLength: 12 }), (steps) => {
        const kitchen = new Kitchen();
        // What changes at once, as a room never does, shows in a probe of six seconds a moment later.
        let changedMs = -Infinity;
        for (const step of steps) {
          if ('kind' in step) {
            kitchen.tell(step);
            changedMs = kitchen.nowMs;
          } else
            kitchen.listen(step.pass, () => {
              if (kitchen.probe.settled === undefined || kitchen.nowMs - changedMs < 3000) return;
              counted++;
              expect(Math.abs(kitchen.probe.settled - kitchen.standIns.trueC)).toBeLessThan(1);
            });
        }
      }),
      { numRuns: 150 },
    );
    expect(counted).toBeGreaterThan(2000);
  });
});

describe('what is heard of a scale', () => {
  it('counts within a second and a half after something is put on, to a step', () => {
    const kitchen = new Kitchen().listen(3).tell(thing(0.0823)).listen(0.5);
    expect(kitchen.scale.standing).toBe('settling');
    kitchen.listen(2.5);
    expect(kitchen.scale).toMatchObject({ standing: 'settled', settled: 0.082 });
    kitchen.tell({ kind: 'step', step: 0.0001 }).listen(3);
    expect(kitchen.scale.settled).toBe(0.0823);
  });

  it('is tared, and says overload, and less than nothing', () => {
    const kitchen = new Kitchen().tell(thing(0.4)).listen(3).tell({ kind: 'tare' }).listen(3);
    expect(kitchen.scale.settled).toBe(0);
    kitchen.tell({ kind: 'load' }).listen(3);
    expect(kitchen.scale).toMatchObject({ standing: 'drifts', value: -0.4, settled: undefined });
    kitchen.tell(thing(6)).listen(3);
    expect(kitchen.scale).toMatchObject({ standing: 'overload', value: undefined });
    kitchen.tell({ kind: 'step', step: 0.0001 }).tell(thing(0.45)).tell({ kind: 'tare' }).listen(3);
    expect(kitchen.scale.value).toBe(0);
  });

  it('that creeps is told, and a knock lets it settle anew', () => {
    const kitchen = new Kitchen().tell({ kind: 'scenario', scenario: 'knocked' }).tell(thing(0.5));
    const stood = new Set<string>();
    kitchen.listen(400, () => stood.add(kitchen.scale.standing));
    expect(stood).toContain('settling');
    expect(stood).toContain('settled');
    const slow = new Kitchen();
    let known = slow.scale;
    for (let k = 0; k <= 240; k++)
      known = heard(known, {
        kind: 'reading',
        device: 'scale',
        name: 'Scale',
        atS: k / 4,
        step: 0.001,
        value: Math.round(500 + k / 48) / 1000,
      });
    expect(known).toMatchObject({ standing: 'drifts', settled: undefined });
  });

  it('that stands never counts what is not there, whatever it is told', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.double({ min: 0, max: 4, noNaN: true }).map((kg) => thing(kg)),
            fc.constant<DeskCommand>({ kind: 'load' }),
            fc.constantFrom<DeskCommand>({ kind: 'step', step: 0.001 }, { kind: 'step', step: 0.0001 }),
          ),
          { minLength: 1, maxLength: 6 },
        ),
        (commands) => {
          const kitchen = new Kitchen();
          for (const command of commands) kitchen.tell(command).listen(2.5);
          const { settled, step } = kitchen.scale;
          const last = commands.filter(({ kind }) => kind === 'load').pop();
          const kg = last?.kind === 'load' ? (last.thing?.kg ?? 0) : 0;
          if (settled !== undefined) expect(Math.abs(settled - kg)).toBeLessThanOrEqual(step * 1.001);
        },
      ),
      { numRuns: 60 },
    );
  });
});
