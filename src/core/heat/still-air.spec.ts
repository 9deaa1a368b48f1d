import { convectionH, radiationH, StillAir } from './still-air';

describe('still air', () => {
  // An upright glass door of 0.71 m at 232 °C in a room of 23 °C gives 7.0 W/(m² K) by convection (Incropera, example 9.2, from memory).
  it('takes as much as in the handbook’s example of a fire screen', () => {
    expect(convectionH(232, 23, 0.71)).toBeCloseTo(7, 0);
    expect(Math.abs(convectionH(232, 23, 0.71) / 7 - 1)).toBeLessThan(0.04);
  });

  // 4 ε σ T³ between faces nearly alike: 5.1 to 5.5 at room temperature with an emissivity of 0.9.
  it('takes by radiation what Stefan and Boltzmann’s law comes to between faces nearly alike', () => {
    expect(radiationH(20.01, 20)).toBeCloseTo(4 * 0.9 * 5.67e-8 * 293.15 ** 3, 2);
  });

  it('takes more the further the face is from it, either way, and its table is as good as the formula', () => {
    const air = StillAir.of(5);
    let before = 0;
    for (let over = 0; over <= 30; over += 0.25) {
      const now = convectionH(5 + over, 5, 0.06);
      expect(now).toBeGreaterThanOrEqual(before);
      before = now;
      if (over < 1) continue;
      expect(Math.abs(air.at(5 + over) / (now + radiationH(5 + over, 5)) - 1)).toBeLessThan(0.005);
    }
    expect(convectionH(0, 20, 0.06)).toBeCloseTo(convectionH(20, 0, 0.06), 6);
  });
});
