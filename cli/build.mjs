import { rmSync, utimesSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

/**
 * Bundles the command line, as every call reads all that it loads: one small program that only holds another within its limits, and
 * the commands, split so that each loads what it needs.
 */
const here = dirname(fileURLToPath(import.meta.url));
const started = new Date();
const outdir = join(here, 'dist');
rmSync(outdir, { recursive: true, force: true });
/** @type {import('esbuild').BuildOptions} */
const options = {
  outdir,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'error',
  minifyWhitespace: true,
  minifySyntax: true,
  // Only asked for by the driver where it is there.
  external: ['pg-native'],
  // Libraries in the older module form ask for Node's own parts by `require`.
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
  plugins: [
    {
      name: 'one language of zod',
      setup: ({ onLoad }) =>
        onLoad({ filter: /zod[\\/]v4[\\/]locales[\\/]index\.js$/ }, () => ({
          contents: "export { default as en } from './en.js';",
        })),
    },
    {
      name: 'the commands stand beside',
      setup: ({ onResolve }) =>
        onResolve({ filter: /^\.\/run\.ts$/ }, () => ({ path: './run.js', external: true })),
    },
  ],
};
await build({ ...options, entryPoints: [join(here, 'src/run.ts')], splitting: true });
await build({ ...options, entryPoints: [join(here, 'src/main.ts')] });
// Sources saved while it was building are newer than the bundle and build again next time.
utimesSync(join(outdir, 'main.js'), started, started);
