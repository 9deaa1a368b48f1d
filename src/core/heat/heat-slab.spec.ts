import { HeatSlab, type SlabLayer } from './heat-slab';
import { setsInTheEnd, settingLaw } from './setting';

const plain: SlabLayer = {
  thicknessM: 0.01,
  cells: 80,
  conductivity: 0.24,
  volumetricHeat: 2e6,
  latentHeat: 0,
  setFromC: 1,
  setToC: 0,
  lagS: 0,
  startC: 30,
};

/** Abramowitz & Stegun 7.1.26, good to 1.5e-7. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * x);
  return (
    1 -
    t * Math.exp(-x * x) * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  );
}

describe('HeatSlab', () => {
  // Neumann's solution of the one-phase Stefan problem: λ e^(λ²) erf λ = Ste/√π (Carslaw & Jaeger, chapter 11).
  it.each([
    [0.1, 0.22002],
    [0.5, 0.46479],
    [1, 0.62006],
    [2, 0.8006],
  ])('sets as deep as Neumann’s solution at Stefan number %f', (stefan, lambda) => {
    const drop = 20;
    const slab = new HeatSlab(
      [
        {
          ...plain,
          thicknessM: 0.03,
          cells: 600,
          latentHeat: (plain.volumetricHeat * drop) / stefan,
          setFromC: 30,
          setToC: 29.9,
        },
      ],
      undefined,
      0,
    );
    const air = { outsideC: 30 - drop, outsideH: 1e9, insideC: 30, insideH: 0 };
    const seconds = 400;
    for (let k = 1; k <= 1000; k++) slab.step(seconds * ((k / 1000) ** 2 - ((k - 1) / 1000) ** 2), air);
    const depth = slab.meanSetFraction(0, slab.size) * 0.03;
    const exact = 2 * lambda * Math.sqrt((plain.conductivity / plain.volumetricHeat) * seconds);
    expect(Math.abs(depth / exact - 1)).toBeLessThan(0.01);
  });

  // Plane wall, one-term series for Fo > 0.2 (Incropera, table 5.1).
  it.each([
    [0.1, 0.3111, 1.0161],
    [1, 0.8603, 1.1191],
    [10, 1.4289, 1.262],
  ])('cools a plane wall as the one-term series at Biot number %f', (biot, zeta, c1) => {
    const slab = new HeatSlab([plain], undefined, 0);
    const air = { outsideC: 0, outsideH: (biot * plain.conductivity) / plain.thicknessM, insideC: 0, insideH: 0 };
    const fourier = 0.6;
    const seconds = (fourier * plain.thicknessM ** 2 * plain.volumetricHeat) / plain.conductivity;
    for (let k = 0; k < 1200; k++) slab.step(seconds / 1200, air);
    const centre = slab.temperatureC[slab.size - 1] / 30;
    expect(Math.abs(centre / (c1 * Math.exp(-zeta * zeta * fourier)) - 1)).toBeLessThan(0.005);
  });

  it('is symmetric when it is cooled from both sides', () => {
    const slab = new HeatSlab([{ ...plain, latentHeat: 6e7, setFromC: 28, setToC: 17, lagS: 30 }], undefined, 0);
    for (let k = 0; k < 50; k++) slab.step(10, { outsideC: 5, outsideH: 9, insideC: 5, insideH: 9 });
    for (let i = 0; i < slab.size / 2; i++)
      expect(slab.temperatureC[i]).toBeCloseTo(slab.temperatureC[slab.size - 1 - i], 8);
  });

  it('loses exactly the heat that its faces let out, setting and curvature included', () => {
    const layers: SlabLayer[] = [
      { ...plain, thicknessM: 0.0025, cells: 3, startC: 20 },
      { ...plain, thicknessM: 0.0015, cells: 4, latentHeat: 8e7, setFromC: 28, setToC: 17, lagS: 40, startC: 31.5 },
    ];
    const slab = new HeatSlab(layers, { mean: 1 / 0.032, gauss: 1 / 0.032 ** 2 });
    slab.addOutsideCapacity(500);
    const before = slab.heatHeld();
    for (let k = 0; k < 200; k++) slab.step(1 + k / 10, { outsideC: 5, outsideH: 10, insideC: 5, insideH: 5 });
    const lost = before - slab.heatHeld();
    expect(lost).toBeGreaterThan(1e4);
    expect(Math.abs(slab.heatOut / lost - 1)).toBeLessThan(1e-9);
  });

  it('balances with what sets slowly, in steps of any length', () => {
    for (const dt of [0.5, 20, 90]) {
      const slow = settingLaw({ kind: 'dark' }).slow;
      const slab = new HeatSlab(
        [{ ...plain, latentHeat: 8e7, setFromC: 32, setToC: 12, lagS: 20, slow, startC: 31.5 }],
        { mean: 1 / 0.032, gauss: 1 / 0.032 ** 2 },
        0,
      );
      const before = slab.heatHeld();
      for (let k = 0; k < 200; k++) slab.step(dt, { outsideC: 20, outsideH: 10, insideC: 20, insideH: 5 });
      expect(Math.abs(slab.heatOut / (before - slab.heatHeld()) - 1)).toBeLessThan(1e-9);
    }
  });

  // The law taken to its ends: held at one temperature it comes to what is stable there, with no latent heat it is plain conduction.
  it.each([10, 18, 24, 28])('comes to what is stable at %f °C, and to nothing more', (celsius) => {
    const slab = new HeatSlab(
      [
        {
          ...plain,
          thicknessM: 0.001,
          cells: 3,
          latentHeat: 8e7,
          setFromC: 32,
          setToC: 12,
          lagS: 20,
          slow: settingLaw({ kind: 'dark' }).slow,
        },
      ],
      undefined,
      0,
    );
    for (let k = 0; k < 20_000; k++)
      slab.step(20, { outsideC: celsius, outsideH: 1e5, insideC: celsius, insideH: 1e5 });
    expect(slab.meanSetFraction(0, 3)).toBeCloseTo(setsInTheEnd({ kind: 'dark' }, celsius), 4);
  });

  it('never sets less while it cools, and never beyond complete', () => {
    const slab = new HeatSlab([{ ...plain, latentHeat: 8e7, setFromC: 28, setToC: 17, lagS: 60 }], undefined, 0);
    let before = 0;
    for (let k = 0; k < 300; k++) {
      slab.step(15, { outsideC: -18, outsideH: 15, insideC: -18, insideH: 15 });
      const now = slab.meanSetFraction(0, slab.size);
      expect(now).toBeGreaterThanOrEqual(before);
      before = now;
    }
    expect(before).toBeGreaterThan(0.99);
    expect(before).toBeLessThanOrEqual(1);
  });

  // Two half-spaces brought together: contact temperature from effusivities, erf law within (Carslaw & Jaeger, chapter 2).
  it('meets a cool endless wall at the contact temperature, and warms it by the erf law', () => {
    const chocolate = {
      ...plain,
      conductivity: 0.24,
      volumetricHeat: 1250 * 1650,
      startC: 34,
      thicknessM: 0.02,
      cells: 400,
    };
    const silicone = {
      ...plain,
      conductivity: 0.2,
      volumetricHeat: 1150 * 1300,
      startC: 20,
      thicknessM: 0.02,
      cells: 400,
    };
    const slab = new HeatSlab([silicone, chocolate]);
    const seconds = 20;
    for (let k = 1; k <= 400; k++)
      slab.step(seconds * ((k / 400) ** 2 - ((k - 1) / 400) ** 2), {
        outsideC: 20,
        outsideH: 0,
        insideC: 34,
        insideH: 0,
      });
    const contact = slab.faceC(400);
    expect(contact).toBeCloseTo(27.87, 1);
    const depth = 0.0015;
    const cell = 400 + Math.round(depth / slab.width[400] - 0.5);
    const centre = (cell - 400 + 0.5) * slab.width[400];
    const diffusivity = chocolate.conductivity / chocolate.volumetricHeat;
    expect(slab.temperatureC[cell]).toBeCloseTo(
      27.877 + (34 - 27.877) * erf(centre / (2 * Math.sqrt(diffusivity * seconds))),
      1,
    );
  });
});
