import { spoken, type Spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Entry, EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import { deriveJob as deriveJobInCodes, STAGES, summariseJob, type DerivedJob } from './index.ts';

const deriveJob = spoken(deriveJobInCodes);

const facts = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER };
const derive = (entries: readonly Entry[]): Spoken<DerivedJob> => deriveJob({ ...facts, entries });

const BODIES: readonly EntryBody[] = [
  { kind: 'complaint', text: 'Lamp', powerLimited: true },
  { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
  madeReading('before', { sootG: 32 }),
  madeReading('after', { sootG: 3 }),
  madeReading('after', { sootG: 30 }),
  { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
  { kind: 'work', work: 'cause-repaired', what: 'Glow plug' },
  { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' },
  { kind: 'code-scan', when: 'after-drive', codes: [] },
  { kind: 'part-state', part: 'high-pipe', state: 'sound', why: 'quick' },
  { kind: 'sign-off' },
  ...PROVEN_PATH,
];
/** Any order of work that a person might enter. */
const ledgers = fc
  .array(fc.constantFrom(...BODIES), { maxLength: 14 })
  .map((bodies) => bodies.map((body, i) => madeEntry(i + 1, body)));

describe('for any ledger at all', () => {
  it('a stage, a headline and a verdict come out, and proved means that every piece of evidence is in', () => {
    fc.assert(
      fc.property(ledgers, (entries) => {
        const job = derive(entries);
        expect(STAGES).toContain(job.stage);
        expect(job.headline.length).toBeGreaterThan(5);
        expect(job.headline).not.toMatch(/undefined|NaN/);
        if (job.verdict === 'proved') expect(job.evidence.every((item) => item.state === 'shown')).toBe(true);
        if (job.verdict === 'equal-flow')
          expect(job.evidence.some((item) => item.state !== 'shown')).toBe(true);
        if (!job.before || !job.after) expect(job.verdict).toBe('open');
        expect(JSON.stringify(summariseJob(job))).not.toMatch(/null/);
      }),
      { numRuns: 300 },
    );
  });

  it('remarks and cautions change no judgement', () => {
    fc.assert(
      fc.property(ledgers, fc.nat(20), (entries, minute) => {
        const remarks = [
          madeEntry(101, { kind: 'note', text: 'remark' }, minute),
          madeEntry(102, { kind: 'caution-acknowledged', caution: 'burn', act: 'x' }, minute),
        ];
        const [plain, remarked] = [derive(entries), derive([...entries, ...remarks])];
        expect(remarked.verdict).toBe(plain.verdict);
        expect(remarked.stage).toBe(plain.stage);
        expect(remarked.evidence).toEqual(plain.evidence);
      }),
    );
  });

  it('withdrawing an entry is as if it had never been made', () => {
    fc.assert(
      fc.property(
        ledgers.filter((entries) => entries.length > 0),
        fc.nat(20),
        (entries, pick) => {
          const gone = entries[pick % entries.length] as Entry;
          const withdrawal = madeEntry(200, { kind: 'withdrawn', why: 'wrong' }, 500, gone.seq);
          const without = derive(entries.filter((entry) => entry !== gone));
          const withdrawn = derive([...entries, withdrawal]);
          expect(withdrawn.verdict).toBe(without.verdict);
          expect(withdrawn.evidence).toEqual(without.evidence);
          expect([...withdrawn.parts]).toEqual([...without.parts]);
        },
      ),
    );
  });

  it('work on the filter after the proof takes the proof away', () => {
    const proved = [0, 1, 2, 5, 3, 11, 12, 7, 8].map((pick, i) =>
      madeEntry(i + 1, BODIES[pick] as EntryBody),
    );
    expect(derive(proved).verdict).toBe('proved');
    expect(derive([...proved, madeEntry(50, BODIES[5] as EntryBody)]).verdict).not.toBe('proved');
  });
});
