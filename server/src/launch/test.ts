import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import { ensureChromium, LaunchError, postgresPrograms } from './debian.ts';

const HELP = `bin/test [PART …] — runs every check, or only the parts named

  types     TypeScript in every workspace
  lint      eslint, prettier, and that imports go one way
  unit      core, command line and pages
  api       the server on a throw-away PostgreSQL, starting and being killed
  browser   whole jobs in Chromium

It never touches the data of bin/start.
`;

const root = resolve(import.meta.dirname, '../../..');
const reports = join(root, '.cache/test');

interface Count {
  passed: number;
  failed: number;
}

interface VitestReport {
  readonly numPassedTests: number;
  readonly numTotalTests: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly assertionResults: readonly { readonly fullName: string; readonly status: string }[];
  }[];
}

const program = (path: string): string => join(root, 'node_modules', path);

/** What failed, named again at the end: a reader of the last lines should not have to search. */
const failures: string[] = [];

function run(
  title: string,
  file: string,
  args: readonly string[],
  env: Record<string, string> = {},
): boolean {
  process.stdout.write(`\n== ${title}\n`);
  const done = spawnSync(process.execPath, [file, ...args], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  if (done.status !== 0) failures.push(title);
  return done.status === 0;
}

const asCount = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });

/** Counts of a runner's own report; a run that failed without a failed test, or counted none, counts as a failure. */
function counted(ok: boolean, report: string, read: (json: never) => Count): Count {
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const count = read(JSON.parse(readFileSync(report, 'utf8')) as never);
  const silent = (!ok && count.failed === 0) || count.passed + count.failed === 0;
  return silent ? { ...count, failed: count.failed + 1 } : count;
}

function vitest(projects: readonly string[]): Count[] {
  return projects.map((project) => {
    const report = join(reports, `${project}.json`);
    const ok = run(project, program('vitest/vitest.mjs'), [
      'run',
      '--project',
      project,
      '--reporter=dot',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ]);
    return counted(ok, report, ({ numPassedTests, numTotalTests, testResults }: VitestReport) => {
      for (const { name, assertionResults } of testResults)
        for (const { fullName, status } of assertionResults)
          if (status !== 'passed') failures.push(`${relative(root, name)}: ${fullName}`);
      return { passed: numPassedTests, failed: numTotalTests - numPassedTests };
    });
  });
}

const PARTS: Record<string, () => Count[]> = {
  types: () =>
    ['core', 'core/tsconfig.test.json', 'cli', 'server', 'web', 'e2e'].map((project) =>
      asCount(run(`types ${project}`, program('typescript/bin/tsc'), ['-p', project])),
    ),
  lint: () => [
    asCount(run('eslint', program('eslint/bin/eslint.js'), ['.', '--max-warnings=0'])),
    asCount(run('prettier', program('prettier/bin/prettier.cjs'), ['--check', '--log-level=warn', '.'])),
    asCount(run('imports', join(root, 'imports.check.mjs'), [])),
  ],
  unit: () => vitest(['core', 'cli', 'web']),
  api: () => {
    postgresPrograms();
    return vitest(['server']);
  },
  browser: () => {
    postgresPrograms();
    ensureChromium();
    const report = join(reports, 'browser.json');
    const ok = run(
      'browser',
      program('@playwright/test/cli.js'),
      ['test', '-c', 'e2e', '--reporter=line,json'],
      {
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      },
    );
    return [
      counted(
        ok,
        report,
        ({ stats }: { stats: { expected: number; flaky: number; unexpected: number; skipped: number } }) => ({
          passed: stats.expected + stats.flaky,
          failed: stats.unexpected + stats.skipped,
        }),
      ),
    ];
  },
};

function main(wanted: readonly string[]): void {
  if (wanted.includes('--help')) {
    process.stdout.write(HELP);
    return;
  }
  const unknown = wanted.find((name) => !Object.hasOwn(PARTS, name));
  if (unknown !== undefined)
    throw new LaunchError(`"${unknown}" is no part. bin/test --help tells the parts.`);
  rmSync(reports, { recursive: true, force: true });
  mkdirSync(reports, { recursive: true });
  const counts = Object.entries(PARTS)
    .filter(([name]) => wanted.length === 0 || wanted.includes(name))
    .flatMap(([, part]) => part());
  const sum = (pick: (count: Count) => number): number =>
    counts.reduce((total, count) => total + pick(count), 0);
  for (const title of failures) process.stdout.write(`\nfailed: ${title}`);
  process.stdout.write(`\n${sum((c) => c.passed)} passed, ${sum((c) => c.failed)} failed\n`);
  process.exitCode = sum((c) => c.failed) === 0 ? 0 : 1;
}

try {
  main(process.argv.slice(2));
} catch (error) {
  process.stderr.write(`${error instanceof LaunchError ? error.message : String((error as Error).stack)}\n`);
  process.exitCode = 1;
}
