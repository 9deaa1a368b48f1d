import fc from 'fast-check';
import { cavityOf } from '../cavity/cavity';
import { depthCurve } from '../cavity/depth-curve';
import type { Filling } from '../record/filling';
import { fillStation, type FillResult } from './fill';
import { turnedOver } from './turned-over';

const lentils: Filling = {
  id: 'l',
  name: 'Lentils',
  kind: 'sweets',
  bulkDensity: 880,
  pieceKg: 0.0009,
  allergens: [],
  recipe: [],
};
const spice: Filling = { id: 's', name: 'Spice', kind: 'powder', bulkDensity: 600, allergens: [], recipe: [] };
const cream: Filling = { id: 'g', name: 'Ganache', kind: 'ganache', bulkDensity: 1100, allergens: [], recipe: [] };
const { profile } = cavityOf({ kind: 'cup', diameterM: 0.06, baseDiameterM: 0.03, depthM: 0.05 });
const fill = (...layers: readonly (readonly [Filling, number])[]): FillResult =>
  fillStation({
    profile,
    shellM: new Float64Array(profile.arcM.length).fill(0.002),
    layers: layers.map(([filling, m3], i) => ({ id: String(i), filling, amount: { by: 'volume', m3 } })),
  });

describe('a part turned over', () => {
  it('lets what is loose fall to the opening, the last in lowest', () => {
    const full = fill([spice, 8e-6], [lentils, 10e-6]);
    const [powder, sweets] = turnedOver(full, 0);
    expect(sweets.toM).toBeCloseTo(full.depthM, 9);
    expect(powder.toM).toBeCloseTo(sweets.fromM, 12);
    expect(powder.fromM).toBeGreaterThan(0.5 * full.depthM);
  });

  it('keeps what has set, and what it holds up', () => {
    const full = fill([lentils, 6e-6], [cream, 6e-6], [spice, 4e-6]);
    const [below, set, powder] = turnedOver(full, 0);
    expect([below, set]).toEqual(full.layers.slice(0, 2));
    expect(powder.toM).toBeCloseTo(full.depthM, 9);
  });

  it('rests what falls on what closes the opening', () => {
    const full = fill([lentils, 10e-6]);
    expect(turnedOver(full, 0.003)[0].toM).toBeCloseTo(full.depthM - 0.003, 9);
  });

  it('gives every layer the room it had', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(lentils, spice, cream), fc.double({ min: 1e-7, max: 12e-6, noNaN: true })), {
          minLength: 1,
          maxLength: 5,
        }),
        (layers) => {
          const full = fill(...layers);
          const curve = depthCurve(full.inside);
          for (const { volume, fromM, toM } of turnedOver(full, 0))
            expect(Math.abs(curve.volumeAt(toM) - curve.volumeAt(fromM) - volume.value)).toBeLessThan(1e-11);
        },
      ),
    );
  });
});
