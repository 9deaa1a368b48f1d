import { cavityOf } from '../cavity/cavity';
import type { CavityShape } from '../cavity/shape';
import { acrossM, mugRoomM } from './mold';

const across = (shape: CavityShape): number => acrossM(shape, cavityOf(shape)) * 1e3;

describe('a piece in its mug', () => {
  it('meets it by its diagonal over rounded corners: 95.7 mm for 70 by 70 mm with corners of 4 mm, which no mug of 80 mm takes', () => {
    const square: CavityShape = { kind: 'tile', lengthM: 0.07, widthM: 0.07, depthM: 0.03, cornerM: 0.004 };
    // By hand: the corner's centre lies (35 - 4)√2 = 43.84 mm from the middle; 2 × (43.84 + 4).
    expect(across(square)).toBeCloseTo(95.68, 2);
    expect(mugRoomM(square, cavityOf(square), 0.08)).toBeLessThan(0);
  });

  it('is as wide as a round piece, whether it is called round or a square all corner', () => {
    expect(across({ kind: 'hemisphere', diameterM: 0.064 })).toBeCloseTo(64, 9);
    expect(across({ kind: 'pillow', lengthM: 0.06, widthM: 0.06, depthM: 0.02, cornerM: 0.03 })).toBeCloseTo(60, 9);
    expect(across({ kind: 'egg', lengthM: 0.09, widthM: 0.06, depthM: 0.03 })).toBeCloseTo(90, 9);
  });

  it('is two corner circles apart for a stadium', () => {
    expect(across({ kind: 'tile', lengthM: 0.1, widthM: 0.04, depthM: 0.02, cornerM: 0.02 })).toBeCloseTo(100, 9);
  });
});
