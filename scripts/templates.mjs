// No template is longer than so many lines, or nests its blocks deeper than so many: what grows past that is a component of its own.
import { parseTemplate } from '@angular/compiler';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fail } from './prepare.mjs';

const MOST_LINES = 120;
const MOST_DEEP = 3;
const BLOCKS = new Set(['IfBlock', 'ForLoopBlock', 'SwitchBlock', 'DeferredBlock']);
const INSIDE = ['children', 'branches', 'cases', 'groups', 'empty', 'placeholder', 'loading', 'error'];

/** How deep the blocks of parsed template nodes nest. */
function depthOf(node) {
  if (!node) return 0;
  if (Array.isArray(node)) return Math.max(0, ...node.map(depthOf));
  return Number(BLOCKS.has(node.constructor.name)) + Math.max(0, ...INSIDE.map((key) => depthOf(node[key])));
}

const files = readdirSync('src/app', { recursive: true }).filter((name) => /(?<!\.spec)\.(html|ts)$/.test(name));
const templates = files.flatMap((name) => {
  const file = join('src/app', name);
  const text = readFileSync(file, 'utf8');
  const template = file.endsWith('.html') ? text : /template: `([\s\S]*?)`,\n/.exec(text)?.[1];
  return template === undefined ? [] : [{ file, template }];
});
const wrong = templates.flatMap(({ file, template }) => {
  const { nodes, errors } = parseTemplate(template, file);
  const lines = template.trim().split('\n').length;
  return [
    ...(errors ?? []).map(({ msg }) => `${file}: ${msg}`),
    ...(lines > MOST_LINES ? [`${file}: ${lines} lines, at most ${MOST_LINES}`] : []),
    ...(depthOf(nodes) > MOST_DEEP ? [`${file}: blocks ${depthOf(nodes)} deep, at most ${MOST_DEEP}`] : []),
  ];
});
if (wrong.length > 0) fail(wrong.join('\n'));
console.log(`${templates.length} templates, none too long or too deep.`);
