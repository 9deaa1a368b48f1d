// Everything that has to hold: types, lint, units, build, the app itself in a browser. Installs what it needs.
import { spawn } from 'node:child_process';
import { mkdirSync, openSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { haveChromium } from './chromium.mjs';
import { checkNode, fail, install, root, run, runTool } from './prepare.mjs';

let begun;

checkNode();
install();
if (!haveChromium())
  fail(
    'The browser tests need Chromium: install Debian’s packages chromium-headless-shell and fonts-noto-color-emoji, or set CHROME_PATH.',
  );

const results = join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

// The build takes one processor, types and lint another.
const buildLog = join(results, 'build.log');
const built = beside('scripts/build.mjs', buildLog);

step('Format');
runTool('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn']);
step('Types');
for (const project of ['core', 'worker', 'node', 'spec'])
  runTool('typescript/bin/tsc', ['-p', `tsconfig.${project}.json`, '--noEmit']);
step('Lint');
runTool('eslint/bin/eslint.js', ['.', '--max-warnings', '0']);
// No file needs another that needs it, not even for a type.
runTool('madge/bin/cli.js', [
  '--circular',
  '--no-spinner',
  '--extensions',
  'ts',
  '--ts-config',
  'tsconfig.json',
  'src',
]);
run(process.execPath, ['scripts/rooms.mjs']);
run(process.execPath, ['scripts/templates.mjs']);
step('Build, what is left of it');
if ((await built) !== 0) fail(readFileSync(buildLog, 'utf8'));
step('Units');
const jestFile = join(results, 'jest.json');
runTool('jest/bin/jest.js', ['--json', `--outputFile=${jestFile}`], { env: { ...process.env, TZ: 'Europe/Berlin' } });
step('In the browser');
const browserFile = join(results, 'browser.json');
runTool('@playwright/test/cli.js', ['test'], { env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: browserFile } });

step('Done');
const units = JSON.parse(readFileSync(jestFile, 'utf8'));
const { expected, flaky, unexpected } = JSON.parse(readFileSync(browserFile, 'utf8')).stats;
const passed = expected + flaky;
console.log(
  `\nUnits ${units.numPassedTests}, in the browser ${passed}${flaky ? `, ${flaky} of them at the second try` : ''}.`,
);
console.log(`${units.numPassedTests + passed} passed, ${units.numFailedTests + unexpected} failed`);

/** Runs a script of the project beside what follows, and ends it with the whole. Gives how it ended. */
function beside(script, log) {
  const out = openSync(log, 'w');
  const child = spawn(process.execPath, [script], { cwd: root, stdio: ['ignore', out, out] });
  process.on('exit', () => child.kill());
  return new Promise((ended) => child.on('exit', ended));
}

/** Names the step that begins, and says how long the one before it took. */
function step(name) {
  if (begun !== undefined) console.log(`\n   took ${Math.round((Date.now() - begun) / 1000)} s`);
  console.log(`\n== ${name}`);
  begun = Date.now();
}
