import { logGamma } from './gamma';
import { byHalving, rootBetween, rootUpward } from './root';

const cube = (x: number): number => x ** 3 - 2;

describe('roots', () => {
  it('finds a cube root between two ends', () => {
    // 2^(1/3) from a handbook table: 1.259921.
    expect(rootBetween(cube, 0, 4, cube(0), cube(4), 1e-12)).toBeCloseTo(1.259921, 6);
  });

  it.each([1e-3, 0.1, 1, 1.5, 100])('finds it from zero upward, looked for up to %p first', (reach) => {
    expect(rootUpward(cube, cube(0), reach, 1e3, 1e-12)).toBeCloseTo(1.259921, 6);
  });

  it('finds it by halving, a binary digit each time', () => {
    expect(byHalving((x) => cube(x) < 0, 0, 4, 40)).toBeCloseTo(1.259921, 6);
    expect(Math.abs(byHalving((x) => cube(x) < 0, 0, 4, 10) - 2 ** (1 / 3))).toBeLessThan(4 / 2 ** 10);
  });

  it('ends at the most where the function does not pass zero before', () => {
    expect(rootUpward(cube, cube(0), 0.1, 1.2, 1e-12)).toBe(1.2);
    expect(rootUpward(cube, cube(0), 9, 1.2, 1e-12)).toBe(1.2);
  });

  it('asks seldom where the function is nearly straight', () => {
    let asked = 0;
    const bent = (x: number): number => (asked++, x - 0.02 * x * x - 0.3);
    rootUpward(bent, -0.3, 0.6, 10, 1e-9);
    expect(asked).toBeLessThanOrEqual(5);
  });
});

// Abramowitz & Stegun, Handbook of Mathematical Functions, table 6.1 and (n - 1)!, from memory.
describe('the gamma function', () => {
  it.each([
    [1, 1],
    [1.5, 0.88622692545],
    [1.75, 0.91906252685],
    [5, 24],
    [11, 3628800],
  ])('of %p is %p', (x, wanted) => {
    expect(Math.exp(logGamma(x)) / wanted).toBeCloseTo(1, 9);
  });
});
