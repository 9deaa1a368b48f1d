import { cavityOf } from '../cavity/cavity';
import { pouredShare } from './coat-choice';

describe('what is poured before a mold is tipped out', () => {
  const half = (mm: number) => cavityOf({ kind: 'hemisphere', diameterM: mm / 1000 });
  const share = (mm: number, dwellSeconds: number): number => pouredShare({ method: 'dump', dwellSeconds }, half(mm));

  // Common practice, no source: 1 to 2 tbsp are swirled about in a 64 mm half; a tray of bonbons is filled to the brim.
  it('is half of a large cavity that is swirled, and all of one that stands, is small or is chilled', () => {
    expect(share(64, 10)).toBe(0.5);
    expect(share(64, 20)).toBe(1);
    expect(share(28, 0)).toBe(1);
    expect(pouredShare({ method: 'chillDump', dwellSeconds: 0 }, half(64))).toBe(1);
  });

  it('grows evenly with the seconds it stands, and falls evenly with the size, in 200 steps', () => {
    for (const at of [(k: number) => share(64, k / 8), (k: number) => share(25 + k / 4, 0)]) {
      const shares = Array.from({ length: 201 }, (_, k) => at(k));
      for (let k = 1; k < shares.length; k++) expect(Math.abs(shares[k] - shares[k - 1])).toBeLessThan(0.02);
    }
  });
});
