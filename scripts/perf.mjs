import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { build, checkNode, install, root, run, runTool } from './prepare.mjs';

checkNode();
install();
build();
const lighthouse = join(root, 'perf/lighthouse');
if (!existsSync(join(lighthouse, 'node_modules/lighthouse')))
  run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: lighthouse, shell: process.platform === 'win32' });
// Bundled as the app is: one module is what the compiler of the browser, and of Node, makes quick.
runTool('esbuild/bin/esbuild', [
  'perf/run.ts',
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--packages=external',
  '--outfile=dist/perf.mjs',
  '--log-level=warning',
]);
run(process.execPath, ['dist/perf.mjs']);
