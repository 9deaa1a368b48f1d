import { normalBelow, normalDensity } from '../quantity/normal';
import { believe, blended, type Belief, type Evidence, type Says } from './belief';
import { SET_PARAMETERS, type SetParameter } from './parameters';

/**
 * What a cook was seen to do at the end of a wait for something to set:
 * `wentOn` when it was time, without a word; `waited` longer, because it was not set; `early`, before it was time.
 */
export type SetDeed = 'wentOn' | 'waited' | 'early';

/** A wait for something to set, with what it says. Times are s since it went into its place. */
export interface SetReading {
  /** When it was to be ready as the working rules have it, without any lesson. */
  readonly readyS: number;
  /** By how many per cent that is later for one per cent more of each parameter. */
  readonly along: Readonly<Record<SetParameter, number>>;
  readonly deed: SetDeed;
  /** It was still too soft; 0 where nobody said so. */
  readonly softS: number;
  /** By then it was gone on with; Infinity where that is not known. */
  readonly byS: number;
}

/** What is taken for known, as a standard deviation. */
const FIXED = 1e-4;
/** How well a cook judges, and one shell is like another: a share of the time, as a standard deviation. Working rule. */
const JUDGED = 0.15;

/** What a cook may be like: looks so often when the bell goes, so often before it, and so often notes what has nothing to do with it. Each as likely as the others beforehand. */
const COOKS = [0, 0.5, 0.95].flatMap((looks) =>
  [0.05, 0.3, 0.8].flatMap((before) => [0.02, 0.15, 0.95].map((strays) => ({ looks, before, strays }))),
);
/** How likely each deed is of somebody who notes at random. Working rule. */
const STRAY: Readonly<Record<SetDeed, number>> = { wentOn: 0.4, waited: 0.1, early: 0.4 };

/**
 * What waits for something to set say of the air in each place, and of how firm this cook wants it. The cook is not known either: the belief is blended over what a cook may be like,
 * so that one who never looks, or who notes at random, teaches little.
 * @param fixed what is taken for as the working rules say
 */
export function learnedFromSetting(readings: readonly SetReading[], fixed: ReadonlySet<string> = new Set()): Belief {
  const priors = SET_PARAMETERS.map(({ key, spread }) => (fixed.has(key) ? FIXED : Math.log(spread)));
  const beliefs = COOKS.map((cook) =>
    believe(
      priors,
      readings.map((reading) => evidenceOf(reading, cook)),
    ),
  );
  return blended(
    beliefs,
    beliefs.map(() => -Math.log(COOKS.length)),
  );
}

function evidenceOf(reading: SetReading, { looks, before, strays }: (typeof COOKS)[number]): Evidence {
  const { readyS, along, deed, softS, byS } = reading;
  const [low, high] = [softS, byS].map((s) => Math.log(s / readyS));
  return {
    along: SET_PARAMETERS.map(({ key }) => along[key]),
    says(at): Says {
      const [a, b] = [(low - at) / JUDGED, (high - at) / JUDGED];
      const share = within(a, b);
      const [da, db] = [a, b].map((z) => (Number.isFinite(z) ? normalDensity(z) : 0));
      const slope = -(db - da) / JUDGED;
      const bend = -((Number.isFinite(b) ? b * db : 0) - (Number.isFinite(a) ? a * da : 0)) / JUDGED ** 2;
      const floor = (deed === 'wentOn' ? (1 - strays) * (1 - before) * (1 - looks) : 0) + strays * STRAY[deed];
      const scale = (1 - strays) * (deed === 'early' ? before : (1 - before) * looks);
      const all = Math.max(1e-300, floor + scale * share);
      const rises = (scale * slope) / all;
      return { log: Math.log(all), slope: rises, bend: rises ** 2 - (scale * bend) / all };
    },
  };
}

/** Share of a normal distribution between two places, told from whichever tail is the shorter. */
const within = (a: number, b: number): number =>
  a > 0 ? normalBelow(-a) - normalBelow(-b) : normalBelow(b) - normalBelow(a);
