import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { build as bundle } from 'esbuild';
import { LaunchError } from './debian.ts';

function newest(path: string): number {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(
    0,
    ...readdirSync(path)
      .filter((name) => name !== 'dist' && name !== 'node_modules')
      .map((name) => newest(join(path, name))),
  );
}

/** Runs a build when its stamp is missing or older than any of its sources. */
async function whenStale(
  stamp: string,
  sources: readonly string[],
  run: () => Promise<void> | void,
): Promise<void> {
  const made = existsSync(stamp) ? statSync(stamp).mtimeMs : 0;
  if (made > Math.max(...sources.filter(existsSync).map(newest))) return;
  const started = new Date();
  await run();
  writeFileSync(stamp, '');
  // Sources saved while it was building are newer than the stamp and build again next time.
  utimesSync(stamp, started, started);
}

export async function buildWeb(root: string): Promise<string> {
  const dist = join(root, 'web/dist');
  await whenStale(
    join(dist, '.stamp'),
    ['web', 'core/src', 'package-lock.json'].map((p) => join(root, p)),
    () => {
      process.stderr.write('Building the pages …\n');
      const made = spawnSync(
        process.execPath,
        [join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
        {
          cwd: join(root, 'web'),
          // Whatever the caller's is: with another one the libraries come in their slow, large development form.
          env: { ...process.env, NODE_ENV: 'production' },
          stdio: ['ignore', 'inherit', 'inherit'],
        },
      );
      if (made.status !== 0) throw new LaunchError('The pages could not be built; the reason stands above.');
    },
  );
  return dist;
}

/** The server, the programs that read files from outside for it, and what starts and keeps it. */
const PROGRAMS = {
  main: 'main/main.ts',
  readLog: 'reading/readLog.program.ts',
  readPhoto: 'photos/readPhoto.program.ts',
  importArchive: 'archive/importArchive.program.ts',
  advise: 'judging/advise.program.ts',
  start: 'launch/start.ts',
  keep: 'launch/keep.ts',
};

/**
 * One file for the server, and one for each program that it starts, with the workspace's own packages inside; libraries stay
 * in node_modules. Gives the path of the server's.
 */
export async function buildServer(root: string): Promise<string> {
  const out = join(root, 'server/dist/main.js');
  await whenStale(
    `${out}.stamp`,
    ['server/src', 'bounded/src', 'core/src', 'package-lock.json'].map((p) => join(root, p)),
    async () => {
      await bundle({
        entryPoints: Object.fromEntries(
          Object.entries(PROGRAMS).map(([name, source]) => [name, join(root, 'server/src', source)]),
        ),
        outdir: dirname(out),
        bundle: true,
        platform: 'node',
        format: 'esm',
        target: 'node20',
        sourcemap: true,
        logLevel: 'error',
        plugins: [
          {
            name: 'libraries-stay-outside',
            setup: (plugin) => {
              plugin.onResolve({ filter: /^[^./]/ }, ({ path }) =>
                path.startsWith('@white-ember/') || path.startsWith('node:')
                  ? undefined
                  : { path, external: true },
              );
            },
          },
        ],
      });
    },
  );
  return out;
}
