import { coatLine } from '../cavity/inset';
import type { Line } from '../cavity/profile';
import type { LayerAnswer } from '../fill/fill';
import { turnedOver } from '../fill/turned-over';
import { answer, term, type Answer } from '../quantity/answer';
import type { Part } from '../record/casting';
import { closesFilled, isCap, isLid } from '../record/closing';
import { hasRim } from '../record/choices';
import { closedPart, joinedPerPiece } from './closed-part';
import { toppedFace } from './open-face';
import type { PartDraft, PlanDraft } from './plan-types';

/** One part as it stands in the finished piece. */
export interface PlacedPart {
  readonly draft: PartDraft;
  /** Its opening looks down. */
  readonly turned: boolean;
  /** How high the plane of its cavity's opening lies above the ground, m. */
  readonly openingM: number;
  /** What it holds, as that comes to lie; nothing in a part that stays empty. */
  readonly layers: readonly LayerAnswer[];
}

/** A piece as it is served: its parts on and in each other, standing on the ground. */
export interface AssembledPiece {
  /** From the ground up; what is stuck on comes last. */
  readonly placed: readonly PlacedPart[];
  /** The part whose outside looks up: what goes on the piece lies on it. */
  readonly top: PlacedPart;
  /** What was topped in its mold lies with that face up. */
  readonly topped: boolean;
  /** Where two rims meet, m above the ground; undefined where none do. */
  readonly seamM: number | undefined;
  readonly height: Answer;
  /** Bodies that are closed by themselves and stand beside it, by the part that is closed. */
  readonly beside: readonly { readonly part: Part; readonly count: number }[];
  /** What of a piece stands nowhere in it yet: halves that nothing joins, parts that nothing sticks on. */
  readonly loose: readonly { readonly part: Part; readonly count: number }[];
}

/** The outside of what a part's cavity or former gives, from its lowest point with the opening up; heights may begin below 0. */
export function outsideLine({ cavity, coat }: PartDraft): Line {
  return cavity.outward ? coatLine(cavity, coat.totalM) : cavity.profile;
}

/** How a piece stands together: the filled part below with its opening up, the other turned over on it; what is capped or poured level turned out. */
export function assembled(plan: PlanDraft): AssembledPiece {
  const { parts, closure, close } = plan;
  const { lower, upper } = bodies(plan);
  const base = lower.part.role === 'base' ? undefined : parts.find(({ part }) => part.role === 'base');
  const groundM = base ? heightOf(base) : 0;
  // Of both rims; it lowers the upper part by no more than there is of the one below it.
  const lostM = Math.min(close?.plate?.lost.value ?? 0, heightOf(lower));
  const single = upper === undefined;
  const topped = toppedFace(plan)?.parts.includes(lower) ?? false;
  // A cup stays as it is, and what is topped or peeled out of its liner; what else is capped, plugged or poured level is turned out and shows what lay in the mold.
  const faceUp = topped || lower.moldRecord.material === 'paper';
  const turnedOut = single && !faceUp && (closure !== null || lower.coat.body !== undefined);
  const body: PlacedPart = {
    draft: lower,
    turned: turnedOut,
    openingM: turnedOut ? groundM - short(lower) : groundM + lower.cavity.depthM - lowest(lower),
    layers: turnedOut ? turnedOver(lower.fill, closedM(plan)) : lower.fill.layers,
  };
  const seamM = single ? undefined : groundM + heightOf(lower);
  const onTop: PlacedPart[] =
    upper === undefined || seamM === undefined
      ? []
      : [
          {
            draft: upper,
            turned: true,
            openingM: seamM - lostM - short(upper),
            layers: upper !== lower || upper.part.filled === 'all' ? upper.fill.layers : [],
          },
        ];
  const top = onTop[0] ?? body;
  const heap = single && !turnedOut ? lower.fill.heapM : 0;
  const topM = (seamM === undefined ? groundM + heightOf(lower) : seamM - lostM + heightOf(onTop[0].draft)) + heap;
  const ornament = stuckOn(plan);
  const placed = [
    ...(base ? [{ draft: base, turned: true, openingM: -short(base), layers: [] }] : []),
    body,
    ...onTop,
    ...(ornament ? [{ draft: ornament, turned: true, openingM: topM - short(ornament), layers: [] }] : []),
  ];
  return {
    placed,
    top,
    topped: single && topped,
    seamM,
    beside: besideOf(plan, lower),
    loose: looseOf(plan, placed),
    height: heightAnswer(placed, topM + (ornament ? heightOf(ornament) : 0), lostM),
  };
}

/** The one or two parts that hold what is inside. */
function bodies({ casting, parts, closure, clamped }: PlanDraft): {
  readonly lower: PartDraft;
  readonly upper: PartDraft | undefined;
} {
  const shells = parts.filter(({ part }) => hasRim(part));
  const able = shells.length > 0 ? shells : [parts.find(({ part }) => part.role === 'base') ?? parts[0]];
  const lower = closesFilled(closure)
    ? closedPart(casting, parts)
    : (able.find(({ fill }) => fill.layers.length > 0) ?? able[0]);
  if (isLid(closure)) return { lower, upper: parts.find(({ part }) => part.id === closure.partId) };
  if (isCap(closure) || (closure === null && !clamped)) return { lower, upper: undefined };
  return { lower, upper: lower.part.perPiece > 1 ? lower : able.find((one) => one !== lower) };
}

/** The part that is stuck on, where one is cast. */
function stuckOn({ casting, parts }: PlanDraft): PartDraft | undefined {
  const ids = casting.finishes.flatMap((finish) =>
    finish.kind === 'stickOn' && finish.partId !== undefined ? [finish.partId] : [],
  );
  return parts.find(({ part }) => ids.includes(part.id));
}

/** What is closed by itself and is not the body that stands here. */
function besideOf({ parts, closings }: PlanDraft, here: PartDraft): AssembledPiece['beside'] {
  return closings.flatMap(({ partId, count }) => {
    const part = parts.find((one) => one.part.id === partId)?.part;
    const others = partId === here.part.id ? count - 1 : count;
    return part && others > 0 ? [{ part, count: others }] : [];
  });
}

function looseOf({ casting, parts }: PlanDraft, placed: readonly PlacedPart[]): AssembledPiece['loose'] {
  const stuck = (id: string): number =>
    casting.finishes.reduce(
      (sum, finish) => sum + (finish.kind === 'stickOn' && finish.partId === id ? finish.count : 0),
      0,
    );
  const joined = joinedPerPiece(casting);
  const standing = ({ part }: PartDraft): number =>
    Math.max(stuck(part.id), joined(part.id), placed.filter((one) => one.draft.part.id === part.id).length);
  return parts.flatMap((one) =>
    one.part.perPiece > standing(one) ? [{ part: one.part, count: one.part.perPiece - standing(one) }] : [],
  );
}

/** Lowest point with the opening up, above the cavity's own lowest, m: below 0 where a former is coated outside. */
function lowest(part: PartDraft): number {
  return outsideLine(part).heightM.reduce((least, z) => Math.min(least, z), Infinity);
}

/** How far what closes an opening reaches in, m. */
function closedM({ close, closure }: PlanDraft): number {
  return close?.cap?.thickness.value ?? (closure?.kind === 'plug' ? closure.thicknessM : 0);
}

/** By how much a level fill stays below the cavity's rim, m; 0 for a shell. */
function short({ cavity, coat }: PartDraft): number {
  if (!coat.body) return 0;
  return cavity.depthM - Math.max(...coat.coats.map(({ levels }) => levels?.toM ?? 0));
}

function heightOf(part: PartDraft): number {
  return part.cavity.depthM - short(part) - lowest(part);
}

function heightAnswer(placed: readonly PlacedPart[], heightM: number, lostM: number): Answer {
  const depths = placed.map(({ draft }) => term('partHeight', heightOf(draft), 'length'));
  return answer(
    heightM,
    'length',
    'piece.height',
    lostM > 0 ? [...depths, term('lostHeight', lostM, 'length')] : depths,
  );
}
