import type { OccasionPlan } from '../../core/occasion/occasion-plan';

/** A stretch of time that is drawn to scale. */
interface Drawn {
  readonly from: number;
  readonly to: number;
  /** Where it begins, and how wide it is, % of the whole. */
  readonly at: number;
  readonly width: number;
}

/** The time axis of a timetable: stays to scale, the hours between them folded. */
export interface TimetableScale {
  readonly drawn: readonly Drawn[];
  /** Where hours are folded, % of the whole, and how many seconds. */
  readonly folds: readonly { readonly at: number; readonly width: number; readonly seconds: number }[];
  /** Where a moment is, %; one that is folded away in its fold. */
  at(seconds: number): number;
  /** The moment at a place, s. */
  momentAt(share: number): number;
}

/** Width of a fold, as so much time. */
const FOLD_S = 1500;
/** Round what is drawn, s. */
const EDGE_S = 120;

/** The axis of a plan. Pure; knows nothing of the page. */
export function timetableScale({
  there,
  readyS,
  startS,
}: Pick<OccasionPlan, 'there' | 'readyS' | 'startS'>): TimetableScale {
  const stays = there.length > 0 ? there : [{ from: startS, to: readyS }];
  const spans = stays.map(({ from, to }, i) => ({
    from: from - EDGE_S,
    to: (i === stays.length - 1 ? Math.max(to, readyS) : to) + EDGE_S,
  }));
  const all = spans.reduce((sum, { from, to }) => sum + to - from, 0) + FOLD_S * (spans.length - 1);
  const drawn: Drawn[] = [];
  const folds: { at: number; width: number; seconds: number }[] = [];
  let at = 0;
  for (const [i, { from, to }] of spans.entries()) {
    if (i > 0) {
      folds.push({ at, width: (100 * FOLD_S) / all, seconds: from - spans[i - 1].to });
      at += (100 * FOLD_S) / all;
    }
    drawn.push({ from, to, at, width: (100 * (to - from)) / all });
    at += (100 * (to - from)) / all;
  }
  return {
    drawn,
    folds,
    at(seconds) {
      for (const [i, span] of drawn.entries()) {
        if (seconds <= span.to) {
          if (seconds >= span.from) return span.at + (span.width * (seconds - span.from)) / (span.to - span.from);
          if (i === 0) return 0;
          const fold = folds[i - 1];
          return fold.at + (fold.width * (seconds - drawn[i - 1].to)) / (span.from - drawn[i - 1].to);
        }
      }
      return 100;
    },
    momentAt(share) {
      const span = drawn.find(({ at, width }) => share <= at + width) ?? drawn[drawn.length - 1];
      const within = Math.min(1, Math.max(0, (share - span.at) / span.width));
      return span.from + within * (span.to - span.from);
    },
  };
}

/** Full and half hours that are drawn, or finer where there is room: each with its place, %. @param stepS between two */
export function ticksOf(
  scale: TimetableScale,
  stepS: number,
): readonly { readonly at: number; readonly seconds: number }[] {
  return scale.drawn.flatMap(({ from, to }) => {
    const first = Math.ceil(from / stepS) * stepS;
    const count = Math.max(0, Math.floor((to - first) / stepS) + 1);
    return Array.from({ length: count }, (_, i) => ({ seconds: first + i * stepS, at: scale.at(first + i * stepS) }));
  });
}

/** How full a shelf is over time: corners of a path in % across and 0 to 1 up. */
export function fullness(
  uses: readonly { readonly from: number; readonly to: number; readonly m2: number }[],
  scale: TimetableScale,
): { readonly peakM2: number; readonly path: string } {
  const changes = uses
    .flatMap(({ from, to, m2 }) => [
      { at: from, by: m2 },
      { at: to, by: -m2 },
    ])
    .sort((a, b) => a.at - b.at || a.by - b.by);
  let level = 0;
  let peakM2 = 0;
  const steps = changes.map(({ at, by }) => {
    level += by;
    peakM2 = Math.max(peakM2, level);
    return { x: scale.at(at), level };
  });
  let before = 0;
  const points = steps.flatMap(({ x, level: now }) => {
    const corner = [`${x.toFixed(3)} ${up(before, peakM2)}`, `${x.toFixed(3)} ${up(now, peakM2)}`];
    before = now;
    return corner;
  });
  return { peakM2, path: `M${['0 1', ...points, '100 1'].join('L')}z` };
}

const up = (level: number, peak: number): string => (1 - (peak > 0 ? Math.max(0, level) / peak : 0)).toFixed(4);
