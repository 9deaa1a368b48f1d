import { COCOA_BUTTER_COLOUR } from '../../core/matter/cocoa-butter';
import type { PrepAnswer } from '../../core/prep/prep';
import { cocoaButterColour } from '../../core/melt/preparations';
import type { UnitSystem } from '../../core/quantity/units';
import type { Prep } from '../../core/record/casting';
import { prepRow, type Pattern, type PrepKind } from '../../core/record/prep';
import { chocolateOf, meltOf } from '../../core/record/references';
import { placeOf, restsOf } from '../../core/record/sets';
import { rangeText, text } from './format';
import { PLACE_NAMES } from './names';

interface PrepWording {
  /** Among other kinds. */
  readonly name: string;
  /** As something to add. */
  readonly add: string;
  /** As a step of the work. */
  readonly verb: string;
  /** What a new one is called. */
  readonly colour: string;
  /** How it is done. */
  readonly how: string;
  /** What of that the sheet says. */
  readonly brief: string;
}

const { meltC, useC, restFromS, restToS, restMostS, restFromC, restToC } = COCOA_BUTTER_COLOUR;
const hours = (seconds: number): number => seconds / 3600;

/** What goes into the empty mold, in words. Ways of working: common practice, no source. */
export const PREP_WORDS: Readonly<Record<PrepKind, PrepWording>> = {
  detail: {
    name: 'chocolate, brushed or piped',
    add: 'chocolate details',
    verb: 'Paint',
    colour: 'Details',
    how: 'A fine brush for eyes and edges, a ball-ended tool for round spots, a bag or tube for wide areas. Each colour sets before the next, in the fridge, 2 min at most. By itself never in the freezer: the filled mold may go there.',
    brief: 'Fine brush, ball-ended tool or bag; each colour sets before the next.',
  },
  brushed: {
    name: 'cocoa butter, brushed',
    add: 'brushed colour',
    verb: 'Brush in',
    colour: 'Red cocoa butter',
    how: `Melted at ${meltC} °C, strained, used at about ${useC} °C. Each colour sets before the next, in the fridge, 2 min at most; never in the freezer.`,
    brief: `Used at about ${useC} °C; each colour sets before the next.`,
  },
  sprayed: {
    name: 'cocoa butter, sprayed',
    add: 'sprayed colour',
    verb: 'Spray',
    colour: 'Red cocoa butter',
    how: `Melted at ${meltC} °C, strained, used at about ${useC} °C. As much again goes beside the mold. It rests ${hours(restFromS)} to ${hours(restToS)} h, ${hours(restMostS)} h if you like, at ${restFromC} to ${restToC} °C before anything is cast on it.`,
    brief: `Used at about ${useC} °C, as much again goes beside; rests ${hours(restFromS)} to ${hours(restToS)} h at ${restFromC} to ${restToC} °C.`,
  },
  dust: {
    name: 'dust, brushed dry',
    add: 'dust',
    verb: 'Dust',
    colour: 'Gold dust',
    how: 'Brushed thickly into the bone-dry mold. Then pour gently, or it washes off. Dark chocolate under it makes it look like old gold, white makes it bright.',
    brief: 'Thickly, into the bone-dry mold; then pour gently.',
  },
};

interface PatternWording {
  /** Among others. */
  readonly name: string;
  /** As a step of the work has it. */
  readonly said: (step: Prep) => string;
  /** How it is done, after how the colour is. */
  readonly how: string;
}

export const PATTERN_WORDS: Readonly<Record<Pattern, PatternWording>> = {
  all: { name: 'all', said: () => 'all over', how: '' },
  half: {
    name: 'half',
    said: () => 'one half',
    how: ' One side of every cavity; mask the other, or hold the gun from that side.',
  },
  stripes: {
    name: 'stripes',
    said: ({ share }) => `stripes over ${Math.round(100 * share)} %`,
    how: ' Broad at the edge and narrowing inward; what is left free shows the coat behind.',
  },
  spots: { name: 'spots', said: ({ count }) => `${count} ${count === 1 ? 'spot' : 'spots'}`, how: '' },
};

/** How a step is done. */
export function prepText({ kind, pattern }: Prep): string {
  return PREP_WORDS[kind].how + PATTERN_WORDS[pattern].how;
}

/** "12 spots, 0.03 g": how much of what goes into a cavity. */
function prepAmount({ step, mass }: PrepAnswer, system: UnitSystem): string {
  return `${PATTERN_WORDS[step.pattern].said(step)}, ${text(mass.value, 'mass', system)}`;
}

type Named = Parameters<typeof chocolateOf>[0] & Parameters<typeof meltOf>[0];

/** What a step is done with: the chocolate of its melt, or its colour as one calls it. */
export function prepName(casting: Named, step: Prep): string {
  return 'meltId' in step ? chocolateOf(casting, meltOf(casting, step.meltId)).name : step.name;
}

/** A step as the sheet has it: how much of it, what is used up, and where it waits for how long. */
export function prepStep(casting: Named, prep: PrepAnswer, parts: number, system: UnitSystem): string {
  const { step, takes, stay } = prep;
  const mass = (kg: number): string => text(kg, 'mass', system);
  const rests = restsOf(step).map(
    ({ place, seconds }) => `${text(seconds, 'duration', system)} in the ${PLACE_NAMES[place]}, then `,
  );
  // What rests by rule has no likely range: how it may be longer is said with it.
  const likely = stay.rule === 'prep.sets' ? rangeText(stay, system) : '';
  const waits = !Number.isFinite(stay.value)
    ? ` The ${PLACE_NAMES[placeOf(step)]}: it does not set there, see the notes.`
    : stay.value > 0
      ? ` Then ${rests.join('')}${text(stay.value, 'duration', system)}${likely ? ` (${likely})` : ''} in the ${PLACE_NAMES[placeOf(step)]}.`
      : '';
  const job = takes.value * parts;
  const mixed = prepRow(step.kind).of === 'cocoaButter' ? `, or ${mixText(job, system)}` : '';
  return `${prepName(casting, step)}, ${prepAmount(prep, system)} a cavity; ${mass(job)} in all${mixed}. ${PREP_WORDS[step.kind].brief}${waits}`;
}

/** What coloured cocoa butter is mixed of, where it is not bought so. */
function mixText(kg: number, system: UnitSystem): string {
  const { colour, cocoaButter } = cocoaButterColour(kg);
  return `${text(colour.value, 'mass', system)} colour in ${text(cocoaButter.value, 'mass', system)} cocoa butter`;
}
