import { describeFailure, inEnglish } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../quantities/index.ts';
import { EXPECTED_LOGS, sampleBytes, type ExpectedLog } from '../testing/samples.ts';
import { analyseLog, CHANNEL_ROLES, ROLE_IDS, type AnalysedLog, type LogAnalysis } from './index.ts';

const logs = EXPECTED_LOGS.map((log) => [log.file, log] as const);

const read = async (log: ExpectedLog): Promise<AnalysedLog> =>
  valueOf(await analyseLog(sampleBytes(log.file), { displacementL: log.engine.displacementL }));

const text = (lines: readonly string[]): Uint8Array => new TextEncoder().encode(`${lines.join('\n')}\n`);
const analyse = async (bytes: Uint8Array, options = {}): Promise<LogAnalysis> =>
  valueOf(await analyseLog(bytes, options)).analysis;

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

/** A small drill written out: rows of time, rpm and pressure by a function of the speed. */
function drill(
  pressure: (rpm: number, t: number) => number,
  extra: (rpm: number) => number[] = () => [],
): string[][] {
  const rows: string[][] = [];
  for (let i = 0; i <= 500; i++) {
    const t = i * 0.2;
    const rpm = t < 10 ? 0 : t < 40 ? 820 : t < 70 ? 2500 : t < 95 ? 3000 : 820;
    rows.push([
      t.toFixed(1),
      String(rpm + (rpm > 0 ? (i % 5) - 2 : 0)),
      pressure(rpm, t).toFixed(2),
      ...extra(rpm).map(String),
    ]);
  }
  return rows;
}
const csv = (header: string, rows: string[][], delimiter = ','): Uint8Array =>
  text([header, ...rows.map((row) => row.join(delimiter))]);
const HEADER = 'Time (s),Engine speed (rpm),DPF differential pressure (mbar)';
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

describe('odd but usable files', () => {
  const body = drill((rpm) => rpm / 100);
  const codesOf = async (bytes: Uint8Array): Promise<string[]> =>
    (await analyse(bytes)).warnings.map((warning) => warning.code);
  it('passes over a repeated heading, a short last line and a backward time, and names the row', async () => {
    const lines = [HEADER, ...body.map((row) => row.join(','))];
    lines.splice(200, 0, HEADER);
    lines.splice(300, 0, '1.0,820,8.2');
    lines.push('100.2,82');
    const analysis = await analyse(text(lines));
    expect(new Set(analysis.warnings.map((w) => w.code))).toEqual(
      new Set(['header-repeated', 'row-incomplete', 'time-repaired']),
    );
    expect(analysis.warnings.find((w) => w.code === 'header-repeated')?.row).toBe(201);
    expect(analysis.warnings.find((w) => w.code === 'row-incomplete')?.row).toBe(505);
    expect(analysis.windows.filter((w) => w.kind === 'hold')).toHaveLength(2);
  });
  it('counts placeholders as not read and damaged cells as a warning', async () => {
    const rows = body.map(
      (row, i) =>
        (i % 10 === 3 ? [row[0], row[1], '---'] : i === 77 ? [row[0], row[1], '1#2'] : row) as string[],
    );
    expect(await codesOf(csv(HEADER, rows))).toEqual(['cell-unreadable']);
  });
  it('reads UTF-16, Latin-1 with degree signs, and a byte order mark', async () => {
    const content = `${[`${HEADER},EGT pre-DPF (°C)`, ...body.map((row) => `${row.join(',')},210`)].join('\n')}\n`;
    const utf16 = new Uint8Array(content.length * 2);
    [...content].forEach((char, i) => {
      utf16[2 * i] = char.charCodeAt(0) & 0xff;
      utf16[2 * i + 1] = char.charCodeAt(0) >> 8;
    });
    const latin1 = Uint8Array.from(content, (char) => char.charCodeAt(0));
    const marked = new TextEncoder().encode(`\uFEFF${content}`);
    for (const bytes of [utf16, latin1, marked]) {
      expect((await analyse(bytes)).channels.map((channel) => channel.role)).toEqual([
        'engineSpeed',
        'dpfDeltaP',
        'egt3',
      ]);
    }
  });
  it('reads clock times over midnight, milliseconds and ISO times alike', async () => {
    const clock = (t: number): string => {
      const s = 86_370 + t;
      const at = s % 86_400;
      return (
        [at / 3600, (at / 60) % 60].map((x) => String(Math.floor(x)).padStart(2, '0')).join(':') +
        `:${(at % 60).toFixed(1).padStart(4, '0')}`
      );
    };
    const iso = (t: number): string => new Date(Date.UTC(2026, 0, 1) + t * 1000).toISOString();
    const durations = [
      ['Time', clock],
      ['Timestamp', iso],
      ['Time (ms)', (t: number) => (t * 1000).toFixed(0)],
    ] as const;
    for (const [name, write] of durations) {
      const rows = body.map((row) => [write(Number(row[0])), ...row.slice(1)]);
      expect(
        (await analyse(csv(`${name},Engine speed (rpm),DPF differential pressure (mbar)`, rows))).durationS,
      ).toBeCloseTo(100, 3);
    }
  });
});

describe('codes and kinds that are no readings', () => {
  it('leaves out single values that the channel cannot have, says so, and raises no alarm', async () => {
    const rows = drill((rpm) => rpm / 100).map((row, i) =>
      i % 40 === 7 ? [row[0] ?? '', i % 80 === 7 ? '65535' : (row[1] ?? ''), '65535'] : row,
    );
    const analysis = await analyse(csv(HEADER, rows));
    expect(analysis.findings).toEqual([]);
    expect(analysis.warnings.map((w) => w.code)).toEqual(['reading-implausible', 'reading-implausible']);
    expect(
      analysis.windows.filter((w) => w.kind === 'hold').map((w) => Math.round(w.dpfDeltaP?.mean ?? 0)),
    ).toEqual([25, 30]);
  });
  it('does not take air mass a stroke for air mass a second', async () => {
    const rows = drill(
      (rpm) => rpm / 100,
      () => [450],
    );
    expect((await analyse(csv(`${HEADER},Air mass (mg/stroke)`, rows))).unmapped).toEqual([
      'Air mass (mg/stroke)',
    ]);
  });
});

describe('files that are none', () => {
  const refused = async (bytes: Uint8Array): Promise<string> => {
    const answer = await analyseLog(bytes);
    return answer.ok ? 'read' : inEnglish(describeFailure(answer.failure));
  };
  it.each([
    ['an empty file', new Uint8Array(), /is empty/],
    ['a picture', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]), /is a picture/],
    ['a spreadsheet', Uint8Array.from([0x50, 0x4b, 3, 4, 1, 2]), /export it as CSV/],
    ['bytes', Uint8Array.from({ length: 300 }, (_, i) => (i * 37) % 256), /binary data/],
    ['a web page', text(['<!DOCTYPE html>', '<html><body>1,2,3</body></html>']), /web page/],
    ['prose', text(['The filter is blocked', 'I think it is the sensor', 'We shall see']), /not a table/],
    ['numbers without a heading', text(['1,2,3', '4,5,6', '7,8,9']), /no heading/],
    ['a heading alone', text([HEADER, '0,820,2']), /fewer than two/],
    [
      'a table without time',
      text(['Engine speed (rpm),DPF dP (mbar)', '820,1', '830,2', '840,3']),
      /neither a time column nor a stated sample rate/,
    ],
  ])('says what is wrong with %s', async (_name, bytes, message) => {
    expect(await refused(bytes)).toMatch(message);
  });
});
