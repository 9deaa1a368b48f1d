import presets from 'jest-preset-angular/presets/index.js';

const ignored = ['<rootDir>/dist/', '<rootDir>/node_modules/'];
const typescript = { '^.+\\.ts$': ['ts-jest', { tsconfig: '<rootDir>/tsconfig.spec.json', diagnostics: false }] };
const app = presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' });

// Specs run in a world of their own, where each use of a global is a slow search: what the computation uses all the time is handed in.
const sandboxInjectedGlobals = ['Math', 'Number', 'Float64Array', 'Array', 'Infinity', 'Object', 'Map', 'Set'];

export default {
  // What is tried is what happens, not how soon: a machine that has others to serve takes its time.
  testTimeout: 60_000,
  // The units are all there is to do: every processor takes its share.
  maxWorkers: '100%',
  // What a spec has loaded stays in its worker's memory: one that has much of it makes way for a new one, and none is slow to end.
  workerIdleMemoryLimit: '400MB',
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      sandboxInjectedGlobals,
      roots: ['<rootDir>/src/core', '<rootDir>/src/data', '<rootDir>/src/workers', '<rootDir>/server'],
      transform: typescript,
      setupFiles: ['<rootDir>/src/testing/fixed-seed.ts'],
      modulePathIgnorePatterns: ignored,
    },
    {
      displayName: 'app',
      sandboxInjectedGlobals,
      ...app,
      transform: { '\\.mjs$': '<rootDir>/src/testing/packages-transform.mjs', ...app.transform },
      roots: ['<rootDir>/src/app'],
      setupFiles: ['<rootDir>/src/testing/fixed-seed.ts'],
      setupFilesAfterEnv: ['<rootDir>/src/testing/setup-app.ts'],
      transformIgnorePatterns: ['node_modules/(?!.*\\.mjs$|d3-|internmap|immer|date-fns|@lucide|comlink)'],
      modulePathIgnorePatterns: ignored,
    },
  ],
};
