import { Bench, until, wait, withDemo } from '../../../testing/bench';
import { sheetContent } from '../../sheet/sheet-content';
import { PlanService } from '../../state/plan-service';
import { TestBed } from '@angular/core/testing';
import { BatchView } from './batch-view';
import { CastBefore } from './cast-before';
import { VariantList } from './variant-list';

const { casting, store } = withDemo();
const plan = () => {
  const made = TestBed.inject(PlanService).plan();
  if (!made) throw new Error('no plan');
  return made;
};

describe('variants', () => {
  it('are so many pieces of another chocolate: melted, weighed and tagged by themselves', async () => {
    const bench = await Bench.of(VariantList);
    await bench.press('Make some otherwise');
    expect(casting().variants).toMatchObject([{ name: 'Variant 1', pieces: 9, melts: [] }]);
    expect(bench.text).toContain('9 are as the other stations have it.');
    await bench.enter('Variant', 'White ones');
    await bench.type('Pieces of White ones', '6');
    await bench.choose('White ones: in place of Quarry 64', 'linen');
    expect(casting().melts.map(({ source }) => source)).toMatchObject([
      { chocolateId: 'quarry' },
      { chocolateId: 'linen' },
    ]);
    expect(bench.text).toMatch(/Contains milk/);
    await until(() => plan().batch.byPart[0].casts.length === 2);
    const { lead, parts, tags, tables, caution } = sheetContent(plan(), [], 'EUR', 'metric', {
      estimated: false,
      late: undefined,
    });
    expect(tags.map(({ tag, pieces }) => [tag.title, pieces])).toEqual([
      [casting().name, 12],
      [`${casting().name}, White ones`, 6],
    ]);
    expect(tags[0].tag.lines[1]).not.toContain('milk');
    expect(tags[1].tag.lines[1]).toContain('milk');
    expect(caution).toContain('White ones: contains milk');
    expect(tables.map(({ chocolate }) => chocolate)).toEqual(['Quarry 64', 'Linen']);
    expect(tables[1].rows[0].name).toBe('White ones: first coat');
    expect(lead).toContain('18 pieces (12 as chosen and 6 White ones): ');
    expect(parts[0].steps[0].how).toContain('Quarry 64, White ones: Linen');
    // What is in one mold stays as long as the slowest in it takes, wherever that is told.
    const [coat] = plan().chill.coats;
    expect(coat.longestFor).toBe('White ones');
    expect(plan().batch.work.parts[0].coats[0].chillSeconds).toBe(coat.stay.value);
    expect(parts[0].steps[0].how).toContain(`for ${coat.stay.value / 60} min`);
    await bench.choose('White ones: in place of Quarry 64', 'same');
    expect(casting().melts).toHaveLength(1);
  });

  it('are filled otherwise, and say in the batch how many of each are cast only where they are cast otherwise', async () => {
    const bench = await Bench.of(VariantList);
    await bench.press('Make some otherwise');
    const other = casting().fill[1].fillingId;
    await bench.choose('Variant 1: in place of Cider-spice powder', other);
    expect(casting().variants[0].fillings).toEqual([{ layerId: casting().fill[0].id, fillingId: other }]);
    await wait(120);
    expect((await Bench.of(BatchView)).text).not.toContain('as chosen');
    await (await Bench.of(VariantList)).choose('Variant 1: in place of Quarry 64', 'fallow');
    await until(() => plan().batch.byPart[0].casts.length === 2);
    expect((await Bench.of(BatchView)).text).toMatch(/Half: \d+ as chosen and \d+ Variant 1\./);
  });

  it('go without what is painted into the mold: that many fewer cups take the colour and the minutes', async () => {
    const painted = (id: string, name: string) => ({
      id,
      name,
      kind: 'brushed' as const,
      pattern: 'all' as const,
      share: 0.2,
      count: 12,
      spotM: 0.003,
      thickM: 0.0002,
      sets: [{ place: 'fridge' as const }],
      colour: '#c03030',
    });
    store().edit('paint', (draft) => {
      draft.parts[0].prep = [painted('r', 'Brick red'), painted('g', 'Moss')];
    });
    await until(() => plan().parts[0].preps.length === 2);
    const whole = plan();
    const bench = await Bench.of(VariantList);
    await bench.press('Make some otherwise');
    await bench.press('Make some otherwise');
    await bench.type('Pieces of Variant 1', '6');
    await bench.type('Pieces of Variant 2', '6');
    const ticks = bench.all<HTMLInputElement>('input[type=checkbox]');
    // Three designs of six: one in both colours, one without the red, one without the green.
    ticks[0].click();
    await bench.settle();
    bench.all<HTMLInputElement>('input[type=checkbox]')[3].click();
    await bench.settle();
    expect(casting().variants.map(({ without }) => without)).toEqual([['r'], ['g']]);
    await until(() => plan().batch.byPart[0].casts.length === 3);
    const some = plan();
    expect(some.batch.byPart[0].parts.value).toBeGreaterThanOrEqual(36);
    const handsOf = ({ batch }: typeof some, step: number) =>
      batch.work.parts[0].before.find((task) => task.kind === 'prep' && task.step === step)?.seconds ?? 0;
    for (const step of [0, 1]) expect(handsOf(some, step)).toBeCloseTo((handsOf(whole, step) * 2) / 3, 6);
    const text = sheetContent(some, [], 'EUR', 'metric', { estimated: false, late: undefined });
    const paints = text.parts[0].steps.filter(({ what }) => what.startsWith('Brush in'));
    expect(paints.map(({ how }) => how.slice(0, how.indexOf(', all over')))).toEqual([
      'as chosen, Variant 2: Brick red',
      'as chosen, Variant 1: Moss',
    ]);
  });

  it('go without a finish, are told where there are too few pieces, and are taken out', async () => {
    store().edit('finish', (draft) => {
      draft.finishes = [{ id: 'f', name: 'gold', sets: [], kind: 'dust', share: 0.2 }];
    });
    const bench = await Bench.of(VariantList);
    await bench.press('Make some otherwise');
    bench.all<HTMLInputElement>('input[type=checkbox]')[0].click();
    await bench.settle();
    expect(casting().variants[0].without).toEqual(['f']);
    await bench.type('Pieces of Variant 1', '40');
    expect(bench.text).toContain('There is room for 18 of them: the casting is of 18.');
    expect(bench.text).toContain('None is as the other stations have it.');
    await bench.enter('Variant', ' ');
    expect(casting().variants[0].name).toBe('Variant 1');
    await bench.press('Take Variant 1 out');
    expect(casting().variants).toEqual([]);
  });

  it('are warned of by name only where the others are not as well', async () => {
    store().edit('thin', (draft) => {
      draft.parts[0].coats.splice(1);
      draft.variants = [{ id: 'v', name: 'Thin ones', pieces: 6, melts: [], fillings: [], without: [] }];
    });
    await until(() => plan().casting.variants.length === 1);
    // What is wrong with all is said once, of all.
    expect(plan().problems.some(({ key }) => key === 'rimTooThin')).toBe(true);
    expect(plan().problems.some(({ variant }) => variant !== undefined)).toBe(false);
  });
});

describe('parts that were cast before', () => {
  it('are counted, with the day, and taken back', async () => {
    const bench = await Bench.of(CastBefore);
    await bench.press('Some of Half was cast before?');
    expect(casting().parts[0].there).toEqual({ parts: 36 });
    await bench.type('Half there already', '12');
    expect(casting().parts[0].there).toEqual({ parts: 12 });
    expect(bench.text).toContain('36 are wanted in all');
    await bench.type('Half there already', '50');
    expect(bench.text).toContain('14 more than the pieces take');
    await bench.type('Half there already', '12');
    await bench.enter('Half cast on', '10 Oct 2026');
    expect(casting().parts[0].there).toEqual({ parts: 12, on: '2026-10-10' });
    await until(() => plan().batch.byPart[0].needed === 24);
    const { lead } = sheetContent(plan(), [], 'EUR', 'metric', { estimated: false, late: undefined });
    expect(lead).toContain(' 12 × Half are there from 10 Oct 2026.');
    await bench.press('None of Half is there');
    expect(casting().parts[0].there).toBeUndefined();
  });
});
