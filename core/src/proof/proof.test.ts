import { inEnglish, spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pressureDrop, restrictionRatio, type FilterGeometry } from '../filter/index.ts';
import { steadySamplesOf, type ReadingBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { DISPLACEMENT_L, FILTER, madeReading, seededNoise, type Truth } from '../testing/madeReadings.ts';
import { someRuns } from '../testing/seeds.ts';
import {
  compareReadings as compareReadingsInCodes,
  filterCurves,
  judgeProof as judgeProofInCodes,
  judgeReading as judgeReadingInCodes,
  type Comparison,
  type Proof,
} from './index.ts';

const compareReadings = spoken(compareReadingsInCodes);
const judgeProof = spoken(judgeProofInCodes);
const judgeReading = spoken(judgeReadingInCodes);

interface Options {
  readonly geometry?: FilterGeometry | null;
  readonly limits?: Limits;
  readonly change?: (after: ReadingBody) => ReadingBody;
  readonly changeBefore?: (before: ReadingBody) => ReadingBody;
}

/** As if read from a log with these findings. */
const fromLog =
  (...findings: string[]) =>
  (reading: ReadingBody): ReadingBody => ({
    ...reading,
    origin: {
      type: 'log',
      logId: '0197a000-0000-7000-8000-00000000000a',
      fileName: 'a.csv',
      mapping: {},
      findings,
    },
  });

function judge(before: Truth, after: Truth, options: Options = {}): { comparison: Comparison; proof: Proof } {
  const limits = options.limits ?? DEFAULT_LIMITS;
  const geometry = options.geometry === undefined ? FILTER : options.geometry;
  const afterReading = (options.change ?? ((r) => r))(madeReading('after', after));
  const beforeReading = (options.changeBefore ?? ((r) => r))(madeReading('before', before));
  const comparison = compareReadings([beforeReading], [afterReading], {
    limits,
    displacementL: DISPLACEMENT_L,
    ...(geometry ? { geometry } : {}),
  });
  return {
    comparison,
    proof: judgeProof(comparison, { before: [beforeReading], after: [afterReading] }, limits),
  };
}

/** What is truly removed at the state of gas at which the two were compared. */
function trulyRemoved(comparison: Comparison, before: Truth, after: Truth): number {
  const gas = comparison.equalFlow;
  if (!gas) throw new Error('not compared');
  const at = (truth: Truth): number =>
    valueOf(pressureDrop(FILTER, { sootG: truth.sootG, ashG: truth.ashG ?? 0 }, gas)).totalMbar;
  return 100 * (1 - at(after) / at(before));
}

describe('comparison at equal flow', () => {
  it('finds what was removed and the restriction, whatever speeds and temperatures were held', () => {
    const speeds = fc.uniqueArray(fc.integer({ min: 1600, max: 3200 }), { minLength: 2, maxLength: 3 });
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 50, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        speeds,
        fc.integer({ min: 180, max: 280 }),
        (dirty, clean, rpm, temperatureC) => {
          const before = { sootG: dirty, rpm: [820, 2500, 3000] };
          const after = { sootG: clean, rpm: [820, ...rpm, 3000], temperatureC };
          const { comparison } = judge(before, after);
          const removed = comparison.removedPercent;
          // The two-term law is fitted, not the filter's own: it may be off by a little where the gas differs.
          expect(Math.abs((removed?.value ?? 0) - trulyRemoved(comparison, before, after))).toBeLessThan(1.5);
          const gas = comparison.equalFlow;
          const dp = valueOf(
            pressureDrop(
              FILTER,
              { sootG: clean, ashG: 0 },
              gas ?? { exhaustKgPerS: 0.05, temperatureC: 200 },
            ),
          ).totalMbar;
          const truth = valueOf(
            restrictionRatio(FILTER, gas ?? { exhaustKgPerS: 0.05, temperatureC: 200 }, dp),
          ).ratio;
          expect(comparison.restrictionAfter?.low).toBeLessThanOrEqual(truth);
          expect(comparison.restrictionAfter?.high).toBeGreaterThanOrEqual(truth);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('holds the truth in its 90 % interval about as often as it says, with read-off errors of its own size', () => {
    const before = { sootG: 30 };
    const after = { sootG: 6 };
    let covered = 0;
    const runs = 200;
    for (let seed = 1; seed <= runs; seed++) {
      // 4 % at 90 % is a standard deviation of 2.4 %; a sum of twelve even errors is nearly normal.
      const noise = seededNoise(seed * 7919);
      const error = (): number => Array.from({ length: 12 }, noise).reduce((a, b) => a + b, 0) * 0.5 * 0.0243;
      const { comparison } = judge({ ...before, error }, { ...after, error });
      const truth = trulyRemoved(comparison, before, after);
      const { low, high } = comparison.removedPercent ?? { low: 0, high: 0 };
      if (truth >= low && truth <= high) covered++;
    }
    expect(covered / runs).toBeGreaterThanOrEqual(0.88);
  });

  it('takes the measured zero off both, so that an offset sensor does not hide a cure', () => {
    const { comparison } = judge({ sootG: 30, zeroMbar: 12 }, { sootG: 4, zeroMbar: 12 });
    expect(comparison.before.zeroMbar).toBe(12);
    expect(comparison.removedPercent?.value).toBeCloseTo(
      trulyRemoved(comparison, { sootG: 30 }, { sootG: 4 }),
      0,
    );
  });

  it('does not compare readings that have no flow in common, and says which flows it has', () => {
    const { comparison, proof } = judge({ sootG: 30, rpm: [820] }, { sootG: 3, rpm: [3000] });
    expect(comparison.removedPercent).toBeUndefined();
    expect(proof.verdict).toBe('not-proved');
    expect(proof.missing[0]).toMatch(/share no flow: before up to \d+ m³\/h, after up to \d+ m³\/h/);
  });

  it('takes less at more flow for what surely fell, by at least what it says', () => {
    const { comparison, proof } = judge({ sootG: 40, rpm: [1800] }, { sootG: 4, rpm: [2800, 3200] });
    expect(comparison.leftOut.at(-1)).toMatch(/at more flow than before/);
    expect(comparison.removedPercent?.low).toBeGreaterThan(0);
    expect(proof.verdict).toMatch(/proved|better/);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (was, is) => {
          const [before, after] = [
            { sootG: was, rpm: [1700] },
            { sootG: is, rpm: [2600, 3200] },
          ];
          const { comparison: one } = judge(before, after);
          if (!one.removedPercent) return;
          const truth = trulyRemoved(one, before, after);
          expect(truth).toBeGreaterThanOrEqual(one.removedPercent.low);
          expect(truth).toBeLessThanOrEqual(one.removedPercent.high);
        },
      ),
      { numRuns: someRuns(200) },
    );
  });

  it('states each row at one flow and never sets side by side the reading at different ones', () => {
    const { comparison } = judge({ sootG: 30, rpm: [820, 2900] }, { sootG: 4, rpm: [820, 3100] });
    const row = comparison.rows.find(({ label }) => label === '3000 rpm');
    expect(row?.beforeMbar).toBeGreaterThan(row?.beforeReadMbar ?? 0);
    expect(row?.afterMbar).toBeLessThan(row?.afterReadMbar ?? 0);
  });
});

describe('verdict', () => {
  it('is proved when the fall is sure and the filter is within its limits', () => {
    const { proof } = judge({ sootG: 35 }, { sootG: 3 });
    expect(proof.verdict).toBe('proved');
    expect(proof.reasons[0]).toMatch(
      /At \d+ m³\/h the pressure drop went from \d+ mbar to \d+ mbar: \d+ % removed, \d+ % to \d+ % \(90 %\)/,
    );
    for (const judgement of proof.judgements)
      expect(judgement).toMatchObject({ holds: true, reason: expect.stringMatching(/./) as string });
  });

  it('is better, not there, when much ash is left, and names the limit that fails', () => {
    const { proof } = judge({ sootG: 35, ashG: 150 }, { sootG: 2, ashG: 150 });
    expect(proof.verdict).toBe('better');
    expect(inEnglish(proof.reasons).join()).toMatch(
      /Restriction after is \d+(\.\d)? × clean, wanted at most 2.5 × clean/,
    );
  });

  it('is worse when the pressure surely rose', () => {
    expect(judge({ sootG: 10 }, { sootG: 25 }).proof.verdict).toBe('worse');
  });

  it('is not proved when before and after are the same, and says whether there was anything to remove', () => {
    const blocked = judge({ sootG: 30 }, { sootG: 30 }).proof;
    expect(blocked).toMatchObject({ verdict: 'not-proved', nothingToRemove: false });
    expect(blocked.missing).not.toEqual([]);
    expect(judge({ sootG: 4 }, { sootG: 4 }).proof).toMatchObject({
      verdict: 'not-proved',
      nothingToRemove: true,
      missing: [],
    });
  });

  it('does not believe an after reading that is lower than the clean filter can show', () => {
    const change = (after: ReadingBody): ReadingBody => ({
      ...after,
      samples: steadySamplesOf(after.samples).map((sample) => ({ ...sample, dpMbar: sample.dpMbar * 0.05 })),
    });
    const known = judge({ sootG: 30 }, { sootG: 4 }, { change });
    expect(known.proof.verdict).toBe('not-proved');
    expect(known.proof.missing[0]).toMatch(/less than a clean filter can show \(limit 0.5\)/);
    const unknownSize = judge({ sootG: 30 }, { sootG: 4 }, { change, geometry: null });
    expect(unknownSize.proof.verdict).toBe('not-proved');
    expect(unknownSize.proof.missing[0]).toMatch(/under 3.0 mbar/);
  });

  it.each(['dp-no-response', 'dp-stuck-high', 'dp-reversed', 'dp-falling'])(
    'does not take a log that shows %s as proof',
    (id) => {
      const { proof } = judge({ sootG: 30 }, { sootG: 3 }, { change: fromLog(id) });
      expect(proof.verdict).toBe('not-proved');
      expect(proof.missing).toHaveLength(1);
    },
  );

  it('calls nobody’s work worse because the sensor lied before: an old sensor, crossed hoses, a cracked filter', () => {
    const lied = judge({ sootG: 30 }, { sootG: 8 }, { changeBefore: fromLog('dp-reversed') });
    expect(lied.proof.verdict).toBe('not-proved');
    expect(lied.proof.missing[0]).toMatch(/^A plausible before reading/);
    const lower = (reading: ReadingBody): ReadingBody => ({
      ...reading,
      samples: steadySamplesOf(reading.samples).map((sample) => ({
        ...sample,
        dpMbar: 0.2 * sample.dpMbar,
        ...(sample.blocks
          ? {
              blocks: sample.blocks.map(
                ([a, r, c, m, dp]) => [a, r, c, m, 0.2 * dp] as (typeof sample.blocks)[number],
              ),
            }
          : {}),
      })),
    });
    const { proof } = judge({ sootG: 3 }, { sootG: 3 }, { changeBefore: lower });
    expect(proof.verdict).toBe('not-proved');
    expect(proof.missing[0]).toMatch(
      /reads 0\.\d\d × clean, less than a clean filter can show \(limit 0\.5\)/,
    );
    expect(proof.reasons).toContain('The reading is now within limits.');
  });

  it('works without the filter’s size, by the fitted curves and the bare limits', () => {
    const { comparison, proof } = judge({ sootG: 35 }, { sootG: 3 }, { geometry: null });
    expect(comparison.restrictionAfter).toBeUndefined();
    expect(proof.verdict).toBe('proved');
  });

  it('follows the limits profile', () => {
    const strict = { ...DEFAULT_LIMITS, restrictionGoodRatio: 1.1 };
    expect(judge({ sootG: 35 }, { sootG: 5 }).proof.verdict).toBe('proved');
    expect(judge({ sootG: 35 }, { sootG: 5 }, { limits: strict }).proof.verdict).toBe('better');
  });

  it('never says proved of a filter that is still blocked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (dirty, left, ashG) => {
          const after = { sootG: left, ashG };
          const { comparison, proof } = judge({ sootG: dirty, ashG }, after);
          const gas = comparison.equalFlow ?? { exhaustKgPerS: 0.05, temperatureC: 200 };
          const truth = valueOf(pressureDrop(FILTER, after, gas)).totalMbar;
          const ratio = valueOf(restrictionRatio(FILTER, gas, truth)).ratio;
          if (ratio > DEFAULT_LIMITS.restrictionGoodRatio * 1.1) expect(proof.verdict).not.toBe('proved');
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('a reading on the flow axis', () => {
  it('says what it could not place', () => {
    const reading: ReadingBody = {
      kind: 'reading',
      purpose: 'before',
      origin: { type: 'hand' },
      samples: [{ kind: 'hold', rpm: 3000, dpMbar: 80 }],
    };
    const judged = judgeReading(reading, { limits: DEFAULT_LIMITS });
    expect(judged.points).toEqual([]);
    expect(judged.unplaced[0]).toMatch(/needs the air mass, or the engine size/);
    expect(judged.assumptions.join()).toMatch(/ΔP zero not read.*± 5\.0 mbar/);
  });

  it('draws curves that rise with flow and load', () => {
    const curves = filterCurves(FILTER, 220, 300);
    expect(inEnglish(curves.map(({ label }) => label))).toEqual([
      'clean',
      '2 g/L',
      '4 g/L',
      '6 g/L',
      '8 g/L',
    ]);
    const ends = curves.map(({ points }) => points.at(-1)?.dpMbar ?? 0);
    expect([...ends].sort((a, b) => a - b)).toEqual(ends);
    for (const { points } of curves) expect(points[0]).toEqual({ flowM3PerH: 0, dpMbar: 0 });
  });
});
