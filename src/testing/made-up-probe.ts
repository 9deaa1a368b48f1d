import type { StandInBowl } from '../core/devices/desk-command';
import { heard, nothingHeard } from '../core/devices/heard';
import { StandIns } from '../core/devices/stand-ins';
import type { Mark } from '../core/run/mark';

/** What can happen to the devices: pulled out and put in again, held where it measures something else, or what they hang on dies and is begun anew. */
export const PROBE_HAPPENINGS = ['unplug', 'plug', 'lie', 'tellTruth', 'devicesDie'] as const;
export type ProbeHappening = (typeof PROBE_HAPPENINGS)[number];

/** It is listened to so often, s, and of a long while to the last of it alone. */
const EVERY_S = 0.25;
const LISTENED_S = 12;
/** What has settled is no farther from the bowl than this, K; and than this once the probe has been in it for seven times its lag, s. */
const ON_ITS_WAY_K = 1;
const NEAR_K = 0.5;
const COMES_TO_S = 42;

const BOWL: StandInBowl = {
  key: 'made',
  kg: 0.12,
  chocolate: { fatShare: 0.36, solidToC: 23, meltedFromC: 32 },
  bowlHeat: 150,
  lossWK: 0.25,
  aroundC: 21,
  startC: 33,
};

/** A simulated probe in the bowl of a made-up run, and what has been heard of it. */
export class MadeUpProbe {
  private nowMs = 0;
  private standIns = this.begun();
  private heard = nothingHeard('probe');
  private plugged = true;
  /** Until then, ms, it shows something of where it was held beside the bowl. */
  private misledMs = 0;
  /** In the bowl for so long, s. */
  private inBowlS = 0;

  happen(what: ProbeHappening): void {
    switch (what) {
      case 'unplug':
      case 'plug':
        this.plugged = what === 'plug';
        this.standIns.command({ kind: 'plug', device: 'probe', plugged: this.plugged }, this.nowMs);
        break;
      case 'lie':
      case 'tellTruth':
        this.standIns.command({ kind: 'scenario', scenario: what === 'lie' ? 'onBottom' : 'calm' }, this.nowMs);
        this.misledMs = what === 'lie' ? Infinity : this.nowMs + 1000 * COMES_TO_S;
        break;
      case 'devicesDie':
        this.standIns = this.begun();
        this.plugged = true;
        this.misledMs = 0;
        this.inBowlS = 0;
    }
    this.listen();
  }

  pass(s: number): void {
    this.nowMs += 1000 * Math.max(0, s - LISTENED_S);
    for (let left = Math.min(s, LISTENED_S); left > 0; left -= EVERY_S) {
      this.nowMs += 1000 * Math.min(left, EVERY_S);
      this.listen();
    }
    this.inBowlS += s;
  }

  /** What is noted when a bowl is measured: by the probe where it has settled, else by hand. */
  reading(): Pick<Extract<Mark, { kind: 'temperature' }>, 'c' | 'by' | 'source'> {
    const { settled, name } = this.heard;
    return settled === undefined ? { c: 31.4, by: 'hand' } : { c: settled, by: 'probe', source: name };
  }

  /** What of it should not be; undefined where all is well. */
  wrong(): string | undefined {
    const { settled } = this.heard;
    if (settled === undefined) return undefined;
    if (!this.plugged) return 'a probe that is unplugged still counts';
    if (this.nowMs < this.misledMs) return undefined;
    const off = Math.abs(settled - this.standIns.trueC);
    const most = this.inBowlS >= COMES_TO_S ? NEAR_K : ON_ITS_WAY_K;
    return off <= most ? undefined : `a reading counts that is ${off} K from the bowl`;
  }

  private begun(): StandIns {
    const standIns = new StandIns(this.nowMs, 1);
    standIns.command({ kind: 'bowl', bowl: BOWL }, this.nowMs);
    return standIns;
  }

  private listen(): void {
    for (const message of this.standIns.messages(this.nowMs)) this.heard = heard(this.heard, message);
  }
}
