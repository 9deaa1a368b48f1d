/** Why a stored or imported record was not accepted. `path` names the place inside it. */
export interface RecordProblem {
  readonly ok: false;
  readonly problem: 'notARecord' | 'newerVersion' | 'badValue' | 'brokenReference' | 'circularReference';
  readonly path: string;
  readonly detail: string;
}
