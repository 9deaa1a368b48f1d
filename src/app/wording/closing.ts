import type { Closure, Finish } from '../../core/record/casting';
import type { ClosureKind } from '../../core/record/choices';
import type { Keeping } from '../../core/matter/filling';

/** How a piece is closed, as it is chosen. */
export const CLOSURE_NAMES: Readonly<Record<ClosureKind, string>> = {
  warmPlate: 'on a warm plate',
  pipedSeam: 'piped seam',
  cap: 'cap in the mold',
  lid: 'lid, glued on',
  plug: 'hole, plugged',
};

/** What its chocolate is called where amounts are weighed out. */
export const CLOSURE_MASS_NAMES: Readonly<Record<ClosureKind, string>> = {
  warmPlate: '',
  pipedSeam: 'Seams',
  cap: 'Caps',
  lid: 'Glue for lids',
  plug: 'Plugs',
};

/** What the drawing of a piece calls it. */
export const CLOSING_LABELS: Readonly<Record<ClosureKind, string>> = {
  warmPlate: 'Rim lost on the plate',
  pipedSeam: 'Seam',
  cap: 'Cap',
  lid: 'Glue line',
  plug: 'Plug',
};

/** What the hands do, step by step, where a plate or a seam joins two halves or sets a shell on its base. */
export function closingSteps(closure: Closure, serves: number, joins: 'halves' | 'base' = 'halves'): readonly string[] {
  const onBase = joins === 'base';
  switch (closure.kind) {
    case 'warmPlate':
      return [
        'Warm the plate about 1 min in the microwave, or take a pan off the heat.',
        `Rim down for about ${Math.round(closure.seconds)} s, until it is flat and melted all round.`,
        `Lift straight off and set it on the ${onBase ? 'base' : 'filled half'}. Warm the plate again after ${serves}.`,
        'Wipe the plate before another colour.',
      ];
    case 'pipedSeam':
      return [
        `Pipe a line round the rim${onBase ? '' : ' of the filled half'}.`,
        `Set the ${onBase ? 'base' : 'other half'} on, and count to five.`,
        'Wipe what comes out with a gloved finger, once round.',
        ...(onBase ? ['Turn it over once the line has set.'] : []),
      ];
    case 'cap':
      return [
        'Fill no higher than the line: the rim stays clean.',
        'Pipe from the edge inward, so that it seals.',
        'Tap to level, scrape the mold clean.',
        'Set, then turn the pieces out.',
      ];
    case 'lid':
      return [
        'Pipe a line round the rim.',
        'Set the lid on, and hold it while you count to five.',
        'Wipe what comes out.',
      ];
    case 'plug':
      return [
        'Cast the plug on paper, or melt the edge of the hole a little.',
        'Pipe a ring round the hole, set the plug in, smooth it over.',
      ];
  }
}

/** Short procedures for what went wrong, with their minutes. */
export const REPAIRS: readonly { readonly name: string; readonly time: string; readonly how: string }[] = [
  {
    name: 'A hairline gap',
    time: '5 min',
    how: 'Dab slightly cooled chocolate on: hot chocolate opens it further. Let it set before you turn the piece.',
  },
  {
    name: 'A cracked part',
    time: '15 min',
    how: 'Back into its cavity, patch it from the inside with a brush, chill until hard, unmold again.',
  },
  {
    name: 'A rim gone lopsided',
    time: '2 min',
    how: 'A second on the plate, flat, with no weight on it. More makes it shorter.',
  },
];

export const FINISH_NAMES: Readonly<Record<Finish['kind'], string>> = {
  drizzle: 'drizzle',
  sprinkle: 'sprinkles',
  dust: 'dust',
  paint: 'paint',
  stickOn: 'stuck on',
};

/** What to mind with each. */
export const FINISH_TEXTS: Readonly<Record<Finish['kind'], string>> = {
  drizzle: 'From a bag or a fork, quickly from side to side.',
  sprinkle: 'On while what is under them is wet.',
  dust: 'With a soft brush, on a dry piece at room temperature: on a cold, damp one it goes spotty.',
  paint: 'Dust in a little spirit, or coloured cocoa butter at about 29 °C. Let each colour dry before the next.',
  stickOn: 'A dot of chocolate, held until it stays; on a cold piece it takes at once. The biggest first.',
};

/** How long a piece keeps, in broad classes. */
export const KEEPING_TEXTS: Readonly<Record<Keeping, string>> = {
  dry: 'keeps as the chocolate itself does: closed, dry and cool',
  weeks: 'keeps two to three weeks, closed and cool',
  days: 'keeps some days, closed and in the cold',
};
