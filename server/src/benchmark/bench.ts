import 'reflect-metadata';
import { spawnSync } from 'node:child_process';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { pressureDrop, sootFromPressure } from '@white-ember/core/filter';
import { deriveJob } from '@white-ember/core/job';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { valueOf } from '@white-ember/core/quantities';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '@white-ember/core/testing';
import { buildWeb } from '../launch/build.ts';
import { measureApi } from './api.ts';
import { measureArchive } from './archive.ts';
import { measureBenchVehicles } from './benchVehicles.ts';
import { measureBurn } from './burn.ts';
import { measureArrival } from './arrival.ts';
import { measureClosedLoop, measureLife } from './closedLoop.ts';
import { measureDiagnosis } from './diagnosis.ts';
import { measureFleet } from './fleet.ts';
import { measureHostile } from './hostile.ts';
import { measureLogs } from './logs.ts';
import { measureOutlooks } from './outlooks.ts';
import { measureProofs } from './proofs.ts';
import { measureRepairs } from './repairs.ts';
import { measureTreatments } from './treatments.ts';

/**
 * Measures what the project promises, each as a ratio to a stated limit or to a named library in the same run, so that
 * a figure means the same on a faster or busier machine. `--write` puts the rows of the parts that ran into
 * docs/performance.md, each part when it ends.
 */
export interface Row {
  readonly what: string;
  readonly measured: string;
  readonly against: string;
  /** Measured ÷ limit, for a ceiling; limit ÷ measured, for a floor: up to 1 is within it. */
  readonly ratio: number;
}

const root = resolve(import.meta.dirname, '../../..');

/** Calls a second, the best of five rounds of about 0.3 s. */
function perSecond(work: () => void): number {
  let best = 0;
  for (let round = 0; round < 5; round++) {
    const start = performance.now();
    let calls = 0;
    while (performance.now() - start < 300) {
      for (let i = 0; i < 20; i++) work();
      calls += 20;
    }
    best = Math.max(best, (calls * 1000) / (performance.now() - start));
  }
  return best;
}

const shown = new Intl.NumberFormat('en', { maximumSignificantDigits: 3 });

function floor(what: string, value: number, limit: number, unit: string, why: string): Row {
  return {
    what,
    measured: `${shown.format(value)} ${unit}`,
    against: `at least ${shown.format(limit)} ${unit}: ${why}`,
    ratio: limit / value,
  };
}

function measureCore(): Row[] {
  const gas = { exhaustKgPerS: 0.045, temperatureC: 210 };
  let soot = 0;
  const drops = perSecond(() => {
    soot = (soot + 0.37) % 40;
    pressureDrop(FILTER, { sootG: soot, ashG: 12 }, gas);
  });
  let dp = 10;
  const inverses = perSecond(() => {
    dp = 10 + ((dp + 7.3) % 150);
    valueOf(sootFromPressure({ geometry: FILTER, gas, dpMbar: dp }));
  });
  const entries = [
    madeEntry(1, { kind: 'complaint', text: 'Lamp' }),
    madeEntry(2, madeReading('before', { sootG: 35 })),
    madeEntry(3, { kind: 'work', work: 'chemical-clean', what: 'one fill' }),
    madeEntry(4, madeReading('after', { sootG: 4 })),
    ...Array.from({ length: 60 }, (_, i) => madeEntry(5 + i, { kind: 'note', text: `note ${i}` })),
  ];
  const jobs = perSecond(() =>
    deriveJob({ entries, limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER }),
  );
  return [
    floor('Pressure drop of a filter', drops, 150_000, 'evaluations/s', 'six curves of 25 points in 1 ms'),
    floor(
      'Soot from pressure with its interval',
      inverses,
      2_000,
      'inverses/s',
      'a window of a log in 0.5 ms',
    ),
    floor('A job of 64 entries derived', jobs, 100, 'jobs/s', 'a keystroke’s time, 10 ms'),
  ];
}

async function measureFirstScreen(): Promise<Row[]> {
  const dist = await buildWeb(root);
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const sizes = new Map<string, number>();
  const visit = (name: string): void => {
    if (sizes.has(name)) return;
    const code = readFileSync(join(dist, 'assets', name));
    sizes.set(name, gzipSync(code).length);
    for (const [, next] of code
      .toString()
      .matchAll(/from\s*"\.\/([\w.-]+\.js)"|import\s*"\.\/([\w.-]+\.js)"/g))
      if (next) visit(next);
  };
  for (const [, name] of html.matchAll(/assets\/([\w.-]+\.js)/g)) visit(name as string);
  const page = readdirSync(join(dist, 'assets')).find(
    (name) => name.startsWith('JobListPage') && name.endsWith('.js'),
  );
  if (page) visit(page);
  const kilobytes = [...sizes.values()].reduce((a, b) => a + b, 0) / 1024;
  return [
    {
      what: 'Script of the first screen, gzipped',
      measured: `${kilobytes.toFixed(0)} KB in ${sizes.size} files`,
      against: 'at most 180 KB',
      ratio: kilobytes / 180,
    },
  ];
}

/** What is measured in the browser, by a process of its own. */
function inBrowser(program: string): Row[] {
  const done = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'e2e', program)], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
    encoding: 'utf8',
  });
  if (done.status !== 0) throw new Error(`${program} failed.`);
  return JSON.parse(done.stdout.trim().split('\n').at(-1) ?? '') as Row[];
}

/** Parts, each measured by itself: `npm run bench -- logs api` runs two, without a name all run. */
const PARTS: Record<string, () => Promise<Row[]> | Row[]> = {
  core: measureCore,
  logs: measureLogs,
  vehicles: measureBenchVehicles,
  burn: measureBurn,
  diagnosis: () => measureDiagnosis(root),
  loop: measureClosedLoop,
  life: measureLife,
  arrival: measureArrival,
  treatments: measureTreatments,
  proofs: measureProofs,
  repairs: measureRepairs,
  outlooks: measureOutlooks,
  'first-screen': measureFirstScreen,
  pages: () => inBrowser('measurePages.ts'),
  effort: () => inBrowser('effort.ts'),
  eye: () => inBrowser('measureEye.ts'),
  api: () => measureApi(root),
  fleet: () => measureFleet(root),
  archive: () => measureArchive(root),
  hostile: () => measureHostile(root),
  seeds: measureSeeds,
};

/** The tests that take a tenth of their seeds in every run, on all of them. */
function measureSeeds(): Row[] {
  const files = [
    'core/src/bench/signatures',
    'core/src/burn',
    'core/src/readings/findings',
    'core/src/readings/hostile',
    'core/src/testing/treatedVehicle',
    'cli/src/workshopJobs',
  ];
  const done = spawnSync(
    process.execPath,
    [join(root, 'node_modules/vitest/vitest.mjs'), 'run', '--project', 'core', '--project', 'cli', ...files],
    {
      cwd: root,
      stdio: ['ignore', 'pipe', 'inherit'],
      encoding: 'utf8',
      env: { ...process.env, ALL_SEEDS: '1', HOSTILE_FILES: '3000' },
    },
  );
  // oxlint-disable-next-line no-control-regex -- the colours of the runner
  const [, passed = '0'] = /Tests.*?(\d+) passed/.exec(done.stdout.replace(/\u001b\[\d+m/g, '')) ?? [];
  return [
    {
      what: 'Tests on made vehicles, told jobs, plans, logs and damaged files, with all their seeds',
      measured: done.status === 0 ? `${passed} passed` : 'some failed',
      against: 'all',
      ratio: done.status === 0 ? 0 : 2,
    },
  ];
}

const HEAD = ['| what | measured | against | ratio |', '| --- | --- | --- | --- |'];
const line = (row: Row): string =>
  `| ${row.what} | ${row.measured} | ${row.against} | ${row.ratio.toFixed(2)} |`;

/** Puts the rows of a part in the place of its old ones, with the day and the machine; the others stay. */
function writePart(part: string, rows: readonly Row[]): void {
  const path = join(root, 'docs/performance.md');
  const text = readFileSync(path, 'utf8');
  const machine = `Measured on ${new Date().toISOString().slice(0, 10)}, ${cpus().length} cores, Node.js ${process.versions.node}.`;
  const marked = new RegExp(`<!-- ${part} -->[\\s\\S]*<!-- /${part} -->`);
  if (!marked.test(text)) throw new Error(`${path} has no place marked for the part ${part}.`);
  const table = [machine, '', ...HEAD, ...rows.map(line)].join('\n');
  writeFileSync(
    path,
    text.replace(marked, () => `<!-- ${part} -->\n\n${table}\n\n<!-- /${part} -->`),
  );
}

const wanted = process.argv.slice(2).filter((arg) => !arg.startsWith('--'));
const unknown = wanted.find((part) => !Object.hasOwn(PARTS, part));
if (unknown !== undefined) {
  process.stderr.write(`"${unknown}" is no part; parts are ${Object.keys(PARTS).join(', ')}.\n`);
  process.exit(2);
}
process.stdout.write(`${HEAD.join('\n')}\n`);
let within = true;
for (const [part, measure] of Object.entries(PARTS)) {
  if (wanted.length > 0 && !wanted.includes(part)) continue;
  const rows = await measure();
  for (const row of rows) process.stdout.write(`${line(row)}\n`);
  within &&= rows.every((row) => row.ratio <= 1);
  if (process.argv.includes('--write')) writePart(part, rows);
}
process.exitCode = within ? 0 : 1;
