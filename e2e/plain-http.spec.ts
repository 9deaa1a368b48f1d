import { expect, test as base } from '@playwright/test';
import { CHROMIUM_FLAGS, chromiumPath } from '../scripts/chromium.mjs';
import { MONDAY, begin, saved } from './kitchen';

const HOST = 'kitchen.test';

/** A browser that finds the server under a name that is not this machine's own, as a phone in the kitchen does: no secure line, so no secure context. */
const test = base.extend({});
test.use({
  launchOptions: {
    executablePath: chromiumPath(),
    args: [...CHROMIUM_FLAGS, `--host-resolver-rules=MAP ${HOST} 127.0.0.1`],
  },
});

test('over plain http on another host the app opens, is sent compressed, makes, copies and keeps', async ({
  page,
  baseURL,
}) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await page.clock.setFixedTime(MONDAY);
  const encodings = new Set<string>();
  page.on('response', (response) => {
    if (/\.js$/.test(new URL(response.url()).pathname)) encodings.add(response.headers()['content-encoding'] ?? 'none');
  });
  await page.goto(`http://${HOST}:${new URL(baseURL ?? '').port}/casting/demo-bombs/batch`);
  expect(await page.evaluate(() => [isSecureContext, 'randomUUID' in crypto])).toEqual([false, false]);
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs');
  expect([...encodings]).toEqual(['gzip']);
  await page.getByRole('button', { name: 'Copy this casting' }).click();
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cider-spice bombs 2');
  await page.keyboard.press('n');
  await begin(page, 'Cocoa bomb');
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cocoa bombs');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the casting')).toHaveValue('Cocoa bombs');
  expect(errors).toEqual([]);
});
