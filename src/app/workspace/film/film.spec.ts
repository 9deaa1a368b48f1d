import { TestBed } from '@angular/core/testing';
import { cavityOf } from '../../../core/cavity/cavity';
import { draftPlan } from '../../../core/plan/draft';
import { recordShell } from '../../../core/shell/recording';
import { makingOf, make } from '../../../core/plan/making';
import { shellInputOf } from '../../../core/plan/simulate';
import { demoCastings } from '../../../data/demo';
import { Bench, closeWorkers, MONDAY, openDemo, until } from '../../../testing/bench';
import type { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { clockText, speedText } from '../../wording/film';
import { sectionGeometry } from '../../drawing/section-geometry';
import { FilmBar } from './film-bar';
import { FilmButton } from './film-button';
import { filmGeometry } from './film-geometry';
import { ShellFilm } from './shell-film';
import { ThicknessTimes } from './thickness-times';

describe('the film of a shell', () => {
  let store: CastingStore;
  let film: ShellFilm;
  let bench: Bench<FilmBar>;

  beforeEach(async () => {
    store = await openDemo();
    await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
    film = TestBed.inject(ShellFilm);
    const button = await Bench.of(FilmButton);
    await button.press('Watch it run and set');
    await until(() => film.frame() !== undefined);
    bench = await Bench.of(FilmBar);
    film.show(0);
    await bench.settle();
  });
  afterEach(() => {
    document.body.replaceChildren();
    closeWorkers();
  });

  it('tells what happens, when, how thick it is, and how much faster than life it is shown', async () => {
    expect(bench.text).toContain('Coat 1: stands full');
    film.show(40);
    await bench.settle();
    expect(bench.text).toMatch(
      /Coat 1: tipped out, rocked and tapped, still running\. Rim [\d.]+ mm, wall [\d.]+ mm, base [\d.]+ mm\. Shown \d+ times faster than in life/,
    );
    film.show(film.frames().length);
    await bench.settle();
    expect(bench.text).toContain('Coat 2: fridge, upside down');
  });

  it('plays on by itself, stops at the end, and begins again from there', async () => {
    film.show(film.frames().length - 4);
    await bench.press('Play');
    await until(() => !film.playing());
    await bench.settle();
    expect(film.index()).toBe(film.frames().length - 1);
    await bench.press('Play');
    expect(film.index()).toBeLessThan(5);
    await bench.press('Pause');
  });

  it('follows a change of the shell from the same place, and belongs to its casting alone', async () => {
    const last = film.frames().length - 1;
    film.show(last);
    const two = film.frame()?.readings.rimM ?? 0;
    store.edit('coats', (casting) => casting.parts[0].coats.pop());
    TestBed.tick();
    await until(() => film.frames().length - 1 < last);
    expect(film.frame()?.readings.rimM).toBeLessThan(two * 0.7);
    store.open('demo-bites');
    TestBed.tick();
    expect(film.frame()).toBeUndefined();
  });

  it('draws rim, wall and base over its minutes', async () => {
    const chart = await Bench.of(ThicknessTimes);
    expect(chart.all('canvas')[0].getAttribute('aria-label')).toMatch(
      /^Thickness at rim, wall and base over \d+ min\. At the end: base [\d.]+ mm, wall [\d.]+ mm, rim [\d.]+ mm\.$/,
    );
    const now = chart.all('.now')[0];
    film.show(0);
    await chart.settle();
    expect(now.style.left).toMatch(/ 0(\.0+)? \*/);
  });
});

describe('a picture of the film', () => {
  const [bombs] = demoCastings(MONDAY);
  const draft = draftPlan(bombs);
  const making = makingOf(bombs, bombs.parts[0]);
  const frames = recordShell(shellInputOf(making, make(making)));
  const base = sectionGeometry(draft, 600, 380, false);
  const drain = frames.find((frame) => frame.phase === 'drain' && frame.seconds > 15) ?? frames[0];

  it('is to the section’s scale: the free surface stands as far in as film and skin are thick', () => {
    const { thin, thinM } = filmGeometry(draft.cavity, base, drain, [frames[0].belowM]);
    const fromMiddle = Math.hypot(thin.x - base.axisX, thin.y - base.rimY) / base.pxPerM;
    expect(fromMiddle + thinM).toBeCloseTo(0.032, 5);
    expect(thinM).toBeCloseTo(Math.min(...drain.belowM.map((b, i) => b + drain.filmM[i])), 9);
  });

  it('is one stretch while all of it runs, and of several states while it sets', () => {
    expect(filmGeometry(draft.cavity, base, drain, [frames[0].belowM]).filmPaths.map(({ state }) => state)).toEqual([
      'runs',
    ]);
    // The next coat goes on as soon as the first can be touched: all of it sets in the last.
    const states = new Set(
      frames.flatMap((frame) =>
        filmGeometry(draft.cavity, base, frame, [frames[0].belowM]).filmPaths.map(({ state }) => state),
      ),
    );
    expect(states).toEqual(new Set(['runs', 'thickens', 'holds', 'set']));
  });

  it('draws nothing that is no number, on a former’s outside either', () => {
    const former = cavityOf({ kind: 'hemisphere', diameterM: 0.064 }, true);
    const { setPaths, filmPaths } = filmGeometry(former, base, drain, [frames[0].belowM]);
    for (const path of [...setPaths, ...filmPaths.map((one) => one.path)]) expect(path).not.toMatch(/NaN|Infinity/);
  });
});

describe('times of the film', () => {
  it.each([
    [0.4, '0 s'],
    [59.6, '1 min 00 s'],
    [75, '1 min 15 s'],
    [600, '10 min 00 s'],
  ])('writes %f s as %s', (seconds, shown) => expect(clockText(seconds)).toBe(shown));
  it.each([
    [1.2, 'as fast as in life'],
    [6, '6 times faster than in life'],
    [63, '60 times faster than in life'],
    [148, '100 times faster than in life'],
  ])('says of %f', (times, said) => expect(speedText(times)).toBe(said));
});
