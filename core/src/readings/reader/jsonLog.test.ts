import { describeFailure, inEnglish } from '../../words/index.ts';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../../quantities/index.ts';
import { readLog } from './openLog.ts';

const bytesOf = (value: unknown): Uint8Array =>
  new TextEncoder().encode(typeof value === 'string' ? value : JSON.stringify(value));
const shown = async (value: unknown): Promise<string[]> => {
  const { columns } = valueOf(await readLog(bytesOf(value)));
  return columns.map(
    ({ name, unitText, timeS, values }) =>
      `${name} [${unitText ?? ''}]: ${[...values].map((v, i) => `${timeS[i] ?? 0}=${v}`).join(' ')}`,
  );
};
const RPM = 'RPM [rpm]: 0=800 1=810 2=820';
const MAP = 'MAP [mbar]: 0=1010 1=1011 2=1012';

describe('JSON in the shapes that tools write', () => {
  const rows = [0, 1, 2].map((t) => ({ time: t, 'RPM (rpm)': 800 + 10 * t, 'MAP (mbar)': 1010 + t }));
  it.each([
    ['rows as objects', rows],
    ['the same inside', { vehicle: 'Tarn 2.0', log: { rows } }],
    ['one object a line', rows.map((row) => JSON.stringify(row)).join('\n')],
    [
      'values with their units',
      rows.map((row) => ({
        time: row.time,
        RPM: { value: row['RPM (rpm)'], unit: 'rpm' },
        MAP: { value: row['MAP (mbar)'], unit: 'mbar' },
      })),
    ],
    [
      'columns as arrays',
      { time: [0, 1, 2], 'RPM (rpm)': [800, 810, 820], 'MAP (mbar)': [1010, 1011, 1012] },
    ],
    [
      'a heading and rows',
      [
        ['time', 'RPM (rpm)', 'MAP (mbar)'],
        [0, 800, 1010],
        [1, 810, 1011],
        [2, 820, 1012],
      ],
    ],
    [
      'columns and data',
      {
        columns: ['time', { name: 'RPM', unit: 'rpm' }, { name: 'MAP', unit: 'mbar' }],
        data: [
          [0, 800, 1010],
          [1, 810, 1011],
          [2, 820, 1012],
        ],
      },
    ],
    [
      'channels with times',
      {
        channels: [
          { name: 'RPM', unit: 'rpm', time: [0, 1, 2], values: [800, 810, 820] },
          { name: 'MAP', unit: 'mbar', time: [0, 1, 2], values: [1010, 1011, 1012] },
        ],
      },
    ],
    [
      'channels with points',
      {
        channels: [
          {
            name: 'RPM',
            unit: 'rpm',
            samples: [
              { t: 0, v: 800 },
              { t: 1, v: 810 },
              { t: 2, v: 820 },
            ],
          },
          {
            name: 'MAP',
            unit: 'mbar',
            data: [
              [0, 1010],
              [1, 1011],
              [2, 1012],
            ],
          },
        ],
      },
    ],
    [
      'channels by name',
      {
        RPM: { unit: 'rpm', t: [0, 1, 2], v: [800, 810, 820] },
        MAP: { unit: 'mbar', t: [0, 1, 2], v: [1010, 1011, 1012] },
      },
    ],
    [
      'one reading a row',
      rows.flatMap((row) => [
        { time: row.time, name: 'RPM', value: row['RPM (rpm)'], unit: 'rpm' },
        { time: row.time, name: 'MAP', value: row['MAP (mbar)'], unit: 'mbar' },
      ]),
    ],
  ])('%s', async (_name, value) => {
    expect(await shown(value)).toEqual([RPM, MAP]);
  });

  it('holds facts beside the data', async () => {
    const log = valueOf(
      await readLog(bytesOf({ vehicle: 'Tarn 2.0 van', engineDisplacement: '1998 cm3', rows })),
    );
    expect(log.facts).toEqual({ vehicle: 'Tarn 2.0 van', displacementL: 1.998 });
  });

  it('leaves no mark on anything by names such as __proto__', async () => {
    const rowsOfEvil = [0, 1, 2].map(
      (t) => `{"time":${t},"RPM":${800 + t},"__proto__":{"polluted":1},"constructor":2}`,
    );
    const log = valueOf(await readLog(bytesOf(`[${rowsOfEvil.join(',')}]`)));
    expect(log.columns.map(({ name }) => name)).toContain('RPM');
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });

  it.each([
    ['broken', '[{"time":0,', /begins like JSON but is not/],
    ['without a table', { name: 'x', list: [1, 2, 3] }, /holds no table/],
    ['without times', [{ RPM: 1 }, { RPM: 2 }, { RPM: 3 }], /heading|time/],
    ['empty', [], /no table|not a table|no heading/],
  ])('that is %s is refused with the reason', async (_name, value, message) => {
    const answer = await readLog(bytesOf(value));
    expect(answer.ok ? 'read' : inEnglish(describeFailure(answer.failure))).toMatch(message);
  });

  it('in a broken Parquet file is refused too', async () => {
    const answer = await readLog(
      Uint8Array.from([0x50, 0x41, 0x52, 0x31, 1, 2, 3, 4, 5, 6, 7, 8, 0x50, 0x41, 0x52, 0x31]),
    );
    expect(answer.ok ? 'read' : inEnglish(describeFailure(answer.failure))).toMatch(
      /Parquet file that cannot be read/,
    );
  });
});
