import { cavityOf } from '../cavity/cavity';
import type { FillAmount, Filling } from '../record/casting';
import { amountForLevel, fillStation } from './fill';

const { profile } = cavityOf({ kind: 'hemisphere', diameterM: 0.064 });
const shellM = new Float64Array(profile.arcM.length).fill(0.002);
const powder: Filling = {
  id: 'p',
  name: 'Drink powder',
  kind: 'powder',
  bulkDensity: 550,
  allergens: ['milk'],
  recipe: [],
};
const mallows: Filling = {
  id: 'm',
  name: 'Marshmallows',
  kind: 'marshmallow',
  bulkDensity: 210,
  pieceKg: 0.0005,
  allergens: ['gelatine'],
  recipe: [],
};
const TABLESPOON = 14.78676e-6;

const fill = (...layers: [Filling, FillAmount][]) =>
  fillStation({ profile, shellM, layers: layers.map(([filling, amount], i) => ({ id: `l${i}`, filling, amount })) });

describe('fill station', () => {
  it('leaves 56.549 mL inside a 2.0 mm shell of a 64 mm half (difference of two half spheres), within the drawn profile', () => {
    expect(fill().capacity.value * 1e6).toBeCloseTo(56.5, 0);
  });

  it.each([1, 2])(
    'takes %i tbsp of powder and small marshmallows to the rim, and closes (common practice, no source)',
    (spoons) => {
      const result = fill([powder, { by: 'volume', m3: spoons * TABLESPOON }], [mallows, { by: 'line', belowRimM: 0 }]);
      expect(result.closes).toBe(true);
      expect(result.layers[0].mass.value).toBeCloseTo(spoons * TABLESPOON * 550, 9);
      expect(result.headspace.value).toBeCloseTo(0, 9);
      expect(result.layers[1].count?.value).toBeGreaterThan(5);
    },
  );

  it('says what does not fit, and that it will not close', () => {
    const result = fill([powder, { by: 'mass', kg: 0.05 }]);
    expect(result.closes).toBe(false);
    expect(result.layers[0].mass.value + result.layers[0].leftOver.value).toBeCloseTo(0.05, 9);
    expect(result.headspace.value).toBeCloseTo(0, 9);
  });

  it('counts pieces by their own weight', () => {
    const result = fill([mallows, { by: 'count', count: 10 }]);
    expect(result.layers[0].mass.value).toBeCloseTo(0.005, 9);
    expect(result.layers[0].count?.value).toBe(10);
  });

  it.each([
    [powder, { by: 'volume', m3: 1e-5 }],
    [powder, { by: 'mass', kg: 0.004 }],
    [mallows, { by: 'count', count: 9 }],
    [powder, { by: 'share', share: 0.3 }],
    [powder, { by: 'line', belowRimM: 0.02 }],
  ] as [Filling, FillAmount][])(
    'moves a dragged fill line in the way the layer was asked for (%#)',
    (filling, amount) => {
      const before = fill([filling, amount]);
      const moved = amountForLevel(before, 0, 0.015);
      expect(moved.by).toBe(amount.by);
      expect(fill([filling, moved]).layers[0].toM).toBeCloseTo(0.015, amount.by === 'count' ? 3 : 9);
      const emptied = fill([filling, amountForLevel(before, 0, -1)]);
      expect(emptied.layers[0].mass.value).toBeCloseTo(0, 9);
      expect(fill([filling, amountForLevel(before, 0, 1)]).closes).toBe(true);
    },
  );
});
