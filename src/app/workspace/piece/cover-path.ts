import type { Line } from '../../../core/cavity/profile';
import type { PrepAnswer } from '../../../core/prep/prep';
import { outsideLine, type PlacedPart } from '../../../core/plan/assembled';
import type { Casting } from '../../../core/record/casting';
import { patternRow } from '../../../core/record/prep';
import { chocolateOf, meltOf } from '../../../core/record/references';
import { outline, type Place, type Spot } from '../../drawing/cut';

/** What covers a stretch of the outside: one line over the top of what is turned over, two down from a rim. */
export function coverPath({ radiusM, heightM }: Line, turned: boolean, place: Place): string {
  const [left, right] = sides({ radiusM, heightM }, place);
  const path = turned ? outline([...left, ...right]) : [left, right].map((side) => outline(side) ?? '').join('');
  return path ?? '';
}

function sides({ radiusM, heightM }: Line, place: Place): readonly [readonly Spot[], readonly Spot[]] {
  const right = Array.from(radiusM, (r, i) => place(r, heightM[i]));
  return [Array.from(radiusM, (r, i) => place(-r, heightM[i])).reverse(), right];
}

/** Something that was painted into the mold, and shows on the piece. */
export interface DrawnPaint {
  readonly colour: string;
  readonly path: string;
  /** Drawn and left out in turn, px; nothing where it is drawn all along. */
  readonly dashes: string | null;
}

/** From one stripe or spot to the next, px. */
const PERIOD_PX = 9;

/** What was painted into the mold of a part, on the face that lay in it; what is cast on the outside of a former has none. */
export function paintsOf(casting: Casting, { draft, turned }: PlacedPart, place: Place): DrawnPaint[] {
  if (draft.cavity.outward) return [];
  const line = outsideLine(draft);
  // What was painted first lies outermost, and is drawn last.
  return [...draft.preps].reverse().map((prep) => ({
    colour: colourOf(casting, prep),
    path: prep.step.pattern === 'half' ? (outline(sides(line, place)[1]) ?? '') : coverPath(line, turned, place),
    dashes: dashesOf(prep, draft.cavity.wallAreaM2),
  }));
}

function dashesOf({ step, covers }: PrepAnswer, wallM2: number): string | null {
  if (!patternRow(step.pattern).asks) return null;
  const drawn = Math.max(0.15, Math.min(0.9, covers.value / wallM2)) * PERIOD_PX;
  return `${drawn.toFixed(1)} ${(PERIOD_PX - drawn).toFixed(1)}`;
}

function colourOf(casting: Casting, { step }: PrepAnswer): string {
  return 'meltId' in step ? chocolateOf(casting, meltOf(casting, step.meltId)).colour : step.colour;
}
