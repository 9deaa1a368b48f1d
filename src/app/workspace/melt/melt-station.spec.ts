import { TestBed } from '@angular/core/testing';
import { Bench, closeWorkers, openDemo, until } from '../../../testing/bench';
import type { Casting } from '../../../core/record/casting';
import type { CastingStore } from '../../state/casting-store';
import { Kitchens } from '../../state/kitchens';
import { Pantry } from '../../state/pantry';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { Notes } from '../notes/notes';
import { MeltPlanView } from './melt-plan';
import { MeltStation } from './melt-station';

let store: CastingStore;
let bench: Bench<MeltStation>;
const casting = (): Casting => {
  const current = store.current();
  if (!current) throw new Error('nothing open');
  return current;
};
const made = () => {
  const plan = TestBed.inject(PlanService).plan();
  if (!plan) throw new Error('no plan');
  return plan.melts[0];
};

beforeEach(async () => {
  store = await openDemo();
  await until(() => TestBed.inject(PlanService).chillSource() === 'worker');
  bench = await Bench.of(MeltStation);
  await until(() => TestBed.inject(Pantry).loaded() && TestBed.inject(Kitchens).loaded());
  await bench.settle();
});
afterEach(() => {
  document.body.replaceChildren();
  closeWorkers();
});

const replanned = async (): Promise<void> => {
  await until(
    () =>
      TestBed.inject(PlanService).chillSource() === 'worker' &&
      TestBed.inject(PlanService).plan()?.casting === store.current(),
  );
  await bench.settle();
};

describe('Melt station', () => {
  it('takes its amount from Batch, pool and what sticks included', () => {
    const plan = TestBed.inject(PlanService).plan();
    expect(made().input.totalKg).toBe(plan?.batch.melts[0].melted.value);
    expect(bench.text).toContain(`In all, from Batch${Math.round(made().input.totalKg * 1000)} g`);
  });

  it('takes a chocolate or a tint from the pantry as a copy, with the school and temperature that suit it', async () => {
    await bench.choose('Chocolate, from the pantry', 'pebble');
    expect(casting().melts[0]).toMatchObject({
      source: { kind: 'chocolate', chocolateId: 'pebble' },
      school: 'meltOnly',
      workingC: 36,
    });
    await replanned();
    expect(bench.text).not.toContain('Melted at first');
    await bench.choose('Chocolate, from the pantry', 'rosehip');
    await replanned();
    expect(casting().melts[0]).toMatchObject({
      source: { kind: 'tint', tintId: 'rosehip' },
      school: 'seeding',
      workingC: 29.5,
    });
    expect(bench.text).toMatch(/\d+ g Linen, \d+ g Red oil-based colour\. Make it all at once/);
    store.undo();
    expect(casting().melts[0].source).toEqual({ kind: 'chocolate', chocolateId: 'pebble' });
  });

  it('offers the pantry’s later state of a chocolate, and leaves the copy alone until it is taken', async () => {
    TestBed.inject(Pantry).edit('quarry', 'fat', (entry) => entry.entry === 'chocolate' && (entry.fatShare = 0.5));
    await bench.settle();
    expect(casting().chocolates[0].fatShare).toBe(0.4);
    await bench.press('Take the pantry’s');
    expect(casting().chocolates[0].fatShare).toBe(0.5);
    await replanned();
    expect(bench.text).not.toContain('differs from the pantry');
  });

  it('says by how much cooler chocolate is thicker', async () => {
    expect(bench.text).toMatch(/At 30.5 °C the rim would come out 0\.\d+ mm thicker\./);
    await bench.choose('School', 'holdBelow');
    expect(casting().melts[0].workingC).toBe(30);
    await replanned();
    expect(bench.text).toMatch(/Here the rim comes out 0\.\d+ mm thicker than at 31\.5 °C\./);
    await bench.choose('School', 'seeding');
    expect(casting().melts[0].workingC).toBe(31.5);
  });

  it('keeps warm for longer in a mitt, and says what to do out of its band', async () => {
    const before = made().window.value;
    await bench.choose('Kept', 'mitt');
    await replanned();
    expect(made().window.value).toBeGreaterThan(before);
    expect(bench.text).toContain('Past 33 °C it has lost its temper: start again at 45 °C.');
  });

  it('thins with a sliver of fat, says how much in grams, and the coat follows', async () => {
    const rim = (): number => TestBed.inject(PlanService).draft()?.coat.total.rim.value ?? NaN;
    const before = rim();
    await bench.choose('Thinned with', 'cocoaButter');
    await bench.type('Of its weight', '4 %');
    await replanned();
    expect(casting().melts[0].thinning).toEqual({ fat: 'cocoaButter', share: 0.04 });
    expect(bench.text).toMatch(/\d+ g in all, melted in with it\. It then runs very fluid.*Never water/);
    expect(rim()).toBeLessThan(before);
    await bench.choose('Thinned with', 'none');
    expect(casting().melts[0].thinning).toBeUndefined();
  });

  it('offers for a closed bag only what takes no seed', async () => {
    await bench.choose('Melted', 'bag');
    await replanned();
    expect(await bench.names('School')).toEqual([
      'gently, until lumps are left',
      'melted only, kept cold',
      'melt only',
    ]);
    expect(bench.text).toContain('Bags:');
    const steps = await Bench.of(MeltPlanView);
    expect(steps.text).toContain('then knead');
    expect(steps.text).not.toContain('then stir');
    const notes = await Bench.of(Notes);
    expect(notes.text).toContain('only melted, not tempered');
    await notes.press('Temper it by seeding');
    expect(casting().melts[0]).toMatchObject({ way: 'microwave', school: 'seeding' });
  });

  it('warns of steel in the microwave, and of seed for coating', async () => {
    await bench.choose('Bowl', 'steel');
    await replanned();
    let notes = await Bench.of(Notes);
    expect(notes.text).toContain('A steel bowl must not stand in the microwave');
    await notes.press('Use the double boiler');
    expect(casting().melts[0].way).toBe('doubleBoiler');
    bench = await Bench.of(MeltStation);
    await bench.choose('Chocolate, from the pantry', 'pebble');
    expect(await bench.names('School')).toEqual([
      'three quarters and a quarter',
      'gently, until lumps are left',
      'melt only',
    ]);
    store.edit('school', ({ melts }) => (melts[0].school = 'seeding'));
    await replanned();
    notes = await Bench.of(Notes);
    expect(notes.text).toContain('is not melted by this school');
  });

  it('says that it was planned in another kitchen, and takes the present one over', async () => {
    expect(bench.text).not.toContain('another kitchen');
    TestBed.inject(Kitchens).change('roomC', (kitchen) => (kitchen.roomC = 24));
    await bench.settle();
    expect(casting().kitchen.roomC).toBe(19.5);
    await bench.press('Take the present one');
    expect(casting().kitchen.roomC).toBe(24);
  });

  it.each(['31.5 °C and a great deal more than forty letters', 'hot', '', '99', '-5'])(
    'keeps “%s” as typed, marked, and plans with the last good temperature',
    async (typed) => {
      await bench.type('Worked at', typed);
      expect(bench.field('Worked at').value).toBe(typed);
      expect(bench.field('Worked at').getAttribute('aria-invalid')).toBe('true');
      expect(casting().melts[0].workingC).toBe(31.5);
    },
  );
});

describe('the plan of a melt', () => {
  it('says step by step what to do, and what the thermometer shows after it', async () => {
    const plan = await Bench.of(MeltPlanView);
    const steps = plan.all('.steps li').map((step) => step.textContent ?? '');
    expect(steps).toHaveLength(made().plan.steps.length);
    expect(steps[0]).toMatch(/^\d+ sat 80 %, then stir[\d.]+ °C$/);
    expect(steps.some((step) => /Seed, .*stir in \d+ g of fine chopped/.test(step) && step.endsWith('32 °C'))).toBe(
      true,
    );
    expect(steps.at(-1)).toMatch(/Warm.*31\.5 °C$/);
    expect(plan.all('canvas')[0].getAttribute('aria-label')).toMatch(
      /Temperature over time\. seeding: up to 4[45](\.\d)? °C/,
    );
    expect(plan.text).toMatch(/Seed to chop\d+ g\d+ to \d+ g/);
  });

  it('puts another school beside it: time, thermometer, seed and risk', async () => {
    const plan = await Bench.of(MeltPlanView);
    await plan.choose('Beside', 'threeQuarters');
    const both = plan.all('.both section').map((section) => (section.textContent ?? '').replace(/\s+/g, ' '));
    expect(both[0]).toMatch(/seeding.*thermometer needed/);
    expect(both[1]).toMatch(/three quarters and a quarter.*thermometer not needed *by eye/);
    await plan.choose('Beside', 'none');
    expect(plan.all('.both')).toHaveLength(0);
  });

  it('is in the reader’s units throughout', async () => {
    const plan = await Bench.of(MeltPlanView);
    TestBed.inject(Units).use('us');
    await plan.settle();
    expect(plan.text).toMatch(/°F/);
    expect(plan.text).not.toMatch(/°C|\d g\b/);
  });
});
