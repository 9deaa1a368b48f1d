import { TestBed } from '@angular/core/testing';
import { Bench, MONDAY, clockAt, until, wait, withDemo } from '../../../testing/bench';
import { PlanService } from '../../state/plan-service';
import { ChillStation } from './chill-station';
import { PlaceComparison } from './place-comparison';

const { casting } = withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

describe('Chill station', () => {
  it('keeps the kitchen, and says when it never sets', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.type('Room', '86F');
    expect(casting().kitchen.roomC).toBeCloseTo(30, 6);
    await bench.type('Humidity', '80 %');
    expect(casting().kitchen.humidity).toBeCloseTo(0.8, 9);
    await bench.press('room', 1);
    expect(casting().parts[0].coats.map((coat) => coat.sets[0].place)).toEqual(['fridge', 'room']);
    await until(() => bench.text.includes('does not set here'));
    await bench.settle();
    expect(bench.text).toContain('does not set here');
  });

  it('lets the user’s own minutes stand, and takes the computed ones back', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('set my own time', 0);
    await bench.type('Your own time for coat 1', '12 min');
    expect(casting().parts[0].coats[0].sets).toEqual([{ place: 'fridge', seconds: 720 }]);
    await wait(150);
    await bench.settle();
    await bench.press('Use the computed time');
    expect(casting().parts[0].coats[0].sets).toEqual([{ place: 'fridge' }]);
  });

  it('rests a coat in the room before its place, as long as wanted, or not', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('rest it in the room first', 1);
    expect(casting().parts[0].coats[1].sets).toEqual([{ place: 'room', seconds: 1200 }, { place: 'fridge' }]);
    await bench.type('Rests in the room first', '30 min');
    await bench.press('freezer', 1);
    expect(casting().parts[0].coats[1].sets).toEqual([{ place: 'room', seconds: 1800 }, { place: 'freezer' }]);
    await bench.press('Straight into its place');
    expect(casting().parts[0].coats[1].sets).toEqual([{ place: 'freezer' }]);
  });

  it('lets the last coat stand on the bench before it comes out, as long as wanted, or not', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('stand it on the bench after');
    expect(casting().parts[0].coats.map((coat) => coat.then)).toEqual([[], [{ place: 'room', seconds: 300 }]]);
    await bench.type('Then on the bench, still in its mold', '10 min');
    expect(casting().parts[0].coats[1].then).toEqual([{ place: 'room', seconds: 600 }]);
    await bench.type('Then on the bench, still in its mold', '0 min');
    expect(casting().parts[0].coats[1].then).toEqual([]);
  });

  it('keeps the covered rest', async () => {
    const bench = await Bench.of(ChillStation);
    await bench.press('covered');
    expect(casting().parts[0].coveredRest).toBe(true);
    await bench.press('in the open');
    expect(casting().parts[0].coveredRest).toBe(false);
  });
});

describe('comparison of places', () => {
  it('is quicker the colder the place, for each coat', async () => {
    const bench = await Bench.of(PlaceComparison);
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    await bench.settle();
    const minutes = (): number[] =>
      bench.all('tbody tr').map((row) => parseFloat(row.querySelectorAll('td')[1].textContent ?? ''));
    const names = bench.all('tbody th').map((head) => head.textContent?.split(',')[0].trim());
    const at = (name: string): number => minutes()[names.indexOf(name)];
    expect(at('freezer')).toBeLessThan(at('fridge'));
    expect(at('fridge')).toBeLessThan(at('room') || Infinity);
    await bench.press('coat 1');
    expect(bench.all('tr.chosen')).toHaveLength(1);
  });
});
