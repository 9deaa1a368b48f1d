import { TestBed } from '@angular/core/testing';
import { Bench, MONDAY, clockAt, wait, withDemo } from '../../../testing/bench';
import { PlanService } from '../../state/plan-service';
import { Units } from '../../state/units';
import { weighOutCsv } from '../../sheet/weigh-out-csv';
import { WeighOut } from './weigh-out';
import { weighOutTables } from './weigh-out-table';

const { store } = withDemo();
beforeEach(() => clockAt(MONDAY));
afterEach(() => void jest.useRealTimers());

const plan = () => {
  const now = TestBed.inject(PlanService).plan();
  if (!now) throw new Error('no plan');
  return now;
};

describe('weigh-out', () => {
  it('adds up: coats, pool, bowl and tools are what is melted, in a round and in the job', () => {
    for (const id of ['demo-bombs', 'demo-bites'] as const) {
      store().open(id);
      for (const { rows } of weighOutTables(plan(), 'metric')) {
        const sum = (of: 'perRoundKg' | 'jobKg'): number =>
          rows.filter((row) => row.use !== 'sum').reduce((all, row) => all + (row[of] ?? 0), 0);
        const total = rows.find((row) => row.use === 'sum');
        expect(sum('jobKg')).toBeCloseTo(total?.jobKg ?? NaN, 9);
        expect(sum('perRoundKg')).toBeCloseTo(total?.perRoundKg ?? NaN, 9);
        expect(rows.every((row) => row.jobKg >= 0 && (row.perRoundKg ?? 0) >= 0)).toBe(true);
      }
    }
  });

  it('shows the amounts in the reader’s units', async () => {
    const bench = await Bench.of(WeighOut);
    const grams = Number(
      /Melt[^M]*?(\d+) g$/.exec(bench.all('tr.sum')[0].textContent?.trim() ?? '')?.[1] ??
        /(\d+) g\s*$/.exec(bench.all('tr.sum')[0].textContent ?? '')?.[1],
    );
    expect(grams / 1000).toBeCloseTo(plan().batch.melts[0].melted.value, 2);
    TestBed.inject(Units).use('us');
    await bench.settle();
    expect(bench.text).toMatch(/ oz/);
    expect(bench.text).not.toMatch(/\d g\b/);
    TestBed.inject(Units).use('metric');
  });

  it('goes out as CSV that reads back to the same grams, a comma in a name and all', async () => {
    store().edit('name', (casting) => (casting.chocolates[0].name = 'Quarry, the "64"'));
    TestBed.tick();
    await wait(120);
    const { default: papaparse } = await import('papaparse');
    const rows = papaparse.parse<Record<string, string>>(await weighOutCsv(plan()), { header: true }).data;
    const melt = rows.find((row) => row['for'] === 'Melt');
    expect(melt?.['what']).toBe('Quarry, the "64"');
    expect(Number(melt?.['the job, g']) / 1000).toBeCloseTo(plan().batch.melts[0].melted.value, 3);
    const others = rows.filter((row) => row['what'] === melt?.['what'] && row !== melt);
    expect(others.reduce((sum, row) => sum + Number(row['the job, g']), 0)).toBeCloseTo(
      Number(melt?.['the job, g']),
      0,
    );
  });
});
