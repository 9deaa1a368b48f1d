// Makes packages of modules fit for Jest. Its cost is paid by every spec file, as each loads its packages anew.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { transformSync, version } from 'esbuild';

const ICONS = '@lucide/angular/';

/** The names of icons that the app draws, sorted. */
const drawn = [...new Set(sourcesOfApp().flatMap((source) => source.match(/\bLucide\w+/g) ?? []))].sort();

export default {
  /** @param {string} source of a module. @param {string} path of its file. */
  process(source, path) {
    const { code } = transformSync(path.includes(ICONS) ? onlyDrawn(source) : source, {
      loader: 'js',
      format: 'cjs',
      target: 'es2022',
      supported: { 'dynamic-import': false },
      sourcefile: path,
    });
    return { code };
  },
  getCacheKey(source, path) {
    const hash = createHash('sha1')
      .update(source)
      .update(version)
      .update(readFileSync(fileURLToPath(import.meta.url)));
    if (path.includes(ICONS)) hash.update(drawn.join());
    return hash.digest('hex');
  },
};

/** The icons' module without those that the app never draws: some 1,700 components, which each spec file that draws one would compile. */
function onlyDrawn(source) {
  const ALIAS = /^const (\w+) = (Lucide\w+);\n/gm;
  const kept = new Set(drawn);
  for (const [, alias, icon] of source.matchAll(ALIAS)) if (kept.has(alias)) kept.add(icon);
  return source
    .replace(/^class (\w+) extends LucideIconBase \{\n.*?^\}\n.*?^ +\}\] \}\);\n/gms, (text, icon) =>
      kept.has(icon) ? text : '',
    )
    .replace(ALIAS, (text, alias) => (kept.has(alias) ? text : ''))
    .replace(/^var lucideAngular = .*?^\}\);\n/ms, '')
    .replace(/^export \{.*\};$/m, `export { ${drawn.join(', ')} };`);
}

function sourcesOfApp() {
  const folder = join(import.meta.dirname, '../app');
  return readdirSync(folder, { recursive: true })
    .filter((name) => name.endsWith('.ts'))
    .map((name) => readFileSync(join(folder, name), 'utf8'));
}
