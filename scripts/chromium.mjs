// Debian's Chromium for the browser tests: found, or installed where it can be.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

/** Without windows it opens a page in half the time, so it is taken first; the whole browser does as well. */
const WITHOUT_WINDOWS = '/usr/bin/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';
/** So that a machine that reaches nothing is not waited for. */
const PATIENCE = ['-o', 'Acquire::http::Timeout=20', '-o', 'Acquire::Retries=1'];

/** Where Chromium is, or would be. */
export function chromiumPath() {
  return process.env.CHROME_PATH ?? [WITHOUT_WINDOWS, WHOLE].find((path) => existsSync(path)) ?? WHOLE;
}

/** Installs Chromium where it is missing and may be installed. Gives whether there is one in the end. */
export function haveChromium() {
  if (!process.env.CHROME_PATH && !existsSync(WITHOUT_WINDOWS) && isRoot() && apt(['--version'], 'ignore')) {
    console.log('Installing Chromium…');
    apt(['update', '-qq', ...PATIENCE]);
    apt([
      'install',
      '-y',
      '-qq',
      '--no-install-recommends',
      ...PATIENCE,
      'chromium-headless-shell',
      'fonts-noto-color-emoji',
    ]);
  }
  return existsSync(chromiumPath());
}

function isRoot() {
  return typeof process.getuid === 'function' && process.getuid() === 0;
}

function apt(args, stdout = 'inherit') {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  return spawnSync('apt-get', args, { env, stdio: ['ignore', stdout, 'inherit'] }).status === 0;
}

/** How it is started: nothing of its own goes on beside what is tried. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
