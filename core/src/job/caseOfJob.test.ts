import { describe, expect, it } from 'vitest';
import { evidenceOfCase, infer, networkFor, weigh } from '../diagnosis/index.ts';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { caseOfJob, deriveJob, type CaseOfJob } from './index.ts';

const caseOf = (...bodies: EntryBody[]): CaseOfJob =>
  caseOfJob(
    deriveJob({ entries: bodies.map((body, i) => madeEntry(i + 1, body)), limits: DEFAULT_LIMITS }),
    DEFAULT_LIMITS,
  );

const logged = (...findings: string[]): EntryBody => ({
  kind: 'reading',
  purpose: 'before',
  origin: {
    type: 'log',
    logId: '0198c0de-0000-7000-8000-000000000001',
    fileName: 'a.csv',
    mapping: { dpfDeltaP: 'dp', egt3: 't3' },
    findings,
  },
  samples: [
    { kind: 'idle', rpm: 820, dpMbar: 3 },
    { kind: 'hold', rpm: 2990, dpMbar: findings.includes('dp-no-response') ? 3 : 180 },
  ],
});
const scan = (when: 'before' | 'after-clear' | 'after-drive', ...codes: string[]): EntryBody => ({
  kind: 'code-scan',
  when,
  codes: codes.map((code) => ({ code, status: 'confirmed, present' })),
});
const said = (state: 'confirmed' | 'put-right'): EntryBody => ({
  kind: 'cause',
  cause: 'dp-sensor-failed',
  state,
  why: 'Dead at the pump',
});
const released: EntryBody = {
  kind: 'check',
  check: 'pipe-pump',
  values: { highStartMbar: 60, highLeftMbar: 0, lowStartMbar: 30, lowLeftMbar: 0 },
};
const ladder: EntryBody = {
  kind: 'check',
  check: 'dp-swap',
  values: { pairs: [[2990, 2, 95]] },
};

describe('what a job asks the diagnosis', () => {
  it('takes a job’s first scan, before reading and complaint as they came', () => {
    const complaint: EntryBody = { kind: 'complaint', text: 'Lamp', powerLimited: true };
    const { facts } = caseOf(
      complaint,
      scan('before', 'P2463'),
      logged('dp-slow-response'),
      scan('after-clear'),
    );
    const { evidence, beyond } = evidenceOfCase(facts, DEFAULT_LIMITS);
    expect(beyond.measured.map(({ id }) => id)).toEqual(['dp-measured']);
    expect(evidence).toMatchObject({
      'power-limited': true,
      'code-soot-high': true,
      'code-glow': false,
      'dp-slow-response': true,
      'egt3-open': false,
    });
    expect(evidence['egt2-open']).toBeUndefined();
  });

  it('takes what was put right out of the question, and what was seen before it as it was seen through it', () => {
    const { use, putRight } = caseOf(scan('before', 'P2453'), logged('dp-no-response'), said('put-right'));
    expect(use).toMatchObject({ settled: {}, putRight: [{ cause: 'dp-sensor-failed', seenSince: [] }] });
    expect(putRight).toEqual([{ cause: 'dp-sensor-failed', readAgain: false }]);
    const known = { 'dp-no-response': true, 'dp-slow-response': false };
    const chance = (vehicle: typeof use, id: string): number | undefined =>
      infer(weigh(networkFor(vehicle), known)).causes.find((one) => one.id === id)?.probability;
    expect(chance(use, 'dp-sensor-failed')).toBeUndefined();
    // A dead sensor shows no slow pipe: that none was seen says less than it would by a sound one.
    const seenAgain = { ...use, putRight: [{ cause: 'dp-sensor-failed', seenSince: ['dp-slow-response'] }] };
    expect(chance(use, 'high-pipe-blocked')).toBeGreaterThan(chance(seenAgain, 'high-pipe-blocked') ?? 1);
  });

  it('takes a reading after the repair as seen by what is there now', () => {
    const { facts, use, putRight } = caseOf(
      logged('dp-no-response'),
      said('confirmed'),
      said('put-right'),
      logged('dp-slow-response'),
    );
    expect(putRight).toEqual([{ cause: 'dp-sensor-failed', readAgain: true }]);
    expect(facts.findings).toMatchObject({ 'dp-slow-response': true, 'dp-no-response': false });
    expect(use.putRight?.[0]?.seenSince).toEqual(expect.arrayContaining(['dp-slow-response']));
  });

  it('opens a check again that the cause may have fooled, and no other', () => {
    const made = caseOf(ladder, released, said('put-right')).facts.checked;
    expect(made).toEqual({ 'high-holds': false, 'low-holds': false });
    expect(caseOf(said('put-right'), ladder).facts.checked).toHaveProperty('swap-differs');
  });

  it('counts a code that comes back after the repair; that one does not counts after a drive only', () => {
    const evidence = (...bodies: EntryBody[]): Readonly<Record<string, boolean>> =>
      evidenceOfCase(caseOf(scan('before', 'P2453'), ...bodies).facts, DEFAULT_LIMITS).evidence;
    expect(evidence(scan('after-clear'))).toMatchObject({ 'code-dp-plausible': true });
    expect(evidence(said('put-right'), scan('after-clear', 'P0101'))).toMatchObject({
      'code-dp-plausible': true,
      'code-air-mass': true,
    });
    expect(evidence(said('put-right'), scan('after-drive'))).toMatchObject({ 'code-dp-plausible': false });
  });
});
