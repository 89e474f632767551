import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
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

/** Checks that need no database and no screen: two at a time, each one's words together. */
async function runSideBySide(
  checks: readonly (readonly [title: string, file: string, args: readonly string[]])[],
): Promise<Count[]> {
  const counts: Count[] = [];
  const waiting = [...checks];
  const worker = async (): Promise<void> => {
    for (let check = waiting.shift(); check; check = waiting.shift()) {
      const [title, file, args] = check;
      const child = spawn(process.execPath, [file, ...args], {
        cwd: root,
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      const words: Buffer[] = [];
      child.stdout.on('data', (piece: Buffer) => words.push(piece));
      child.stderr.on('data', (piece: Buffer) => words.push(piece));
      const [status] = (await once(child, 'close')) as [number | null];
      process.stdout.write(`\n== ${title}\n${Buffer.concat(words).toString()}`);
      if (status !== 0) failures.push(title);
      counts.push(asCount(status === 0));
    }
  };
  await Promise.all([worker(), worker()]);
  return counts;
}

const asCount = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });

/** Counts of a runner's own report; a run that failed without a failed test, or counted none, counts as a failure. */
function counted(ok: boolean, report: string, read: (json: never) => Count): Count {
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const count = read(JSON.parse(readFileSync(report, 'utf8')) as never);
  const silent = (!ok && count.failed === 0) || count.passed + count.failed === 0;
  return silent ? { ...count, failed: count.failed + 1 } : count;
}

/** Projects of one part run together: a long file of one does not keep the others waiting. */
function vitest(part: string, projects: readonly string[]): Count[] {
  const report = join(reports, `${part}.json`);
  const ok = run(part, program('vitest/vitest.mjs'), [
    'run',
    ...projects.flatMap((project) => ['--project', project]),
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ]);
  return [
    counted(ok, report, ({ numPassedTests, numTotalTests, testResults }: VitestReport) => {
      for (const { name, assertionResults } of testResults)
        for (const { fullName, status } of assertionResults)
          if (status !== 'passed') failures.push(`${relative(root, name)}: ${fullName}`);
      return { passed: numPassedTests, failed: numTotalTests - numPassedTests };
    }),
  ];
}

const STATIC: Record<string, readonly (readonly [title: string, file: string, args: readonly string[]])[]> = {
  types: ['server', 'web', 'core/tsconfig.test.json', 'core', 'cli', 'e2e'].map((project) => [
    `types ${project}`,
    program('typescript/bin/tsc'),
    ['-p', project],
  ]),
  lint: [
    ['eslint', program('eslint/bin/eslint.js'), ['.', '--max-warnings=0']],
    ['prettier', program('prettier/bin/prettier.cjs'), ['--check', '--log-level=warn', '.']],
    ['imports', join(root, 'imports.check.mjs'), []],
  ],
};

const PARTS: Record<string, () => Count[]> = {
  unit: () => vitest('unit', ['core', 'cli', 'web']),
  api: () => {
    postgresPrograms();
    return vitest('api', ['server']);
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

async function main(wanted: readonly string[]): Promise<void> {
  if (wanted.includes('--help')) {
    process.stdout.write(HELP);
    return;
  }
  const unknown = wanted.find((name) => !Object.hasOwn(PARTS, name) && !Object.hasOwn(STATIC, name));
  if (unknown !== undefined)
    throw new LaunchError(`"${unknown}" is no part. bin/test --help tells the parts.`);
  rmSync(reports, { recursive: true, force: true });
  mkdirSync(reports, { recursive: true });
  const isWanted = ([name]: readonly [string, unknown]): boolean =>
    wanted.length === 0 || wanted.includes(name);
  const counts = [
    ...(await runSideBySide(
      Object.entries(STATIC)
        .filter(isWanted)
        .flatMap(([, checks]) => checks),
    )),
    ...Object.entries(PARTS)
      .filter(isWanted)
      .flatMap(([, part]) => part()),
  ];
  const sum = (pick: (count: Count) => number): number =>
    counts.reduce((total, count) => total + pick(count), 0);
  for (const title of failures) process.stdout.write(`\nfailed: ${title}`);
  process.stdout.write(`\n${sum((c) => c.passed)} passed, ${sum((c) => c.failed)} failed\n`);
  process.exitCode = sum((c) => c.failed) === 0 ? 0 : 1;
}

try {
  await main(process.argv.slice(2));
} catch (error) {
  process.stderr.write(`${error instanceof LaunchError ? error.message : String((error as Error).stack)}\n`);
  process.exitCode = 1;
}
