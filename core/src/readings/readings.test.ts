import { inEnglish } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../quantities/index.ts';
import { EXPECTED_LOGS, sampleBytes, type ExpectedLog } from '../testing/samples.ts';
import { analyseLog, CHANNEL_ROLES, ROLE_IDS, type AnalysedLog } from './index.ts';
import { analyse, drill, csv, HEADER } from './testing/madeCsv.ts';

const logs = EXPECTED_LOGS.map((log) => [log.file, log] as const);

const read = async (log: ExpectedLog): Promise<AnalysedLog> =>
  valueOf(await analyseLog(sampleBytes(log.file), { displacementL: log.engine.displacementL }));

describe.each(logs)('%s', (_file, log) => {
  it('finds each channel in its column and unit', async () => {
    const { channels } = (await read(log)).analysis;
    const found = Object.fromEntries(channels.map((channel) => [channel.role, channel.source]));
    expect(found).toMatchObject(log.expectedChannels);
    expect(channels.filter((channel) => channel.gauge).map((channel) => channel.role)).toEqual([
      ...log.gaugeRoles,
    ]);
  });

  it('finds the steady windows with their means', async () => {
    const { windows } = (await read(log)).analysis;
    for (const wanted of log.windows) {
      const found = windows.find(
        (w) =>
          w.kind === wanted.kind &&
          Math.min(w.endS, wanted.endS) - Math.max(w.startS, wanted.startS) >
            (wanted.endS - wanted.startS) / 2,
      );
      expect(found, `${wanted.kind} at ${wanted.startS} s`).toBeDefined();
      expect(Math.abs((found?.rpm.mean ?? 0) - wanted.rpmMean)).toBeLessThan(
        Math.max(25, 0.02 * wanted.rpmMean),
      );
      const tolerance = Math.max(log.quantumMbar, 0.03 * Math.abs(wanted.dpMeanMbar));
      expect(Math.abs((found?.dpfDeltaP?.mean ?? 999) - wanted.dpMeanMbar)).toBeLessThanOrEqual(tolerance);
    }
  });

  it('raises no false alarm', async () => {
    const found = (await read(log)).analysis.findings.map((finding) => finding.id);
    expect(found.filter((id) => log.mustNotReport.includes(id))).toEqual([]);
  });
});

describe('findings of the samples', () => {
  const idsOf = async (file: string): Promise<Set<string>> => {
    const log = EXPECTED_LOGS.find((l) => l.file === file) as ExpectedLog;
    return new Set((await read(log)).analysis.findings.map((finding) => finding.id));
  };
  it('says soot-blocked, leaking and opening where they are', async () => {
    expect(await idsOf('sample2-soot-blocked.csv')).toEqual(
      new Set(['dp-high-idle', 'dp-high-hold', 'soot-high']),
    );
    expect(await idsOf('sample3-intake-leak.tsv')).toEqual(new Set(['maf-low-for-speed']));
    expect(await idsOf('sample6-cleaning-warm-up.csv')).toContain('dp-falling');
  });

  it('cannot judge the MAF sensor without the engine size, and says so', async () => {
    const withoutSize = await analyse(sampleBytes('sample1-healthy.csv'));
    expect(withoutSize.warnings.map((warning) => warning.code)).toContain('displacement-unknown');
    expect(withoutSize.findings).toEqual([]);
  });

  it('tells how the pressure moves within a hold', async () => {
    const trends = (await analyse(sampleBytes('sample6-cleaning-warm-up.csv'))).windows.flatMap((w) =>
      w.kind === 'hold' ? [w.dpfDeltaPTrendMbarPerMin ?? 0] : [],
    );
    expect(trends).toHaveLength(1);
    expect(trends[0]).toBeLessThan(-40);
    const healthy = (await analyse(sampleBytes('sample1-healthy.csv'))).windows.filter(
      (w) => w.kind === 'idle',
    );
    for (const window of healthy) expect(Math.abs(window.dpfDeltaPTrendMbarPerMin ?? 99)).toBeLessThan(2);
  });

  it('shows value, limit and level with every finding', async () => {
    for (const finding of (await analyse(sampleBytes('sample2-soot-blocked.csv'))).findings) {
      expect(finding.level).toBe('fault');
      expect(Object.keys(finding.evidence).some((name) => name.startsWith('limit'))).toBe(true);
      expect(Object.values(finding.evidence).every(Number.isFinite)).toBe(true);
    }
  });

  it('adds restriction and soot to the windows where the filter size is known', async () => {
    const { windows } = await analyse(sampleBytes('sample2-soot-blocked.csv'), {
      geometry: { diameterMm: 154, lengthMm: 155, cpsi: 200, wallMm: 0.305 },
    });
    const hold = windows.find((window) => window.kind === 'hold');
    expect(hold?.restrictionRatio).toBeGreaterThan(5);
    expect(hold?.soot?.lowG).toBeGreaterThan(20);
    expect(
      windows.filter((w) => w.kind === 'engine-off').every((w) => w.restrictionRatio === undefined),
    ).toBe(true);
  });
});

const idsFrom = async (bytes: Uint8Array, options = {}): Promise<string[]> =>
  (await analyse(bytes, options)).findings.map((finding) => finding.id);

describe('sensor faults in made logs', () => {
  const healthy = (rpm: number): number => (rpm / 3000) * 25 + ((rpm % 7) - 3) * 0.1;
  it('says nothing of a healthy one', async () => {
    expect(await idsFrom(csv(HEADER, drill(healthy)))).toEqual([]);
  });
  it('tells a dead, a stuck, a reversed and an offset sensor apart, and judges no filter by one that lies', async () => {
    expect(
      await idsFrom(
        csv(
          HEADER,
          drill(() => 0),
        ),
      ),
    ).toEqual(['dp-no-response']);
    expect(
      await idsFrom(
        csv(
          HEADER,
          drill(() => 400),
        ),
      ),
    ).toEqual(['dp-stuck-high']);
    expect(
      await idsFrom(
        csv(
          HEADER,
          drill((rpm) => -healthy(rpm) * 2),
        ),
      ),
    ).toEqual(['dp-reversed']);
    expect(
      await idsFrom(
        csv(
          HEADER,
          drill((rpm) => healthy(rpm) + 14),
        ),
      ),
    ).toEqual(['dp-zero-offset']);
  });
  it('doubts a low soot counter beside a high pressure', async () => {
    const found = await idsFrom(
      csv(
        `${HEADER},Soot mass (g)`,
        drill(
          (rpm) => (rpm / 3000) * 240,
          () => [4],
        ),
      ),
    );
    expect(found).toContain('soot-disagrees-with-pressure');
    expect(found).toContain('dp-high-hold');
  });
  it('shows nothing moved where nothing was asked to: idle alone', async () => {
    const idle = drill(() => 0).slice(60, 190);
    expect(await idsFrom(csv(HEADER, idle))).toEqual([]);
  });
});

describe('units and wording', () => {
  it('reads gauge boost against the barometer, and says when it had to assume one', async () => {
    const rows = drill(
      (rpm) => rpm / 100,
      () => [0.25],
    );
    const analysis = await analyse(csv(`${HEADER},Boost gauge pressure (bar)`, rows));
    expect(analysis.warnings.map((w) => w.code)).toContain('barometer-assumed');
    const read = valueOf(await analyseLog(csv(`${HEADER},Boost gauge pressure (bar)`, rows)));
    expect(read.recording.channels.get('manifoldPressure')?.values[100]).toBeCloseTo(1263, 0);
  });

  it('infers a unit that is missing from the values, and lowers its confidence', async () => {
    const analysis = await analyse(
      csv(
        'Time,Engine speed,DPF differential pressure',
        drill((rpm) => rpm / 100),
      ),
    );
    const dp = analysis.channels.find((channel) => channel.role === 'dpfDeltaP');
    expect(dp?.unit).toBe('mbar');
    expect(dp?.confidence).toBeLessThan(0.8);
    expect(inEnglish(dp?.reason)).toMatch(/no unit stated/);
  });

  it('converts psi, kPa and inHg to the same pressure', async () => {
    const inUnit = async (unit: string, factor: number): Promise<number> => {
      const rows = drill((rpm) => (rpm / 100) * factor);
      const { recording } = valueOf(await analyseLog(csv(`Time (s),RPM (rpm),DPF dP (${unit})`, rows)));
      return recording.channels.get('dpfDeltaP')?.values[400] ?? Number.NaN;
    };
    expect(await inUnit('kPa', 0.1)).toBeCloseTo(30, 0);
    expect(await inUnit('psi', 0.0145038)).toBeCloseTo(30, -0.5);
    expect(await inUnit('inHg', 0.02953)).toBeCloseTo(30, -0.5);
  });

  it('takes a person’s correction before its own guess, and refuses one that cannot be', async () => {
    const header = 'Time (s),Engine speed (rpm),Channel 7 (mbar)';
    const plain = await analyse(
      csv(
        header,
        drill((rpm) => rpm / 100),
      ),
    );
    expect(plain.unmapped).toEqual(['Channel 7']);
    expect(plain.warnings.map((w) => w.code)).toContain('dp-missing');
    const corrected = await analyse(
      csv(
        header,
        drill((rpm) => rpm / 100),
      ),
      { corrections: { 'Channel 7': 'dpfDeltaP' } },
    );
    expect(corrected.channels.find((c) => c.role === 'dpfDeltaP')).toMatchObject({
      source: 'Channel 7',
      confidence: 1,
    });
    const refused = await analyse(
      csv(
        header,
        drill((rpm) => rpm / 100),
      ),
      { corrections: { 'Channel 7': 'coolantTemp' } },
    );
    expect(refused.warnings.map((w) => w.code)).toContain('correction-refused');
  });

  it('asks, where two columns look alike', async () => {
    const rows = drill(
      (rpm) => rpm / 100,
      (rpm) => [rpm / 90],
    );
    const analysis = await analyse(csv(`${HEADER},DPF differential pressure 2 (mbar)`, rows));
    expect(inEnglish(analysis.warnings.find((w) => w.code === 'channel-ambiguous')?.text)).toMatch(
      /differential pressure 2/,
    );
    expect(analysis.questions).toMatchObject([
      { role: 'dpfDeltaP', columns: ['DPF differential pressure', 'DPF differential pressure 2'] },
    ]);
    expect(analysis.channels.map((c) => c.role)).toEqual(['engineSpeed']);
    const answered = await analyse(csv(`${HEADER},DPF differential pressure 2 (mbar)`, rows), {
      corrections: { 'DPF differential pressure 2': '' },
    });
    expect(answered.channels.find((c) => c.role === 'dpfDeltaP')?.source).toBe('DPF differential pressure');
  });

  it('does not take a wanted value for a measured one', async () => {
    const rows = drill(
      (rpm) => rpm / 100,
      () => [1013],
    );
    const analysis = await analyse(csv(`${HEADER},Boost pressure desired (mbar)`, rows));
    expect(analysis.unmapped).toEqual(['Boost pressure desired']);
  });

  it('describes every role with a label and a plausible range', () => {
    for (const role of ROLE_IDS) expect(CHANNEL_ROLES[role].low).toBeLessThan(CHANNEL_ROLES[role].high);
  });
});
