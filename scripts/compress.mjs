// Compresses the built app once, as small as it gets, so that serving it costs nothing.
import { readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import { root } from './prepare.mjs';

const web = join(root, 'dist/web');
for (const name of readdirSync(web, { recursive: true })) {
  const path = join(web, name);
  if (!/\.(js|css|html|svg|json|txt)$/.test(name) || !statSync(path).isFile()) continue;
  const plain = readFileSync(path);
  writeFileSync(`${path}.br`, brotliCompressSync(plain, { params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: plain.length } }));
}
