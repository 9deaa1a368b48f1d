import { checkNode, install, runTool } from './prepare.mjs';

checkNode();
install();
runTool('@angular/cli/bin/ng.js', ['serve']);
