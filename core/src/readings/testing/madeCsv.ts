import { valueOf } from '../../quantities/index.ts';
import { analyseLog, type LogAnalysis } from '../index.ts';

export const text = (lines: readonly string[]): Uint8Array =>
  new TextEncoder().encode(`${lines.join('\n')}\n`);

export const analyse = async (bytes: Uint8Array, options = {}): Promise<LogAnalysis> =>
  valueOf(await analyseLog(bytes, options)).analysis;

/** A small drill written out: rows of time, rpm and pressure by a function of the speed. */
export function drill(
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

export const csv = (header: string, rows: string[][], delimiter = ','): Uint8Array =>
  text([header, ...rows.map((row) => row.join(delimiter))]);

export const HEADER = 'Time (s),Engine speed (rpm),DPF differential pressure (mbar)';
