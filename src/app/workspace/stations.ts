import type { CastingPlan, PlanDraft, StationKey } from '../../core/plan/plan-types';
import type { UnitSystem } from '../../core/quantity/units';
import { closingNumber } from '../../core/record/closing';
import { isClamped } from '../../core/record/method';
import { cavityRecordOf, chocolateOf, meltOf } from '../../core/record/references';
import { schoolRow } from '../../core/record/school';
import { placeOf, restsOf } from '../../core/record/sets';
import type { Load } from '../ui/later';
import { closingWords, FINISH_NAMES } from '../wording/closing';
import { madeAlike } from '../../core/edit/methods';
import { allMadeText, liesText } from '../wording/coats';
import { text, written } from '../wording/format';
import { FILLING_NAMES, MATERIAL_NAMES, PLACE_NAMES, WAY_NAMES } from '../wording/names';
import { cavitySizeText } from '../wording/shapes';
import { startText } from '../wording/times';

/** What a station's tab says: the answer in large figures, and a line below. */
export interface StationAnswer {
  readonly answer: string;
  readonly detail: string;
}

/** What a station is: the one place that says so. */
export interface StationRow {
  readonly name: string;
  /** Where its choices are made. */
  readonly fields: Load;
  /** What is drawn beside them: a drawing of its own, or the section with what stands below it; the thickness along the wall, if nothing else. */
  readonly scene: { readonly name: string; readonly drawing?: Load; readonly below?: Load };
  /** Its answer follows from the simulation, and is an estimate without it. */
  readonly simulated: boolean;
  /** Its answer, from the draft alone, or only from the whole plan. */
  readonly drafted?: (plan: PlanDraft, system: UnitSystem) => StationAnswer;
  readonly planned?: (plan: CastingPlan, system: UnitSystem) => StationAnswer;
}

/** The stations, in the order of the work. */
export const STATION_ROWS: Readonly<Record<StationKey, StationRow>> = {
  mold: {
    name: 'Mold',
    fields: () => import('./mold/mold-station').then((m) => m.MoldStation),
    scene: { name: 'Section', below: () => import('./mold/cavity-profile').then((m) => m.CavityProfile) },
    simulated: false,
    drafted: (plan, system) => ({
      answer: cavitySizeText(cavityRecordOf(plan.moldRecord, plan.part).shape, system),
      detail: `${MATERIAL_NAMES[plan.moldRecord.material]}, ${plan.cavities === 1 ? 'one cavity' : `${plan.cavities} cavities`}${plan.moldRecord.atHand > 1 ? `, ${plan.moldRecord.atHand} molds` : ''}`,
    }),
  },
  melt: {
    name: 'Melt',
    fields: () => import('./melt/melt-station').then((m) => m.MeltStation),
    scene: { name: 'Melting', drawing: () => import('./melt/melt-plan').then((m) => m.MeltPlanView) },
    simulated: true,
    planned: ({ casting, melts }, system) => {
      const made = melts.at(0);
      if (!made) return { answer: 'nothing', detail: 'all was cast before' };
      const { school, way } = made.input;
      // One after another, in one microwave.
      if (melts.length > 1)
        return {
          answer: text(
            melts.reduce((sum, { ready }) => sum + ready.value, 0),
            'duration',
            system,
          ),
          detail: melts.map(({ input }) => chocolateOf(casting, meltOf(casting, input.meltId)).name).join(', '),
        };
      const how = schoolRow(school).seed === 'none' ? WAY_NAMES[way] : `${text(made.seed.value, 'mass', system)} seed`;
      return {
        answer: text(made.ready.value, 'duration', system),
        detail: `${how}, ${chocolateOf(casting, meltOf(casting, made.input.meltId)).name}`,
      };
    },
  },
  coat: {
    name: 'Coat',
    fields: () => import('./coat/coat-station').then((m) => m.CoatStation),
    scene: { name: 'Section' },
    simulated: true,
    drafted: (plan, system) => {
      const count = plan.coatsMade.length;
      const rim = plan.coat.total.rim.value;
      const detail = allMadeText(plan.moldRecord, plan.coatsMade);
      if (count === 1 || isClamped(plan.coatsMade[count - 1].method))
        return { answer: text(rim, 'length', system), detail };
      const each = plan.coat.coats.map(({ thickness }) => written(thickness.rim.value, 'length', system));
      return {
        answer: madeAlike(plan.coatsMade)
          ? `${count} × ${text(rim / count, 'length', system)}`
          : `${each.map(({ number }) => number).join(' + ')} ${each[0].unit}`,
        detail,
      };
    },
  },
  chill: {
    name: 'Chill',
    fields: () => import('./chill/chill-station').then((m) => m.ChillStation),
    scene: { name: 'Section', below: () => import('./chill/place-comparison').then((m) => m.PlaceComparison) },
    simulated: true,
    planned: (plan) => {
      const minutes = plan.chill.coats.map(({ stay }) => Math.round(stay.value / 60));
      const rests = plan.coatsMade.some((coat) => restsOf(coat).length > 0) ? 'rest first, ' : '';
      const places = rests + [...new Set(plan.coatsMade.map((coat) => PLACE_NAMES[placeOf(coat)]))].join(', ');
      // Why it has no end there is said by its note.
      return {
        answer: minutes.every(Number.isFinite) ? `${minutes.join(' + ')} min` : 'does not set',
        detail: `${places}, ${liesText(plan.coatsMade[plan.coatsMade.length - 1], plan.cavity)}`,
      };
    },
  },
  fill: {
    name: 'Fill',
    fields: () => import('./fill/fill-station').then((m) => m.FillStation),
    scene: { name: 'Section' },
    simulated: false,
    drafted: (plan, system) => {
      const layers = plan.parts.flatMap(({ fill }) => fill.layers);
      if (layers.length === 0)
        return plan.parts.every(({ coat }) => coat.body)
          ? { answer: 'solid', detail: 'chocolate throughout' }
          : { answer: 'empty', detail: 'hollow' };
      return {
        answer: text(plan.piece.fillMass.value, 'mass', system),
        detail: [...new Set(layers.map((layer) => FILLING_NAMES[layer.choice.filling.kind]))].join(', '),
      };
    },
  },
  close: {
    name: 'Close',
    fields: () => import('./close/close-station').then((m) => m.CloseStation),
    scene: { name: 'The piece', drawing: () => import('./piece/piece-drawing').then((m) => m.PieceDrawing) },
    simulated: false,
    drafted: ({ close, clamped, piece }, system) => ({
      answer: !close
        ? clamped
          ? 'clamped'
          : 'open'
        : close.plate
          ? text(closingNumber(close.closure, 'seconds') ?? 0, 'duration', system)
          : text(close.mass.value, 'mass', system),
      detail: close ? closingWords(close.closure.kind).name : `a piece ${text(piece.mass.value, 'mass', system)}`,
    }),
  },
  finish: {
    name: 'Finish',
    fields: () => import('./finish/finish-station').then((m) => m.FinishStation),
    scene: { name: 'The piece', drawing: () => import('./piece/piece-drawing').then((m) => m.PieceDrawing) },
    simulated: false,
    drafted: ({ finishes, piece }, system) => ({
      answer:
        finishes.length === 0
          ? 'plain'
          : text(
              finishes.reduce((sum, { hands }) => sum + hands.value, 0),
              'duration',
              system,
            ),
      detail:
        finishes.length === 0
          ? `a piece ${text(piece.mass.value, 'mass', system)}`
          : finishes.map(({ finish }) => FINISH_NAMES[finish.kind]).join(', '),
    }),
  },
  batch: {
    name: 'Batch',
    fields: () => import('./batch/batch-station').then((m) => m.BatchStation),
    scene: { name: 'The whole job', drawing: () => import('./batch/batch-view').then((m) => m.BatchView) },
    simulated: true,
    planned: ({ batch, start, casting }) => {
      const rounds = batch.rounds.value;
      return {
        answer: rounds === 1 ? '1 round' : `${rounds} rounds`,
        detail: Number.isFinite(start.value) ? `start by ${startText(start.value, casting.due)}` : 'once it sets',
      };
    },
  },
};

export const STATIONS = Object.keys(STATION_ROWS) as readonly StationKey[];
