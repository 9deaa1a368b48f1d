import type { FillingKind } from '../matter/filling';
import { MOLD_MATTER } from '../matter/mold-material';
import type { Casting, Part } from '../record/casting';
import { copyOf } from '../record/copy';
import type { Mold, MoldCavity } from '../record/mold';
import { USUAL_CARE } from '../record/mold-care';
import { gridOf, partsPerPiece } from '../record/mold-cavities';
import { cavityRecordOf } from '../record/references';
import { isChilled, tippedOut } from '../record/method';
import { placeOf } from '../record/sets';
import { restFirst, setIn } from './sets';
import { joinsOf } from '../record/closing';
import { usualClosing } from './closing';
import { draftPlan } from '../plan/draft';
import { chillsOf } from '../plan/makings';
import { wantsRest } from '../plan/temper';
import { makeBy } from './methods';
import { methodsFor } from '../plan/methods';
import { partsOfMold } from './parts';
import { rowOf, type PieceKind, type PieceKindRow } from './piece-kinds';
import { finishPlan } from '../plan/plan';
import { applyRemedy } from './remedy';
import { RESTS_S } from '../record/sets';

/** A mold of a kind by its two measures, m. Its shapes may be none that a cavity can have: `checkShape` tells. */
export function moldByMeasures(kind: PieceKind, id: string, name: string, a: number, b: number): Mold {
  const { material, cavities, composition, shapes } = rowOf(kind).mold;
  const kinds = shapes(a, b).map((shape, i) => ({
    id: `cavity-${i + 1}`,
    name: i === 0 ? 'Cavity' : 'Other half',
    shape: shape as MoldCavity['shape'],
    ...gridOf(cavities),
  }));
  return {
    id,
    name,
    material,
    wallM: MOLD_MATTER[material].usualWallM,
    atHand: 1,
    cavities: kinds,
    composition: composition(kinds.map((cavity) => cavity.id)),
    care: [...USUAL_CARE[material]],
    notes: '',
  };
}

/**
 * Makes a casting one of a kind, on a draft of it that may be written to: cast in this mold, made, filled and closed as that kind usually is.
 * What it was made of before goes; its melt, kitchen, pieces and time stay.
 * @param cavityId the kind of cavity it is cast in, where the mold makes no set
 * @param fillingOf the id of a filling of the casting for each of the kinds, where there is one
 */
export function castAs(
  casting: Casting,
  kind: PieceKind,
  mold: Mold,
  cavityId: string,
  fillingOf: (kinds: readonly FillingKind[]) => string | undefined,
): void {
  const row = rowOf(kind);
  const [like] = casting.parts;
  const set = partsOfMold(mold);
  const perPiece = partsPerPiece(mold, cavityId);
  const one = { cavityId, perPiece, role: 'shell' as const, name: perPiece === 2 ? 'Half' : 'Part' };
  casting.molds = [copyOf(mold)];
  casting.closure = null;
  casting.fill = [];
  casting.finishes = [];
  casting.parts = (set.length > 1 ? set : [one]).map((part, i) => ({
    ...copyOf(like),
    ...part,
    id: `part-${i + 1}`,
    moldId: mold.id,
    prep: [],
    coats: copyOf(like.coats.slice(0, row.coats)),
  }));
  for (const part of casting.parts) make(casting, row, part);
  const joined = joinsOf(casting.parts) !== undefined;
  if (row.closing && (row.closing === 'cap' || joined)) casting.closure = usualClosing(casting, row.closing);
  for (const part of casting.parts) thicken(casting, part.id);
  for (const { kinds, amount } of row.fill) {
    const fillingId = fillingOf(kinds);
    const id = `layer-${casting.fill.length + 1}`;
    if (fillingId) casting.fill.push({ id, partId: casting.parts[0].id, fillingId, amount: { ...amount } });
  }
}

/** Coats more than the kind usually has, at the most, until the rim holds and no coat is too heavy to stay: as the notes would advise. */
const MORE_COATS = 2;

function thicken(casting: Casting, partId: string): void {
  for (let k = 0; k < MORE_COATS; k++) {
    const draft = draftPlan(casting, [], partId);
    const plan = finishPlan(draft, chillsOf(draft));
    const remedy = plan.problems
      .filter((problem) => (problem.partId ?? partId) === partId)
      .map((problem) => problem.remedy)
      .find((one) => one?.key === 'splitCoats' || one?.key === 'addCoat');
    if (!remedy) return;
    applyRemedy(casting, remedy, plan);
  }
}

function make(casting: Casting, row: PieceKindRow, part: Part): void {
  const draft = draftPlan(casting, [], part.id);
  const allowed = methodsFor(draft.moldRecord, cavityRecordOf(draft.moldRecord, part));
  makeBy(casting, row.methods.find((method) => allowed.includes(method)) ?? allowed[0], draft);
  for (const coat of part.coats) {
    coat.wayUp = row.wayUp;
    if (row.standsS !== undefined && tippedOut(coat.method) && !isChilled(coat.method)) coat.dwellSeconds = row.standsS;
  }
  const last = part.coats[part.coats.length - 1];
  if (!wantsRest(casting, part, last.shares[0].meltId) || placeOf(last) === 'room') return;
  // What is capped rests with its cap; before that it only has to hold.
  if (row.closing === 'cap') setIn(last, 'room');
  else restFirst(last, RESTS_S);
}
