import fc from 'fast-check';
import { cassonWaveSpeed } from '../flow/casson';
import { CASSON_AT_40, FLUIDITY_CLASSES, rheologyAt } from '../matter/chocolate';
import type { DripReading } from '../record/chocolate';
import { dripTest, onCardKg } from './drip-test';

const DENSITY = 1260;
const card = { cardWidthM: 0.04, dippedM: 0.05 };
const reading = (celsius: number, first: number, second?: number): DripReading => ({
  ...card,
  celsius,
  first: { seconds: 10, kg: first },
  ...(second === undefined ? {} : { second: { seconds: 60, kg: second } }),
});

describe('the drip test', () => {
  it.each(FLUIDITY_CLASSES)('picks %s for what a film of it would weigh, at 40 °C and cooler', (fluidity) => {
    for (const celsius of [40, 34]) {
      const flow = rheologyAt(fluidity, celsius);
      const result = dripTest(
        reading(celsius, onCardKg(card, flow, DENSITY, 10), onCardKg(card, flow, DENSITY, 60)),
        DENSITY,
      );
      expect(result.ok && result.picked).toBe(fluidity);
      expect(result.ok && result.disagree).toBe(false);
    }
  });

  // Jeffreys 1930: without yield h = √(η z/(ρ g t)) from the top, so both faces hold 2 w ρ ∫ h = 4/3 w ρ L √(η L/(ρ g t)).
  it('without a yield stress weighs what Jeffreys’ draining plate does', () => {
    const flow = { yieldPa: 0, viscosityPas: 2 };
    const exact = 2 * 0.04 * DENSITY * (2 / 3) * 0.05 * Math.sqrt((2 * 0.05) / (DENSITY * 9.81 * 20));
    expect(onCardKg(card, flow, DENSITY, 20) / exact).toBeCloseTo(1, 2);
  });

  it('has a film at each depth that travels there in just that time', () => {
    const flow = CASSON_AT_40.medium;
    const thin =
      onCardKg({ cardWidthM: 0.04, dippedM: 0.0501 }, flow, DENSITY, 20) -
      onCardKg({ cardWidthM: 0.04, dippedM: 0.0499 }, flow, DENSITY, 20);
    const film = thin / (2 * 0.04 * 0.0002 * DENSITY);
    expect(cassonWaveSpeed(DENSITY * 9.81, film, flow) * 20).toBeCloseTo(0.05, 2);
  });

  it('holds less the longer it drips and the thinner it is, of any card', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        fc.double({ min: 3, max: 60, noNaN: true }),
        (cardWidthM, dippedM, seconds) => {
          const weights = FLUIDITY_CLASSES.map((fluidity) =>
            onCardKg({ cardWidthM, dippedM }, CASSON_AT_40[fluidity], DENSITY, seconds),
          );
          weights.slice(1).forEach((kg, i) => expect(kg).toBeLessThan(weights[i]));
          expect(onCardKg({ cardWidthM, dippedM }, CASSON_AT_40.medium, DENSITY, seconds * 2)).toBeLessThan(weights[2]);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('says what cannot be, and what is beyond any class', () => {
    expect(dripTest(reading(40, 0.005, 0.006), DENSITY)).toEqual({ ok: false, problem: 'gains' });
    expect(dripTest({ ...reading(40, 0.006, 0.005), second: { seconds: 10, kg: 0.005 } }, DENSITY)).toEqual({
      ok: false,
      problem: 'order',
    });
    expect(dripTest(reading(40, 0.03), DENSITY)).toMatchObject({ picked: 'veryThick', beyond: 'thicker' });
    expect(dripTest(reading(40, 0.001), DENSITY)).toMatchObject({ picked: 'veryFluid', beyond: 'thinner' });
    expect(dripTest(reading(40, 0.0125, 0.0025), DENSITY)).toMatchObject({ disagree: true });
  });

  it('tells the mean film as weight over density over both faces', () => {
    const result = dripTest(reading(40, 0.00756), DENSITY);
    expect(result.ok && result.filmM).toBeCloseTo(0.00756 / 1260 / 0.004, 12);
  });
});
