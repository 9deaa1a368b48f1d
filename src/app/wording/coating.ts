import type { PartDraft } from '../../core/plan/plan-types';
import { MOLD_MATTER } from '../../core/matter/mold-material';
import { fillsLevel, isClamped, isTurned } from '../../core/record/method';
import { liesOnSide } from '../../core/shell/coat-choice';

/** A coat as it is looked after by hand: common practice, no source. */
type Coated = Pick<PartDraft, 'part' | 'moldRecord' | 'coatsMade' | 'coat' | 'cavity'>;

interface Handling {
  /** As a sentence beside the fields. */
  readonly text: string;
  /** The same within a line on the sheet. */
  readonly brief: string;
  readonly when: (part: Coated) => boolean;
}

/** Filled no deeper than this it is a thin disc or base, m. Working rule. */
const THIN_BASE_M = 0.006;

const open = ({ moldRecord, coatsMade }: Coated): boolean =>
  moldRecord.composition.kind !== 'press' &&
  moldRecord.composition.kind !== 'former' &&
  !coatsMade.some(({ method }) => isTurned(method));
const onWall = (part: Coated): boolean => open(part) && !part.coatsMade.some(({ method }) => fillsLevel(method));
/** What is peeled off afterwards, a liner or a leaf, lies in the hand. */
const inMold = ({ moldRecord }: Coated): boolean => !MOLD_MATTER[moldRecord.material].peeled;
const level = (part: Coated): boolean => open(part) && !onWall(part);

/** How a stick goes in. */
export const STICK_TEXT =
  'In once it is filled, turned until it is coated all round; then the cold. It takes the room of that much chocolate.';

const HANDLING: readonly Handling[] = [
  {
    text: 'In two pours: the top and the sides, which set; then turned over, and the rest down to the opening, over the edge of the first. What runs off is spooned on again from below and smoothed.',
    brief: 'in two pours, the second over the edge of the first',
    when: ({ moldRecord }) => moldRecord.composition.kind === 'former' && moldRecord.material === 'film',
  },
  {
    text: 'Between two turns it lies on its side, each time rolled a third further; now and then it stands on its head for a moment, so that shoulder and base are covered.',
    brief: 'between turns on its side, each time rolled further',
    when: ({ cavity, coatsMade: [coat] }) => liesOnSide(cavity, coat),
  },
  {
    text: 'Tilt the tin round until its wall is covered, tip out what is left; the base is built up afterwards, spoon by spoon.',
    brief: 'tilt it until the wall is covered',
    when: (part) => part.moldRecord.material === 'tin' && onWall(part),
  },
  {
    text: 'Raised pictures and letters: brush a little into them first, so that they fill without bubbles.',
    brief: '',
    when: (part) => level(part) && MOLD_MATTER[part.moldRecord.material].rigid,
  },
  {
    text: 'Up to the line, then the insert straight down and firmly, until chocolate shows at the rim all round; then the cover.',
    brief: '',
    when: ({ moldRecord }) => moldRecord.composition.kind === 'press',
  },
  {
    text: 'Work some into narrow places first with a brush: stems, ears, heels.',
    brief: 'brush it into narrow places first',
    when: (part) => open(part) && part.moldRecord.composition.kind === 'figure',
  },
  {
    text: 'Fill its narrow places first, solid, with a brush: heel, handle, neck. They break first, so turn it out by the body.',
    brief: 'fill narrow places solid first',
    when: (part) => part.coat.narrow !== undefined,
  },
  {
    text: 'Brush a little more over the edges that stand into the mold, as a notch does: it is thinnest there.',
    brief: 'brush once more over the inner edges',
    when: (part) => part.coat.overEdges !== undefined,
  },
  {
    text: 'Drop the mold flat, three or four times from 10 to 13 cm, so that bubbles let go of the wall.',
    brief: 'drop it flat, three or four times',
    when: (part) => onWall(part) && inMold(part),
  },
  {
    text: 'If a set coat slips loose while you work the next, lay it back into its place and go on.',
    brief: '',
    when: (part) => onWall(part) && part.coatsMade.length > 1,
  },
  {
    text: 'Hold it against the light before the cold: bald spots show, and are brushed over.',
    brief: 'brush where light shines through',
    when: onWall,
  },
  {
    text: 'Wipe the edge clean with a finger while it is wet.',
    brief: 'wipe the wet edge',
    when: open,
  },
  {
    // Said beside its fields.
    text: '',
    brief: 'a stick in each, turned until it is coated',
    when: ({ part }) => part.stick !== undefined,
  },
  {
    text: 'Shake the mold gently until the back is level, or leave it rough where it will not be seen.',
    brief: 'shake the back level',
    when: (part) => level(part) && !part.coatsMade.some(({ method }) => isClamped(method)),
  },
  {
    text: 'A base this thin is piped in rings, from the outside in, and shaken together.',
    brief: 'pipe it in rings from the outside in',
    when: (part) => level(part) && part.coat.total.base.value <= THIN_BASE_M,
  },
];

/** Bits no larger than this show as specks in a coat and leave it whole; larger ones tear it, m. Working rules. */
const SPECK_M = 0.0022;

/** What something stirred in does to a coat's look, by how large its bits are; undefined for what is no bits. */
export function mixedInText(pieceM: number | undefined): string {
  if (pieceM === undefined)
    return 'Fine or soft things make a coat duller and thicker: stir in little, and test how it runs.';
  return pieceM <= SPECK_M
    ? 'Tiny bright ones show as specks; metallic ones lose their shine under chocolate. What is poured back is speckled.'
    : 'Too large for a coat: they hide in it, stand off the mold and weaken the rim. Take tiny ones, or strew these on.';
}

/** What the hands look after while a part is coated, in the order of the work. */
export function handlingTexts(part: Coated): readonly string[] {
  return HANDLING.filter(({ text, when }) => text && when(part)).map(({ text }) => text);
}

/** The same in a line, before the cold; empty where there is nothing. */
export function handlingLine(part: Coated): string {
  return HANDLING.filter(({ brief, when }) => brief && when(part))
    .map(({ brief }) => brief)
    .join(', ');
}
