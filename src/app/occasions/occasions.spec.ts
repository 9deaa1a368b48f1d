import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { Bench, clockAt, closeWorkers, MONDAY, openDemo, until } from '../../testing/bench';
import type { CastingStore } from '../state/casting-store';
import { Notices } from '../state/notices';
import { Pantry } from '../state/pantry';
import { Occasions } from '../state/occasions';
import { InOccasion } from '../state/in-occasion';
import { Timetables } from '../state/timetables';
import { timeText } from '../wording/times';
import { Ribbon } from '../workspace/ribbon/ribbon';
import { StationList } from '../workspace/station-list';
import { OccasionPage } from './occasion-page';
import { OccasionsPage } from './occasions-page';

let store: CastingStore;
let occasions: Occasions;

beforeEach(async () => {
  clockAt(MONDAY);
  store = await openDemo();
  jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  jest.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
  occasions = TestBed.inject(Occasions);
  await until(() => occasions.loaded());
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
  jest.useRealTimers();
});

const supper = () => occasions.byId().get('demo-supper');

/** The page of the supper, of which two castings are there, once its timetable has been found. */
async function opened(): Promise<Bench<OccasionPage>> {
  occasions.edit('demo-supper', 'stays', (draft) => {
    draft.stays = [];
    draft.castingIds = store.castings().map(({ id }) => id);
  });
  const bench = await Bench.of(OccasionPage, { id: 'demo-supper' });
  await found(bench);
  return bench;
}

async function found(bench: Bench<OccasionPage>): Promise<void> {
  await bench.settle();
  const timetables = TestBed.inject(Timetables);
  await until(() => timetables.timetable() !== undefined && timetables.timetable()?.share === undefined);
  await bench.settle();
}

describe('Occasions', () => {
  it('tells of each its event, its castings and its next stay, and those that are gone', async () => {
    const bench = await Bench.of(OccasionsPage);
    expect(bench.text).toContain('ready by Sat 17 Oct, 18:00');
    expect(bench.text).toContain('next in the kitchen: Fri 16 Oct, 18:00 to 21:00');
    expect(bench.text).toContain('Cider-spice bombs, Pebble bites');
    expect(bench.text).toContain('7 not here any more');
  });

  it('begins one, copies one with its castings, deletes one that undo brings back', async () => {
    const bench = await Bench.of(OccasionsPage);
    await bench.press('New occasion');
    expect(occasions.records().map(({ name }) => name)).toEqual(['Hedgerow supper', 'New occasion']);
    await bench.press('Copy Hedgerow supper');
    const copy = occasions.records()[2];
    expect(copy.castingIds.slice(0, 2).every((id) => store.castings().some((casting) => casting.id === id))).toBe(true);
    expect(copy.castingIds[0]).not.toBe('demo-bombs');
    expect(store.castings()).toHaveLength(4);
    store.undo();
    expect([occasions.records().length, store.castings().length]).toEqual([2, 2]);
    store.redo();
    expect([occasions.records().length, store.castings().length]).toEqual([3, 4]);
    await bench.press('Delete Hedgerow supper');
    expect(supper()).toBeUndefined();
    expect(TestBed.inject(Notices).notice()?.text).toBe('Deleted “Hedgerow supper”. Its castings stay.');
    store.undo();
    expect(supper()?.name).toBe('Hedgerow supper');
  });

  it('a casting belongs to one at most', () => {
    const other = occasions.create({ local: '2026-10-18T12:00', zone: 'Europe/Berlin' });
    occasions.put(['demo-bombs'], other.id);
    expect(occasions.of('demo-bombs')?.id).toBe(other.id);
    expect(supper()?.castingIds).not.toContain('demo-bombs');
    store.undo();
    expect(occasions.of('demo-bombs')?.id).toBe('demo-supper');
  });

  it('takes several castings into a new one in one step, and no more than it holds', () => {
    const due = { local: '2026-10-18T12:00', zone: 'Europe/Berlin' };
    const [ids, before] = [store.castings().map(({ id }) => id), supper()];
    const fresh = occasions.putAnew(ids, due);
    expect(occasions.byId().get(fresh?.id ?? '')?.castingIds).toEqual(ids);
    expect(occasions.of(ids[0])?.id).toBe(fresh?.id);
    store.undo();
    expect([occasions.records().length, supper()]).toEqual([1, before]);
    const many = Array.from({ length: 41 }, (_, i) => `casting ${i}`);
    expect(occasions.putAnew(many, due)).toBeUndefined();
    expect(occasions.records()).toHaveLength(1);
    expect(TestBed.inject(Notices).notice()?.text).toContain('40 castings at most');
  });

  it('comes back from its file with castings of their own', () => {
    const own = supper();
    if (!own) throw new Error('no supper');
    const packed = { ...own, castings: store.castings() };
    occasions.takePacked([packed]);
    const [, taken] = occasions.records();
    expect(taken.name).toBe('Hedgerow supper 2');
    expect(store.castings()).toHaveLength(4);
    expect(occasions.castingsOf(taken).map(({ name }) => name)).toEqual(['Cider-spice bombs', 'Pebble bites']);
    expect(occasions.castingsOf(taken)[0].id).not.toBe('demo-bombs');
  });

  it('leaves castings that a file names and does not carry in the occasion that they are in here', () => {
    const occasions = TestBed.inject(Occasions);
    const own = occasions.of('demo-bombs');
    if (!own) throw new Error('no supper');
    occasions.takePacked([{ ...own, castingIds: ['demo-bombs', 'never-here'], castings: [] }]);
    expect(occasions.records().at(-1)?.castingIds).toEqual(['never-here']);
    expect(occasions.of('demo-bombs')?.id).toBe(own.id);
    expect(TestBed.inject(Notices).notice()?.text).toBe(
      'Added 1 occasion. One casting is in another occasion here, and stays there.',
    );
  });
});

describe('The page of an occasion', () => {
  it('answers when to start, and lists what is done when', async () => {
    const bench = await opened();
    expect(bench.text).toMatch(/From start to end ?\d h/);
    expect(bench.text).toMatch(/Melt \d+ g of Quarry 64/);
    expect(bench.text).toContain('Your hands');
    expect(bench.text).toMatch(/Coat 1, Cider-spice bombs ?6 × [\d.]+ g poured, [\d.]+ g stays/);
    expect(bench.text).toMatch(
      /Fill, Cider-spice bombs ?3 × \d+ g Cider-spice powder, 3 × [\d.]+ g Small marshmallows/,
    );
    expect(bench.text).toMatch(/Quarry 64 at 31.5 °C for A \d+ g/);
    const times = bench.all('ks-task-list time').map((time) => time.textContent ?? '');
    expect(times.length).toBeGreaterThan(20);
    expect([...times].sort()).toEqual(times);
  });

  it('opens a task, says why then, holds it, lets it go, and is undone', async () => {
    const bench = await opened();
    await bench.press(/Unmold, round 7/);
    expect(bench.text).toMatch(/It may (not )?wait/);
    await bench.enter('Hold it at', 'Sat 17 Oct 2026, 17:55');
    expect(supper()?.holds).toHaveLength(1);
    await until(() => bench.text.includes('You hold it at this time'));
    expect(bench.text).toContain('You hold it at this time');
    expect(bench.all('ks-task-list button.open time')[0].textContent).toBe('17:55');
    await bench.press('Let go');
    expect(supper()?.holds).toEqual([]);
    store.undo();
    expect(supper()?.holds).toHaveLength(1);
  });

  it('has a break in the middle, for all hands, and says so, or that there is no room', async () => {
    const bench = await opened();
    await bench.type('Break', '20 min');
    await until(
      () =>
        TestBed.inject(Timetables)
          .timetable()
          ?.plan?.tasks.some(({ kind }) => kind === 'break') === true,
    );
    await found(bench);
    expect(supper()?.breakS).toBe(1200);
    expect(bench.text).toContain('In the middle of every stretch of more than 2 h.');
    expect(bench.text).toMatch(/Free ?20 min/);
    const [rest] = bench.all<HTMLButtonElement>('ks-lanes button.break');
    expect(rest.title).toMatch(/^\d\d:\d\d Break: all hands$/);
    rest.click();
    await bench.settle();
    expect(bench.text).toContain('It is had about the middle of a long stretch of work.');
    await bench.type('Break', '3 h');
    await found(bench);
    occasions.edit('demo-supper', 'stay', (draft) => {
      draft.stays = [{ from: '2026-10-17T13:00', to: '2026-10-17T18:00' }];
    });
    await until(() => TestBed.inject(Timetables).timetable()?.plan?.noBreak.length === 1);
    await found(bench);
    expect(bench.text).toContain('No room was found for it on Sat 17 Oct,');
  });

  it('says what is impossible and keeps the last timetable in sight', async () => {
    const bench = await opened();
    occasions.edit('demo-supper', 'stay', (draft) => {
      draft.stays = [{ from: '2026-10-17T17:00', to: '2026-10-17T17:30' }];
    });
    await until(() => bench.text.includes('All that is done by hand'));
    expect(bench.text).toMatch(/All that is done by hand takes .*; the stays have 30 min/);
    expect(bench.text).toContain('the last timetable that was found');
    expect(bench.text).toContain('Your hands');
  });

  it('adds stays, refuses one that ends before it begins, and says which overlap', async () => {
    const bench = await opened();
    await bench.press('Add a stay');
    expect(supper()?.stays).toEqual([{ from: '2026-10-17T13:00', to: '2026-10-17T18:00' }]);
    await bench.press('Add a stay');
    expect(supper()?.stays[1]).toEqual({ from: '2026-10-16T13:00', to: '2026-10-16T18:00' });
    await bench.enter('to', 'Sat 17 Oct 2026, 09:00');
    expect(bench.text).toContain('A stay ends after it begins');
    expect(supper()?.stays[0].to).toBe('2026-10-17T18:00');
    await bench.enter('Stay 2, from', 'Sat 17 Oct 2026, 15:00');
    expect(bench.text).toContain('the two are taken as one');
  });

  it('moves the ends of a stay by arrow keys, never past each other, undone like any change', async () => {
    const bench = await opened();
    occasions.edit('demo-supper', 'stay', (draft) => {
      draft.stays = [{ from: '2026-10-17T08:00', to: '2026-10-17T17:30' }];
    });
    await until(() => bench.all('[role=slider]').length === 2);
    const [begins, ends] = bench.all('[role=slider]');
    expect([begins, ends].map((edge) => edge.getAttribute('aria-label'))).toEqual(['Stay 1 begins', 'Stay 1 ends']);
    expect(ends.getAttribute('aria-valuetext')).toBe('Sat 17 Oct, 17:30');
    const press = (edge: HTMLElement, key: string): boolean =>
      edge.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    press(begins, 'ArrowLeft');
    press(begins, 'Enter');
    expect(supper()?.stays).toEqual([{ from: '2026-10-17T07:45', to: '2026-10-17T17:30' }]);
    await bench.settle();
    press(bench.all('[role=slider]')[1], 'ArrowRight');
    expect(supper()?.stays[0].to).toBe('2026-10-17T17:45');
    // Ten hours by quarters of one, of which there are fewer.
    for (let k = 0; k < 40; k++) {
      await bench.settle();
      const edge = bench.all('[role=slider]').at(0);
      if (edge) press(edge, 'ArrowRight');
    }
    expect(Date.parse(supper()?.stays[0].from ?? '')).toBeLessThanOrEqual(Date.parse('2026-10-17T17:30'));
    expect(supper()?.stays[0].to).toBe('2026-10-17T17:45');
  });

  it('says what all of it and each casting cost, and what is counted in pieces', async () => {
    const bench = await opened();
    expect(bench.text).toMatch(/All of it costs € \d+\.\d\d/);
    const own = [...bench.text.matchAll(/€ (\d+\.\d\d) in all/g)].map(([, amount]) => Number(amount));
    expect(own).toHaveLength(2);
    const all = Number(/All of it costs € (\d+\.\d\d)/.exec(bench.text)?.[1]);
    // Each is rounded by itself.
    expect(Math.abs(own[0] + own[1] - all)).toBeLessThan(0.02);
    expect(bench.text).toMatch(/Pairs of gloves ?1 ?not kept ?keep it ?1/);
    await bench.press('Keep Pairs of gloves in the pantry');
    const [kept] = TestBed.inject(Pantry).goods();
    expect(kept).toMatchObject({ entry: 'supply', kind: 'gloves', name: 'Pairs of gloves' });
    await bench.settle();
    expect(bench.text).toMatch(/Pairs of gloves ?1 ?0 ?1 × 50/);
  });

  it('counts what a casting takes in pieces to its cost', async () => {
    const bench = await opened();
    const costOfFirst = () => Number(/€ (\d+\.\d\d) in all/.exec(bench.text)?.[1]);
    const before = costOfFirst();
    const pantry = TestBed.inject(Pantry);
    const { id } = pantry.createSupply('Sticks', 'stick', 0.004);
    pantry.edit(id, 'price', (entry) => Object.assign(entry, { pack: 50, packPrice: 5 }));
    store.editOne('demo-bombs', 'stick', ({ parts }) => void (parts[0].stick = { thickM: 0.004, insideM: 0.02 }));
    const sticks = () => TestBed.inject(Timetables).timetable()?.plan?.suppliesOf['demo-bombs'].at(0);
    await until(() => sticks() !== undefined);
    await found(bench);
    expect(sticks()?.count).toBeGreaterThanOrEqual(36);
    expect(costOfFirst() - before).toBeCloseTo((sticks()?.count ?? 0) / 10, 1);
  });

  it('packs sets: says what is short and casts it, and has them packed at the end', async () => {
    const bench = await opened();
    await bench.press('Add a set');
    await bench.enter('Name', 'Gift');
    await bench.enter('How many', '20');
    expect(supper()?.sets[0]).toMatchObject({ name: 'Gift', count: 20, wrap: 'box' });
    expect(bench.text).toContain('Cider-spice bombs: 20 of 18 packed, 2 short');
    expect(bench.text).toContain('Pebble bites: 20 of 24 packed, 4 left over');
    await bench.press('Cast 20');
    expect(store.castings().find(({ id }) => id === 'demo-bombs')?.pieces).toBe(20);
    await until(() => bench.text.includes('20 boxes'));
    expect(bench.all('ks-task-list li').at(-1)?.textContent).toContain('Pack 20 × Gift');
    await bench.enter('Pebble bites', '0');
    expect(supper()?.sets[0].contents).toEqual([{ castingId: 'demo-bombs', pieces: 1 }]);
    await bench.press('Take Pebble bites out');
    await bench.press('Take Gift out');
    expect(supper()?.sets).toEqual([]);
  });

  it('packs variants by themselves: so many of each in a set, and what is short of one alone', async () => {
    const bench = await opened();
    store.editOne('demo-bombs', 'variant', (draft) => {
      draft.variants = [{ id: 'w', name: 'White ones', pieces: 6, melts: [], fillings: [], without: [] }];
    });
    await bench.settle();
    await bench.press('Add a set');
    expect(supper()?.sets[0].contents).toEqual([
      { castingId: 'demo-bombs', pieces: 1 },
      { castingId: 'demo-bombs', variantId: 'w', pieces: 1 },
      { castingId: 'demo-bites', pieces: 1 },
    ]);
    await bench.enter('How many', '10');
    await bench.enter('Cider-spice bombs, as chosen', '0');
    expect(bench.text).toContain('Cider-spice bombs, White ones: 10 of 6 packed, 4 short');
    await bench.press('Cast 10');
    const bombs = () => store.castings().find(({ id }) => id === 'demo-bombs');
    expect([bombs()?.pieces, bombs()?.variants[0].pieces]).toEqual([22, 10]);
    store.editOne('demo-bombs', 'variant', (draft) => void (draft.variants = []));
    await bench.settle();
    expect(bench.text).toContain('Cider-spice bombs, a variant that is gone: 10 of 0 packed, 10 short');
    await bench.enter('Cider-spice bombs, a variant that is gone', '0');
    expect(supper()?.sets[0].contents).toEqual([{ castingId: 'demo-bites', pieces: 1 }]);
  });

  it('has colours made of each other, where that is wished', async () => {
    const bench = await opened();
    bench.all<HTMLInputElement>('ks-occasion-settings input[type=checkbox]')[0].click();
    await bench.settle();
    expect(supper()?.inTurn).toBe(true);
    store.undo();
    expect(supper()?.inTurn).toBe(false);
  });

  it('tells a casting when its part of it is, until either is changed', async () => {
    const bench = await opened();
    const timetables = TestBed.inject(Timetables);
    const part = timetables.partOf('demo-bombs');
    const plan = timetables.timetable()?.plan;
    expect(part?.from).toBe(plan?.tasks.find(({ castingId }) => castingId === 'demo-bombs')?.startS);
    expect(part?.to).toBeLessThanOrEqual(plan?.readyS ?? 0);
    expect(timetables.partOf('nothing')).toBeUndefined();
    occasions.edit('demo-supper', 'people', (draft) => void (draft.people = 2));
    expect(timetables.partOf('demo-bombs')).toBeUndefined();
    store.undo();
    expect(timetables.partOf('demo-bombs')).toEqual(part);
    await bench.settle();
  });

  it('tells the casting’s own page when it begins among the others, and draws it so', async () => {
    await opened();
    store.open('demo-bombs');
    await until(() => TestBed.inject(InOccasion).part() !== undefined);
    const tasks = TestBed.inject(InOccasion).tasks();
    const ribbon = await Bench.of(Ribbon);
    await until(() => ribbon.text.includes('its occasion'));
    await ribbon.settle();
    await ribbon.press('its occasion');
    expect(ribbon.text).toContain('In Hedgerow supper');
    const begins = timeText(tasks[0].startS, 'Europe/Berlin');
    expect(ribbon.all('.ticks span')[0].textContent).toContain(begins);
    const hands = ribbon.all('li:not(.wait)').reduce((sum, bar) => sum + Number(bar.style.flexGrow), 0);
    expect(hands).toBeCloseTo(
      tasks.filter(({ handsOn }) => handsOn).reduce((sum, { seconds }) => sum + seconds, 0),
      3,
    );
    await until(() => TestBed.inject(StationList).tabs().at(-1)?.detail.includes(begins) ?? false);
    expect(TestBed.inject(StationList).tabs().at(-1)?.detail).toBe(`from Sat 17 Oct, ${begins}`);
    // Once anything is changed it is known no more, and the casting is told by itself.
    occasions.edit('demo-supper', 'people', (draft) => void (draft.people = 2));
    await ribbon.settle();
    expect(ribbon.text).toContain('Whole job');
    expect(TestBed.inject(StationList).tabs().at(-1)?.detail).toMatch(/^by itself, start by/);
  });

  it('is looked for behind where nobody has it open, until that is not wanted any more', async () => {
    const timetables = TestBed.inject(Timetables);
    const behind = () => timetables.behind(occasions.records()[0]).subscribe();
    occasions.edit('demo-supper', 'castings', (draft) => {
      draft.stays = [];
      draft.castingIds = store.castings().map(({ id }) => id);
    });
    behind().unsubscribe();
    const wanted = behind();
    await until(() => timetables.tasksOf('demo-bombs') !== undefined);
    wanted.unsubscribe();
    const part = timetables.partOf('demo-bombs');
    // What is open is searched for as ever, whatever is wanted behind; and it finds the same.
    occasions.edit('demo-supper', 'people', (draft) => void (draft.people = 2));
    const late = behind();
    const bench = await Bench.of(OccasionPage, { id: 'demo-supper' });
    behind();
    await found(bench);
    late.unsubscribe();
    expect(timetables.timetable()?.plan).toBeDefined();
    store.undo();
    await found(bench);
    expect(timetables.partOf('demo-bombs')).toEqual(part);
  });

  it('takes out a casting, and what is gone', async () => {
    const bench = await opened();
    await bench.press('Take Pebble bites out');
    expect(supper()?.castingIds).toEqual(['demo-bombs']);
    store.undo();
    store.remove('demo-bites');
    await bench.settle();
    expect(bench.text).toContain('One of its castings is not here any more');
    await bench.press('Take out what is gone');
    expect(supper()?.castingIds).toEqual(['demo-bombs']);
  });
});
