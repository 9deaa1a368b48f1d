import { cavityOf } from '../cavity/cavity';
import { rulerMethod } from './ruler-method';

describe('ruler method (prismoidal rule)', () => {
  it.each([
    ['a half sphere', { kind: 'hemisphere', diameterM: 0.064 }, 0.064 * Math.sqrt(0.75), 0],
    ['a cone', { kind: 'cup', diameterM: 0.05, baseDiameterM: 0, depthM: 0.04 }, 0.025, 0],
    ['a cup', { kind: 'cup', diameterM: 0.05, baseDiameterM: 0.03, depthM: 0.04 }, 0.04, 0.03],
    ['a cylinder', { kind: 'cylinder', diameterM: 0.05, depthM: 0.04 }, 0.05, 0.05],
  ] as const)('is exact for %s', (_, shape, halfwayM, baseM) => {
    const cavity = cavityOf(shape);
    expect(
      rulerMethod({ rimM: cavity.rimDiameterM, halfwayM, baseM, depthM: cavity.depthM }).volumeM3 / cavity.volumeM3,
    ).toBeCloseTo(1, 9);
  });

  it('is the less sure the smaller the cavity', () => {
    const sure = (k: number): number => {
      const { volumeM3, uncertaintyM3 } = rulerMethod({
        rimM: 0.06 * k,
        halfwayM: 0.052 * k,
        baseM: 0,
        depthM: 0.03 * k,
      });
      return uncertaintyM3 / volumeM3;
    };
    expect(sure(0.5)).toBeGreaterThan(sure(1));
    expect(sure(1)).toBeLessThan(0.04);
  });
});
