import { execFile } from 'node:child_process';
import { realpathSync, renameSync, rmSync, statSync, utimesSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
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
};
/** @type {import('esbuild').Plugin} */
const oneLanguage = {
  name: 'one language of zod',
  setup: ({ onLoad }) =>
    onLoad({ filter: /zod[\\/]v4[\\/]locales[\\/]index\.js$/ }, () => ({
      contents: "export { default as en } from './en.js';",
    })),
};
/** @type {(filter: RegExp, path: string) => import('esbuild').Plugin} */
const besides = (filter, path) => ({
  name: `${path} stands beside`,
  setup: ({ onResolve }) => onResolve({ filter }, () => ({ path, external: true })),
});
await build({
  ...options,
  entryPoints: [join(here, 'src/run.ts')],
  splitting: true,
  plugins: [oneLanguage],
});
await build({
  ...options,
  entryPoints: [join(here, 'src/main.ts')],
  plugins: [oneLanguage, besides(/^\.\/run\.ts$/, './run.js')],
});

/**
 * The one command that is called again and again is kept as a snapshot of the program with everything loaded, which wakes in half the
 * time. It is of this very Node, so the name says which; where none is, the bundle is run.
 */
const node = statSync(realpathSync(process.execPath));
const snapshot = join(outdir, `judge-${node.size}-${Math.floor(node.mtimeMs / 1000)}.blob`);
const source = join(outdir, 'snapshot.cjs');
await build({
  ...options,
  banner: {},
  format: 'cjs',
  outdir: undefined,
  outfile: source,
  entryPoints: [join(here, 'src/snapshot.ts')],
  plugins: [oneLanguage, besides(/^\.\/commands\/[^j]/, './not-in-the-snapshot')],
});
// Under its name only when it is whole: another call may look for it at any time.
await promisify(execFile)(process.execPath, [
  // As in bin/white-ember: with less room for what is young, a call of half a second clears up ninety times.
  '--min-semi-space-size=4',
  '--snapshot-blob',
  `${snapshot}.part`,
  '--build-snapshot',
  source,
])
  .then(() => renameSync(`${snapshot}.part`, snapshot))
  .catch((/** @type {Error} */ error) =>
    process.stderr.write(`No snapshot of the command line: ${error.message}\n`),
  );
rmSync(source, { force: true });

// Sources saved while it was building are newer than the bundle and build again next time.
utimesSync(join(outdir, 'main.js'), started, started);
