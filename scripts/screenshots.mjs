import { build, checkNode, install, runTool } from './prepare.mjs';

checkNode();
install();
build();
runTool('tsx/dist/cli.mjs', ['scripts/take-screenshots.ts']);
