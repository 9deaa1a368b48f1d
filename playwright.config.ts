import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS, chromiumPath } from './scripts/chromium.mjs';

const port = Number(process.env['E2E_PORT'] ?? 4299);

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/browser',
  fullyParallel: true,
  workers: 2,
  // Long enough for a machine that has others to serve: what is tried is what happens, not how soon.
  timeout: 300_000,
  // A busy machine may make one journey late; twice in a row is a fault.
  retries: process.env['CI'] ? 1 : 0,
  expect: { timeout: 60_000 },
  reporter: [
    ['line'],
    ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'] ?? 'test-results/browser.json' }],
  ],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Berlin',
    locale: 'en-GB',
    // What a page asks for is to be seen; what is kept for use without a network is tried by itself.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath(),
      args: CHROMIUM_FLAGS,
    },
  },
  webServer: {
    command: 'node dist/server/serve.js',
    env: { PORT: String(port) },
    url: `http://127.0.0.1:${port}`,
    reuseExistingServer: false,
  },
});
