import { TestBed } from '@angular/core/testing';
import { Bench, until, withDemo } from '../../../testing/bench';
import { readCasting } from '../../../core/record/read-casting';
import { OpenPart } from '../../state/open-part';
import { PlanService } from '../../state/plan-service';
import { CoatStation } from '../coat/coat-station';
import { MeltStation } from '../melt/melt-station';
import { PartList } from './part-list';
import { PartPicker } from './part-picker';

const { casting, store } = withDemo();

const whole = (): void => expect(readCasting(structuredClone(casting()))).toMatchObject({ ok: true });
describe('parts and colours', () => {
  it('makes two halves of two colours, shows either, and takes one out again', async () => {
    const list = await Bench.of(PartList);
    expect(list.text).toContain('two halves alike');
    await list.press('More parts or colours');
    await list.press('Two halves of two colours');
    expect(casting().parts.map(({ name }) => name)).toEqual(['Upper half', 'Lower half']);
    expect(TestBed.inject(OpenPart).id()).toBe('part-2');
    const coat = await Bench.of(CoatStation);
    await coat.choose('Chocolate', 'linen');
    expect(casting().melts.map(({ source }) => source)).toEqual([
      { kind: 'chocolate', chocolateId: 'quarry' },
      { kind: 'chocolate', chocolateId: 'linen' },
    ]);
    whole();
    const picker = await Bench.of(PartPicker);
    await picker.press('Upper half');
    expect(TestBed.inject(PlanService).draft()?.part.name).toBe('Upper half');
    await list.settle();
    await list.press('Take Lower half out');
    expect(casting().parts).toHaveLength(1);
    whole();
  });

  it('changes the shown part alone, and undoes it as one', async () => {
    const list = await Bench.of(PartList);
    await list.press('More parts or colours');
    await list.press('Add a lid');
    await list.enter('Name', 'Flat lid');
    const coat = await Bench.of(CoatStation);
    await coat.press('1', 0);
    expect(casting().parts.map(({ name, coats }) => [name, coats.length])).toEqual([
      ['Half', 2],
      ['Flat lid', 1],
    ]);
    store().undo();
    expect(casting().parts[1].coats).toHaveLength(2);
    whole();
  });

  it('pours each coat from another chocolate, marbles one, and shows each melt', async () => {
    const coat = await Bench.of(CoatStation);
    await coat.press('Another for each coat');
    await coat.choose('Chocolate of coat 2', 'fallow');
    expect(casting().parts[0].coats.map(({ shares }) => shares[0].meltId)).toEqual(['melt-1', 'melt-2']);
    await coat.press('Marble it', 1);
    await coat.choose('Streaked with', 'linen');
    await coat.type('Of the coat', '30 %');
    expect(casting().parts[0].coats[1].shares).toEqual([
      { meltId: 'melt-2', share: 0.7 },
      { meltId: expect.any(String) as string, share: 0.3 },
    ]);
    whole();
    const melt = await Bench.of(MeltStation);
    // What the worker still answers about the casting as it was before comes first.
    const plan = () => TestBed.inject(PlanService).plan();
    await until(() => plan()?.casting === store().current() && plan()?.batch.order === 'found');
    expect(plan()?.melts).toHaveLength(3);
    await melt.settle();
    await melt.choose('Which melt', 'melt-2');
    await melt.type('Worked at', '29 °C');
    expect(casting().melts.find(({ id }) => id === 'melt-2')?.workingC).toBe(29);
    await coat.press('No streaks');
    expect(casting().melts).toHaveLength(2);
  });
});
