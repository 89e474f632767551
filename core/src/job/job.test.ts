import { inEnglish, say, spoken, type Spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { CAUTIONS } from '../checks/index.ts';
import { entryBodySchema, WORK_TYPES, type Entry, type EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, madeId, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import {
  CAUTION_FOR_WORK,
  deriveJob as deriveJobInCodes,
  entryFigure as entryFigureInCodes,
  stageOf,
  STAGES,
  summariseJob,
  type DerivedJob,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const entryFigure = spoken(entryFigureInCodes);

const facts = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER };
const derive = (...bodies: (EntryBody | Entry)[]): Spoken<DerivedJob> =>
  deriveJob({ ...facts, entries: bodies.map((b, i) => ('kind' in b ? madeEntry(i + 1, b) : b)) });

const limited: EntryBody = { kind: 'complaint', text: 'Lamp on', powerLimited: true };
const complaint: EntryBody = { kind: 'complaint', text: 'Lamp on' };
const before = madeReading('before', { sootG: 35 });
const clean: EntryBody = { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 };
const after = madeReading('after', { sootG: 3 });
const drive: EntryBody = { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' };
const [swap, hoses] = PROVEN_PATH;
const noCodes: EntryBody = { kind: 'code-scan', when: 'after-drive', codes: [] };
const signOff: EntryBody = { kind: 'sign-off' };

describe('what a ledger means', () => {
  it('moves through its stages as the work is entered', () => {
    expect(derive().stage).toBe('intake');
    expect(derive(complaint).stage).toBe('codes');
    expect(derive(complaint, { kind: 'code-scan', when: 'before', codes: [] }).stage).toBe('baseline');
    expect(derive(complaint, before).stage).toBe('treat');
    expect(derive(complaint, before, clean).stage).toBe('prove');
    expect(derive(complaint, before, clean, after, swap, hoses, drive, noCodes).stage).toBe('hand-over');
    expect(derive(complaint, signOff).stage).toBe('hand-over');
  });

  it('is proved only when drive and re-scan are in as well', () => {
    const atEqualFlow = derive(complaint, before, clean, after, swap, hoses);
    expect(atEqualFlow.verdict).toBe('equal-flow');
    expect(atEqualFlow.headline).toMatch(/^Pressure drop at equal flow down \d+ %$/);
    expect(atEqualFlow.evidence.filter((e) => e.state === 'open').map((e) => e.id)).toEqual([
      'drive',
      'no-codes',
    ]);
    expect(derive(complaint, before, clean, after, swap, hoses, drive).verdict).toBe('equal-flow');
    expect(derive(complaint, before, clean, after, swap, hoses, drive, noCodes).verdict).toBe('proved');
  });

  it('is not proved by codes that are left, a limit that stays, or a scan from before the drive', () => {
    const codesLeft: EntryBody = { kind: 'code-scan', when: 'after-drive', codes: [{ code: 'P2463' }] };
    expect(
      derive(complaint, before, clean, after, swap, hoses, drive, codesLeft).evidence.find(
        (e) => e.id === 'no-codes',
      ),
    ).toMatchObject({
      state: 'failed',
      text: 'Codes after the drive: P2463',
    });
    expect(derive(complaint, before, clean, after, swap, hoses, noCodes, drive).verdict).toBe('equal-flow');
    const still = derive(
      limited,
      before,
      clean,
      after,
      swap,
      hoses,
      { ...drive, powerLimitGone: false },
      noCodes,
    );
    expect(still.evidence.find((e) => e.id === 'power-limit')?.state).toBe('failed');
    expect(still.verdict).toBe('equal-flow');
  });

  it('lets a drive from before the last work prove nothing about it', () => {
    const again: EntryBody = { kind: 'work', work: 'cause-repaired', what: 'Duct replaced' };
    expect(derive(complaint, before, clean, after, swap, hoses, drive, noCodes, again).verdict).toBe(
      'equal-flow',
    );
  });

  it('asks for another after reading when the filter was worked on since', () => {
    const again = derive(complaint, before, clean, after, clean, swap, hoses, drive, noCodes);
    expect(again.evidence.find((e) => e.id === 'after')).toMatchObject({
      state: 'failed',
      text: expect.stringMatching(/read again/) as string,
    });
    expect(again.verdict).toBe('equal-flow');
    const repaired: EntryBody = { kind: 'work', work: 'cause-repaired', what: 'Glow plug' };
    expect(derive(complaint, before, clean, after, swap, hoses, repaired, drive, noCodes).verdict).toBe(
      'proved',
    );
  });

  it('takes the before reading from ahead of the work, and does not believe one from after it', () => {
    const late = madeReading('before', { sootG: 20 });
    const job = derive(complaint, before, clean, late, after, swap, hoses, drive, noCodes);
    expect(job.before?.seq).toBe(2);
    expect(job.verdict).toBe('proved');
    const onlyLate = derive(complaint, clean, before, after, swap, hoses, drive, noCodes);
    expect(onlyLate.evidence.find((e) => e.id === 'before')?.state).toBe('failed');
    expect(onlyLate.verdict).toBe('equal-flow');
  });

  it('takes a before reading anew once sensor and pipes are put right, as long as the filter is untouched', () => {
    const cleared: EntryBody = { kind: 'work', work: 'pipe-cleared', what: 'rodded', part: 'high-pipe' };
    const blind = madeReading('before', { sootG: 2 });
    const notRead = derive(complaint, before, cleared, clean, after, swap, hoses, drive, noCodes);
    expect(notRead.verdict).toBe('not-proved');
    expect(notRead.proof?.missing[0]).toMatch(/lines: the high pipe was cleared/);
    const job = derive(complaint, blind, cleared, before, clean, after, swap, hoses, drive, noCodes);
    expect(job.before?.seq).toBe(4);
    expect(job.verdict).toBe('proved');
  });

  it('marks a drive that the customer reported', () => {
    const job = derive(
      complaint,
      before,
      clean,
      after,
      swap,
      hoses,
      { ...drive, reportedBy: 'customer' },
      noCodes,
    );
    expect(job.evidence.find((e) => e.id === 'drive')?.text).toMatch(/reported by the customer/);
  });

  it('uses the corrected reading in the place of the wrong one', () => {
    const entries = [
      madeEntry(1, complaint),
      madeEntry(2, madeReading('before', { sootG: 3 })),
      madeEntry(3, clean),
      madeEntry(4, after),
      madeEntry(5, before, 50, 2),
    ];
    expect(derive(...entries).verdict).toBe('equal-flow');
    expect(derive(...entries.slice(0, 4)).headline).toBe(
      'Nothing to remove: the filter was within limits before',
    );
  });

  it('knows dwells, parts and what was last said of each', () => {
    const job = derive(
      complaint,
      { kind: 'part-state', part: 'high-pipe', state: 'doubtful', why: 'slow' },
      { kind: 'work', work: 'pipe-cleared', what: 'rodded', part: 'high-pipe' },
      { kind: 'work', work: 'sensor-replaced', what: 'new one', part: 'dp-sensor' },
      clean,
    );
    expect(job.parts.get('high-pipe')).toEqual({ state: 'proven-clear', why: 'rodded' });
    expect(job.parts.get('dp-sensor')?.state).toBe('replaced');
    expect(job.clocks).toHaveLength(1);
    const [dwell] = job.clocks;
    expect((dwell?.endMs ?? 0) - (dwell?.startMs ?? 0)).toBe(30 * 60_000);
    expect(summariseJob(job).clocks).toEqual([
      {
        entryId: dwell?.entryId,
        clock: 'dwell',
        what: 'One fill',
        next: 'flush, then read',
        until: new Date(dwell?.endMs ?? 0).toISOString(),
      },
    ]);
  });

  it('gives the same answer twice', () => {
    const bodies = [complaint, before, clean, after, swap, hoses, drive, noCodes];
    expect(derive(...bodies)).toEqual(derive(...bodies));
  });
});

describe('words for every entry', () => {
  const bodies: EntryBody[] = [
    limited,
    before,
    clean,
    drive,
    noCodes,
    signOff,
    { kind: 'part-state', part: 'egt1', state: 'sound', why: 'x' },
    { kind: 'caution-acknowledged', caution: 'burn', act: 'x' },
    { kind: 'check', check: 'dp-zero', values: { restMbar: 2 } },
    { kind: 'cause', cause: 'high-pipe-blocked', state: 'confirmed', why: 'x' },
    { kind: 'substitution', part: 'dp-sensor', what: 'x', changed: 'no', putBack: true },
    { kind: 'part-changed', where: 'elsewhere', what: 'ΔP sensor', condition: 'pattern', effect: 'none' },
    { kind: 'temporary-repair', what: 'x' },
    { kind: 'drivable', verdict: 'limited', why: 'x' },
    { kind: 'settled', entry: madeId(1), how: 'x' },
    { kind: 'reset', reset: 'reset-soot', source: 'hand', before: { sootG: 36 }, after: { sootG: 0 } },
    { kind: 'treatment-chosen', treatment: 'chemical' },
    { kind: 'clock-started', clock: 'cooling', minutes: 20, what: 'x' },
    { kind: 'clock-ended', entry: madeId(1) },
    { kind: 'made-ready', treatment: 'standing', answers: { 'site-open': true } },
    { kind: 'burn-reading', burn: madeId(1), egt3C: 580 },
    { kind: 'burn-ended', burn: madeId(1), how: 'by-itself', source: 'hand', minutes: 20 },
    { kind: 'part-off', what: 'x' },
    { kind: 'part-back', off: madeId(1) },
    { kind: 'fastener-signed', off: madeId(1), number: 1, torqueNm: 90 },
    { kind: 'part-broke', broke: 'snapped-sensor', what: 'x' },
    { kind: 'filter-off', when: 'before', massKg: 9.2, dry: true },
    { kind: 'choice-offered', question: 'x', currency: 'EUR', options: [{ id: 'a', what: 'x', price: 1 }] },
    { kind: 'choice-made', offer: madeId(1), option: 'a', by: 'x', how: 'phone' },
    { kind: 'family-note', topic: 'access', text: 'x' },
    { kind: 'photo', photo: madeId(1) },
    { kind: 'follow-up', what: 'x', due: '2026-06-01' },
    { kind: 'follow-up-done', task: 'recheck' },
    { kind: 'note', text: 'x' },
    { kind: 'withdrawn', why: 'x' },
  ];
  it('covers each kind with a figure and a stage or none', () => {
    const kinds = entryBodySchema.options.map((option) => option.shape.kind.value);
    expect(new Set(bodies.map((body) => body.kind))).toEqual(new Set(kinds));
    for (const body of bodies) {
      expect(entryFigure({ body }).length).toBeGreaterThan(2);
      const stage = stageOf({ body });
      if (stage) expect(STAGES).toContain(stage);
    }
  });
  it('names each work and knows its caution', () => {
    for (const work of WORK_TYPES) {
      expect(inEnglish(say(`works.${work}`))).toMatch(/^[A-Z]/);
      const caution = CAUTION_FOR_WORK[work];
      if (caution) expect(inEnglish(CAUTIONS[caution].text).length).toBeGreaterThan(40);
    }
  });
});
