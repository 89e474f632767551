import { inEnglish } from '../../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { looksLikeData, readCell } from './cellValue.ts';
import { plainNumber, type DecimalMark } from './cellValue.ts';
import { checkLogBytes, TextPieces } from './decodeText.ts';
import { splitUnit } from './columnHeading.ts';
import { settleTimes, spreadCoarse } from './timeAxis.ts';
import { isTimeName, TimeCells } from './timeCells.ts';

describe('a cell', () => {
  it('is a number with point or comma, whatever its sign and exponent', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e8, max: 1e8, noNaN: true }), (value) => {
        const text = value.toFixed(4);
        expect(readCell(text, '.')).toEqual({ kind: 'number', value: Number(text) });
        expect(readCell(text.replace('.', ','), ',')).toEqual({ kind: 'number', value: Number(text) });
      }),
    );
    expect(readCell('1.5e3', '.')).toEqual({ kind: 'number', value: 1500 });
    expect(readCell('+.5', '.')).toEqual({ kind: 'number', value: 0.5 });
  });
  it.each(['', '  ', '-', '---', 'N/A', 'n.a.', 'NaN', 'null', 'ERR', '?', 'Invalid'])(
    '“%s” counts as not read',
    (text) => {
      expect(readCell(text, '.')).toEqual({ kind: 'missing' });
    },
  );
  it.each([
    ['ON', 1],
    ['aktiv', 1],
    ['Yes', 1],
    ['off', 0],
    ['nicht', undefined],
    ['inaktiv', 0],
  ] as const)('“%s” is %s', (text, value) => {
    expect(readCell(text, '.')).toEqual(
      value === undefined ? { kind: 'unusable' } : { kind: 'number', value },
    );
  });
  it.each(['1#2', '12 apples', '1.2.3', '1e999', '9999999999999'])(
    '“%s” is damage, not a measurement',
    (text) => {
      expect(readCell(text, '.').kind).toBe('unusable');
    },
  );
  it('may carry its unit, and thousands in groups', () => {
    expect(readCell('12.5 mbar', '.')).toEqual({ kind: 'number', value: 12.5, unitText: 'mbar' });
    expect(readCell('1.234,5', ',')).toEqual({ kind: 'number', value: 1234.5 });
    expect(readCell('1,013', '.')).toEqual({ kind: 'number', value: 1013 });
    expect(readCell('−40', '.')).toEqual({ kind: 'number', value: -40 });
  });
  it('is read by the fast way exactly as by the slow one, or left to it', () => {
    const written = fc.oneof(
      fc
        .double({ min: -1e7, max: 1e7, noNaN: true })
        .chain((value) => fc.integer({ min: 0, max: 8 }).map((digits) => value.toFixed(digits))),
      fc.string({ maxLength: 8, unit: fc.constantFrom(...'0123456789.-+, e') }),
    );
    fc.assert(
      fc.property(written, fc.constantFrom<DecimalMark>('.', ','), (text, mark) => {
        const fast = plainNumber(text, mark);
        if (Number.isNaN(fast)) return;
        expect(readCell(text, mark)).toEqual({ kind: 'number', value: fast });
      }),
      { numRuns: 2000 },
    );
  });
  it('tells data from headings', () => {
    for (const data of ['1', '-3,5', '08:15:30.5', '2026-05-11T08:00:00Z', '1.5e-3'])
      expect(looksLikeData(data), data).toBe(true);
    for (const heading of ['Time', 'EGT 1', 'rpm', 'P2463', ''])
      expect(looksLikeData(heading), heading).toBe(false);
  });
});

describe('a heading', () => {
  it('gives up its unit in brackets of either kind, and keeps brackets that hold none', () => {
    expect(splitUnit('Mass air flow (g/s)')).toEqual({ name: 'Mass air flow', unitText: 'g/s' });
    expect(splitUnit(' Drehzahl [1/min] ')).toEqual({ name: 'Drehzahl', unitText: '1/min' });
    expect(splitUnit('EGT (pre-DPF)')).toEqual({ name: 'EGT (pre-DPF)' });
    expect(splitUnit('Plain')).toEqual({ name: 'Plain' });
  });
});

describe('a time axis', () => {
  const seconds = (cells: readonly string[], unit?: string, mark: DecimalMark = '.'): number[] => {
    const reader = new TimeCells(mark);
    const raw = Float64Array.from(cells, (cell) => reader.read(cell));
    reader.scale(raw, unit);
    const first = raw.find(Number.isFinite) ?? 0;
    return [...raw].map((t) => Math.round((t - first) * 1e6) / 1e6);
  };
  it('reads each way of writing time as seconds since the first row', () => {
    expect(seconds(['5.0', '5.5', '6.5'])).toEqual([0, 0.5, 1.5]);
    expect(seconds(['5,0', '5,5'], 's', ',')).toEqual([0, 0.5]);
    expect(seconds(['1000', '1200', '1500'], 'ms')).toEqual([0, 0.2, 0.5]);
    expect(seconds(['0', '200', '400'])).toEqual([0, 0.2, 0.4]);
    expect(seconds(['0', '1', '2'], 'min')).toEqual([0, 60, 120]);
    expect(seconds(['08:00:00.5', '08:00:01,0'])).toEqual([0, 0.5]);
    expect(seconds(['08:00:00:500', '08:00:01:000'])).toEqual([0, 0.5]);
    expect(seconds(['11:59:59 AM', '12:00:01 PM', '1:00:01 PM'])).toEqual([0, 2, 3602]);
    expect(seconds(['23:59:59', '00:00:01'])).toEqual([0, 2]);
    expect(seconds(['00:01.5', '00:02.0', '01:00.0'])).toEqual([0, 0.5, 58.5]);
    expect(seconds(['2026-05-11T08:00:00Z', '2026-05-11T08:00:02.5Z'])).toEqual([0, 2.5]);
    expect(seconds(['2026-03-29T01:59:59+01:00', '2026-03-29T03:00:00+02:00'])).toEqual([0, 1]);
    expect(seconds(['11.05.2026 08:00:00', '11.05.2026 08:00:02,5'])).toEqual([0, 2.5]);
    expect(seconds(['20260511T080000', '20260511T080001.25'])).toEqual([0, 1.25]);
    expect(seconds(['1778486400000', '1778486400250'])).toEqual([0, 0.25]);
    expect(seconds(['1778486400.1', '1778486400.35'])).toEqual([0, 0.25]);
    expect(seconds(['45000.5', '45000.50001'])).toEqual([0, 0.864]);
  });
  it('marks what it cannot read', () => {
    expect(seconds(['1', '', 'x', '4'])).toEqual([0, Number.NaN, Number.NaN, 3]);
  });

  const settled = (times: readonly number[]) => {
    const { timeS, order, warnings } = settleTimes(Float64Array.from(times), (row) => row + 10);
    const rows = order ? [...order] : [...timeS.keys()];
    return { rows, times: rows.map((row) => timeS[row] as number), warnings };
  };
  it('leaves a sound axis alone', () => {
    expect(settled([5, 5.5, 5.5, 7])).toEqual({ rows: [0, 1, 2, 3], times: [0, 0.5, 0.5, 2], warnings: [] });
  });
  it('drops rows without a time and a single leap, sorts small disorder, and names the first line of each', () => {
    const { rows, warnings } = settled([0, 1, Number.NaN, 2, 1.8, 9999, 3, 4]);
    expect(rows).toEqual([0, 1, 4, 3, 6, 7]);
    expect(warnings.map(({ text, row }) => [inEnglish(text).slice(0, 24), row])).toEqual([
      ['1 row left out: the time', 15],
      ['1 row left out: no time ', 12],
      ['1 row stood out of order', 14],
    ]);
  });
  it('goes on where a clock was set back', () => {
    const { times, warnings } = settled([100, 101, 102, 0, 1, 2, 3, 4, 5]);
    expect(times).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
    expect(inEnglish(warnings[0]?.text)).toMatch(/jumped back at 1 row/);
  });
  it('sorts a log that runs backwards', () => {
    const { rows, times } = settled([5, 4, 3, 2, 1]);
    expect(rows).toEqual([4, 3, 2, 1, 0]);
    expect(times).toEqual([0, 1, 2, 3, 4]);
  });
  it('never falls and never holds what is no number, whatever comes', () => {
    const any = fc.oneof(
      fc.double({ min: -100, max: 100, noNaN: true }),
      fc.double(),
      fc.constantFrom(1e308, -1e308, Number.NaN),
    );
    fc.assert(
      fc.property(fc.array(any, { maxLength: 60 }), (times) => {
        const finite = times.map((t) => (Number.isFinite(t) ? t : Number.NaN));
        const kept = settled(finite).times;
        for (const [i, t] of kept.entries()) {
          expect(Number.isFinite(t)).toBe(true);
          if (i > 0) expect(t).toBeGreaterThanOrEqual(kept[i - 1] as number);
        }
      }),
    );
  });
  it('spreads several rows under one stamp, and leaves single repeats', () => {
    const coarse = Float64Array.from([0, 0, 0, 0, 1, 1, 1, 1, 2, 2]);
    expect(spreadCoarse(coarse)).toBe(7);
    expect([...coarse]).toEqual([0, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 1.75, 2, 2.5]);
    expect(spreadCoarse(Float64Array.from([0, 1, 1, 2, 3]))).toBe(0);
  });
  it('knows its names in several tongues', () => {
    for (const name of [
      'Time',
      'Timestamp',
      'Zeit',
      'Uhrzeit',
      'temps',
      'Elapsed time',
      'Tiempo',
      'Czas',
      'Time_ms',
      'Log time',
    ])
      expect(isTimeName(name), name).toBe(true);
    for (const name of ['Engine speed', 'Timing advance', 'Tank', 'T exhaust 1', 'Time since regeneration'])
      expect(isTimeName(name), name).toBe(false);
  });
});

describe('bytes', () => {
  const encode = (text: string): Uint8Array => new TextEncoder().encode(text);
  it('are decoded by their mark, their zeros or their validity', () => {
    const decoded = (bytes: Uint8Array, pieces = 1): string[] => {
      const reader = new TextPieces(bytes);
      const size = Math.ceil(bytes.length / pieces);
      let text = '';
      for (let at = 0; at < bytes.length; at += size) text += reader.push(bytes.subarray(at, at + size));
      text += reader.push(new Uint8Array(), true);
      return [reader.encoding, text.replace('\uFEFF', '')];
    };
    for (let pieces = 1; pieces < 8; pieces++)
      expect(decoded(encode('Größe 5 °C'), pieces)).toEqual(['utf-8', 'Größe 5 °C']);
    expect(decoded(encode('Größe'))).toEqual(['utf-8', 'Größe']);
    expect(decoded(Uint8Array.from([0x47, 0x72, 0xf6, 0xdf, 0x65]))).toEqual(['latin-1', 'Größe']);
    expect(decoded(Uint8Array.from([0xff, 0xfe, 0x41, 0, 0x42, 0]))).toEqual(['utf-16le', 'AB']);
    expect(decoded(Uint8Array.from([0xfe, 0xff, 0, 0x41, 0, 0x42]))).toEqual(['utf-16be', 'AB']);
    expect(decoded(Uint8Array.from([0x41, 0, 0x42, 0, 0x43, 0]))).toEqual(['utf-16le', 'ABC']);
  });
  it('never make the check throw, whatever they are', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
        const checked = checkLogBytes(bytes);
        expect(checked.ok || inEnglish(checked.failure.requirement).length > 3).toBe(true);
      }),
    );
  });
});
