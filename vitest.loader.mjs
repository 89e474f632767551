import { register } from 'node:module';

/** TypeScript of ours as Node’s own modules: half as much work again goes into a test where each use of an import is a look-up. */
register('./vitest.hooks.mjs', import.meta.url);
