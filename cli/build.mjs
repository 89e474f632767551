import { rmSync, utimesSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

/** Bundles the command line: split, so that each command loads only what it needs. */
const here = dirname(fileURLToPath(import.meta.url));
const started = new Date();
const outdir = join(here, 'dist');
rmSync(outdir, { recursive: true, force: true });
await build({
  entryPoints: [join(here, 'src/main.ts')],
  outdir,
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'error',
  // Only asked for by the driver where it is there.
  external: ['pg-native'],
  // Libraries in the older module form ask for Node's own parts by `require`.
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
});
// Sources saved while it was building are newer than the bundle and build again next time.
utimesSync(join(outdir, 'main.js'), started, started);
