import { isClamped } from '../../core/record/method';
import { Injectable, computed, inject } from '@angular/core';
import type { UnitSystem } from '../../core/quantity/units';
import { chocolateOf, meltOf } from '../../core/record/references';
import { placeOf, restsOf } from '../../core/record/sets';
import { PlanService } from '../state/plan-service';
import { Units } from '../state/units';
import { CLOSURE_NAMES, FINISH_NAMES } from '../wording/closing';
import { madeText } from '../wording/coats';
import { text } from '../wording/format';
import {
  FILLING_NAMES,
  MATERIAL_NAMES,
  PLACE_NAMES,
  STATIONS,
  STATION_NAMES,
  WAY_NAMES,
  WAY_UP_NAMES,
} from '../wording/names';
import { sizeText } from '../wording/shapes';
import { noteWording } from '../wording/problems';
import { StartTime } from '../state/start-time';
import { lateNote, startText } from '../wording/times';
import type { CastingPlan, PlanDraft, StationKey } from '../../core/plan/plan-types';

/** A station as its tab shows it: the answer in large figures, a line below, and a mark where something is wrong. */
export interface StationTab {
  readonly key: StationKey;
  readonly name: string;
  readonly answer: string;
  readonly detail: string;
  readonly mark: string;
  /** Follows from the simulation, and is an estimate without it. */
  readonly simulated: boolean;
}

/** The answers of the station strip. */
@Injectable({ providedIn: 'root' })
export class StationList {
  private readonly plans = inject(PlanService);
  private readonly units = inject(Units);
  private readonly time = inject(StartTime);

  private readonly drafted = computed(() => {
    const draft = this.plans.draft();
    return draft && answersOf(DRAFT_ANSWERS, draft, this.units.system());
  });
  private readonly planned = computed(() => {
    const plan = this.plans.plan();
    return plan && answersOf(PLAN_ANSWERS, plan, this.units.system());
  });

  readonly tabs = computed<readonly StationTab[]>(() => {
    const answers = { ...this.drafted(), ...this.planned() };
    const plan = this.plans.plan();
    const problems = plan?.problems ?? [];
    const late = this.time.lateness();
    const lateMark = (plan && late && lateNote(late, plan.start.value, plan.casting.due)?.mark) ?? '';
    return STATIONS.flatMap((key) => {
      const answer = answers[key];
      const problem = problems.find((candidate) => candidate.station === key);
      return answer
        ? [
            {
              key,
              name: STATION_NAMES[key],
              mark:
                key === 'batch' && lateMark ? lateMark : problem ? noteWording(problem, this.units.system()).mark : '',
              simulated: SIMULATED.includes(key),
              ...answer,
            },
          ]
        : [];
    });
  });
}

/** Stations whose answers follow from the simulation. */
const SIMULATED: readonly StationKey[] = ['melt', 'coat', 'chill', 'batch'];

type StationAnswer = Pick<StationTab, 'answer' | 'detail'>;

type Answers<P> = Readonly<Partial<Record<StationKey, (plan: P, system: UnitSystem) => StationAnswer>>>;

function answersOf<P>(answers: Answers<P>, plan: P, system: UnitSystem): Partial<Record<StationKey, StationAnswer>> {
  return Object.fromEntries(Object.entries(answers).map(([key, answer]) => [key, answer(plan, system)]));
}

const DRAFT_ANSWERS: Answers<PlanDraft> = {
  mold: (plan, system) => ({
    answer: sizeText(plan.cavity.lengthM, plan.cavity.widthM, system),
    detail: `${MATERIAL_NAMES[plan.moldRecord.material]}, ${plan.cavities === 1 ? 'one cavity' : `${plan.cavities} cavities`}${plan.moldRecord.atHand > 1 ? `, ${plan.moldRecord.atHand} molds` : ''}`,
  }),
  coat: (plan, system) => {
    const count = plan.coatsMade.length;
    const last = plan.coatsMade[count - 1];
    const each = plan.coat.total.rim.value / count;
    if (isClamped(last.method))
      return {
        answer: text(plan.coat.total.rim.value, 'length', system),
        detail: madeText(plan.moldRecord, last.method),
      };
    return {
      answer: count === 1 ? text(each, 'length', system) : `${count} × ${text(each, 'length', system)}`,
      detail: madeText(plan.moldRecord, last.method),
    };
  },
  fill: (plan, system) => {
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
  close: ({ close, clamped, piece }, system) => ({
    answer: !close
      ? clamped
        ? 'clamped'
        : 'open'
      : close.plate
        ? text(close.closure.kind === 'warmPlate' ? close.closure.seconds : 0, 'duration', system)
        : text(close.mass.value, 'mass', system),
    detail: close ? CLOSURE_NAMES[close.closure.kind] : `a piece ${text(piece.mass.value, 'mass', system)}`,
  }),
  finish: ({ finishes, piece }, system) => ({
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
};

const PLAN_ANSWERS: Answers<CastingPlan> = {
  melt: ({ casting, melts }, system) => {
    const [made] = melts;
    const { school, kind, way } = made.input;
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
    const how =
      kind === 'compound' || school === 'meltOnly' ? WAY_NAMES[way] : `${text(made.seed.value, 'mass', system)} seed`;
    return {
      answer: text(made.ready.value, 'duration', system),
      detail: `${how}, ${chocolateOf(casting, meltOf(casting, made.input.meltId)).name}`,
    };
  },
  chill: (plan) => {
    const minutes = plan.chill.coats.map(({ stay }) => Math.round(stay.value / 60));
    const rests = plan.coatsMade.some((coat) => restsOf(coat).length > 0) ? 'rest first, ' : '';
    const places = rests + [...new Set(plan.coatsMade.map((coat) => PLACE_NAMES[placeOf(coat)]))].join(', ');
    // Why it has no end there is said by its note.
    return {
      answer: minutes.every(Number.isFinite) ? `${minutes.join(' + ')} min` : 'does not set',
      detail: `${places}, ${WAY_UP_NAMES[plan.coatsMade[plan.coatsMade.length - 1].wayUp]}`,
    };
  },
  batch: ({ batch, start, casting }) => {
    const rounds = batch.rounds.value;
    return {
      answer: rounds === 1 ? '1 round' : `${rounds} rounds`,
      detail: Number.isFinite(start.value) ? `start by ${startText(start.value, casting.due)}` : 'once it sets',
    };
  },
};
