import { describeFailure, inEnglish } from '../../words/index.ts';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../../quantities/index.ts';
import { readLog } from './openLog.ts';
import type { RawLog } from './rawLog.ts';

const read = async (...lines: string[]): Promise<RawLog> =>
  valueOf(await readLog(new TextEncoder().encode(`${lines.join('\n')}\n`)));

/** Each column as `name [unit]: time=value …`, as far as it goes. */
const shown = ({ columns }: RawLog): string[] =>
  columns.map(
    ({ name, unitText, timeS, values }) =>
      `${name} [${unitText ?? ''}]: ${[...values].map((value, i) => `${Number((timeS[i] ?? 0).toFixed(3))}=${value}`).join(' ')}`,
  );
const codes = ({ warnings }: RawLog): string[] =>
  warnings.map(({ code, row }) => `${code} ${row ?? ''}`.trim());

describe('wide tables', () => {
  it('take units from the heading, from a row, from a column beside each value, or from the cells', async () => {
    const expected = ['Engine speed [rpm]: 0=800 0.5=820', 'DPF dP [kPa]: 0=0.3 0.5=0.4'];
    expect(shown(await read('Time (s);Engine speed (rpm);DPF dP [kPa]', '1;800;0.3', '1.5;820;0.4'))).toEqual(
      expected,
    );
    expect(shown(await read('Time;Engine speed;DPF dP', 's;rpm;kPa', '1;800;0.3', '1.5;820;0.4'))).toEqual(
      expected,
    );
    expect(
      shown(await read('Time;Engine speed;Unit;DPF dP;Unit', '1;800;rpm;0.3;kPa', '1.5;820;rpm;0.4;kPa')),
    ).toEqual(expected);
    expect(shown(await read('Time;Engine speed;DPF dP', '1;800 rpm;0.3 kPa', '1.5;820 rpm;0.4 kPa'))).toEqual(
      expected,
    );
  });

  it('find their heading under a preamble, and of several heading rows the one of known names', async () => {
    const log = await read(
      'Recorded on the road',
      'Vehicle;Tarn 2.0 van',
      'Engine displacement: 1998 cm3',
      '',
      'Time;Engine;Engine;Exhaust',
      's;Engine speed;Coolant temperature;DPF differential pressure',
      's;1/min;°C;hPa',
      '0,0;801;82,5;3,1',
      '0,2;803;82,5;3,2',
    );
    expect(shown(log)).toEqual([
      'Engine speed [1/min]: 0=801 0.2=803',
      'Coolant temperature [°C]: 0=82.5 0.2=82.5',
      'DPF differential pressure [hPa]: 0=3.1 0.2=3.2',
    ]);
    expect(log.facts).toEqual({ vehicle: 'Tarn 2.0 van', displacementL: 1.998 });
  });

  it('tell decimal commas from separators, quoted or not', async () => {
    expect(shown(await read('Time;RPM', '12,5;800,1', '13,5;801,2'))).toEqual(['RPM []: 0=800.1 1=801.2']);
    expect(shown(await read('"Time","RPM"', '"12,5","800,1"', '"13,5","801,2"'))).toEqual([
      'RPM []: 0=800.1 1=801.2',
    ]);
    expect(shown(await read('Time\tRPM', '12,5\t1.800,1', '13,5\t1.801,2'))).toEqual([
      'RPM []: 0=1800.1 1=1801.2',
    ]);
  });

  it('keep what asynchronous rows hold, each channel with its own times', async () => {
    const log = await read('Time (s),RPM,MAP (mbar)', '0.0,800,', '0.1,,1010', '0.2,---,1011', '0.3,805,N/A');
    expect(shown(log)).toEqual(['RPM []: 0=800 0.3=805', 'MAP [mbar]: 0.1=1010 0.2=1011']);
    expect(codes(log)).toEqual([]);
  });

  it('let every channel bring its own column of times', async () => {
    const log = await read(
      'Time A,RPM,Time B,MAP (mbar)',
      '0.0,800,0.05,1010',
      '0.5,810,0.30,1011',
      '1.0,820,,',
      '1.5,825,,',
    );
    expect(shown(log)).toEqual(['RPM []: 0=800 0.5=810 1=820 1.5=825', 'MAP [mbar]: 0=1010 0.25=1011']);
  });

  it('take a rising first column for the time where none is named so, and say it', async () => {
    const log = await read('X axis,RPM', '0.0,800', '0.5,810', '1.0,805');
    expect(shown(log)).toEqual(['RPM []: 0=800 0.5=810 1=805']);
    expect(codes(log)).toEqual(['time-guessed']);
  });

  it('put date and clock of two columns together, over midnight', async () => {
    const log = await read('Date,Time,RPM', '31.12.2025,23:59:59.5,800', '01.01.2026,00:00:00.0,810');
    expect(shown(log)).toEqual(['RPM []: 0=800 0.5=810']);
  });

  it('take the rate where rows are numbered, or only counted', async () => {
    expect(shown(await read('Sample rate: 5 Hz', 'Sample,RPM,MAP', '0,800,1010', '2,810,1011'))).toEqual([
      'RPM []: 0=800 0.4=810',
      'MAP []: 0=1010 0.4=1011',
    ]);
    expect(shown(await read('Abtastintervall: 200 ms', 'RPM;MAP', '800;1010', '810;1011'))).toEqual([
      'RPM []: 0=800 0.2=810',
      'MAP []: 0=1010 0.2=1011',
    ]);
  });

  it('give like names apart, and nameless columns a number', async () => {
    const log = await read('Time,Value,Value,,RPM', '0,1,2,3,800', '1,1,2,3,801');
    expect(log.columns.map(({ name }) => name)).toEqual(['Value', 'Value (2)', 'column 4', 'RPM']);
  });

  it('read quoted cells with separators, quotes and line ends inside; a lone quote is a character', async () => {
    expect(shown(await read('Time,"Pipe, 12"" wide",RPM', '0,1,800', '1,2,801'))).toEqual([
      'Pipe, 12" wide []: 0=1 1=2',
      'RPM []: 0=800 1=801',
    ]);
    const log = await read('Time,RPM,"Remark\nin two lines"', '0,800,1', '1,801,2', '2,802,3');
    expect(log.columns[0]?.values).toHaveLength(3);
    const odd = await read(
      'Time,RPM,Pipe',
      '0,800,1',
      '1,801,"',
      ...Array.from({ length: 60 }, (_, i) => `${i + 2},${802 + i},3`),
    );
    expect(odd.columns[0]?.values).toHaveLength(62);
  });

  it('read lines that end in CR LF, in CR alone, or in a separator too many', async () => {
    for (const end of ['\r\n', '\r']) {
      const bytes = new TextEncoder().encode(['Time;RPM', '0;800', '1;801', '2;802'].join(end) + end);
      expect(shown(valueOf(await readLog(bytes)))).toEqual(['RPM []: 0=800 1=801 2=802']);
    }
    expect(shown(await read('Time;RPM', '0;800;', '1;801;', '2;802;'))).toEqual([
      'RPM []: 0=800 1=801 2=802',
    ]);
  });

  it('name the row of each repair: heading again, short rows, a last line cut off', async () => {
    const log = await read(
      'Time,RPM,MAP',
      '0,800,1010',
      'Time,RPM,MAP',
      '1,801,1011',
      '2,802',
      '3,803,1013',
      '4,80',
    );
    expect(shown(log)).toEqual(['RPM []: 0=800 1=801 3=803', 'MAP []: 0=1010 1=1011 3=1013']);
    expect(codes(log)).toEqual(['header-repeated 3', 'row-incomplete 5']);
  });

  it('stop where another table begins, rather than put its figures under wrong names', async () => {
    const log = await read(
      'Time,RPM,MAP',
      '0,800,1010',
      '1,801,1011',
      'Time,Coolant,Intake air',
      '2,82,25',
      '3,82,25',
    );
    expect(shown(log)).toEqual(['RPM []: 0=800 1=801', 'MAP []: 0=1010 1=1011']);
    expect(codes(log)).toEqual(['table-changes 4']);
  });

  it('spread rows that share a stamp of whole seconds', async () => {
    const rows = [0, 0, 0, 0, 1, 1, 1, 1].map((s, i) => `08:00:0${s},${800 + i}`);
    const log = await read('Clock,RPM', ...rows);
    expect([...(log.columns[0]?.timeS ?? [])]).toEqual([0, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 1.75]);
    expect(codes(log)).toEqual(['time-coarse 2']);
  });
});

describe('long tables', () => {
  it('give each name its readings, its unit and its times', async () => {
    const log = await read(
      'timestamp,name,value,unit',
      '10.0,RPM,800,rpm',
      '10.1,MAP,1010,mbar',
      '10.4,RPM,805,rpm',
      '10.6,MAP,,mbar',
      '10.7,MAP,1012,mbar',
    );
    expect(shown(log)).toEqual(['RPM [rpm]: 0=800 0.4=805', 'MAP [mbar]: 0.1=1010 0.7=1012']);
    expect(inEnglish(log.format)).toBe('delimited, one reading a row (,)');
  });

  it('are known in other tongues, with more columns, and with the unit behind the name', async () => {
    const german = await read(
      'Zeit;Steuergerät;Messgröße;Messwert;Einheit',
      ...[0, 1, 2, 3].flatMap((t) => [
        `${t},5;Motor;Drehzahl;80${t},5;1/min`,
        `${t},6;Motor;Ladedruck;101${t};hPa`,
      ]),
    );
    expect(shown(german)[0]).toBe('Drehzahl [1/min]: 0=800.5 1=801.5 2=802.5 3=803.5');
    const behind = await read(
      'time|signal|value',
      ...[0, 1, 2].flatMap((t) => [`${t}|RPM (rpm)|80${t}`, `${t}|MAP (kPa)|10${t}`]),
    );
    expect(shown(behind)).toEqual(['RPM [rpm]: 0=800 1=801 2=802', 'MAP [kPa]: 0=100 1=101 2=102']);
  });

  it('are sorted where rows stand out of order', async () => {
    const log = await read(
      'time,name,value',
      '0,RPM,800',
      '0,MAP,1010',
      '0.5,RPM,810',
      '0.4,MAP,1011',
      '1.0,RPM,820',
      '0.9,MAP,1012',
    );
    expect(shown(log)[1]).toBe('MAP []: 0=1010 0.4=1011 0.9=1012');
    expect(codes(log)).toEqual(['time-repaired 5']);
  });
});

describe('what cannot be read', () => {
  const refusal = async (text: string): Promise<string> => {
    const answer = await readLog(new TextEncoder().encode(text));
    return answer.ok ? 'read' : inEnglish(describeFailure(answer.failure));
  };
  it('is said: one endless line, too many columns, names without numbers', async () => {
    expect(await refusal('x'.repeat(5_000_000))).toMatch(/not a table/);
    expect(await refusal(`Time,RPM\n0,1\n1,2\n${'3,'.repeat(2_500_000)}`)).toMatch(
      /more than a million characters/,
    );
    const wide = Array.from({ length: 10_000 }, (_, i) => `c${i}`).join(',');
    expect(await refusal(`${wide}\n${wide.replaceAll('c', '')}\n${wide.replaceAll('c', '')}\n`)).toMatch(
      /10.?000 columns; up to 2.?000/,
    );
    expect(await refusal('time,name,value\n0,RPM,x\n1,MAP,y\n2,RPM,x\n3,MAP,z\n')).toMatch(
      /no column of numbers/,
    );
  });
});
