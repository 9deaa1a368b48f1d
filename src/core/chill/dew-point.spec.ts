import psychrolib from 'psychrolib';
import { dewPointC, saturationPressurePa, secondsToWarm } from './dew-point';

psychrolib.SetUnitSystem(psychrolib.SI);

describe('dew point', () => {
  it('agrees with psychrolib within 0.05 K from 0 to 40 °C and 10 to 100 %', () => {
    for (let c = 0; c <= 40; c += 2.5) {
      for (let humidity = 0.1; humidity <= 1.0001; humidity += 0.1) {
        expect(
          Math.abs(dewPointC(c, humidity) - psychrolib.GetTDewPointFromRelHum(c, Math.min(1, humidity))),
        ).toBeLessThan(0.05);
      }
    }
  });

  it('is the room itself when the air is full', () => {
    expect(dewPointC(21, 1)).toBeCloseTo(21, 6);
  });

  it('gives the triple point’s pressure, 611.7 Pa (ASHRAE handbook, steam table)', () => {
    expect(saturationPressurePa(0.01)).toBeCloseTo(611.7, 0);
  });
});

describe('warming up', () => {
  it('takes one time constant to close 63 % of the gap (Newton’s law of cooling)', () => {
    expect(secondsToWarm(5, 20, 5 + 15 * (1 - Math.exp(-1)), 6000, 10)).toBeCloseTo(600, 6);
  });

  it('takes no time when it is warm already, and forever when the air is too cold', () => {
    expect(secondsToWarm(12, 20, 9, 6000, 10)).toBe(0);
    expect(secondsToWarm(5, 9, 9, 6000, 10)).toBe(Infinity);
  });
});
