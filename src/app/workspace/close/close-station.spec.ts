import { TestBed } from '@angular/core/testing';
import { Bench, until, withDemo } from '../../../testing/bench';
import type { Casting } from '../../../core/record/casting';
import { readCasting } from '../../../core/record/read-casting';
import { CastingStore } from '../../state/casting-store';
import { PlanService } from '../../state/plan-service';
import { PartList } from '../parts/part-list';
import { StationList } from '../station-list';
import { CloseStation } from './close-station';

const whole = (casting: Casting): void => expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true });

describe('Close station', () => {
  const { casting } = withDemo('demo-bonbons');

  it('weighs a cap, says how thick it is and when it is out, and gives way to a plug or to nothing', async () => {
    const bench = await Bench.of(CloseStation);
    expect(bench.text).toMatch(/Chocolate for a piece1\.\d g/);
    expect(bench.text).toContain('Cap, thick2.5 mm');
    await until(() => TestBed.inject(PlanService).plan()?.chill.cap !== undefined);
    await bench.settle();
    expect(bench.text).toMatch(/To unmold\d+ min/);
    await bench.choose('Closed with', 'linen');
    expect(casting().melts.map(({ source }) => source)).toContainEqual({ kind: 'chocolate', chocolateId: 'linen' });
    await bench.type('Rests in the room first', '30 min');
    await bench.press('set my own time');
    await bench.type('Your own time for cap', '25 min');
    expect(casting().closure?.sets).toEqual([
      { place: 'room', seconds: 1800 },
      { place: 'fridge', seconds: 1500 },
    ]);
    await bench.press('Use the computed time');
    await bench.press('Straight into its place');
    await bench.press('freezer');
    expect(casting().closure?.sets).toEqual([{ place: 'freezer' }]);
    await bench.choose('How it is closed', 'dosedCap');
    await bench.type('Chocolate on each', '1/4 tsp');
    expect(bench.text).toMatch(/Stays below the rim0\.\d+ mm/);
    await bench.choose('How it is closed', 'plug');
    expect(bench.text).toContain('Hole, across');
    await bench.choose('How it is closed', 'open');
    expect(casting().closure).toBeNull();
    expect(casting().melts).toHaveLength(1);
    whole(casting());
  });

  it('says that a cap has no room, and the note makes some', async () => {
    await Bench.of(CloseStation);
    TestBed.inject(CastingStore).edit('fill', ({ fill }) => (fill[0].amount = { by: 'line', belowRimM: 0.0002 }));
    const plans = TestBed.inject(PlanService);
    await until(() => plans.plan()?.problems.some(({ key }) => key === 'noRoomForCap') ?? false);
    expect(
      TestBed.inject(StationList)
        .tabs()
        .find(({ key }) => key === 'close')?.mark,
    ).toBe('no cap');
  });
});

describe('Close station, of two halves', () => {
  const { casting } = withDemo();

  it('tells what a plate takes of a rim, and serves; pipes a seam instead', async () => {
    const bench = await Bench.of(CloseStation);
    expect(bench.text).toMatch(/Rim lost on the plate0\.\d+ mm/);
    expect(bench.text).toMatch(/One warming serves\d+ pieces/);
    expect(bench.text).toContain('Hot plates and pans burn');
    await bench.type('Rim on it', '8');
    expect(casting().closure).toMatchObject({ seconds: 8 });
    await bench.choose('How it is closed', 'pipedSeam');
    expect(bench.text).toMatch(/Chocolate for a piece1\.8 g/);
    expect(bench.text).toContain('count to five');
    expect(bench.text).toContain('A hairline gap');
  });

  it('closes balls of two sizes each by itself, filled alike', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add another size');
    expect(casting().parts.map(({ perPiece }) => perPiece)).toEqual([2, 2]);
    expect(casting().fill.map(({ partId }) => partId)).toEqual(['half', 'half', 'part-2', 'part-2']);
    whole(casting());
    const close = await Bench.of(CloseStation);
    expect(close.text.match(/Rim lost on the plate/g)).toHaveLength(2);
    expect(close.text).toContain('Half 2');
    await close.choose('How it is closed', 'pipedSeam');
    expect(close.text.match(/Chocolate for each1\.8 g/g)).toHaveLength(2);
  });

  it('glues a lid on, tells the room under it, and opens again when the lid is taken out', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add a lid');
    const close = await Bench.of(CloseStation);
    await close.choose('How it is closed', 'lid');
    expect(close.text).toMatch(/Headspace under it ?[\d.]+ mm/);
    whole(casting());
    await list.press(/^Take .* out$/, 1);
    expect(casting().closure).toBeNull();
    whole(casting());
  });
});
