import type { Profile } from '../cavity/profile';
import type { Place } from '../record/choices';
import { readings, type Readings } from './laid-film';
import { AS_PLANNED, simulateShell } from './shell';
import { fromCells } from './wall-cells';
import type { ShellInput, ShellMoment, ShellPhase } from './shell-types';

/** One picture of a shell in the making. Thickness in m at each point of the profile. */
export interface ShellFrame {
  readonly coat: number;
  readonly phase: ShellPhase;
  readonly place: Place;
  /** Since the first coat was poured, s. */
  readonly seconds: number;
  /** What has set before, with the skin, and the film that lies on it. */
  readonly belowM: Float32Array;
  readonly filmM: Float32Array;
  readonly filmC: Float32Array;
  readonly filmSet: Float32Array;
  readonly flows: boolean;
  /** In all, where it is read. */
  readonly readings: Readings;
}

/** Time between two pictures, s: while the mold is handled, and at least while it stands. */
const HANDLED_S = 0.4;
const STANDING_S = 4;
/** No stand is told in more pictures than this. */
const MOST_OF_A_STAND = 150;

/** Runs a shell as planned and takes pictures of it, closer in time while things move quickly. */
export function recordShell(input: ShellInput): ShellFrame[] {
  const { profile } = input.cavity;
  const frames: ShellFrame[] = [];
  let last: Kept | undefined;
  let next = 0;
  simulateShell(input, AS_PLANNED, (moment) => {
    const now = keep(moment);
    const begins = !last || last.coat !== now.coat || last.phase !== now.phase || last.place !== now.place;
    if (begins) next = now.seconds;
    while (next <= now.seconds + 1e-9) {
      // Steps may be longer than the time between two pictures: what lies between is straight.
      const share =
        begins || !last || now.seconds === last.seconds ? 1 : (next - last.seconds) / (now.seconds - last.seconds);
      frames.push(frameOf(profile, last ?? now, now, share));
      next += spacing(input, now);
    }
    last = now;
  });
  if (last && frames[frames.length - 1].seconds < last.seconds) frames.push(frameOf(profile, last, last, 1));
  return frames;
}

function spacing(input: ShellInput, { coat, phase }: Pick<ShellMoment, 'coat' | 'phase'>): number {
  if (phase !== 'set') return HANDLED_S;
  const standing = input.coats[coat].sets.reduce((sum, set) => sum + set.seconds, 0);
  return Math.max(STANDING_S, standing / MOST_OF_A_STAND);
}

type Kept = ShellMoment;

function keep(moment: ShellMoment): Kept {
  const { belowM, filmM, filmC, filmSet } = moment;
  return { ...moment, belowM: belowM.slice(), filmM: filmM.slice(), filmC: filmC.slice(), filmSet: filmSet.slice() };
}

function frameOf(profile: Profile, from: Kept, to: Kept, share: number): ShellFrame {
  const at = (of: 'belowM' | 'filmM' | 'filmC' | 'filmSet'): Float32Array => {
    const cells = to[of].map((value, i) => from[of][i] + share * (value - from[of][i]));
    return Float32Array.from(fromCells(to.cells, cells, profile.arcM));
  };
  const belowM = at('belowM');
  const filmM = at('filmM');
  const { coat, phase, place, flows } = to;
  return {
    coat,
    phase,
    place,
    flows,
    belowM,
    filmM,
    filmC: at('filmC'),
    filmSet: at('filmSet'),
    seconds: from.seconds + share * (to.seconds - from.seconds),
    readings: readings(
      profile,
      belowM.map((b, i) => b + filmM[i]),
    ),
  };
}
