import type { PartDraft } from '../../core/plan/plan-types';
import { MOLD_MATTER } from '../../core/matter/mold-material';
import { fillsLevel, isClamped, isTurned } from '../../core/record/method';

/** A coat as it is looked after by hand: common practice, no source. */
type Coated = Pick<PartDraft, 'moldRecord' | 'coatsMade' | 'coat'>;

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

const HANDLING: readonly Handling[] = [
  {
    text: 'In two pours: the top and the sides, which set; then turned over, and the rest down to the opening, over the edge of the first. What runs off is spooned on again from below and smoothed.',
    brief: 'in two pours, the second over the edge of the first',
    when: ({ moldRecord }) => moldRecord.composition.kind === 'former' && moldRecord.material === 'film',
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

/** What the hands look after while a part is coated, in the order of the work. */
export function handlingTexts(part: Coated): readonly string[] {
  return HANDLING.filter(({ when }) => when(part)).map(({ text }) => text);
}

/** The same in a line, before the cold; empty where there is nothing. */
export function handlingLine(part: Coated): string {
  return HANDLING.filter(({ brief, when }) => brief && when(part))
    .map(({ brief }) => brief)
    .join(', ');
}
