// Joins scripts that are always loaded together, tells the page's head what its first script will load, lists what is kept for use without a
// network, and compresses the built app once, as small as it gets, so that serving it costs nothing.
import { readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { rolldown } from 'rolldown';
import { root, runTool } from './prepare.mjs';

/** Scripts that this many loadable parts share come with the first that wants one of them. */
const SHARED_BY = 4;

const web = join(root, 'dist/web');
const index = join(web, 'index.html');
preload(await joinScripts());
// What is kept for use without a network, by its content.
runTool('@angular/service-worker/ngsw-config.js', ['dist/web', 'ngsw-config.json', '/']);
for (const name of readdirSync(web, { recursive: true })) {
  const path = join(web, name);
  if (!/\.(js|css|html|svg|json|txt)$/.test(name) || !statSync(path).isFile()) continue;
  const plain = readFileSync(path);
  writeFileSync(
    `${path}.br`,
    brotliCompressSync(plain, {
      params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: plain.length },
    }),
  );
  // Browsers take brotli over a secure line alone; a phone in the kitchen has none.
  writeFileSync(`${path}.gz`, gzipSync(plain, { level: 9 }));
}

/**
 * The build cuts a script wherever two loadable parts share something, into hundreds: a first visit would ask for a hundred of them, six at a
 * time. Joined are what the app's own part needs, and what so many pages and stations share that each visit loads most of it. Gives the names of
 * what came of it.
 */
async function joinScripts() {
  const page = readFileSync(index, 'utf8');
  const main = firstScript(page);
  const bundle = await rolldown({ input: join(web, main), treeshake: false, preserveEntrySignatures: false });
  let groups;
  const { output } = await bundle.generate({
    minify: { mangle: true, compress: false },
    entryFileNames: 'main-[hash].js',
    chunkFileNames: 'chunk-[hash].js',
    codeSplitting: {
      includeDependenciesRecursively: false,
      groups: [
        {
          name: (id, chunking) => {
            groups ??= grouped(join(web, main), (script) => chunking.getModuleInfo(script));
            return groups.get(id);
          },
        },
      ],
    },
  });
  await bundle.close();
  for (const name of groups.keys()) rmSync(name);
  for (const { fileName, code } of output) writeFileSync(join(web, fileName), code);
  const without = page.replace(/<link rel="modulepreload"[^>]*>/g, '');
  writeFileSync(index, without.replace(main, output.find(({ isEntry }) => isEntry).fileName));
  return output.filter(({ name }) => ['first', 'start', 'shared'].includes(name)).map(({ fileName }) => fileName);
}

/** What each script is joined to, by its path; what is joined to nothing stands by itself. */
function grouped(main, infoOf) {
  const needs = (id, found = new Set()) => {
    if (found.has(id)) return found;
    found.add(id);
    for (const other of infoOf(id).importedIds) needs(other, found);
    return found;
  };
  const [start] = infoOf(main).dynamicallyImportedIds;
  const parts = new Set();
  const sharedBy = new Map();
  const follow = (part) => {
    if (parts.has(part)) return;
    parts.add(part);
    for (const id of needs(part)) {
      sharedBy.set(id, (sharedBy.get(id) ?? 0) + 1);
      for (const other of infoOf(id).dynamicallyImportedIds) follow(other);
    }
  };
  follow(start);
  const first = needs(main);
  const own = needs(start);
  const group = (id) =>
    first.has(id) ? 'first' : own.has(id) ? 'start' : sharedBy.get(id) >= SHARED_BY ? 'shared' : null;
  return new Map([...first, ...sharedBy.keys()].map((id) => [id, id === main ? null : group(id)]));
}

/** What the first script and the first page load is named in the page's head: so it comes at the same time as that script. */
function preload(names) {
  const links = names.map((name) => `<link rel="modulepreload" href="${name}">`).join('');
  writeFileSync(index, readFileSync(index, 'utf8').replace('</head>', `${links}</head>`));
}

/** The name of the page's first script. */
function firstScript(page) {
  const main = /main-[\w-]+\.js/.exec(page)?.[0];
  if (!main) throw new Error('the page has no first script: has its build changed?');
  return main;
}
