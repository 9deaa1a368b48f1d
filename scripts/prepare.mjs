// Installs and builds what is missing or out of date. Node built-ins only: it runs before node_modules exists.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const stamps = join(root, '.stamps');

/** Ends with one clear line when this Node cannot run the project. */
export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19) || major > 22) {
    fail(`Kilnstone needs Node 20.19 or later, up to 22; this is ${process.versions.node}.`);
  }
}

export function fail(message) {
  console.error(message);
  process.exit(1);
}

/** Runs a command in the project and ends with its status when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) fail(`${command} cannot be run: ${done.error.message}`);
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** Runs a tool of the project by its file under node_modules. */
export function runTool(file, args, options = {}) {
  run(process.execPath, [join(root, 'node_modules', file), ...args], options);
}

/** Runs npm as it was started, whatever it is called on this system. */
function runNpm(args) {
  const env = { ...process.env };
  delete env.NODE_ENV;
  const npm = process.env.npm_execpath;
  if (npm) run(process.execPath, [npm, ...args], { env });
  else run('npm', args, { env, shell: process.platform === 'win32' });
}

function hashOf(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    const full = join(root, path);
    if (!existsSync(full)) return;
    if (statSync(full).isDirectory()) for (const name of readdirSync(full).sort()) add(`${path}/${name}`);
    else if (!path.endsWith('.spec.ts')) hash.update(path).update(readFileSync(full));
  };
  paths.forEach(add);
  return hash.digest('hex');
}

function upToDate(name, hash) {
  const file = join(stamps, name);
  return existsSync(file) && readFileSync(file, 'utf8') === hash;
}

function stamp(name, hash) {
  mkdirSync(stamps, { recursive: true });
  writeFileSync(join(stamps, name), hash);
}

/** Installs the packages of the lock file unless exactly these are installed. */
export function install() {
  const hash = hashOf(['package-lock.json', '.npmrc']);
  if (existsSync(join(root, 'node_modules/typescript')) && upToDate('installed', hash)) return;
  console.log('Installing packages (about a minute, the first time only)…');
  runNpm(['ci', '--include=dev', '--no-audit', '--no-fund']);
  stamp('installed', hash);
}

/** Builds app and server unless exactly these sources are built. */
export function build() {
  const hash = hashOf([
    'src',
    'server',
    'public',
    'scripts/pack.mjs',
    'scripts/prepare.mjs',
    'angular.json',
    'ngsw-config.json',
    'tsconfig.json',
    'tsconfig.app.json',
    'tsconfig.worker.json',
    'package-lock.json',
  ]);
  if (
    existsSync(join(root, 'dist/web/index.html')) &&
    existsSync(join(root, 'dist/server/serve.js')) &&
    upToDate('built', hash)
  )
    return;
  console.log('Building (up to two minutes, the first time only)…');
  runTool('@angular/cli/bin/ng.js', ['build'], { env: { ...process.env, NG_CLI_ANALYTICS: 'false' } });
  // The server computes what the simulated devices say by the app's own code, which is written for a bundler.
  runTool('esbuild/bin/esbuild', [
    'server/serve.ts',
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--packages=external',
    '--outfile=dist/server/serve.js',
    '--log-level=warning',
  ]);
  run(process.execPath, [join(root, 'scripts/pack.mjs')]);
  stamp('built', hash);
}
