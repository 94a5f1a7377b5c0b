import { deserialize, serialize } from 'node:v8';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();
// Browsers have it; this page of jsdom does not.
globalThis.structuredClone = <T>(value: T): T => deserialize(serialize(value)) as T;
