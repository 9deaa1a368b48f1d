import type { FinishAnswer } from '../../core/finish/finish';
import type { Finish } from '../../core/record/casting';
import type { StuckBy } from '../../core/record/choices';
import type { ClosingNumber, Closure, ClosureKind, NumberOf } from '../../core/record/closing';
import type { Keeping } from '../../core/matter/filling';

interface ChoiceWords {
  readonly label: string;
  readonly names: Readonly<Record<string, string>>;
}

/** How a way of closing is written of. */
interface ClosingWords<K extends ClosureKind> {
  /** As it is chosen. */
  readonly name: string;
  /** What its chocolate is called where amounts are weighed out. */
  readonly mass: string;
  /** What the drawing of a piece calls it. */
  readonly label: string;
  /** Its numbers. */
  readonly fields: Readonly<Record<NumberOf<K>, string>>;
  /** What it leaves to choose, and what each is called. */
  readonly choices?: Readonly<Record<string, ChoiceWords>>;
  /** What the hands do, step by step; `onBase` where a shell is set on its base instead of on another half. */
  readonly steps: (closure: Extract<Closure, { kind: K }>, serves: number, onBase: boolean) => readonly string[];
}

const CLOSING_WORDS: { readonly [K in ClosureKind]: ClosingWords<K> } = {
  warmPlate: {
    name: 'on a warm plate',
    mass: '',
    label: 'Rim lost on the plate',
    fields: { plateC: 'Plate', seconds: 'Rim on it', levelS: 'Level first' },
    choices: { rims: { label: 'Melted to join', names: { empty: 'the empty half', both: 'both rims' } } },
    steps: ({ seconds, levelS, rims }, serves, onBase) => [
      'Warm the plate about 1 min in the microwave, or take a pan off the heat.',
      ...(levelS > 0
        ? [
            `Before anything is filled in: every rim down for about ${Math.round(levelS)} s, until it sits flat. Let it set.`,
          ]
        : []),
      rims === 'both'
        ? `Then both rims down for about ${Math.round(seconds)} s, and straight onto each other.`
        : `${levelS > 0 ? 'Then the empty half' : 'Rim'} down for about ${Math.round(seconds)} s, until it is ${levelS > 0 ? 'wet' : 'flat and melted'} all round${levelS > 0 ? '; what lies on the plate is its glue' : ''}.`,
      `${rims === 'both' ? 'Set the empty one on' : `Lift straight off and set it on`} the ${onBase ? 'base' : 'filled half'}. Warm the plate again after ${serves}.`,
      'Wipe the plate before another colour.',
    ],
  },
  pipedSeam: {
    name: 'piped seam',
    mass: 'Seams',
    label: 'Seam',
    fields: { lineM: 'Line, wide' },
    steps: (_, __, onBase) => [
      `Pipe a line round the rim${onBase ? '' : ' of the filled half'}.`,
      `Set the ${onBase ? 'base' : 'other half'} on, and count to five.`,
      'Wipe what comes out with a gloved finger, once round.',
      ...(onBase ? ['Turn it over once the line has set.'] : []),
    ],
  },
  cap: {
    name: 'cap, flush with the rim',
    mass: 'Caps',
    label: 'Cap',
    fields: {},
    steps: () => [
      'Fill no higher than the line: the rim stays clean.',
      'Pipe from the edge inward, so that it seals.',
      'Tap to level, scrape the mold clean.',
      'Let it set: cap, filling and shell together. What stands over the rim is then cut off with a small knife.',
    ],
  },
  dosedCap: {
    name: 'cap, by the spoon',
    mass: 'Caps',
    label: 'Cap',
    fields: { doseM3: 'Chocolate on each' },
    steps: () => [
      'Spoon it on the filling, from the edge inward, so that it seals.',
      'Tap to level.',
      'Set, then take the pieces out.',
    ],
  },
  lid: {
    name: 'lid, glued on',
    mass: 'Glue for lids',
    label: 'Glue line',
    fields: { lineM: 'Line, wide' },
    steps: () => [
      'Pipe a line round the rim.',
      'Set the lid on, and hold it while you count to five.',
      'Wipe what comes out.',
    ],
  },
  plug: {
    name: 'hole, plugged',
    mass: 'Plugs',
    label: 'Plug',
    fields: { holeM: 'Hole, across', thicknessM: 'Plug, thick' },
    steps: () => [
      'To open a bought shell: a row of small holes round half of its base, and the piece between breaks out. It stands in a small bowl while it is filled.',
      'Cast the plug on paper, or melt the edge of the hole a little.',
      'Pipe a ring round the hole, set the plug in, smooth it over.',
    ],
  },
};

/** How a way of closing is written of, apart from its steps. */
export const closingWords = (
  kind: ClosureKind,
): Pick<ClosingWords<ClosureKind>, 'name' | 'mass' | 'label' | 'choices'> & {
  readonly fields: Readonly<Partial<Record<ClosingNumber, string>>>;
} => CLOSING_WORDS[kind];

/** What the hands do, step by step, where a plate or a seam joins two halves or sets a shell on its base. */
export function closingSteps(closure: Closure, serves: number, joins: 'halves' | 'base' = 'halves'): readonly string[] {
  const { steps } = CLOSING_WORDS[closure.kind] as ClosingWords<ClosureKind>;
  return steps(closure as never, serves, joins === 'base');
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
  {
    name: 'A smear or a print',
    time: '1 min',
    how: 'Shave it off with a smooth knife, or wipe it with kitchen paper. Nothing wet.',
  },
];

export const FINISH_NAMES: Readonly<Record<Finish['kind'], string>> = {
  drizzle: 'drizzle',
  sprinkle: 'sprinkles',
  dust: 'dust',
  paint: 'paint',
  stickOn: 'stuck on',
};

/** What holds a part that is stuck on. */
export const STUCK_NAMES: Readonly<Record<StuckBy, string>> = {
  dot: 'a dot of chocolate',
  melted: 'its own foot, melted',
};

/** What to mind with each. */
const FINISH_TEXTS: Readonly<Record<Finish['kind'], string>> = {
  drizzle: 'From a bag or a fork, quickly from side to side.',
  sprinkle: 'On while what is under them is wet, heavy ones pressed in; then the cold.',
  dust: 'With a soft brush, on a dry piece at room temperature: on a cold, damp one it goes spotty.',
  paint: 'Dust in a little spirit, or coloured cocoa butter at about 29 °C. Let each colour dry before the next.',
  stickOn: 'A dot of chocolate, held until it stays; on a cold piece it takes at once. The biggest first.',
};

/** What to mind with a finish. */
export function finishText({ finish, wet }: Pick<FinishAnswer, 'finish' | 'wet'>): string {
  if (wet) return 'In the mold, while its open face is wet; heavy ones pressed in. Then the cold.';
  return finish.kind === 'stickOn' && finish.by === 'melted' ? MELTED_ON : FINISH_TEXTS[finish.kind];
}

const MELTED_ON =
  'Cut a notch with a hot, dry knife, melt the foot of the part on the warm plate, set it into the notch and hold it.';

/** How long a piece keeps, in broad classes. */
export const KEEPING_TEXTS: Readonly<Record<Keeping, string>> = {
  dry: 'keeps as the chocolate itself does: closed, dry and cool',
  weeks: 'keeps two to three weeks, closed and cool',
  days: 'keeps some days, closed and in the cold',
};
