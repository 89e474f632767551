import { describeFailure, inEnglish } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { analyseLog } from './index.ts';
import { text, analyse, drill, csv, HEADER } from './testing/madeCsv.ts';

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
