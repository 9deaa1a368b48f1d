// No room needs another that needs it: not by one step, and not round about. A room is a folder of src; tests may look anywhere.
import madge from 'madge';
import { dirname } from 'node:path';
import { fail } from './prepare.mjs';

const graph = await madge('src', {
  fileExtensions: ['ts'],
  tsConfig: 'tsconfig.json',
  detectiveOptions: { ts: { mixedImports: true } },
  excludeRegExp: [/\.spec\.ts$/, /^testing\//],
});
const needs = new Map();
for (const [file, others] of Object.entries(graph.obj())) {
  const room = dirname(file);
  const seen = needs.get(room) ?? new Map();
  needs.set(room, seen);
  for (const other of others) if (dirname(other) !== room) seen.set(dirname(other), `${file} needs ${other}`);
}

/** The way from a room on to another, as the files that need each other; undefined where there is none. */
function way(from, to, been = new Set()) {
  for (const [next, why] of needs.get(from) ?? []) {
    if (been.has(next)) continue;
    been.add(next);
    const rest = next === to ? [] : way(next, to, been);
    if (rest) return [why, ...rest];
  }
  return undefined;
}

const circles = [...needs.keys()].map((room) => way(room, room)).filter(Boolean);
if (circles.length > 0) {
  const shortest = circles.reduce((a, b) => (b.length < a.length ? b : a));
  fail(`Rooms need each other in a circle:\n${shortest.join('\n')}`);
}
console.log(`${needs.size} rooms, no circle.`);
