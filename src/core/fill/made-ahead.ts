import { FILLING_MATTER } from '../matter/filling';
import { answer, term, type Answer } from '../quantity/answer';
import type { Filling } from '../record/filling';

/** What it takes to make a filling before it goes in: hands on, and then standing until it is right to use, s. */
export interface MadeAhead {
  readonly handsOnS: number;
  readonly standsS: number;
}

/**
 * What a filling takes that is mixed at home, with what it is mixed of in its turn: hands on for each, and the longest standing, as what
 * stands goes on standing in what it is stirred into. Undefined for what is bought as it is, or only stirred together.
 * @param fillings all that a recipe may name; a recipe that names itself in a circle is followed once
 */
export function madeAhead(fillings: readonly Filling[], filling: Filling): MadeAhead | undefined {
  const seen = new Set<string>();
  let [handsOnS, standsS] = [0, 0];
  const add = (one: Filling): void => {
    if (seen.has(one.id)) return;
    seen.add(one.id);
    const made = one.recipe.length > 0 ? FILLING_MATTER[one.kind].made : undefined;
    handsOnS += made?.handsOnS ?? 0;
    standsS = Math.max(standsS, made?.standsS ?? 0);
    for (const { fillingId } of one.recipe) {
      const inner = fillings.find(({ id }) => id === fillingId);
      if (inner) add(inner);
    }
  };
  add(filling);
  return handsOnS > 0 ? { handsOnS, standsS } : undefined;
}

/** Told to five minutes, s. */
const STEP_S = 300;

/**
 * When making a filling has to begin, so that it has stood when it goes in; s since 1970 UTC.
 * @param goesInS when the first of it goes in, s since 1970 UTC
 */
export function makeBy({ handsOnS, standsS }: MadeAhead, goesInS: number, zone: string): Answer {
  return {
    ...answer(Math.floor((goesInS - handsOnS - standsS) / STEP_S) * STEP_S, 'moment', 'fill.makeBy', [
      term('goesIn', goesInS, 'moment'),
      term('handsOn', handsOnS, 'duration'),
      term('stands', standsS, 'duration'),
    ]),
    zone,
  };
}
