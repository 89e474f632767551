import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import {
  evidenceOfCase,
  infer,
  weigh,
  KNOWN_CAUSES,
  KNOWN_CHECKS,
  KNOWN_FINDINGS,
  networkFor,
  rankChecks,
} from '@white-ember/core/diagnosis';
import { dice } from '@white-ember/core/testing';
import type { Row } from './bench.ts';

const CASES = 40;

/** Time of the quickest of three runs, ms: what else runs on the machine is not measured. */
function bestOf(work: () => void): number {
  const times = [0, 1, 2].map(() => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return Math.min(...times);
}

const EVERY = 20;

/** The command "judge" as a person calls it, on some of the told jobs: start of the program, reading, judging, writing. */
function wholeCalls(root: string): Row {
  const jobs = JSON.parse(readFileSync(join(root, 'cli/src/testing/workshopJobs.json'), 'utf8')) as {
    job: object;
  }[];
  const folder = mkdtempSync(join(tmpdir(), 'white-ember-judge-'));
  const path = join(folder, 'job.json');
  const call = (): void => {
    const { status, stderr } = spawnSync(join(root, 'bin/white-ember'), ['judge', path, '--json'], {
      encoding: 'utf8',
    });
    if (status !== 0) throw new Error(stderr);
  };
  const times = jobs
    .filter((_, i) => i % EVERY === 0)
    .map(({ job }) => {
      writeFileSync(path, JSON.stringify(job));
      return bestOf(call);
    })
    .sort((a, b) => a - b);
  const empty = bestOf(() => void spawnSync(process.execPath, ['-e', '0']));
  rmSync(folder, { recursive: true, force: true });
  const middle = times[Math.floor(times.length / 2)] ?? 0;
  return {
    what: 'A whole call of judge on a told job, from the start of the program to its answer',
    measured: `${middle.toFixed(0)} ms in the middle, ${(times.at(-1) ?? 0).toFixed(0)} ms at most, of which ${empty.toFixed(0)} ms start Node`,
    against: 'at most 600 ms in the middle',
    ratio: middle / 600,
  };
}

/** Posterior and ranking over random cases: a scan, a log, some observations. The slowest tenth of the cases counts. */
export function measureDiagnosis(root: string): Row[] {
  const d = dice(2026);
  const posterior: number[] = [];
  const ranking: number[] = [];
  for (let i = 0; i < CASES; i++) {
    const codes = d.chance(0.8)
      ? ['P2463', 'P0101', 'P2453'].slice(0, Math.floor(d.between(0, 4))).map((code) => ({ code }))
      : [];
    const findings = Object.fromEntries(
      KNOWN_FINDINGS.filter(({ from }) => from === 'log' || from === 'observation')
        .filter(() => d.chance(0.6))
        .map(({ id, leak }) => [id, d.chance(leak)]),
    );
    const { evidence } = evidenceOfCase({ codes, findings }, DEFAULT_LIMITS);
    const network = networkFor({ distanceKm: 1000 * d.between(10, 300) });
    posterior.push(bestOf(() => infer(weigh(network, evidence))));
    const weighed = weigh(network, evidence);
    ranking.push(bestOf(() => rankChecks(weighed, KNOWN_CHECKS)));
  }
  const slow = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(0.9 * CASES)] ?? 0;
  const what = `${KNOWN_CAUSES.length} causes, ${KNOWN_FINDINGS.length} findings, every set of up to three`;
  const row = (name: string, ms: number, limit: number): Row => ({
    what: `${name}: ${what}`,
    measured: `${ms.toFixed(0)} ms in nine of ten cases`,
    against: `at most ${limit} ms`,
    ratio: ms / limit,
  });
  return [
    row('Posterior with the reasons of each cause', slow(posterior), 40),
    row(`Ranking of ${KNOWN_CHECKS.length} checks`, slow(ranking), 300),
    wholeCalls(root),
  ];
}
