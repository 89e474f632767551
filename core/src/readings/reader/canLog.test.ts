import { describeFailure, inEnglish } from '../../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../../quantities/index.ts';
import { readLog } from './openLog.ts';
import { OBD_PARAMETERS } from './obdParameters.ts';
import type { RawLog } from './rawLog.ts';

const read = async (...lines: string[]): Promise<RawLog> =>
  valueOf(await readLog(new TextEncoder().encode(`${lines.join('\n')}\n`)));
const latest = ({ columns }: RawLog): Record<string, number | undefined> =>
  Object.fromEntries(columns.map(({ name, values }) => [name, values.at(-1)]));

const hex = (bytes: readonly number[]): string =>
  bytes.map((byte) => byte.toString(16).padStart(2, '0').toUpperCase()).join('');

/** A message as frames of ISO 15765-2, padded. */
function frames(id: string, at: number, message: readonly number[]): string[] {
  const line = (bytes: readonly number[], i: number): string =>
    `(${(1000 + at + i * 0.002).toFixed(6)}) can0 ${id}#${hex([...bytes, ...Array.from({ length: 8 - bytes.length }, () => 0xaa)])}`;
  if (message.length <= 7) return [line([message.length, ...message], 0)];
  const out = [line([0x10 | (message.length >> 8), message.length & 0xff, ...message.slice(0, 6)], 0)];
  for (let i = 6, n = 1; i < message.length; i += 7, n++)
    out.push(line([0x20 | (n & 0x0f), ...message.slice(i, i + 7)], n));
  return out;
}

describe('answers of service 01', () => {
  it.each([
    ['engine speed', [0x41, 0x0c, 0x1a, 0xf8], { 'PID 0C': 1726 }],
    ['coolant', [0x41, 0x05, 0x7b], { 'PID 05': 83 }],
    ['manifold', [0x41, 0x0b, 0x65], { 'PID 0B': 1010 }],
    ['air mass', [0x41, 0x10, 0x01, 0x2c], { 'PID 10': 3 }],
    ['several in one', [0x41, 0x0c, 0x0c, 0x80, 0x0d, 0x32], { 'PID 0C': 800, 'PID 0D': 50 }],
    ['ΔP below zero', [0x41, 0x7a, 0x01, 0xff, 0xf6, 0, 0, 0, 0], { 'PID 7A filter ΔP': -1 }],
    [
      'all filter pressures',
      [0x41, 0x7a, 0x07, 0x00, 0x54, 0x27, 0x8f, 0x27, 0x3b],
      { 'PID 7A filter ΔP': 8.4, 'PID 7A filter inlet': 1012.7, 'PID 7A filter outlet': 1004.3 },
    ],
    [
      'EGTs, the second not fitted',
      [0x41, 0x78, 0x0d, 0x0a, 0xda, 0, 0, 0x0a, 0x56, 0x09, 0xf7],
      { 'PID 78 EGT 1': 237.8, 'PID 78 EGT 3': 224.6, 'PID 78 EGT 4': 215.1 },
    ],
    ['back-pressure', [0x41, 0x73, 0x01, 0x2f, 0x44, 0, 0], { 'PID 73 exhaust pressure': 1210 }],
    ['aftertreatment', [0x41, 0x8b, 0x11, 0x01, 0x80, 0, 0, 0, 0], { 'PID 8B regeneration running': 1 }],
  ])('%s', async (_name, message, expected) => {
    const log = await read(...frames('7E8', 0, message), ...frames('7E8', 1, message));
    for (const [name, value] of Object.entries(expected))
      expect(latest(log)[name], name).toBeCloseTo(value, 6);
  });

  it('are read from either way of writing frames, with 11 and 29 bits', async () => {
    const compact = await read('(100.0) can0 7E8#04410C0C80AAAAAA', '(100.5) can0 7E8#04410C0D00AAAAAA');
    const spaced = await read(
      ' (100.0)  can0  7E8   [8]  04 41 0C 0C 80 AA AA AA',
      ' (100.5)  can0  7E8   [8]  04 41 0C 0D 00 AA AA AA',
    );
    const long = await read(
      '(100.0) can0 18DAF110#04410C0C80AAAAAA',
      '(100.5) can0 18DAF110#04410C0D00AAAAAA',
    );
    for (const { columns } of [compact, spaced, long]) {
      expect(
        columns.map(({ source, role, timeS, values }) => [source, role, [...timeS], [...values]]),
      ).toEqual([['PID 0C', 'engineSpeed', [0, 0.5], [800, 832]]]);
    }
  });

  it('of two control units stay apart: the one that says more is the engine', async () => {
    const log = await read(
      ...frames('7E8', 0, [0x41, 0x0c, 0x0c, 0x80]),
      ...frames('7E9', 0.1, [0x41, 0x0c, 0x0d, 0x00]),
      ...frames('7E8', 0.2, [0x41, 0x05, 0x7b]),
    );
    expect(log.columns.map(({ name, role }) => [name, role])).toEqual([
      ['PID 0C', 'engineSpeed'],
      ['PID 0C of 7E9', undefined],
      ['PID 05', 'coolantTemp'],
    ]);
  });

  it('keep an unknown number as a raw figure, and pass over requests, other services and lines that are none', async () => {
    const log = await read(
      '(1.0) can0 7DF#02010C0000000000',
      ...frames('7E8', 0, [0x41, 0xb1, 0x12, 0x34]),
      ...frames('7E8', 0.5, [0x62, 0xf1, 0x90, 0x31]),
      ...frames('7E8', 1, [0x41, 0x0c, 0x0c, 0x80]),
      'nonsense',
    );
    expect(latest(log)).toEqual({ 'PID B1 as raw figure': 0x1234, 'PID 0C': 800 });
    expect(inEnglish(log.warnings)).toEqual([
      { code: 'can-line-unreadable', row: 5, text: '1 line holds no CAN frame and was passed over.' },
    ]);
  });

  it('leave out a message whose frames do not fit together, and say so', async () => {
    const [first, , third] = frames(
      '7E8',
      0,
      [0x41, 0x78, 0x0f, 0x0a, 0xda, 0x0a, 0x7f, 0x0a, 0x56, 0x09, 0xf7, 0, 0, 0, 0, 0],
    );
    const log = await read(first as string, third as string, ...frames('7E8', 1, [0x41, 0x0c, 0x0c, 0x80]));
    expect(Object.keys(latest(log))).toEqual(['PID 0C']);
    expect(log.warnings.map(({ code }) => code)).toContain('can-frame-lost');
  });

  it('without any answer are refused with the reason', async () => {
    const answer = await readLog(
      new TextEncoder().encode('(1.0) can0 123#0011223344556677\n(1.1) can0 123#0011223344556677\n'),
    );
    expect(answer.ok ? '' : inEnglish(describeFailure(answer.failure))).toMatch(
      /no control unit answers service 01/,
    );
  });

  it('give every value of every parameter within what its bytes can say', async () => {
    const one = fc.constantFrom(...Object.keys(OBD_PARAMETERS).map(Number)).chain((pid) =>
      fc
        .uint8Array({
          minLength: OBD_PARAMETERS[pid]?.length ?? 1,
          maxLength: OBD_PARAMETERS[pid]?.length ?? 1,
        })
        .map((data) => [pid, [...data]] as const),
    );
    await fc.assert(
      fc.asyncProperty(one, async ([pid, data]) => {
        const message = [0x41, pid, ...data];
        const answer = await readLog(
          new TextEncoder().encode(
            [...frames('7E8', 0, message), ...frames('7E8', 1, [0x41, 0x0c, 0x0c, 0x80])].join('\n'),
          ),
        );
        const log = valueOf(answer);
        const parameter = OBD_PARAMETERS[pid];
        const fitted =
          parameter?.values.filter(
            ({ fittedBit }) => fittedBit === undefined || (((data[0] ?? 0) >> fittedBit) & 1) === 1,
          ).length ?? 0;
        expect(
          log.columns.filter(
            ({ source }) => source === `PID ${pid.toString(16).toUpperCase().padStart(2, '0')}`,
          ),
        ).toHaveLength(fitted);
        for (const { values } of log.columns)
          expect([...values].every((value) => Math.abs(value) <= 6_553_600)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it('describe parameters whose values lie inside their bytes', () => {
    for (const [pid, { length, values }] of Object.entries(OBD_PARAMETERS)) {
      for (const { at, bytes, label } of values)
        expect(at + bytes, `${pid} ${label}`).toBeLessThanOrEqual(length);
      expect(new Set(values.map(({ label }) => label)).size).toBe(values.length);
    }
  });
});
