import { describe, expect, it } from 'vitest';
import { useCommandLine } from './testing/commandLine.ts';

const { call, file, json } = useCommandLine();

const SCENARIO = {
  filter: { diameterMm: 144, lengthMm: 152, cpsi: 200, wallMm: 0.305, material: 'silicon-carbide' },
  sootG: 12,
  ashG: 30,
  catalyst: 'coated',
  profile: [
    { atS: 0, inletC: 250, exhaustKgPerS: 0.05, oxygenPercent: 10, no2Ppm: 50 },
    { atS: 120, inletC: 620, exhaustKgPerS: 0.05, oxygenPercent: 10, no2Ppm: 0 },
  ],
  ambientC: 15,
  endS: 1500,
};

describe('burn', () => {
  it('says what is left, how hot it gets and where the heat goes', async () => {
    const burn = await json<{
      sootLeftG: number;
      peakBedC: number;
      verdict: string;
      energy: Record<'inJ' | 'reactionJ' | 'outJ' | 'storedJ' | 'lossJ' | 'residualFraction', number>;
      series: Record<string, number[]>;
    }>('burn', file('scenario.json', SCENARIO));
    expect(burn.sootLeftG).toBeLessThan(1);
    expect(burn.peakBedC).toBeGreaterThan(620);
    expect(burn.peakBedC).toBeLessThan(700);
    expect(burn.verdict).toBe('clean');
    const { inJ, reactionJ, outJ, storedJ, lossJ, residualFraction } = burn.energy;
    expect(Math.abs(inJ + reactionJ - outJ - storedJ - lossJ) / (inJ + reactionJ)).toBeLessThan(0.005);
    expect(Math.abs(residualFraction)).toBeLessThan(0.005);
    const { timeS, sootG, inletC, outletC, peakC } = burn.series;
    expect(timeS?.at(-1)).toBeCloseTo(1500, 6);
    for (const list of [sootG, inletC, outletC, peakC]) expect(list).toHaveLength(timeS?.length ?? 0);
  });

  it('tells people with the limits that it judged by, which a profile may change', async () => {
    const scenario = file('full.json', { ...SCENARIO, sootG: 40 });
    expect((await call('burn', scenario)).stdout).toMatch(/too hot\n.*limit 1000 °C/);
    const limits = file('limits.json', { bedLimitSiliconCarbideC: 640 });
    expect((await call('burn', file('scenario.json', SCENARIO), '--limits', limits)).stdout).toMatch(
      /limit 640 °C/,
    );
  });

  it.each([
    [{ ...SCENARIO, sootG: -1 }, /sootG is not fit — Soot: 0 to 1000 g/],
    [{ ...SCENARIO, profile: [] }, /profile is not fit/],
    [{ ...SCENARIO, filter: { ...SCENARIO.filter, material: 'glass' } }, /filter\.material is not fit/],
    [{ ...SCENARIO, extra: 1 }, /fit/],
    [[], /scenario is not fit/i],
  ])('refuses what is no scenario: one line, status 2, nothing on stdout (%#)', async (content, words) => {
    const { status, stdout, stderr } = await call('burn', file('bad.json', content));
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
    expect(stderr).toMatch(words);
    expect(stderr.trimEnd()).not.toContain('\n');
  });
});
