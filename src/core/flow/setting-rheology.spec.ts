import { rheologyAt } from '../matter/chocolate';
import { NO_FLOW_FROM, settingRheology } from './setting-rheology';

describe('chocolate that is setting', () => {
  it('is as its temperature has it while nothing has set', () => {
    expect(settingRheology('medium', 31.5, 0)).toEqual(rheologyAt('medium', 31.5));
  });

  // Working rules, worked by hand: half of the way to no flow makes η 0.5^-1.5 = 2.828 times, τ_y 1 + 8 · 0.3 = 3.4 times.
  it('is stiffer by what has set: at 0.3 viscosity 2.83 and yield stress 3.4 times', () => {
    const plain = rheologyAt('medium', 28);
    const setting = settingRheology('medium', 28, 0.3);
    expect(setting.viscosityPas / plain.viscosityPas).toBeCloseTo(2.828, 3);
    expect(setting.yieldPa / plain.yieldPa).toBeCloseTo(3.4, 9);
  });

  it('only ever stiffens as it sets, smoothly up to where nothing flows at all', () => {
    let before = settingRheology('fluid', 27, 0);
    for (let set = 0.01; set < NO_FLOW_FROM - 1e-9; set += 0.01) {
      const now = settingRheology('fluid', 27, set);
      expect(now.viscosityPas).toBeGreaterThan(before.viscosityPas);
      expect(now.yieldPa).toBeGreaterThan(before.yieldPa);
      before = now;
    }
    expect(settingRheology('fluid', 27, NO_FLOW_FROM - 1e-6).viscosityPas).toBeGreaterThan(1e6);
    expect(settingRheology('fluid', 27, NO_FLOW_FROM).yieldPa).toBe(Infinity);
  });
});
