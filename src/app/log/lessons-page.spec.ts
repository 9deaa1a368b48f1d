import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { BehaviorSubject, Subject } from 'rxjs';
import { readingsOf } from '../../core/learn/run-readings';
import { outcomeOf } from '../../core/run/outcome';
import type { KnownOutcomes } from '../../data/outcome-repository';
import { Bench, closeWorkers, openDemo, until } from '../../testing/bench';
import { teachingRuns } from '../../testing/teaching-runs';
import { NewCasting } from '../castings/new-casting';
import { Kitchens } from '../state/kitchens';
import { START_LESSONS_WORKER } from '../state/lessons-worker';
import { OutcomeStorage } from '../state/logbook';
import { LessonsPage } from './lessons-page';

const runs = teachingRuns(6, { hands: 1.4, sets: 1.3 });
const known: KnownOutcomes = {
  outcomes: runs.map((run) => outcomeOf(run, run.marks)),
  readings: new Map(runs.map((run) => [run.id, readingsOf(run, run.marks)])),
  missing: 0,
};
const nothing: KnownOutcomes = { outcomes: [], readings: new Map(), missing: 0 };

async function opened(outcomes: Subject<KnownOutcomes>, startLessons?: () => Worker) {
  if (startLessons) TestBed.overrideProvider(START_LESSONS_WORKER, { useValue: startLessons });
  TestBed.overrideProvider(OutcomeStorage, { useValue: { watch: () => outcomes } });
  const store = await openDemo();
  const kitchens = TestBed.inject(Kitchens);
  await until(() => kitchens.loaded());
  return { store, kitchens };
}

afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

describe('the page of lessons', () => {
  it('tells what runs have taught, the surest and farthest first, with every reading of it', async () => {
    await opened(new BehaviorSubject(known));
    const page = await Bench.of(LessonsPage);
    await until(() => page.text.includes('Your fridge takes heat away slower'));
    expect(page.all('h2').map((head) => head.textContent?.trim())).toEqual([
      'Coating',
      'How firm you want it',
      'Fridge',
      'Room',
    ]);
    expect(page.text).toContain('Where 2 min is usual, new plans allow 2.8 min.');
    await page.press('12 readings of Coating');
    expect(page.all('ks-lesson-readings li')).toHaveLength(6);
    expect(page.text).toContain('2 times: took 2.8 min, 2 min usually');
    await page.press('12 readings of Coating');
    expect(page.all('ks-lesson-readings')).toHaveLength(0);
  });

  it('keeps what is left aside in the kitchen, and what is forgotten is gone until a later run', async () => {
    const outcomes = new BehaviorSubject(known);
    const { kitchens } = await opened(outcomes);
    const page = await Bench.of(LessonsPage);
    await until(() => page.text.includes('You take longer to coat'));
    await page.press('Forget Coating');
    await until(() => !page.text.includes('You take longer to coat'));
    expect(page.text).toContain('Your fridge takes heat away slower');
    expect(Object.keys(kitchens.kitchen().lessons?.fromS ?? {})).toEqual(['coat']);
  });

  it('says how it fills where nothing was learned, and that it failed where it did', async () => {
    await opened(new BehaviorSubject(nothing));
    const page = await Bench.of(LessonsPage);
    await until(() => page.text.includes('Nothing has been learned yet'));
    expect(page.text).toContain('Nothing has been learned yet');
  });

  it('that cannot be worked out is said to be so', async () => {
    await opened(new BehaviorSubject(known), () => {
      throw new Error('no worker here');
    });
    const page = await Bench.of(LessonsPage);
    await until(() => page.text.includes('could not be worked out'));
    expect(page.text).toContain('could not be worked out');
  });
});

describe('a new casting', () => {
  it('that is begun before the runs are looked through waits for what they teach', async () => {
    const outcomes = new Subject<KnownOutcomes>();
    const { store } = await opened(outcomes);
    jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    const count = store.castings().length;
    const page = await Bench.of(NewCasting);
    await until(() => page.all('label[nz-radio-button]').length > 0);
    await page.press('Cocoa bomb');
    await page.press('Plan it');
    expect(store.castings()).toHaveLength(count);
    outcomes.next(known);
    await until(() => store.castings().length > count);
    const begun = store.castings().find(({ id }) => !id.startsWith('demo-'));
    expect(begun?.kitchen.learned?.fridge?.readings).toBe(24);
    expect(begun?.kitchen.learned?.hands?.coat?.factor).toBeCloseTo(1.39, 1);
  });
});
