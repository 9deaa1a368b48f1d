import fc from 'fast-check';
import { rheologyAt } from '../matter/chocolate';
import { cassonFlux, cassonWaveSpeed } from './casson';

const WEIGHT = 1260 * 9.81;

describe('Casson film', () => {
  // Worked from the flux integral of the Casson model (ICA method 46) on a vertical wall.
  it.each([
    [8, 2.4, 0.002, 1.60338e-6],
    [12, 3, 0.003, 4.32912e-6],
  ])(
    'with yield stress %f Pa, viscosity %f Pa·s and %f m flows as the model says',
    (yieldPa, viscosityPas, h, flux) => {
      expect(cassonFlux(WEIGHT, h, { yieldPa, viscosityPas }) / flux).toBeCloseTo(1, 5);
    },
  );

  it('is the integral of its own shear profile, found by quadrature', () => {
    const flow = rheologyAt('medium', 31.5);
    const h = 0.0018;
    const steps = 20000;
    let flux = 0;
    let speed = 0;
    for (let i = 0; i < steps; i++) {
      const stress = WEIGHT * (h - ((i + 0.5) * h) / steps);
      const rate = stress > flow.yieldPa ? (Math.sqrt(stress) - Math.sqrt(flow.yieldPa)) ** 2 / flow.viscosityPas : 0;
      speed += (rate * h) / steps;
      flux += (speed * h) / steps;
    }
    expect(cassonFlux(WEIGHT, h, flow) / flux).toBeCloseTo(1, 3);
  });

  it('is Newtonian without a yield stress: ρgh³/(3η)', () => {
    expect(cassonFlux(WEIGHT, 0.001, { yieldPa: 0, viscosityPas: 2 })).toBeCloseTo((WEIGHT * 1e-9) / 6, 15);
  });

  it('does not flow below its yield point, and its wave speed is the slope of the flux', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 15, noNaN: true }),
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: 1e-4, max: 6e-3, noNaN: true }),
        (yieldPa, viscosityPas, h) => {
          const flow = { yieldPa, viscosityPas };
          const slope = (cassonFlux(WEIGHT, h * 1.0001, flow) - cassonFlux(WEIGHT, h * 0.9999, flow)) / (h * 0.0002);
          const speed = cassonWaveSpeed(WEIGHT, h, flow);
          if (WEIGHT * h < yieldPa * 0.999) expect(cassonFlux(WEIGHT, h, flow)).toBe(0);
          expect(Math.abs(slope - speed)).toBeLessThanOrEqual(2e-3 * speed + 1e-9);
        },
      ),
    );
  });
});
