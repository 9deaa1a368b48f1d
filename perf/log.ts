import type { Browser, Page } from '@playwright/test';
import type { Mark } from '../src/core/run/mark';
import { finishedRuns } from '../src/testing/made-log';
import { percentile, type Result } from './measure';
import { until } from './until';

const RUNS = 2000;
/** Marks of a run: 50,000 in all. */
const MARKS = 25;
const AT_A_TIME = 200;

/** Finished runs with so many marks each, as the database's rows. */
function storedRows() {
  return finishedRuns(RUNS).map(({ marks, ...run }) => {
    const more = Array.from({ length: Math.max(0, MARKS - marks.length) }, (_, i): Mark => ({
      id: `${run.id} more ${i}`,
      atS: marks[0].atS + 60 * i,
      kind: 'temperature',
      bowl: 0,
      c: 31 + i / 10,
      by: 'probe',
    }));
    return {
      run: { id: run.id, run, stamp: 1, tab: 'perf' },
      marks: [...more, ...marks].map((mark, i) => ({ run: run.id, n: 1 + i, mark })),
    };
  });
}

/** Writes rows into the database that the page has opened, some at a time. */
async function write(page: Page, rows: ReturnType<typeof storedRows>): Promise<void> {
  for (let k = 0; k < rows.length; k += AT_A_TIME) {
    await page.evaluate(
      (some) =>
        new Promise<void>((resolve, reject) => {
          const opening = indexedDB.open('kilnstone');
          opening.onerror = () => reject(new Error('no database'));
          opening.onsuccess = () => {
            const database = opening.result;
            const writing = database.transaction(['runs', 'marks'], 'readwrite');
            for (const { run, marks } of some) {
              writing.objectStore('runs').put(run);
              for (const mark of marks) writing.objectStore('marks').put(mark);
            }
            writing.oncomplete = () => {
              database.close();
              resolve();
            };
            writing.onerror = () => reject(new Error('not written'));
          };
        }),
      rows.slice(k, k + AT_A_TIME),
    );
  }
}

const press = (selector: string): string => `document.querySelector('${selector}').click()`;
const first = `document.querySelector('ks-log-page tbody th.what a')`;

/** The log of years: opened, searched, and a run of it opened. */
export async function logbookResults(browser: Browser, address: string): Promise<Result[]> {
  const page = await (
    await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } })
  ).newPage();
  await page.goto(`${address}/log`);
  await page.getByText('Nothing has been finished yet').waitFor();
  await write(page, storedRows());
  // Worked out once; from then on it is read.
  const begun = performance.now();
  await page.reload();
  await page
    .locator('ks-log-page > p.unseen')
    .filter({ hasText: `${RUNS} of ${RUNS}` })
    .waitFor({ state: 'attached', timeout: 240_000 });
  const workedOutMs = performance.now() - begun;
  const [opened, searched, shown]: [number[], number[], number[]] = [[], [], []];
  for (let k = 0; k < 7; k++) {
    await page.goto(`${address}/castings`);
    await page.locator('ks-castings h1').waitFor();
    await page.waitForTimeout(1500);
    opened.push(await page.evaluate<number>(until(press('.rail a[href="/log"]'), first)));
    await page.waitForTimeout(800);
    const type = `(() => { const box = document.querySelector('ks-log-page input[type=search]'); box.value = 'perry'; box.dispatchEvent(new Event('input')); })()`;
    searched.push(await page.evaluate<number>(until(type, `${first}?.textContent === 'Perry bottle'`)));
    await page.waitForTimeout(500);
    shown.push(
      await page.evaluate<number>(
        until(press('ks-log-page tbody th.what a'), `document.querySelector('ks-logged-run tbody tr')`),
      ),
    );
  }
  await page.context().close();
  const told = (times: readonly number[]): string => `median of 7; the slowest ${Math.max(...times).toFixed(0)} ms`;
  const row = (what: string, times: readonly number[], limit: number, more: string): Result => ({
    what,
    value: `${percentile(times, 50).toFixed(0)} ms`,
    wanted: `under ${limit} ms`,
    met: percentile(times, 50) < limit,
    against: `${more}, ${told(times)}`,
  });
  return [
    row(
      'The log of 2,000 runs opened',
      opened,
      1000,
      `50,000 marks, from the click in the rail to the first row; worked out for the first time in ${(workedOutMs / 1000).toFixed(1)} s`,
    ),
    row('A word searched in it', searched, 100, 'from the letter to the first row found, the first search of a visit'),
    row('A run of it opened', shown, 300, 'from the click in the list to its table'),
  ];
}
