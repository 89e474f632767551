import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import { buildServer, buildWeb } from './build.ts';
import { ensureChromium, LaunchError, postgresPrograms } from './debian.ts';

const HELP = `bin/test [PART …] — runs every check, or only the parts named

  types     TypeScript in every workspace
  lint      oxlint with types and React’s rules, format, and that imports go one way
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

/** What passed, but only on another try: said aloud, as it is a fault of the test or of the program. */
const retried: string[] = [];

/** What failed, named again at the end: a reader of the last lines should not have to search. */
const failures: string[] = [];

/** A check runs; its words come as they are said, or together at its end where another runs beside it. */
async function run(
  title: string,
  file: string,
  args: readonly string[],
  { env = {}, beside = false }: { readonly env?: Record<string, string>; readonly beside?: boolean } = {},
): Promise<boolean> {
  const began = performance.now();
  if (!beside) process.stdout.write(`\n== ${title}\n`);
  const words: Buffer[] = [];
  const child = spawn(process.execPath, [file, ...args], {
    cwd: root,
    stdio: ['ignore', beside ? 'pipe' : 'inherit', beside ? 'pipe' : 'inherit'],
    env: { ...process.env, ...env },
  });
  child.stdout?.on('data', (piece: Buffer) => words.push(piece));
  child.stderr?.on('data', (piece: Buffer) => words.push(piece));
  const [status] = (await once(child, 'close')) as [number | null];
  if (beside) process.stdout.write(`\n== ${title}\n${Buffer.concat(words).toString()}`);
  process.stdout.write(`${title}: ${((performance.now() - began) / 1000).toFixed(0)} s\n`);
  if (status !== 0) failures.push(title);
  return status === 0;
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
async function vitest(part: string, projects: readonly string[], beside: boolean): Promise<Count> {
  const report = join(reports, `${part.replaceAll(' ', '-')}.json`);
  const ok = await run(
    part,
    program('vitest/vitest.mjs'),
    [
      'run',
      ...projects.flatMap((project) => ['--project', project]),
      '--reporter=dot',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ],
    { beside },
  );
  return counted(ok, report, ({ numPassedTests, numTotalTests, testResults }: VitestReport) => {
    for (const { name, assertionResults } of testResults)
      for (const { fullName, status } of assertionResults)
        if (status !== 'passed') failures.push(`${relative(root, name)}: ${fullName}`);
    return { passed: numPassedTests, failed: numTotalTests - numPassedTests };
  });
}

async function browser(): Promise<Count> {
  const report = join(reports, 'browser.json');
  const ok = await run(
    'browser',
    program('@playwright/test/cli.js'),
    ['test', '-c', 'e2e', '--reporter=line,json'],
    { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: report } },
  );
  return counted(
    ok,
    report,
    ({
      stats,
      suites,
    }: {
      stats: { expected: number; flaky: number; unexpected: number; skipped: number };
      suites: readonly FlakySuite[];
    }) => {
      retried.push(...suites.flatMap(retriedIn));
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected + stats.skipped };
    },
  );
}

interface Check {
  readonly part: string;
  readonly go: () => Promise<Count>;
}

interface FlakySuite {
  readonly title?: string;
  readonly file?: string;
  readonly suites?: readonly FlakySuite[];
  readonly specs?: readonly {
    readonly title: string;
    readonly tests: readonly { readonly status: string }[];
  }[];
}

/** Tests of a browser report that failed first and passed on another try. */
const retriedIn = ({ file, suites = [], specs = [] }: FlakySuite): string[] => [
  ...specs
    .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
    .map(({ title }) => `${file ?? ''}: ${title}`),
  ...suites.flatMap(retriedIn),
];

const oneProcess = (part: string, title: string, file: string, args: readonly string[]): Check => ({
  part,
  go: async () => asCount(await run(title, file, args, { beside: true })),
});

/** Whole jobs in a browser keep both cores busy and wait for what people would wait for: nothing goes beside them. */
const ALONE: readonly Check[] = [{ part: 'browser', go: browser }];

/** The others in two lanes, the longest first. */
const BESIDE: readonly Check[] = [
  { part: 'api', go: () => vitest('api', ['server'], true) },
  oneProcess('lint', 'format', program('oxfmt/bin/oxfmt'), ['--check', '.']),
  oneProcess('lint', 'oxlint', program('oxlint/bin/oxlint'), ['--type-aware', '--deny-warnings']),
  oneProcess('lint', 'imports', join(root, 'imports.check.mjs'), []),
  ...['web', 'server', 'core', 'core/tsconfig.pure.json', 'bounded', 'cli', 'e2e'].map((project) =>
    oneProcess('types', `types ${project}`, program('typescript7/bin/tsc'), ['-p', project]),
  ),
  { part: 'unit', go: () => vitest('unit', ['core', 'web', 'cli'], true) },
];
const ALL: readonly Check[] = [...BESIDE, ...ALONE];

const NEEDS_POSTGRES = new Set(['api', 'browser']);

async function main(wanted: readonly string[]): Promise<void> {
  if (wanted.includes('--help')) {
    process.stdout.write(HELP);
    return;
  }
  const parts = new Set(ALL.map(({ part }) => part));
  const unknown = wanted.find((name) => !parts.has(name));
  if (unknown !== undefined)
    throw new LaunchError(`"${unknown}" is no part. bin/test --help tells the parts.`);
  rmSync(reports, { recursive: true, force: true });
  mkdirSync(reports, { recursive: true });
  const isWanted = ({ part }: Check): boolean => wanted.length === 0 || wanted.includes(part);
  const needed = new Set(ALL.filter(isWanted).map(({ part }) => part));
  if ([...needed].some((part) => NEEDS_POSTGRES.has(part))) {
    postgresPrograms();
    // Built once, before two parts would build them beside each other.
    await buildServer(root);
  }
  if (needed.has('browser')) {
    ensureChromium();
    await buildWeb(root);
  }
  const counts: Count[] = [];
  const waiting = BESIDE.filter(isWanted);
  const lane = async (): Promise<void> => {
    for (let check = waiting.shift(); check; check = waiting.shift()) counts.push(await check.go());
  };
  await Promise.all([lane(), lane()]);
  for (const check of ALONE.filter(isWanted)) counts.push(await check.go());
  const sum = (pick: (count: Count) => number): number =>
    counts.reduce((total, count) => total + pick(count), 0);
  for (const title of retried) process.stdout.write(`\npassed only when tried again: ${title}`);
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
