import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from 'vitest/config';
// The throw-away PostgreSQL is made in the runner’s own process.
import './vitest.loader.mjs';

/** What runs in Node anyhow runs there as it is: no look-up behind each use of an import, and nothing to transform twice. */
const IN_NODE = {
  execArgv: ['--enable-source-maps', '--import', join(import.meta.dirname, 'vitest.loader.mjs')],
  experimental: { viteModuleRunner: false, nodeLoader: false },
};

/** Unit tests of core, command line and pages; `server` runs against a throw-away PostgreSQL that it makes itself. */
export default defineConfig({
  test: {
    // Left to itself the runner keeps one core free; nobody waits for it here.
    maxWorkers: availableParallelism(),
    projects: [
      {
        test: {
          name: 'core',
          ...IN_NODE,
          // Pure functions leave nothing behind: one load of their modules serves all files of a worker.
          isolate: false,
          include: ['core/src/**/*.test.ts'],
          setupFiles: ['core/src/testing/fixedSeed.ts'],
          // A hang ends here, not work that stands back from a browser; how long it takes is measured by the benchmark.
          testTimeout: process.env['FUZZ_RUNS'] ? 1_200_000 : 300_000,
        },
      },
      {
        test: {
          name: 'cli',
          ...IN_NODE,
          include: ['cli/src/**/*.test.ts', 'bounded/src/**/*.test.ts'],
          testTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'web',
          isolate: false,
          include: ['web/src/**/*.test.ts'],
          testTimeout: 60_000,
          setupFiles: ['core/src/testing/fixedSeed.ts'],
        },
      },
      {
        test: {
          name: 'server',
          ...IN_NODE,
          include: ['server/src/**/*.test.ts'],
          globalSetup: ['server/src/testing/throwAwayCluster.ts'],
          testTimeout: 180_000,
          // A hang ends here, not a slow machine: the demo workshop alone is half a minute of work.
          hookTimeout: 300_000,
          isolate: false,
        },
      },
    ],
  },
});
