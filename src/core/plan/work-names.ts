import type { PrepKind } from '../record/prep';
import type { CastingPlan } from './plan-types';

/** What the stretches of a casting's work are named after: its parts in the order of the work. */
export interface WorkNames {
  readonly parts: readonly {
    readonly name: string;
    readonly coats: number;
    /** What is done to its empty mold, step by step. */
    readonly preps: readonly PrepKind[];
  }[];
}

export function workNames({ batch, parts }: Pick<CastingPlan, 'batch' | 'parts'>): WorkNames {
  return {
    parts: batch.byPart.map(({ partId }) => {
      const made = parts.find(({ part }) => part.id === partId) ?? parts[0];
      return { name: made.part.name, coats: made.coatsMade.length, preps: made.preps.map(({ step }) => step.kind) };
    }),
  };
}
