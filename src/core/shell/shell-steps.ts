/** How long the steps of a shell's run are. */
export const STEP = {
  /** The first after something was laid, the shortest and the longest there are, s. */
  firstS: 0.02,
  shortestS: 1e-5,
  longestS: 60,
  /** A step is at most so many times as long as the one before; one that moves further than this many times what is wanted is followed by a much shorter one. */
  growth: 1.7,
  leastGrowth: 0.2,
  /** What a step may change: thickness as a share, temperature in kelvin. */
  changeShare: 0.05,
  changeK: 0.5,
  /** Likewise of a film that stands still, whose warmth tells nothing but when it has set. */
  stillChangeK: 1,
  /** After this many steps of one stretch they may change more: a thin liquid that creeps over a dry wall would else take thousands. */
  many: 150,
  /** A film that still runs after so many steps of a stretch, or finds no step short enough, is of no shell: it is held still for the rest of it. */
  most: 1500,
};
