import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { setPriority } from 'node:os';
import { join, relative, resolve } from 'node:path';
import { buildServer, buildWeb } from './build.ts';
import { ensureChromium, LaunchError, postgresPrograms } from './debian.ts';

const HELP = `bin/test [PART …] — runs every check, or only the parts named

  types     TypeScript and oxlint’s rules in every workspace, in one pass
  lint      format, that imports go one way, and the wording
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

/** How far what runs beside the browser stands back from it. */
const NICENESS = 8;

/** A check runs; its words come together at its end, as another runs beside it. */
async function run(
  title: string,
  file: string,
  args: readonly string[],
  {
    env = {},
    niceness = NICENESS,
  }: { readonly env?: Record<string, string>; readonly niceness?: number } = {},
): Promise<boolean> {
  const began = performance.now();
  const words: Buffer[] = [];
  const child = spawn(process.execPath, [file, ...args], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  if (child.pid !== undefined) setPriority(child.pid, niceness);
  // What goes ahead is watched as it goes; the rest is told when it is over.
  if (niceness === 0) child.stdout.pipe(process.stdout, { end: false });
  else child.stdout.on('data', (piece: Buffer) => words.push(piece));
  child.stderr.on('data', (piece: Buffer) => words.push(piece));
  const [status] = (await once(child, 'close')) as [number | null];
  process.stdout.write(`\n== ${title}\n${Buffer.concat(words).toString()}`);
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
async function vitest(part: string, projects: readonly string[]): Promise<Count> {
  const report = join(reports, `${part.replaceAll(' ', '-')}.json`);
  const ok = await run(part, program('vitest/vitest.mjs'), [
    'run',
    ...projects.flatMap((project) => ['--project', project]),
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
}

async function browser(): Promise<Count> {
  const report = join(reports, 'browser.json');
  const ok = await run(
    'browser',
    program('@playwright/test/cli.js'),
    ['test', '-c', 'e2e', '--reporter=line,json'],
    { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: report }, niceness: 0 },
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
  go: async () => asCount(await run(title, file, args)),
});

/** Whole jobs wait for what people would wait for, a third of their time: what has no such times fills that up, standing back. */
const AHEAD: readonly Check[] = [{ part: 'browser', go: browser }];

/** The api comes last: it measures how long people wait, which the browser's part beside it would lengthen. */
const BEHIND: readonly Check[] = [
  { part: 'unit', go: () => vitest('unit', ['core', 'web', 'cli']) },
  oneProcess('lint', 'format', program('oxfmt/bin/oxfmt'), ['--check', '.']),
  oneProcess('lint', 'imports', join(root, 'imports.check.mjs'), []),
  oneProcess('lint', 'wording', join(root, 'wording.check.mjs'), []),
  oneProcess('types', 'types and rules', program('oxlint/bin/oxlint'), [
    '--type-aware',
    '--type-check',
    '--deny-warnings',
  ]),
  // Without the types of Node: what core uses is there in a browser, too.
  oneProcess('types', 'types of core alone', program('typescript7/bin/tsc'), [
    '-p',
    'core/tsconfig.pure.json',
  ]),
  { part: 'api', go: () => vitest('api', ['server']) },
];
const ALL: readonly Check[] = [...AHEAD, ...BEHIND];

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
  const inTurn = async (checks: readonly Check[]): Promise<void> => {
    for (const check of checks.filter(isWanted)) counts.push(await check.go());
  };
  await Promise.all([inTurn(AHEAD), inTurn(BEHIND)]);
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
