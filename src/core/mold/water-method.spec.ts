import { waterDensity, waterVolumeM3 } from '../matter/water';
import { waterMethod } from './water-method';

const ML = 1e6;
const weigh = (...readings: [number, number][]) =>
  waterMethod({
    readings: readings.map(([empty, full]) => ({ emptyKg: empty / 1000, fullKg: full / 1000 })),
    cavities: 1,
    waterC: 20,
    scaleStepKg: 0.001,
  });

describe('density of water', () => {
  // Kell 1975, table II, kg/m³ (values from memory).
  it.each([
    [0, 999.84],
    [4, 999.972],
    [10, 999.7],
    [20, 998.204],
    [25, 997.045],
    [30, 995.647],
    [40, 992.215],
    [60, 983.196],
    [80, 971.79],
  ])('at %f °C is %f kg/m³ within 0.01 %%', (t, density) => {
    expect(Math.abs(waterDensity(t) / density - 1)).toBeLessThan(1e-4);
  });

  it('is greatest at 4 °C', () => {
    expect(waterDensity(4)).toBeGreaterThan(waterDensity(3));
    expect(waterDensity(4)).toBeGreaterThan(waterDensity(5));
  });

  // ISO 8655-6: Z factor 1.0029 mL/g at 20 °C and 101.3 kPa (from memory), the air's lift included.
  it('makes 1.0029 mL of a gram shown at 20 °C', () => {
    expect(waterVolumeM3(0.001, 20) * ML).toBeCloseTo(1.0029, 4);
  });
});

describe('water method', () => {
  it('half a cup of water is 118 mL (common practice, no source)', () => {
    expect(weigh([200, 318]).volumeM3 * ML).toBeCloseTo(118, 0);
  });

  it('averages, spreads over the cavities filled, and says how sure', () => {
    const one = weigh([200, 268]);
    const three = weigh([200, 268], [200, 270], [201, 269]);
    expect(three.volumeM3 * ML).toBeCloseTo(waterVolumeM3((0.068 + 0.07 + 0.068) / 3, 20) * ML, 6);
    expect(three.problems).toEqual([]);
    expect(one.uncertaintyM3 / one.volumeM3).toBeGreaterThan(0.01);
    const six = waterMethod({
      readings: [{ emptyKg: 0.2, fullKg: 0.608 }],
      cavities: 6,
      waterC: 20,
      scaleStepKg: 0.001,
    });
    expect(six.volumeM3 * ML).toBeCloseTo(68.2, 1);
    // Six cavities at once make the step of the scale count a sixth.
    expect(six.uncertaintyM3).toBeLessThan(one.uncertaintyM3);
  });

  it('knows weights the wrong way round, and keeps the other readings', () => {
    const result = weigh([268, 200], [200, 268]);
    expect(result.problems).toEqual([{ key: 'wrongWayRound', reading: 0 }]);
    expect(result.volumeM3 * ML).toBeCloseTo(68.2, 1);
    expect(result.eachM3).toHaveLength(2);
    expect(weigh([268, 200]).volumeM3).toBeNaN();
  });

  it('sees a wet mold by its empty weight', () => {
    expect(weigh([200, 268], [204, 270]).problems).toContainEqual({ key: 'wet', reading: 1 });
    expect(weigh([200, 268], [201, 269]).problems).toEqual([]);
  });

  it('asks for one more when readings are more than 5 % apart, and drops none', () => {
    const result = weigh([200, 268], [200, 272], [200, 264]);
    expect(result.problems).toEqual([{ key: 'disagree', share: expect.closeTo(8 / 68, 3) as number }]);
    expect(result.eachM3.every((v) => v > 0)).toBe(true);
    expect(weigh([200, 268], [200, 270]).problems).toEqual([]);
  });

  it('warns of less water than the scale can tell', () => {
    expect(weigh([200, 202]).problems).toContainEqual({ key: 'tooLittle', reading: 0 });
    expect(weigh().problems).toEqual([{ key: 'noReading' }]);
  });
});
