import { likelyDeviation } from './deviations';

describe('likely deviation', () => {
  // Independent deviations add as the root of the sum of their squares (handbook: propagation of error).
  it('adds independent effects as the root of the sum of squares: 3 and 4 are 5', () => {
    expect(likelyDeviation(10, [7, 13, 6, 14])).toEqual([5, 5]);
  });

  it('keeps the two sides apart, and of both ends on one side counts the larger', () => {
    expect(likelyDeviation(10, [8, 10, 10, 11])).toEqual([2, 1]);
    expect(likelyDeviation(10, [9, 7])).toEqual([3, 0]);
    expect(likelyDeviation(10, [])).toEqual([0, 0]);
  });

  it('is open where an end is', () => {
    expect(likelyDeviation(10, [9, Infinity])).toEqual([1, Infinity]);
  });
});
