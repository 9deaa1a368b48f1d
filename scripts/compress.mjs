// Tells the page's head what its first script will load, and compresses the built app once, as small as it gets, so that serving it costs nothing.
import { readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { root } from './prepare.mjs';

const web = join(root, 'dist/web');
preloadFirstPage();
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

/** The app's own part is loaded by the first script; named in the head, it and what it needs come at the same time as that script. */
function preloadFirstPage() {
  const page = readFileSync(join(web, 'index.html'), 'utf8');
  const main = /main-[\w-]+\.js/.exec(page)?.[0];
  if (!main || page.includes('modulepreload')) return;
  const code = (name) => readFileSync(join(web, name), 'utf8');
  const start = /import\(\s*["'`]\.\/(chunk-[\w-]+\.js)/.exec(code(main))?.[1];
  if (!start) throw new Error('the first script loads nothing: has main.ts changed?');
  const needed = new Set();
  const follow = (name) => {
    if (needed.has(name)) return;
    needed.add(name);
    for (const [, from] of code(name).matchAll(/(?:from|import)\s*["'`]\.\/(chunk-[\w-]+\.js)/g)) follow(from);
  };
  follow(start);
  const links = [...needed].map((name) => `<link rel="modulepreload" href="${name}">`).join('');
  writeFileSync(join(web, 'index.html'), page.replace('</head>', `${links}</head>`));
}
