import { TestBed } from '@angular/core/testing';
import { Bench, until, withDemo } from '../../../testing/bench';
import type { Casting } from '../../../core/record/casting';
import { readCasting } from '../../../core/record/read-casting';
import { PlanService } from '../../state/plan-service';
import { PartList } from '../parts/part-list';
import { StationList } from '../station-list';
import { CloseStation } from './close-station';

const whole = (casting: Casting): void => expect(readCasting(structuredClone(casting))).toMatchObject({ ok: true });

describe('Close station', () => {
  const { casting } = withDemo('demo-bonbons');

  it('weighs a cap, says what is left below it, and gives way to a plug or to nothing', async () => {
    const bench = await Bench.of(CloseStation);
    expect(bench.text).toMatch(/Chocolate for a piece1\.\d g/);
    await bench.type('Cap, thick', '2.5 mm');
    expect(casting().closure).toMatchObject({ kind: 'cap', thicknessM: 0.0025 });
    await bench.choose('Closed with', 'linen');
    expect(casting().melts.map(({ source }) => source)).toContainEqual({ kind: 'chocolate', chocolateId: 'linen' });
    await bench.type('For', '20 min');
    await bench.choose('Then sets in', 'room');
    expect(casting().closure?.sets).toEqual([{ place: 'room', seconds: 1200 }]);
    await bench.choose('How it is closed', 'plug');
    expect(bench.text).toContain('Hole, across');
    await bench.choose('How it is closed', 'open');
    expect(casting().closure).toBeNull();
    expect(casting().melts).toHaveLength(1);
    whole(casting());
  });

  it('says that a cap has no room, and the note makes some', async () => {
    const bench = await Bench.of(CloseStation);
    await bench.type('Cap, thick', '6 mm');
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
