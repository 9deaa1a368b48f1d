import { deserialize, serialize } from 'node:v8';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();
// Browsers have had it for years; this page without a browser has not.
globalThis.structuredClone ??= <T>(value: T): T => deserialize(serialize(value)) as T;
