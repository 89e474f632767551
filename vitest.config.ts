import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** Unit tests of core, command line and pages; `server` runs against a throw-away PostgreSQL that it makes itself. */
export default defineConfig({
  test: {
    // Left to itself the runner keeps one core free; nobody waits for it here.
    maxWorkers: availableParallelism(),
    projects: [
      {
        test: {
          name: 'core',
          // Pure functions leave nothing behind: one load of their modules serves all files of a worker.
          isolate: false,
          include: ['core/src/**/*.test.ts'],
          setupFiles: ['core/src/testing/fixedSeed.ts'],
          // A hang ends here; how long work takes is measured by the benchmark.
          testTimeout: process.env['FUZZ_RUNS'] ? 1_200_000 : 60_000,
        },
      },
      {
        test: {
          name: 'cli',
          include: ['cli/src/**/*.test.ts', 'bounded/src/**/*.test.ts'],
          testTimeout: 30_000,
        },
      },
      {
        test: {
          name: 'web',
          isolate: false,
          include: ['web/src/**/*.test.ts'],
          setupFiles: ['core/src/testing/fixedSeed.ts'],
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          globalSetup: ['server/src/testing/throwAwayCluster.ts'],
          testTimeout: 60_000,
          // A hang ends here, not a slow machine: the demo workshop alone is half a minute of work.
          hookTimeout: 300_000,
          isolate: false,
        },
      },
    ],
  },
});
