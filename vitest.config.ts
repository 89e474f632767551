import { defineConfig } from 'vitest/config';

/** Unit tests of core, command line and pages; `server` runs against a throw-away PostgreSQL that it makes itself. */
export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts'],
          setupFiles: ['core/src/testing/fixedSeed.ts'],
          // A hang ends here; how long work takes is measured by the benchmark.
          testTimeout: process.env['FUZZ_RUNS'] ? 1_200_000 : 60_000,
        },
      },
      { test: { name: 'cli', include: ['cli/src/**/*.test.ts'], testTimeout: 30_000 } },
      {
        test: {
          name: 'web',
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
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
