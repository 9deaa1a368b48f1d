import type { PlannedTask } from '../../../core/occasion/occasion-plan';
import { occasionStretches } from './occasion-bars';

const task = (startS: number, seconds: number): PlannedTask => ({ startS, seconds, handsOn: true }) as PlannedTask;

describe('a casting’s work in its occasion', () => {
  it('leaves no gap between what is done and what is between, and folds a night (worked by hand)', () => {
    const night = 12 * 3600;
    const stretches = occasionStretches([task(1000, 60), task(1100, 30), task(1130 + night, 20)]);
    expect(
      stretches.map(({ startS, seconds, drawnS, task: done }) => [startS, seconds, drawnS, done !== undefined]),
    ).toEqual([
      [1000, 60, 60, true],
      [1060, 40, 40, false],
      [1100, 30, 30, true],
      [1130, night, 1200, false],
      [1130 + night, 20, 20, true],
    ]);
  });

  it('draws what two people do at once one after the other, no second twice', () => {
    const stretches = occasionStretches([task(0, 100), task(50, 100), task(60, 10)]);
    expect(stretches.map(({ startS, seconds }) => [startS, seconds])).toEqual([
      [0, 100],
      [100, 50],
    ]);
  });
});
