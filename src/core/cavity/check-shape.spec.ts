import fc from 'fast-check';
import { anyShape } from '../../testing/arbitrary-shape';
import { checkPoints, checkShape } from './check-shape';

const points = (...pairs: [number, number][]) =>
  pairs.map(([mmR, mmZ]) => ({ radiusM: mmR / 1000, heightM: mmZ / 1000 }));

describe('check of turned points', () => {
  it('passes a bell, a bottle, and a flat floor', () => {
    expect(checkPoints(points([0, 0], [20, 5], [24, 40], [30, 50]))).toBeUndefined();
    expect(checkPoints(points([25, 0], [25, 60], [10, 75], [10, 95]))).toBeUndefined();
  });

  it.each([
    ['one point', points([0, 0]), 'tooFewPoints', 0],
    ['no point', [], 'tooFewPoints', undefined],
    ['a stretch across another', points([0, 0], [30, 10], [30, 30], [10, 1], [35, 40]), 'pointCrosses', 3],
    ['a point lower than the last', points([0, 0], [20, 20], [25, 12], [30, 30]), 'pointGoesBack', 2],
    ['a point behind the axis', points([0, 0], [-3, 10], [20, 20]), 'pointBehindAxis', 1],
    ['a metre of depth', points([0, 0], [20, 1000]), 'pointTooFar', 1],
    ['a metre of width', points([0, 0], [1000, 20]), 'pointTooFar', 1],
    ['the same point twice', points([0, 0], [20, 20], [20, 20]), 'pointRepeats', 2],
    ['not a number', points([0, 0], [NaN, 20]), 'pointBehindAxis', 1],
    ['a closed top', points([0, 0], [20, 10], [0, 30]), 'rimTooNarrow', 2],
    ['nothing but a floor', points([0, 0], [20, 0], [30, 1]), 'notDeep', 2],
  ] as const)('marks %s', (_, list, key, point) => {
    const problem = checkPoints(list);
    expect(problem?.key).toBe(key);
    expect(problem?.point).toBe(point);
  });
});

describe('check of shapes', () => {
  it.each([
    [{ kind: 'cap', diameterM: 0.06, depthM: 0.04 }, 'capTooDeep'],
    [{ kind: 'ball', diameterM: 0.1, openingM: 0.1 }, 'openingTooWide'],
    [{ kind: 'cup', diameterM: 0.03, baseDiameterM: 0.05, depthM: 0.02 }, 'baseTooWide'],
    [{ kind: 'measured', diameterM: 0.06, depthM: 0.03, volumeM3: 120e-6 }, 'bowlTooFull'],
    [{ kind: 'measured', diameterM: 0.06, depthM: 0.03, volumeM3: 0.5e-6 }, 'bowlTooLean'],
  ] as const)('finds what cannot be: %j', (shape, key) => {
    expect(checkShape(shape)?.key).toBe(key);
  });

  it('passes any shape made within its limits', () => {
    fc.assert(
      fc.property(anyShape, (shape) => checkShape(shape) === undefined),
      { numRuns: 200 },
    );
  });
});
