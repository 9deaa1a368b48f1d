import type { Problem } from '../../core/plan/plan-types';

/** How the figures of a problem are said. */
export interface Said {
  readonly values: Problem['values'];
  readonly number: (name: string) => number;
  readonly mass: (name: string) => string;
  readonly length: (name: string) => string;
  readonly warmth: (name: string) => string;
  readonly time: (name: string) => string;
  readonly share: (name: string) => string;
  readonly place: string;
}
