/** How a figure is explained: what it is, how it follows in plain words, where that comes from, how sure it is. */
export interface RuleWording {
  readonly title: string;
  readonly how: string;
  readonly source: string;
  readonly sure: string;
}

export const EXACT = 'Exact for the shape as given.';
export const WORKING_RULE = 'Working rule, no published source.';
export const PRACTICE = 'Common practice, no source.';
