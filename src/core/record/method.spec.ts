import {
  fillsLevel,
  insteadOf,
  isClamped,
  isDosed,
  laidAnywhere,
  METHODS,
  METHOD_ROWS,
  setsUpright,
  tippedOut,
} from './method';

describe('methods', () => {
  it('each is made in one of three ways', () => {
    for (const method of METHODS) expect([tippedOut, fillsLevel, isDosed].filter((is) => is(method))).toHaveLength(1);
  });

  it('one that takes another’s place needs none taken in its own', () => {
    for (const method of METHODS) {
      const instead = insteadOf(method);
      if (instead !== undefined) expect(insteadOf(instead)).toBeUndefined();
    }
  });

  it('what is laid where one wants it is dosed, what is clamped fills from below and stands upright', () => {
    for (const method of METHODS) {
      if (laidAnywhere(method)) expect(isDosed(method)).toBe(true);
      if (isClamped(method)) expect([fillsLevel(method), setsUpright(method)]).toEqual([true, true]);
    }
  });

  it('a poured cavity takes less of the hands’ time than a spooned one, and that less than a brushed one (common practice, no source)', () => {
    expect(METHOD_ROWS.dump.handsOnS).toBeLessThan(METHOD_ROWS.spoon.handsOnS);
    expect(METHOD_ROWS.spoon.handsOnS).toBeLessThan(METHOD_ROWS.brush.handsOnS);
  });
});
