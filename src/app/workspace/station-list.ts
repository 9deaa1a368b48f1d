import { Injectable, computed, inject } from '@angular/core';
import type { StationKey } from '../../core/plan/plan-types';
import { InOccasion } from '../state/in-occasion';
import { PlanService } from '../state/plan-service';
import { StartTime } from '../state/start-time';
import { Units } from '../state/units';
import { noteWording } from '../wording/problems';
import { lateNote, momentText } from '../wording/times';
import { STATIONS, STATION_ROWS, type StationAnswer } from './stations';

/** A station as its tab shows it: the answer in large figures, a line below, and a mark where something is wrong. */
export interface StationTab extends StationAnswer {
  readonly key: StationKey;
  readonly name: string;
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
  private readonly inOccasion = inject(InOccasion);

  private readonly drafted = computed(() => {
    const draft = this.plans.draft();
    return draft && answers((key) => STATION_ROWS[key].drafted?.(draft, this.units.system()));
  });
  private readonly planned = computed(() => {
    const plan = this.plans.plan();
    const found = plan && answers((key) => STATION_ROWS[key].planned?.(plan, this.units.system()));
    // Among others it begins when its occasion has it, and not when it would by itself.
    const [batch, occasion, part] = [found?.get('batch'), this.inOccasion.occasion(), this.inOccasion.part()];
    if (batch && occasion)
      found?.set('batch', {
        ...batch,
        detail: part ? `from ${momentText(part.from, occasion.due.zone)}` : `by itself, ${batch.detail}`,
      });
    return found;
  });

  readonly tabs = computed<readonly StationTab[]>(() => {
    const answers = new Map([...(this.drafted() ?? []), ...(this.planned() ?? [])]);
    const plan = this.plans.plan();
    const problems = plan?.problems ?? [];
    const late = this.time.lateness();
    const lateMark = (plan && late && lateNote(late, plan.start.value, plan.casting.due)?.mark) ?? '';
    return STATIONS.flatMap((key) => {
      const answer = answers.get(key);
      const problem = problems.find((candidate) => candidate.station === key);
      return answer
        ? [
            {
              key,
              name: STATION_ROWS[key].name,
              mark:
                key === 'batch' && lateMark ? lateMark : problem ? noteWording(problem, this.units.system()).mark : '',
              simulated: STATION_ROWS[key].simulated,
              ...answer,
            },
          ]
        : [];
    });
  });
}

/** The answers of the stations that give one. */
function answers(of: (key: StationKey) => StationAnswer | undefined): Map<StationKey, StationAnswer> {
  return new Map(
    STATIONS.flatMap((key) => {
      const answer = of(key);
      return answer ? [[key, answer] as const] : [];
    }),
  );
}
