import type { CastingPlan } from '../../core/plan/plan-types';
import { suppliesOf } from '../../core/plan/supplies';
import { isCap, isLid, isOnPlate } from '../../core/record/closing';
import { careWanted } from '../../core/record/mold-care';
import { fillsLevel, isClamped, isTurned, tippedOut, type Method } from '../../core/record/method';
import type { PrepKind } from '../../core/record/prep';

/** Something to be laid out before the chocolate is melted, and when: common practice, no source. */
interface ToolRow {
  readonly name: (plan: CastingPlan) => string;
  readonly when: (plan: CastingPlan) => boolean;
}

const made = ({ parts }: CastingPlan, by: (method: Method) => boolean): boolean =>
  parts.some(({ coatsMade }) => coatsMade.some(({ method }) => by(method)));
const methodsOf = (coats: readonly { readonly method: Method }[]): Method[] => coats.map(({ method }) => method);
const is =
  (...methods: readonly Method[]) =>
  (plan: CastingPlan): boolean =>
    made(plan, (method) => methods.includes(method));
const painted = ({ parts }: CastingPlan, ...kinds: readonly PrepKind[]): boolean =>
  parts.some(({ part }) => part.prep.some(({ kind }) => kinds.includes(kind)));
const always = (name: string): Pick<ToolRow, 'name'> => ({ name: () => name });
const counted = (count: number, one: string, more: string): string => (count === 1 ? one : `${count} ${more}`);

const clamped = ({ parts }: CastingPlan) =>
  parts.filter(({ coatsMade }) => coatsMade.some(({ method }) => isClamped(method)));
/** A clamp for each cavity, two for each mold at least, as many as the fullest round closes. Working rule. */
const clampsOf = (plan: CastingPlan): number =>
  Math.max(
    ...clamped(plan).map(({ part, cavities }) => {
      const perRound = plan.batch.byPart.find(({ partId }) => partId === part.id)?.perRound ?? 0;
      return Math.ceil(perRound / cavities) * Math.max(2, cavities);
    }),
  );
/** They hold both halves of a mold by their edges. */
const clampedWallM = (plan: CastingPlan): number =>
  Math.max(...clamped(plan).map(({ moldRecord }) => moldRecord.wallM));
const sticksOf = (plan: CastingPlan): number =>
  suppliesOf(plan).reduce((sum, { kind, count }) => sum + (kind === 'stick' ? count : 0), 0);

const TOOLS: readonly ToolRow[] = [
  {
    name: ({ melts }) => counted(melts.length, 'A dry bowl and a spatula', 'dry bowls, a spatula for each'),
    when: () => true,
  },
  { ...always('Thermometer'), when: ({ melts }) => melts.some(({ input }) => input.kind !== 'compound') },
  {
    ...always('A new paintbrush or a silicone brush, dry'),
    when: (plan) => is('brush', 'paint')(plan) || painted(plan, 'detail', 'brushed', 'dust'),
  },
  { ...always('A fine brush and a ball-ended tool for painted details'), when: (plan) => painted(plan, 'detail') },
  {
    ...always('Spray gun, a mask, a sieve for the cocoa butter, and paper round the mold'),
    when: (plan) => painted(plan, 'sprayed'),
  },
  { ...always('Teaspoon'), when: is('spoon', 'brush', 'spreadUp') },
  { ...always('Ladle, and a scraper for the top of the mold'), when: (plan) => made(plan, tippedOut) },
  { ...always('Offset spatula to level with'), when: (plan) => made(plan, fillsLevel) },
  { ...always('Funnel, and the lid of the vessel'), when: (plan) => made(plan, isTurned) },
  {
    name: (plan) =>
      `${clampsOf(plan)} clamps that open wider than ${Math.ceil(2e3 * clampedWallM(plan))} mm, and a towel to prop the molds level`,
    when: (plan) => made(plan, isClamped),
  },
  {
    ...always('A rack over a tray lined with parchment: what runs off there goes back into the pot'),
    when: ({ parts }) => parts.some(({ coatsMade }) => coatsMade.some(({ wayUp }) => wayUp === 'upsideDown')),
  },
  {
    ...always('A tray to carry the liners on'),
    when: ({ parts }) => parts.some(({ moldRecord }) => moldRecord.material === 'paper'),
  },
  {
    ...always('A bowl that it stands in, parchment under it'),
    when: ({ parts }) => parts.some(({ moldRecord }) => moldRecord.composition.kind === 'former'),
  },
  {
    ...always('Soft cotton to buff the cavities with'),
    when: ({ parts }) =>
      parts.some(({ moldRecord: { care }, coatsMade }) => {
        const wanted = careWanted(care, methodsOf(coatsMade));
        return wanted.includes('buff') || wanted.includes('hotWater');
      }),
  },
  { name: (plan) => `${sticksOf(plan)} sticks`, when: (plan) => sticksOf(plan) > 0 },
  {
    ...always('A fork to dip with, and parchment to set them down on'),
    when: ({ parts }) => parts.some(({ dips }) => dips.length > 0),
  },
  { ...always('A plate or pan to warm'), when: ({ closure }) => isOnPlate(closure) },
  {
    ...always('Piping bag'),
    when: ({ closure, finishes }) =>
      isCap(closure) ||
      isLid(closure) ||
      closure?.kind === 'pipedSeam' ||
      closure?.kind === 'plug' ||
      finishes.some(({ finish }) => finish.kind === 'drizzle' || finish.kind === 'stickOn'),
  },
  { ...always('Thin gloves, paper to turn out on, a fresh sheet before decorating'), when: () => true },
];

/** What the work of a casting wants at hand, in the order of its use. */
export function toolsFor(plan: CastingPlan): readonly string[] {
  return TOOLS.filter(({ when }) => when(plan)).map(({ name }) => name(plan));
}
