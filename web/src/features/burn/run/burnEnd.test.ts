import { PLAIN_WORDS } from '@white-ember/core/words';
import { describe, expect, it } from 'vitest';
import { entryBodySchema } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import type { ChannelRole } from '@white-ember/core/readings';
import type { BurnMoment } from '@white-ember/core/treatment';
import { burnEndBody } from './burnEnd.ts';
import { livePreconditions } from './preconditions.ts';

const BURN = '0197a000-0000-7000-9000-000000000001';
const about = { burn: BURN, how: 'by-itself', source: 'live', why: undefined, endedAtS: 1230 } as const;
const moments = (count: number): BurnMoment[] =>
  Array.from({ length: count }, (_, i) => ({
    atS: 2 * i,
    egt3C: 200 + Math.min(i, 400),
    egt4C: 150 + Math.min(i, 380),
    sootG: Math.max(2, 12 - i / 100),
  }));

describe('what is stored of a burn that has ended', () => {
  it('has its length, its hottest, the counter before and after, and a thinned course that the ledger takes', () => {
    const body = burnEndBody(about, { moments: moments(900), estimate: undefined, burn: undefined });
    expect(body).toMatchObject({
      minutes: 20.5,
      peakInletC: 600,
      peakOutletC: 530,
      counterBeforeG: 12,
      counterAfterG: 3,
    });
    expect(body.course?.length).toBeGreaterThan(100);
    expect(body.course?.length).toBeLessThanOrEqual(120);
    expect(entryBodySchema.safeParse(body).success).toBe(true);
  });
  it('says nothing of what was not read, and keeps no empty reason', () => {
    const body = burnEndBody(
      { ...about, why: '  ', how: 'stopped' },
      { moments: [{ atS: 0, rpm: 2300 }], estimate: undefined, burn: undefined },
    );
    expect(body).not.toHaveProperty('why');
    expect(body).not.toHaveProperty('peakInletC');
    expect(body).not.toHaveProperty('counterBeforeG');
    expect(entryBodySchema.safeParse(body).success).toBe(true);
  });
  it('is never longer than the ledger takes, nor shorter than nothing', () => {
    const of = (endedAtS: number): number =>
      burnEndBody({ ...about, endedAtS }, { moments: [], estimate: undefined, burn: undefined }).minutes;
    expect(of(1e9)).toBe(600);
    expect(of(-5)).toBe(0);
  });
});

describe('what the link says of the vehicle before a burn', () => {
  const read = (values: Partial<Record<ChannelRole, number>>) => (role: ChannelRole) => values[role];
  const states = (
    kind: 'standing' | 'drive',
    values: Partial<Record<ChannelRole, number>>,
    codes?: Parameters<typeof livePreconditions>[3],
  ): string[] =>
    livePreconditions(kind, DEFAULT_LIMITS, read(values), codes, PLAIN_WORDS).map(({ state }) => state);
  const WARM = { engineSpeed: 810, coolantTemp: 88, vehicleSpeed: 0, egt3: 180 };

  it('is met standing and warm, with no code', () => {
    expect(states('standing', WARM, [])).toEqual(['met', 'met', 'met', 'met', 'met']);
  });
  it('is not taken for met where nothing is read', () => {
    expect(states('standing', {})).toEqual(['not-read', 'not-read', 'not-read', 'not-read', 'not-read']);
  });
  it('is not met cold, too hot, off, or rolling', () => {
    expect(states('standing', { ...WARM, coolantTemp: 40 })[1]).toBe('not-met');
    expect(states('standing', { ...WARM, coolantTemp: 115 })[1]).toBe('not-met');
    expect(states('standing', { ...WARM, engineSpeed: 0 })[0]).toBe('not-met');
    expect(states('standing', { ...WARM, vehicleSpeed: 12 })[2]).toBe('not-met');
  });
  it('wants the speed of the profile on the road, and says both', () => {
    expect(states('drive', { ...WARM, vehicleSpeed: 70 })[2]).toBe('met');
    const slow = livePreconditions(
      'drive',
      DEFAULT_LIMITS,
      read({ ...WARM, vehicleSpeed: 30 }),
      [],
      PLAIN_WORDS,
    )[2];
    expect(slow).toMatchObject({ state: 'not-met', text: '30 km/h, 50 km/h to 80 km/h needed' });
  });
  it('minds an active code and leaves a stored one', () => {
    const code = (present: boolean) =>
      ({ code: 'P2463', module: 'Engine', status: 'confirmed', present }) as const;
    expect(states('standing', WARM, [code(true)])[4]).toBe('mind');
    expect(states('standing', WARM, [code(false)])[4]).toBe('met');
  });
});
