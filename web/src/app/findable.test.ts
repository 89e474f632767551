import { describe, expect, it } from 'vitest';
import { PLAIN_WORDS } from '@white-ember/core/words';
import { found } from './findable.ts';

const names = (typed: string, jobId: string | undefined = 'job'): string[] =>
  found(typed, PLAIN_WORDS, jobId).map(({ what, name }) => `${what}: ${name}`);

describe('what people look for', () => {
  it.each([
    ['sensor', 'part: ΔP sensor'],
    ['differential pressure', 'part: ΔP sensor'],
    ['pump', 'check: Pipes: hand pump hold test'],
    ['dpf', 'part: Filter (DPF)'],
    ['exhaust temperature', 'part: EGT 1, before turbo'],
    ['glow relay', 'cause: Glow plugs or their relay have failed'],
  ])('is found by “%s”', (typed, name) => {
    expect(names(typed)).toContain(name);
  });

  it('says what a code means that is typed, in whatever notation', () => {
    expect(names('p2463')[0]).toMatch(/^code: P2463: .{8}/);
    expect(names('spn 3251 fmi 0')[0]).toMatch(/^code: SPN 3251 FMI 0: /);
    expect(names('2500')).not.toContainEqual(expect.stringMatching(/^code/));
  });

  it('leads to the check, the part and the cause of the job that is open, and without one to limits alone', () => {
    const to = (typed: string): string[] => found(typed, PLAIN_WORDS, 'j').map((one) => one.to);
    expect(to('hand pump hold')).toContain('/jobs/j?stage=checks&check=pipe-pump');
    expect(to('high pipe')).toContain('/jobs/j?stage=checks&part=high-pipe');
    expect(to('ash')).toContain('/jobs/j?stage=decide&cause=ash-full');
    const alone = found('pressure', PLAIN_WORDS, undefined);
    expect(alone.length).toBeGreaterThan(0);
    expect(alone.every(({ what }) => what === 'limit')).toBe(true);
  });

  it('shows nothing for a letter, and no more than a thumb goes through', () => {
    expect(names('p')).toEqual([]);
    expect(names('re').length).toBeLessThanOrEqual(12);
  });
});
