import { describeFailure, inEnglish } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { EXPECTED_LOGS, sampleBytes } from '../testing/samples.ts';
import { analyseLog, writeLog } from './index.ts';

const encode = (text: string): Uint8Array => new TextEncoder().encode(text);

/** Every number in an answer, wherever it stands. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (value === null || typeof value !== 'object') return [];
  return Object.values(value).flatMap(numbersIn);
}

/** An answer is a described failure, or an analysis without a number that is none. */
async function expectSound(bytes: Uint8Array): Promise<void> {
  const answer = await analyseLog(bytes, { displacementL: 2 });
  if (!answer.ok) {
    expect(inEnglish(describeFailure(answer.failure)).length).toBeGreaterThan(8);
    expect(inEnglish(describeFailure(answer.failure))).not.toMatch(/undefined|NaN|\[object/);
    return;
  }
  expect(numbersIn(answer.value.analysis).every(Number.isFinite)).toBe(true);
  expect(numbersIn(answer.value.samples).every(Number.isFinite)).toBe(true);
  for await (const piece of writeLog(answer.value.recording, 'json'))
    expect(Buffer.from(piece).includes('NaN')).toBe(false);
}

/** FUZZ_RUNS=5000 makes 20,000 cases of it. */
const RUNS = Number(process.env['FUZZ_RUNS'] ?? 150);

describe('whatever is thrown at the reader', () => {
  it('bytes of any kind', async () => {
    await fc.assert(fc.asyncProperty(fc.uint8Array({ maxLength: 2000 }), expectSound), { numRuns: RUNS });
  });

  it('text of any kind', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ maxLength: 2000, unit: 'grapheme' }).map(encode), expectSound),
      {
        numRuns: RUNS,
      },
    );
  });

  it('tables of odd cells under right headings', async () => {
    const cell = fc.oneof(
      fc.double({ min: -1e6, max: 1e6 }).map(String),
      fc.constantFrom('', '---', 'N/A', 'ERR', '1,5', '1.5e9', '-0', '"', '08:00:00', 'on'),
      fc.string({ maxLength: 6 }),
    );
    const rows = fc.array(fc.array(cell, { minLength: 4, maxLength: 4 }), { maxLength: 60 });
    const table = rows.map((made) =>
      encode(
        [
          'Time (s);RPM (rpm);DPF dP (mbar);MAF (g/s)',
          ...made.map((row, i) => [String(i), ...row.slice(1)].join(';')),
        ].join('\n'),
      ),
    );
    await fc.assert(fc.asyncProperty(table, expectSound), { numRuns: RUNS });
  });

  it('logs of every format with a piece cut out, doubled or overwritten', async () => {
    // The beginnings of all samples: every format, and short enough for many cases.
    const wholes = EXPECTED_LOGS.map(({ file }) => sampleBytes(file).subarray(0, 9000));
    const damage = fc.record({
      whole: fc.constantFrom(...wholes),
      at: fc.nat(9000),
      length: fc.nat(2000),
      noise: fc.uint8Array({ maxLength: 40 }),
      kind: fc.constantFrom('cut', 'double', 'end', 'overwrite'),
    });
    await fc.assert(
      fc.asyncProperty(damage, async ({ whole, at, length, noise, kind }) => {
        const [head, piece, tail] = [
          whole.subarray(0, at),
          whole.subarray(at, at + length),
          whole.subarray(at + length),
        ];
        const parts = {
          cut: [head, tail],
          double: [head, piece, piece, tail],
          end: [head],
          overwrite: [head, noise, tail],
        }[kind];
        const bytes = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
        let offset = 0;
        for (const part of parts) {
          bytes.set(part, offset);
          offset += part.length;
        }
        await expectSound(bytes);
      }),
      { numRuns: RUNS },
    );
  });
});

describe('each limit decides on its own side', () => {
  const findingsUnder = async (file: string, changed: Partial<Limits>): Promise<string[]> =>
    valueOf(
      await analyseLog(sampleBytes(file), { displacementL: 2.2, limits: { ...DEFAULT_LIMITS, ...changed } }),
    ).analysis.findings.map((finding) => finding.id);

  it.each([
    ['sample2-soot-blocked.csv', 'dpIdleBlockedMbar', 'dp-high-idle', 40, 50],
    ['sample2-soot-blocked.csv', 'dp3000BlockedMbar', 'dp-high-hold', 229, 232],
    ['sample2-soot-blocked.csv', 'sootHighGPerL', 'soot-high', 21.2, 21.8],
    ['sample6-cleaning-warm-up.csv', 'dpFallingDropMbar', 'dp-falling', 150, 990],
    ['sample6-cleaning-warm-up.csv', 'dpFallingDropPercent', 'dp-falling', 60, 94],
  ] as const)('%s: %s', async (file, limit, id, raises, silences) => {
    expect(await findingsUnder(file, { [limit]: raises })).toContain(id);
    expect(await findingsUnder(file, { [limit]: silences })).not.toContain(id);
  });

  it('the MAF sensor’s, at both ends', async () => {
    const leak = async (changed: Partial<Limits>): Promise<string[]> =>
      valueOf(
        await analyseLog(sampleBytes('sample3-intake-leak.tsv'), {
          limits: { ...DEFAULT_LIMITS, ...changed },
        }),
      ).analysis.findings.map((finding) => finding.id);
    expect(await leak({})).toEqual(['maf-low-for-speed']);
    expect(await leak({ mafToSpeedDensityLow: 0.3 })).toEqual([]);
    expect(await leak({ mafToSpeedDensityLow: 0.3, mafToSpeedDensityHigh: 0.4 })).toEqual([
      'maf-high-for-speed',
    ]);
  });
});
