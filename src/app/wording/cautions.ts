import type { PartDraft, PlanDraft, StationKey } from '../../core/plan/plan-types';
import { isOnPlate } from '../../core/record/closing';
import { isTurned } from '../../core/record/method';
import type { FillingKind } from '../../core/matter/filling';

/**
 * What can hurt somebody: where it is said beside the work, and when. The sheet says all of it, and the tag what the guest has to know.
 * Usual cautions, no source.
 */
interface Caution {
  readonly text: string;
  readonly guest?: string;
  readonly at: readonly StationKey[];
  readonly when: (plan: PlanDraft) => boolean;
}

const anyPart =
  (when: (part: PartDraft) => boolean) =>
  ({ parts }: PlanDraft): boolean =>
    parts.some(when);
const filledWith =
  (...kinds: readonly FillingKind[]) =>
  ({ parts }: PlanDraft): boolean =>
    parts.some(({ fill }) => fill.layers.some(({ choice }) => kinds.includes(choice.filling.kind)));

const isFormed = anyPart(({ moldRecord }) => moldRecord.composition.kind === 'former');
const isOverBalloon = anyPart(
  ({ moldRecord: { composition, material } }) => composition.kind === 'former' && material === 'film',
);
const forTheCup = filledWith('powder');
/** Wider than this it is broken, not bitten, m. Working rule. */
const BROKEN_M = 0.06;
/** Closed all round something loose, and too large for a bite. */
const toBeBroken = (plan: PlanDraft): boolean =>
  !forTheCup(plan) &&
  filledWith('sweets', 'surprise', 'marshmallow')(plan) &&
  (plan.closure !== null || plan.clamped) &&
  plan.parts.some(({ cavity }) => cavity.spanM >= BROKEN_M);

const CAUTIONS: readonly Caution[] = [
  {
    text: 'Small things inside are a choking hazard: say so, and keep them from small children.',
    guest: 'What is inside is not to be eaten and can choke: take it out, and keep it from small children.',
    at: ['fill'],
    when: ({ piece }) => piece.inedible,
  },
  {
    text: 'Latex: ask about allergies. Count the scraps of the balloon and find every one, as they choke.',
    at: ['mold', 'fill', 'chill'],
    when: isOverBalloon,
  },
  {
    text: 'Glass is never cut off food: a splinter in chocolate cannot be seen. Take a clean plastic bottle or a tin instead.',
    at: ['mold', 'chill'],
    when: anyPart(({ moldRecord }) => moldRecord.material === 'glass'),
  },
  {
    text: 'Cut plastic slowly, the knife away from every hand.',
    at: ['mold', 'chill'],
    when: anyPart(
      ({ moldRecord, coatsMade }) =>
        moldRecord.material === 'thinPlastic' && coatsMade.some(({ method }) => isTurned(method)),
    ),
  },
  {
    text: 'Cut chocolate slowly on a board, the knife away from every hand.',
    at: ['chill', 'close'],
    when: (plan) => isFormed(plan) || plan.closure?.kind === 'dosedCap',
  },
  {
    text: 'Cut edges of a tin are sharp.',
    at: ['mold', 'chill'],
    when: anyPart(({ moldRecord }) => moldRecord.material === 'tin'),
  },
  {
    text: 'A leaf as a mold: only of a plant known to be harmless, unsprayed, washed and bone dry.',
    at: ['mold'],
    when: anyPart(({ moldRecord: { composition, material } }) => composition.kind !== 'former' && material === 'film'),
  },
  {
    text: 'Sprayed cocoa butter harms the lungs and feeds a flame: air the room, wear a mask, no fire near it.',
    at: ['mold'],
    when: anyPart(({ part }) => part.prep.some(({ kind }) => kind === 'sprayed')),
  },
  {
    text: 'Only colours and dusts sold as food: “non-toxic” is not “edible”, and what is allowed differs by country.',
    at: ['mold'],
    when: anyPart(({ part }) => part.prep.length > 0),
  },
  {
    text: 'Hot sugar and cream burn and spatter: a deep pan, and nobody small beside it.',
    at: ['fill'],
    when: filledWith('caramel'),
  },
  {
    text: 'Cook egg custard through.',
    at: ['fill'],
    when: filledWith('custard'),
  },
  {
    text: 'A knife heated for melting burns as a flame does: dry it, hold it by the handle, lay it down cold.',
    at: ['finish'],
    when: ({ finishes }) => finishes.some(({ finish }) => finish.kind === 'stickOn' && finish.by === 'melted'),
  },
  {
    text: 'Hot plates burn: lift parts off at once.',
    at: ['close'],
    when: ({ closure }) => isOnPlate(closure),
  },
  {
    text: 'Hot drinks burn, and milk from a microwave boils over late. For the cup, not to be bitten: tell the guest.',
    guest:
      'For the cup, not to be bitten into. Put it in a mug and pour hot milk over it slowly: hot drinks burn, and milk from a microwave can boil over late.',
    at: ['fill'],
    when: forTheCup,
  },
  {
    text: 'Shards fly when it is broken open: mind eyes.',
    guest: 'To be broken open with one short knock, a cloth over it: shards fly, mind eyes.',
    at: ['close'],
    when: toBeBroken,
  },
  {
    text: 'Hung up, it can fall: a clear floor below it, a hook rated for its weight, and hung last of all.',
    at: ['close'],
    when: isFormed,
  },
];

/** What to mind at a station, by what is really there. */
export function cautionsAt(station: StationKey, plan: PlanDraft): readonly string[] {
  return CAUTIONS.filter(({ at, when }) => at.includes(station) && when(plan)).map(({ text }) => text);
}

/** What whoever is given a piece has to know. */
export function guestCautions(plan: PlanDraft): readonly string[] {
  return CAUTIONS.flatMap(({ guest, when }) => (guest !== undefined && when(plan) ? [guest] : []));
}

/** All that is to be minded. */
export function allCautions(plan: PlanDraft): readonly string[] {
  return CAUTIONS.filter(({ when }) => when(plan)).map(({ text }) => text);
}
