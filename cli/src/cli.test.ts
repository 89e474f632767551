import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { EXPECTED_LOGS, PRESSURE_DROP_CASES } from '@white-ember/core/testing';
import { useCommandLine } from './testing/commandLine.ts';
import { filterFlags } from './testing/filterFlags.ts';

const { call, folder, json, sample } = useCommandLine();

const [firstCase] = PRESSURE_DROP_CASES as [(typeof PRESSURE_DROP_CASES)[number]];
const gas = filterFlags(firstCase);

describe('pressure-drop and soot-from-pressure', () => {
  it.each(PRESSURE_DROP_CASES.slice(0, 3).map((c, i) => [i, c] as const))(
    'agree with case %i and with each other',
    async (_i, c) => {
      const drop = await json<Record<string, number>>(
        'pressure-drop',
        ...filterFlags(c),
        '--soot-g',
        String(c.sootG),
      );
      expect((drop['totalMbar'] ?? 0) / c.expectMbar).toBeCloseTo(1, 4);
      expect(Object.keys(drop)).toEqual([
        ...[
          'totalMbar',
          'wallMbar',
          'cakeMbar',
          'channelMbar',
          'inertialMbar',
          'layerUm',
          'flowM3PerH',
          'restrictionRatio',
        ],
      ]);
      const soot = await json<Record<string, number>>(
        'soot-from-pressure',
        ...filterFlags(c),
        '--dp-mbar',
        String(drop['totalMbar']),
      );
      expect((soot['sootG'] ?? 0) / c.sootG).toBeCloseTo(1, 3);
      expect(Object.keys(soot)).toEqual(['sootG', 'lowG', 'highG', 'capped']);
    },
  );
  it('leave out a ratio that does not exist, rather than print a wrong one', async () => {
    const still = await json<Record<string, number>>(
      'pressure-drop',
      ...gas.map((a) => (a === String(firstCase.exhaustKgPerS) ? '0' : a)),
    );
    expect(still).not.toHaveProperty('restrictionRatio');
    expect(still['totalMbar']).toBe(0);
  });
  it('print a short table for people', async () => {
    const { stdout } = await call('pressure-drop', ...gas, '--soot-g', '5');
    expect(stdout).toMatch(/pressure drop +3\.\d+ +mbar/);
    expect((await call('soot-from-pressure', ...gas, '--dp-mbar', '900')).stdout).toMatch(
      /capped: more than soot can explain/,
    );
  });
});

interface Analysis {
  readonly channels: { role: string; source: string }[];
  readonly windows: { kind: string; restrictionRatio?: number }[];
  readonly findings: { id: string }[];
}

describe('analyse', () => {
  it('gives the contract’s fields for a wide log', async () => {
    const analysis = await json<Analysis>(
      'analyse',
      sample('sample2-soot-blocked.csv'),
      '--displacement-l',
      '2.2',
      '--filter',
      '144x152/200/0.305',
    );
    expect(Object.keys(analysis)).toEqual(
      expect.arrayContaining([
        'format',
        'durationS',
        'channels',
        'unmapped',
        'warnings',
        'windows',
        'findings',
        'fit',
      ]) as string[],
    );
    expect(new Set(analysis.findings.map((f) => f.id))).toEqual(
      new Set(['dp-high-idle', 'dp-high-hold', 'soot-high']),
    );
    expect(analysis.windows.find((w) => w.kind === 'hold')?.restrictionRatio).toBeGreaterThan(5);
    const expected =
      EXPECTED_LOGS.find((log) => log.file === 'sample2-soot-blocked.csv')?.expectedChannels ?? {};
    expect(Object.fromEntries(analysis.channels.map((c) => [c.role, c.source]))).toMatchObject(expected);
  });
  it('judges by a limits file', async () => {
    const limits = join(folder, 'limits.json');
    writeFileSync(
      limits,
      JSON.stringify({ dpIdleBlockedMbar: 100, dp3000BlockedMbar: { value: 900, source: 'test' } }),
    );
    const analysis = await json<Analysis>('analyse', sample('sample2-soot-blocked.csv'), '--limits', limits);
    expect(analysis.findings.map((f) => f.id)).toEqual(['soot-high']);
  });
  it('writes windows and findings as text', async () => {
    const { stdout } = await call('analyse', sample('sample2-soot-blocked.csv'));
    expect(stdout).toMatch(/^hold +\d+–\d+ s +\d+ +\d+\.\d/m);
    expect(stdout).toMatch(/^fault: ΔP at idle is 30 mbar; blocked above 20 mbar\.$/m);
  });
});

describe('every sample', () => {
  it.each(EXPECTED_LOGS.map((log) => [log.file, log] as const))(
    '%s: channels, windows and findings',
    async (file, log) => {
      const { status, stdout, stderr } = await call(
        'analyse',
        sample(file),
        '--displacement-l',
        String(log.engine.displacementL),
        '--json',
      );
      expect([status, stderr]).toEqual([0, '']);
      const analysis = JSON.parse(stdout) as Analysis;
      expect(Object.fromEntries(analysis.channels.map((c) => [c.role, c.source]))).toEqual(
        log.expectedChannels,
      );
      const ids = new Set(analysis.findings.map((finding) => finding.id));
      expect([...ids].filter((id) => log.mustNotReport.includes(id))).toEqual([]);
      for (const wanted of log.findings as readonly (string | { readonly id: string })[]) {
        expect(ids).toContain(typeof wanted === 'string' ? wanted : wanted.id);
      }
      expect(stdout).not.toMatch(/NaN|Infinity/);
    },
  );
});

describe('convert', () => {
  const german = sample('sample2-soot-blocked.csv');
  it('rewrites a German log as tidy CSV, with roles and base units in the headings', async () => {
    const { status, stdout, stderr } = await call('convert', german, '--to', 'csv');
    expect([status, stderr]).toEqual([0, '']);
    const [heading, first] = stdout.split('\n');
    expect(heading).toBe(
      'time (s),engineSpeed (rpm),dpfDeltaP (mbar),exhaustBackPressure (mbar),manifoldPressure (mbar),barometricPressure (mbar),massAirFlow (g/s),egt1 (degC),egt2 (degC),egt3 (degC),egt4 (degC),coolantTemp (degC),intakeAirTemp (degC),sootMass (g),regenActive',
    );
    expect(first).toBe('0,0,-0.2,1006,1002,1006,0.06,80.1,87,96,100.8,82,21,59,0');
  });
  it.each(['json', 'parquet'])(
    'writes %s into a new file, and reads it again with the same findings',
    async (to) => {
      const out = join(folder, `again.${to}`);
      expect(await call('convert', german, '--to', to, '--out', out)).toEqual({
        status: 0,
        stdout: '',
        stderr: '',
      });
      const ids = async (file: string): Promise<string[]> =>
        (await json<Analysis>('analyse', file, '--displacement-l', '2.2')).findings.map(({ id }) => id);
      expect(await ids(out)).toEqual(await ids(german));
      const again = await call('convert', german, '--to', to, '--out', out);
      expect(again.status).toBe(2);
      expect(again.stderr).toMatch(/exists already and is not overwritten\n$/);
    },
  );
});

interface Verification {
  readonly verdict: string;
  readonly removedPercent: { value: number; low: number; high: number };
  readonly at: { rpm: number; beforeMbar: number; afterMbar: number }[];
  readonly missing: string[];
  readonly reasons: string[];
}

describe('verify', () => {
  const blocked = sample('sample2-soot-blocked.csv');
  const healthy = sample('sample1-healthy.csv');
  it('proves a cure at equal flow, and names what a job still needs', async () => {
    const { verdict, removedPercent, at, missing, reasons } = await json<Verification>(
      'verify',
      blocked,
      healthy,
    );
    expect(verdict).toBe('proved');
    expect(removedPercent.low).toBeGreaterThan(80);
    expect(removedPercent.low).toBeLessThanOrEqual(removedPercent.value);
    expect(at.map((row) => row.rpm)).toEqual(expect.arrayContaining([2500, 3000]) as number[]);
    expect(missing).toEqual([
      'A drive after the work',
      'No codes after the drive',
      'ΔP sensor proved good, hoses fitted and intact',
    ]);
    expect(reasons[0]).toMatch(/pressure drop went from/);
  });
  it('tells worse and nothing to remove', async () => {
    expect((await json<Verification>('verify', healthy, blocked)).verdict).toBe('worse');
    const same = await json<Verification>('verify', healthy, healthy, '--filter', '154x155/200/0.305');
    expect(same.verdict).toBe('not-proved');
    expect(same.reasons.join()).toMatch(/nothing to remove/);
  });
});

describe('the shipped samples', () => {
  const WIDE = [
    'sample1-healthy.csv',
    'sample2-soot-blocked.csv',
    'sample3-intake-leak.tsv',
    'sample5-slow-back-pressure-pipe.csv',
    'sample6-cleaning-warm-up.csv',
  ];
  it.each(WIDE)('%s is read with every channel that it has, and no false alarm', async (file) => {
    const log = EXPECTED_LOGS.find((expected) => expected.file === file);
    const analysis = await json<Analysis>(
      'analyse',
      sample(file),
      '--displacement-l',
      String(log?.engine.displacementL),
    );
    expect(Object.fromEntries(analysis.channels.map((c) => [c.role, c.source]))).toMatchObject(
      log?.expectedChannels ?? {},
    );
    expect(analysis.findings.map((f) => f.id).filter((id) => log?.mustNotReport.includes(id))).toEqual([]);
  });
  it('a log whose sensor falls during the hold proves nothing yet', async () => {
    const { verdict, missing } = await json<Verification>(
      'verify',
      sample('sample2-soot-blocked.csv'),
      sample('sample6-cleaning-warm-up.csv'),
    );
    expect(verdict).toBe('not-proved');
    expect(missing[0]).toMatch(/still falling during this hold/);
  });
  it('a comparison follows the limits that it is given', async () => {
    const limits = join(folder, 'strict.json');
    writeFileSync(limits, JSON.stringify({ dpIdleGoodMbar: 1, dp2500GoodMbar: 5, dp3000GoodMbar: 6 }));
    const args = [
      'verify',
      sample('sample2-soot-blocked.csv'),
      sample('sample1-healthy.csv'),
      '--limits',
      limits,
    ];
    const { verdict, reasons } = await json<Verification>(...args);
    expect(verdict).toBe('better');
    expect(reasons.join()).toMatch(/ΔP after, 3000 rpm is 2\d mbar, wanted at most 6\.0 mbar/);
    expect((await call(...args)).stdout).toMatch(/^Improved, not within limits$/m);
  });
});
