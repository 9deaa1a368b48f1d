import { TestBed } from '@angular/core/testing';
import { Bench, MONDAY, clockAt, until, withDemo } from '../../testing/bench';
import { PlanService } from '../state/plan-service';
import { Sheet } from './sheet';

withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

describe('sheet', () => {
  it('has on one page what is cooked from: amounts, steps, time and allergens', async () => {
    const bench = await Bench.of(Sheet, { id: 'demo-bombs' });
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await bench.settle();
    expect(bench.text).toContain('18 pieces');
    expect(bench.text).toMatch(/Set upside down in the fridge for \d+ min \(likely [\d.]+ to [\d.]+ min\)/);
    expect(bench.text).toMatch(/Sat 17 Oct, 18:00/);
    expect(bench.text).toMatch(
      /Melt Quarry 64, seeding\d+ g and 2\d\d g of seed, chopped fine\..*stir in 2\d\d g.*32 °C/,
    );
    expect(bench.text).toMatch(/9\d\d g Quarry 64\. 500 g is in the pantry: buy 2 packs of 250 g, €\s9\.80\./);
    expect(bench.text).toContain('Contains soy and gelatine');
    expect(bench.text).not.toMatch(/NaN|undefined|Infinity/);
  });
});
