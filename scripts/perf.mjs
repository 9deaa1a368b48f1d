import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { build, checkNode, install, root, run, runTool } from './prepare.mjs';

checkNode();
install();
build();
const lighthouse = join(root, 'perf/lighthouse');
if (!existsSync(join(lighthouse, 'node_modules/lighthouse'))) run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: lighthouse, shell: process.platform === 'win32' });
runTool('tsx/dist/cli.mjs', ['perf/run.ts']);
