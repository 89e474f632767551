import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { looksLikeData, readCell } from './cellValue.ts';
import { checkLogBytes, decodeText } from './decodeText.ts';
import { splitUnit } from './delimitedLog.ts';
import { isTimeName, readTimes, repairTimes } from './timeAxis.ts';

describe('a cell', () => {
  it('is a number with point or comma, whatever its sign and exponent', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e8, max: 1e8, noNaN: true }), (value) => {
        const text = value.toFixed(4);
        expect(readCell(text, false)).toEqual({ kind: 'number', value: Number(text) });
        expect(readCell(text.replace('.', ','), true)).toEqual({ kind: 'number', value: Number(text) });
      }),
    );
    expect(readCell('1.5e3', false)).toEqual({ kind: 'number', value: 1500 });
    expect(readCell('+.5', false)).toEqual({ kind: 'number', value: 0.5 });
  });
  it.each(['', '  ', '-', '---', 'N/A', 'n.a.', 'NaN', 'null', 'ERR', '?', 'Invalid'])(
    '“%s” counts as not read',
    (text) => {
      expect(readCell(text, false)).toEqual({ kind: 'missing' });
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
    expect(readCell(text, false)).toEqual(
      value === undefined ? { kind: 'unusable' } : { kind: 'number', value },
    );
  });
  it.each(['1#2', '12 mbar', '1.2.3', '1e999', '9999999999999'])(
    '“%s” is damage, not a measurement',
    (text) => {
      expect(readCell(text, false).kind).toBe('unusable');
    },
  );
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
  const seconds = (cells: readonly string[], unit?: string, comma = false): number[] => [
    ...readTimes(cells, unit, comma),
  ];
  it('reads each way of writing time as seconds since the first row', () => {
    expect(seconds(['5.0', '5.5', '6.5'])).toEqual([0, 0.5, 1.5]);
    expect(seconds(['5,0', '5,5'], 's', true)).toEqual([0, 0.5]);
    expect(seconds(['1000', '1200', '1500'], 'ms')).toEqual([0, 0.2, 0.5]);
    expect(seconds(['0', '200', '400'])).toEqual([0, 0.2, 0.4]);
    expect(seconds(['08:00:00.5', '08:00:01,0'])).toEqual([0, 0.5]);
    expect(seconds(['23:59:59', '00:00:01'])).toEqual([0, 2]);
    expect(seconds(['2026-05-11T08:00:00Z', '2026-05-11T08:00:02.5Z'])).toEqual([0, 2.5]);
    expect(seconds(['1778486400000', '1778486400250'])).toEqual([0, 0.25]);
  });
  it('marks what it cannot read', () => {
    expect(seconds(['1', '', 'x', '4'])).toEqual([0, Number.NaN, Number.NaN, 3]);
  });
  it('keeps only rows that go forward, and names the first that does not', () => {
    const { keep, warnings } = repairTimes(Float64Array.from([0, 1, 1, 0.5, Number.NaN, 2]), 10);
    expect([...keep]).toEqual([0, 1, 5]);
    expect(warnings).toEqual([
      expect.objectContaining({
        code: 'time-repaired',
        row: 12,
        text: expect.stringMatching(/^3 rows left out: 2 .* 1 have none/) as string,
      }),
    ]);
  });
  it('always rises', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -100, max: 100 }), { maxLength: 60 }), (times) => {
        const { keep } = repairTimes(Float64Array.from(times), 1);
        const kept = [...keep].map((i) => times[i] as number);
        for (const [i, t] of kept.entries()) if (i > 0) expect(t).toBeGreaterThan(kept[i - 1] as number);
      }),
    );
  });
  it('knows its names in several tongues', () => {
    for (const name of ['Time', 'Timestamp', 'Zeit', 'Uhrzeit', 'temps', 'Elapsed time'])
      expect(isTimeName(name), name).toBe(true);
    for (const name of ['Engine speed', 'Timing advance', 'Tank']) expect(isTimeName(name), name).toBe(false);
  });
});

describe('bytes', () => {
  const encode = (text: string): Uint8Array => new TextEncoder().encode(text);
  it('are decoded by their mark, their zeros or their validity', () => {
    const decoded = (bytes: Uint8Array) => {
      const result = decodeText(bytes);
      return result.ok
        ? [result.value.encoding, result.value.text.replace('\uFEFF', '')]
        : result.failure.requirement;
    };
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
        expect(checked.ok || checked.failure.requirement.length > 3).toBe(true);
      }),
    );
  });
});
