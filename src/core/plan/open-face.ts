import { chillCapped } from '../chill/chill';
import { answer, term, type Answer } from '../quantity/answer';
import type { Casting } from '../record/casting';
import { isCap } from '../record/closing';
import { isClamped } from '../record/method';
import { cappedWith } from './capping';
import { closedIn } from './closed-part';
import type { PartDraft, PartPlan, PlanDraft } from './plan-types';

/** An open face of wet chocolate that a topping goes on while the piece is still in its mold. */
export interface OpenFace<T extends Pick<PartDraft, 'part'> = PartDraft> {
  /** The parts that have one each: those that are capped, or all that are filled from below where nothing closes them. */
  readonly parts: readonly T[];
  /** Of all parts of a piece together, m². */
  readonly areaM2: number;
}

/** The open face of a casting's pieces; undefined for one that has none. */
export function openFaceOf<T extends Pick<PartDraft, 'part' | 'cavity' | 'coat' | 'coatsMade' | 'fill'>>(
  casting: Casting,
  parts: readonly T[],
): OpenFace<T> | undefined {
  const cast = parts.filter(({ part }) => part.role !== 'ornament');
  const clamped = cast.some(({ coatsMade }) => coatsMade.some(({ method }) => isClamped(method)));
  if (!clamped && isCap(casting.closure)) {
    const ids = closedIn(casting).map(({ partId }) => partId);
    const capped = parts.filter(({ part }) => ids.includes(part.id));
    const capM2 = ({ part, fill: { inside } }: T): number =>
      part.perPiece * Math.PI * inside.radiusM[inside.radiusM.length - 1] ** 2;
    return { parts: capped, areaM2: capped.reduce((sum, part) => sum + capM2(part), 0) };
  }
  if (clamped || casting.closure !== null || !cast.every(({ coat }) => coat.body)) return undefined;
  const faceM2 = ({ part, cavity }: T): number => (part.perPiece * Math.PI * cavity.rimDiameterM ** 2) / 4;
  return { parts: cast, areaM2: cast.reduce((sum, part) => sum + faceM2(part), 0) };
}

/** How many parts of a piece a topping is divided among. */
export function toppedPerPiece({ parts }: Pick<OpenFace, 'parts'>): number {
  return parts.reduce((sum, { part }) => sum + part.perPiece, 0);
}

/** The face that is topped in the mold, where a finish is one that goes on there. */
export function toppedFace({ casting, parts, finishes }: Pick<PlanDraft, 'casting' | 'parts' | 'finishes'>) {
  return finishes.some(({ wet }) => wet) ? openFaceOf(casting, parts) : undefined;
}

/** How long that face stays wet in the room, s: the part that sets first; undefined where nothing is topped or the chill of the room is not known yet. */
export function staysWet(draft: PlanDraft, parts: readonly PartPlan[]): Answer | undefined {
  const face = toppedFace(draft);
  if (!face) return undefined;
  const inRoom = face.parts.flatMap(({ part }): Answer[] => {
    const made = parts.find((one) => one.part.id === part.id);
    const cap = made && cappedWith(draft, made)?.cap;
    if (made && cap) {
      const { touch } = chillCapped(made.chillInput, { ...cap, place: 'room', rests: [] }).chosen;
      return [answer(touch.value, 'duration', 'finish.wet', [term('place', 'room')], [touch.low, touch.high])];
    }
    const last = made?.chill.coats.at(-1)?.places.find(({ place }) => place === 'room');
    return last ? [{ ...last.touch, rule: 'finish.wet' }] : [];
  });
  return inRoom.length === 0 ? undefined : inRoom.reduce((least, one) => (one.value < least.value ? one : least));
}
