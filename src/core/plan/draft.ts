import { isClamped } from '../record/method';
import type { Cavity } from '../cavity/cavity';
import { depthCurve } from '../cavity/depth-curve';
import { insetLine } from '../cavity/inset';
import { closeStation, type CloseResult } from '../close/close';
import type { CoatResult } from '../coat/coat-answers';
import { dipStation } from '../fill/dip';
import { fillStation, type FillResult } from '../fill/fill';
import { pieceKg, pieceWidthM } from '../fill/packing';
import { warmestOf } from '../fill/warmth';
import { finishStation, type FinishAnswer } from '../finish/finish';
import { moldStation } from '../mold/mold';
import type { Answer } from '../quantity/answer';
import type { Casting, Coat, Part } from '../record/casting';
import { joinsOf, type Closure } from '../record/closing';
import { hasRim } from '../record/choices';
import { asVariant } from '../record/variants';
import { cavityCount } from '../record/mold-cavities';
import {
  cavityRecordOf,
  chocolateOf,
  coatChocolate,
  fillingOf,
  meltOf,
  moldOf,
  type Sources,
} from '../record/references';
import type { Simulated } from '../shell/simulated';
import { chocolateAsWorked, make, makingOf, staysOn } from './making';
import { placesOf } from './makings';
import { closedIn } from './closed-part';
import { coatModels } from './methods';
import { openFaceOf } from './open-face';
import { paintedIn } from './painting';
import { pieceOf } from './piece';
import { isUnseeded } from './temper';
import type { LayerDip, PartDraft, PieceClosing, PlanDraft } from './plan-types';

/**
 * The part of a plan that does not wait for the chill: mold, coat, fill, closing and finishing of every part, and what its chill is to be
 * computed from. By the closed forms, corrected by a simulation where there is one of coats made alike. Takes about a millisecond a part.
 * The casting must be a read (valid) record.
 * @param simulated for each of its makings (`makingsOf`)
 * @param seen the part it is seen from; the first where it is left out
 * @param before of an earlier state of the record: its shells stand where nothing of theirs has changed
 */
export function draftPlan(
  casting: Casting,
  simulated: readonly (Simulated | undefined)[] = [],
  seen?: string,
  before?: PlanDraft,
): PlanDraft {
  const at = placesOf(casting);
  const plain = draftOf(casting, at[0], simulated, before);
  const variants = casting.variants.map((variant, i) => ({
    variant,
    // What is made as in the other pieces is theirs.
    draft: draftOf(asVariant(casting, variant), at[i + 1], simulated, plain),
  }));
  return seenFrom({ ...plain, variants }, seen);
}

/** The draft of a casting's own pieces, or of those of a variant. */
function draftOf(
  casting: Casting,
  at: readonly number[],
  simulated: readonly (Simulated | undefined)[],
  before: PlanDraft | undefined,
): PlanDraft {
  const stands = before && SOURCES.every((key) => before.casting[key] === casting[key]);
  const unfilled = casting.parts.map(
    (part, i): Shell =>
      (stands &&
        before.parts.find(
          (one) => one.part === part && one.makingAt === at[i] && one.simulated === simulated[at[i]],
        )) ||
      shellOf(casting, part, at[i], simulated[at[i]]),
  );
  const parts = unfilled.map((shell): PartDraft => {
    const dips = dipsIn(casting, shell.part);
    return {
      ...shell,
      dips,
      fill: filled(casting, shell, unfilled, dips),
      warmest: warmest(casting, shell),
    };
  });
  const clamped = parts.some(({ coatsMade }) => isClamped(coatsMade[coatsMade.length - 1].method));
  const closure = clamped ? null : casting.closure;
  const closings = closure ? closingsOf(casting, closure, parts) : [];
  const finishes = finished(casting, parts);
  return {
    ...parts[0],
    casting,
    parts,
    clamped,
    closure,
    close: closings[0]?.close,
    closings,
    finishes,
    piece: pieceOf(casting, parts, closings, finishes),
    variants: [],
  };
}

/** A plan as it is seen from another of its parts. */
export function seenFrom<P extends { readonly parts: readonly PartDraft[] }>(plan: P, partId: string | undefined): P {
  const at = plan.parts.find(({ part }) => part.id === partId) ?? plan.parts[0];
  return { ...plan, ...at };
}

type Shell = Omit<PartDraft, 'dips' | 'fill' | 'warmest'>;

/** What is looked at to tell whether a shell still stands: none of the sources may be left out. */
const SOURCES = Object.keys({
  molds: true,
  chocolates: true,
  tints: true,
  fillings: true,
  melts: true,
  kitchen: true,
} satisfies Record<keyof Sources, true>) as (keyof Sources)[];

function shellOf(casting: Sources, part: Part, makingAt: number, simulated: Simulated | undefined): Shell {
  const moldRecord = moldOf(casting, part);
  const cavityRecord = cavityRecordOf(moldRecord, part);
  const { cavity, coat, chillInput } = make(makingOf(casting, part), simulated);
  const models = coatModels(casting, part);
  const coatsMade = coat.coats.map((made, i): Coat => {
    const model = models[i] ?? { ...models[models.length - 1], id: made.choice.id };
    const { doseM3, dwellSeconds, drainSeconds, tappingSeconds } = made.choice;
    const then = staysOn(i, models.length, coat.coats.length) ? model.then : [];
    return { ...model, doseM3, dwellSeconds, drainSeconds, tappingSeconds, then };
  });
  const chocolates = coatsMade.map((made) => coatChocolate(casting, made));
  const mold = moldStation({
    cavity,
    shape: cavityRecord.shape,
    cavities: cavityCount(cavityRecord),
    atHand: moldRecord.atHand,
    chocolateKind: chocolates[0].kind,
  });
  return {
    part,
    moldRecord,
    cavities: cavityCount(cavityRecord),
    cavity,
    preps: paintedIn(casting, part, cavity, moldRecord),
    coatsMade,
    chocolates,
    mold,
    coat,
    chillInput,
    simulated,
    makingAt,
  };
}

/** What of a part's filling is dipped in chocolate before it goes in. */
function dipsIn(casting: Casting, part: Part): LayerDip[] {
  return casting.fill.flatMap(({ id, partId, fillingId, dip }): LayerDip[] => {
    if (!dip || partId !== part.id) return [];
    const melt = meltOf(casting, dip.meltId);
    const made = dipStation({
      filling: fillingOf(casting, fillingId),
      chocolate: chocolateAsWorked(casting, dip.meltId),
      workingC: melt.workingC,
      kitchen: casting.kitchen,
    });
    return made ? [{ layerId: id, meltId: dip.meltId, dip: made }] : [];
  });
}

function filled(
  casting: Casting,
  { part, cavity, coat }: Shell,
  all: readonly Shell[],
  dips: readonly LayerDip[],
): FillResult {
  const over = part.heaped ? otherHalf(part, all) : undefined;
  return fillStation({
    profile: cavity.profile,
    shellM: lining(cavity, coat),
    layers: casting.fill
      .filter((layer) => layer.partId === part.id)
      .map(({ id, fillingId, amount }) => ({
        id,
        filling: dips.find(({ layerId }) => layerId === id)?.dip.dipped ?? fillingOf(casting, fillingId),
        amount,
      })),
    heapInto:
      over && !over.coat.body && !over.cavity.outward ? insetLine(over.cavity.profile, over.coat.totalM) : undefined,
  });
}

function warmest(casting: Casting, { part, coat, chocolates }: Shell): Answer | undefined {
  if (coat.body) return undefined;
  return warmestOf(
    casting.fill.filter(({ partId }) => partId === part.id).map(({ fillingId }) => fillingOf(casting, fillingId)),
    chocolates[chocolates.length - 1].kind,
  );
}

/** What goes on top of a filled part: another of its own kind that is not filled too, or the next shell or lid. */
export function otherHalf<T extends { readonly part: Part }>(part: Part, all: readonly T[]): T | undefined {
  if (part.perPiece > 1) return part.filled === 'one' ? all.find((one) => one.part.id === part.id) : undefined;
  return all.find((one) => one.part.id !== part.id && hasRim(one.part));
}

function closingsOf(casting: Casting, closure: Closure, parts: readonly PartDraft[]): PieceClosing[] {
  return closedIn(casting).flatMap(({ partId, count }) => {
    const part = parts.find((one) => one.part.id === partId);
    return part ? [{ partId, count, close: closed(casting, closure, parts, part, count) }] : [];
  });
}

function closed(
  casting: Casting,
  closure: Closure,
  parts: readonly PartDraft[],
  { cavity, coat, coatsMade, fill, chocolates }: PartDraft,
  count: number,
): CloseResult {
  const { kind, fatShare } = chocolates[chocolates.length - 1];
  const melt = meltOf(casting, closure.meltId);
  const closing = chocolateOf(casting, melt);
  const curve = depthCurve(fill.inside);
  return closeStation({
    closure,
    pieces: casting.pieces * count,
    kitchen: casting.kitchen,
    depthM: coat.body ? Math.max(...coat.coats.map(({ levels }) => levels?.toM ?? 0)) : cavity.depthM,
    rimLengthM: cavity.rimLengthM,
    rimThicknessM: coat.total.rim.value,
    partKg: coat.mass.value,
    rimColours: rimColours(parts),
    inside: curve,
    filledToM: curve.depthM - fill.headspace.value,
    rims: joinsOf(casting.parts) === 'base' ? 1 : 2,
    squared: coatsMade[coatsMade.length - 1].wayUp === 'upsideDown',
    melt: {
      kind: closing.kind,
      fatShare: closing.fatShare,
      unseeded: isUnseeded(casting, closure.meltId),
      workingC: melt.workingC,
    },
    shell: { kind, fatShare },
  });
}

/** Colours of rim among the parts that are joined: a rim shows all its coats. */
function rimColours(parts: readonly PartDraft[]): number {
  return new Set(
    parts.filter(({ part }) => hasRim(part)).map(({ chocolates }) => chocolates.map(({ colour }) => colour).join()),
  ).size;
}

/** Outside of a piece without what is stuck on it, m². */
export function outsideOf(parts: readonly Pick<PartDraft, 'part' | 'cavity'>[]): number {
  return parts.reduce(
    (sum, { part, cavity }) => sum + (part.role === 'ornament' ? 0 : part.perPiece * cavity.wallAreaM2),
    0,
  );
}

function finished(casting: Casting, parts: readonly PartDraft[]): FinishAnswer[] {
  const outsideM2 = outsideOf(parts);
  const faceM2 = openFaceOf(casting, parts)?.areaM2;
  return casting.finishes.map((finish) => {
    const filling =
      'fillingId' in finish && finish.fillingId !== undefined ? fillingOf(casting, finish.fillingId) : undefined;
    const topping = filling && {
      bulkDensity: filling.bulkDensity,
      pieceKg: pieceKg(filling),
      pieceM: pieceWidthM(filling) ?? POWDER_LAYER_M,
    };
    return finishStation({
      finish,
      outsideM2,
      faceM2,
      meltKind: 'meltId' in finish ? chocolateOf(casting, meltOf(casting, finish.meltId)).kind : undefined,
      topping,
    });
  });
}

/** A layer of something fine that sticks to wet chocolate, m. Working rule. */
const POWDER_LAYER_M = 0.001;

/** What of the cavity is taken up along its wall, m: a fill from below leaves no room, and what goes inside a coated former has the former's own. */
function lining(cavity: Cavity, coat: CoatResult): Float64Array {
  if (coat.body) return new Float64Array(coat.totalM.length).fill(cavity.depthM);
  return cavity.outward ? new Float64Array(coat.totalM.length) : coat.totalM;
}
