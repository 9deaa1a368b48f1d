import { TestBed } from '@angular/core/testing';
import { Bench, MONDAY, clockAt, wait, withDemo } from '../../../testing/bench';
import { PlanService } from '../../state/plan-service';
import { Ribbon } from './ribbon';

const { store } = withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

const plan = () => {
  const now = TestBed.inject(PlanService).plan();
  if (!now) throw new Error('no plan');
  return now;
};

describe('ribbon', () => {
  it('is as long as one round, or as the job, and tells hands-on from waiting in words', async () => {
    const bench = await Bench.of(Ribbon);
    const share = (): { hands: number; wait: number } => {
      const grow = (selector: string): number =>
        bench.all(selector).reduce((sum, bar) => sum + Number(bar.style.flexGrow), 0);
      return { hands: grow('li:not(.wait)'), wait: grow('li.wait') };
    };
    const { timeline } = plan().batch;
    expect(share().hands + share().wait).toBeCloseTo(
      timeline.oneRound.reduce((sum, stretch) => sum + stretch.seconds, 0),
      6,
    );
    expect(bench.all('li.wait').every((bar) => bar.textContent?.includes('waiting'))).toBe(true);
    expect(bench.all('li:not(.wait)').every((bar) => bar.textContent?.includes('hands on'))).toBe(true);
    await bench.press('whole job');
    expect(share().hands).toBeCloseTo(timeline.handsOnSeconds, 6);
    expect(share().wait).toBeCloseTo(timeline.waitingSeconds, 6);
    expect(bench.text).toContain('Whole job');
  });

  it('says so when it would have no end', async () => {
    store().edit('hot room', (casting) => {
      casting.kitchen.roomC = 35;
      casting.parts[0].coats.forEach((coat) => (coat.sets = [{ place: 'room' }]));
    });
    const bench = await Bench.of(Ribbon);
    await wait(120);
    await bench.settle();
    expect(bench.text).toContain('never sets there');
    expect(bench.text).not.toMatch(/NaN|Infinity|undefined/);
  });
});
