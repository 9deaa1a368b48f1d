import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';
import eslint from '@eslint/js';

const STATIONS = ['mold', 'melt', 'prep', 'coat', 'chill', 'fill', 'close', 'finish', 'batch'];
const NOT_CORE = [
  '@angular/*',
  '@angular/**',
  'rxjs',
  'rxjs/*',
  'ng-zorro-antd/*',
  'dexie',
  'comlink',
  'express',
  'node:*',
  'fs',
  'path',
  '**/app/**',
  '**/data/**',
  '**/workers/**',
];
const BROWSER = [
  'window',
  'document',
  'navigator',
  'localStorage',
  'sessionStorage',
  'fetch',
  'console',
  'process',
  'setTimeout',
  'Worker',
  'crypto',
];

const forbid = (patterns, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }] }],
});
const others = (folder) => STATIONS.filter((station) => station !== folder).map((station) => `**/${station}/*`);
const layer = (folder, patterns, message) => ({
  files: [`src/core/${folder}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: forbid([...NOT_CORE, ...patterns], message),
});
/** What stands above the stations. */
const ABOVE = ['../plan/*', '../edit/*', '../study/*'];
const everyStation = STATIONS.map((station) => `**/${station}/*`);

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', '.angular/', 'test-results/', 'perf/lighthouse/node_modules/'] },
  eslint.configs.recommended,
  ...tseslint.configs.recommended,
  {
    rules: {
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'no-console': 'off',
      eqeqeq: 'error',
      'no-warning-comments': 'error',
    },
  },
  { files: ['**/*.mjs'], languageOptions: { globals: { process: 'readonly', console: 'readonly', URL: 'readonly' } } },
  { files: ['**/*.spec.ts', 'e2e/**', 'perf/**'], rules: { 'max-lines-per-function': 'off', 'max-lines': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...BROWSER.map((name) => ({ name, message: 'Core knows no page, no worker and no Node.' })),
      ],
    },
  },
  layer('quantity', ['../*'], 'quantity stands at the bottom and imports nothing of core.'),
  layer(
    'matter',
    ['../record/*', '../cavity/*', '../heat/*', '../flow/*', ...ABOVE, ...everyStation],
    'matter may import quantity alone.',
  ),
  layer('cavity', ['../record/*', '../heat/*', ...ABOVE, ...everyStation], 'cavity may import matter and quantity.'),
  layer(
    'flow',
    ['../record/*', '../heat/*', ...ABOVE, ...everyStation],
    'flow may import cavity, matter and quantity.',
  ),
  layer('record', ['../heat/*', ...ABOVE, ...everyStation], 'record may import cavity, matter and quantity.'),
  layer(
    'heat',
    ['../record/*', '../flow/*', ...ABOVE, ...everyStation],
    'heat may import cavity, matter and quantity.',
  ),
  layer('shell', [...ABOVE, ...everyStation], 'shell may import flow, heat, cavity, record and what is below them.'),
  ...STATIONS.map((station) =>
    layer(
      station,
      [...ABOVE, ...others(station)],
      'Stations do not import each other: plan() passes on what one needs of another.',
    ),
  ),
  layer('plan', ['../edit/*', '../study/*'], 'plan may import the stations and what is below them.'),
  layer('run', ['../edit/*', '../study/*'], 'run may import occasion, plan and what is below them.'),
  layer('edit', ['../study/*'], 'edit may import plan and what is below it.'),
  layer('study', [], 'Core imports neither the interface nor storage.'),
  {
    files: ['src/data/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: forbid(['@angular/*', '**/app/**', '**/workers/**'], 'data imports core alone.'),
  },
  {
    files: ['src/workers/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: forbid(['@angular/*', '**/app/**', '**/data/**'], 'workers import core alone.'),
  },
  {
    files: ['src/app/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@angular-eslint/component-selector': [
        'error',
        [
          { type: 'element', prefix: 'ks', style: 'kebab-case' },
          { type: 'attribute', prefix: 'ks', style: 'camelCase' },
        ],
      ],
    },
  },
  {
    files: ['src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  // The kit's radio buttons and checkboxes put their input inside the label when they are drawn.
  {
    files: [
      'src/app/ui/pick.ts/**',
      'src/app/ui/ticks.ts/**',
      'src/app/castings/castings.html',
      'src/app/castings/new-casting.html',
      'src/app/pantry/tint-editor.html',
    ],
    rules: { '@angular-eslint/template/label-has-associated-control': 'off' },
  },
);
