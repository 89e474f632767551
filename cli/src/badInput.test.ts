import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { PRESSURE_DROP_CASES } from '@white-ember/core/testing';
import { filterFlags } from './testing/filterFlags.ts';
import { useCommandLine } from './testing/commandLine.ts';

const { call, file, folder, program, sample } = useCommandLine();

const [firstCase] = PRESSURE_DROP_CASES as [(typeof PRESSURE_DROP_CASES)[number]];
const gas = filterFlags(firstCase);

describe('bad input', () => {
  const words = (...lines: string[]): string => {
    const path = join(folder, 'input.txt');
    writeFileSync(path, lines.join('\n'));
    return path;
  };
  it.each([
    ['a file that is not there', () => ['analyse', 'nowhere.csv'], /nowhere\.csv: this log does not exist/],
    [
      'another output',
      () => ['convert', sample('sample1-healthy.csv'), '--to', 'xlsx'],
      /--to must be one of csv, json, parquet/,
    ],
    [
      'a place that is not there',
      () => ['convert', sample('sample1-healthy.csv'), '--to', 'csv', '--out', join(folder, 'no/where.csv')],
      /cannot be written/,
    ],
    ['a folder', () => ['analyse', folder], /is a folder/],
    ['prose', () => ['analyse', words('The filter', 'is blocked')], /input\.txt: .*not a table/],
    ['an empty file', () => ['verify', words(''), sample('sample1-healthy.csv')], /is empty/],
    [
      'a size that is none',
      () => ['analyse', sample('sample1-healthy.csv'), '--filter', '144*152'],
      /--filter must look like/,
    ],
    [
      'a filter nobody builds',
      () => ['analyse', sample('sample1-healthy.csv'), '--filter', '9000x152/200/0.3'],
      /Diameter: 50 to 500 mm/,
    ],
    [
      'an engine of 400 L',
      () => ['analyse', sample('sample1-healthy.csv'), '--displacement-l', '400'],
      /between 0.3 and 30 L/,
    ],
    [
      'a limit that does not exist',
      () => ['analyse', sample('sample1-healthy.csv'), '--limits', words('{"dpIdle": 3}')],
      /"dpIdle" is no limit/,
    ],
    [
      'limits that are no JSON',
      () => ['analyse', sample('sample1-healthy.csv'), '--limits', words('{')],
      /is not JSON/,
    ],
    [
      'a number that is none',
      () => ['pressure-drop', ...gas, '--soot-g', 'much'],
      /--soot-g must be a number \(it is "much"\)/,
    ],
    [
      'a negative flow',
      () => ['pressure-drop', ...gas.map((a) => (a === String(firstCase.exhaustKgPerS) ? '-1' : a))],
      /exhaustKgPerS must lie between 0 and 2 kg\/s/,
    ],
    ['a missing flag', () => ['pressure-drop', '--cpsi', '200'], /required option/],
    ['an unknown command', () => ['divine'], /unknown command 'divine'/],
    [
      'two logs without a steady window',
      () => [
        'verify',
        words('Time (s),RPM (rpm)', ...Array.from({ length: 40 }, (_, i) => `${i},820`)),
        sample('sample1-healthy.csv'),
      ],
      /no steady idle or hold with a filter pressure/,
    ],
  ])('%s: status 2, one line, nothing on stdout', async (_name, args, message) => {
    const { status, stdout, stderr } = await call(...args(), '--json');
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(message);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
  it('explains each command', async () => {
    for (const command of [
      'analyse',
      'convert',
      'verify',
      'pressure-drop',
      'soot-from-pressure',
      'codes',
      'vocabulary',
      'diagnose',
    ]) {
      const { status, stdout } = await call(command, '--help');
      expect(status).toBe(0);
      expect(stdout).toContain('Usage: white-ember');
    }
  });
});

describe('the program itself', () => {
  it('gives one document on stdout and status 0, within the limits of the file', () => {
    const { status, stdout, stderr } = program('analyse', sample('sample1-healthy.csv'), '--json');
    expect([status, stderr]).toEqual([0, '']);
    expect(JSON.parse(stdout)).toHaveProperty('windows');
  });
  it('ends what a file would fill the machine with, in one line with status 2', () => {
    const deep = file('deep.json', `${'['.repeat(3_000_000)}`);
    const { status, stdout, stderr } = program('analyse', deep);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(/deep\.json: .+\n$/);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
  it.each([
    ['an unknown command', ['divine'], /unknown command/],
    ['a case that is not there', ['judge', 'nowhere.json'], /nowhere\.json/],
  ])('%s: status 2, one line, nothing on stdout', (_what, args, said) => {
    const { status, stdout, stderr } = program(...args);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(said);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});
