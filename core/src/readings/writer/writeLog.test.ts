import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../../quantities/index.ts';
import { sampleBytes } from '../../testing/samples.ts';
import {
  analyseLog,
  LOG_OUTPUTS,
  readLog,
  toRecording,
  writeLog,
  type LogOutput,
  type Recording,
} from '../index.ts';
import { asPlainText } from './tidyTable.ts';

async function written(recording: Recording, to: LogOutput): Promise<Uint8Array> {
  const pieces: Uint8Array[] = [];
  for await (const piece of writeLog(recording, to)) pieces.push(piece);
  return Buffer.concat(pieces);
}
const recordingOf = async (bytes: Uint8Array): Promise<Recording> =>
  toRecording(valueOf(await readLog(bytes)));
const fromText = (text: string): Promise<Recording> => recordingOf(new TextEncoder().encode(text));

const SAMPLES = [
  'sample1-healthy.csv',
  'sample4-dead-dp-sensor.csv',
  'sample5-slow-back-pressure-pipe.csv',
  'sample6-cleaning-warm-up.csv',
  'sample7-regeneration-drive.log',
];

describe.each(LOG_OUTPUTS)('a log written as %s', (to) => {
  it.each(SAMPLES)('and read again shows the same: %s', async (file) => {
    const first = valueOf(await analyseLog(sampleBytes(file), { displacementL: 2 }));
    const bytes = await written(first.recording, to);
    const again = valueOf(await analyseLog(bytes, { displacementL: 2 }));
    expect(again.analysis.channels.map(({ role }) => role)).toEqual(
      first.analysis.channels.map(({ role }) => role),
    );
    expect(new Set(again.analysis.findings.map(({ id }) => id))).toEqual(
      new Set(first.analysis.findings.map(({ id }) => id)),
    );
    expect(again.analysis.windows.map(({ kind }) => kind)).toEqual(
      first.analysis.windows.map(({ kind }) => kind),
    );
    for (const [role, { values, timeS }] of first.recording.channels) {
      const read = again.recording.channels.get(role);
      expect(read?.values.length, role).toBe(values.length);
      const origin = first.recording.columns[0]?.timeS[0] ?? 0;
      const off = values.findIndex(
        (value, i) =>
          !(Math.abs((read?.values[i] ?? Number.NaN) - value) < 1e-6 * Math.max(1, Math.abs(value))),
      );
      const late = timeS.findIndex(
        (t, i) => !(Math.abs((read?.timeS[i] ?? Number.NaN) - (t - origin)) < 0.7),
      );
      expect([off, late], role).toEqual([-1, -1]);
    }
  });
});

describe('a written table', () => {
  it('names roles and base units, keeps other columns, leaves out what was not read', async () => {
    const recording = await fromText('Time (s),RPM (rpm),DPF dP (psi),Fan (rpm)\n0,800,0.1,\n1,810,,55\n');
    expect(Buffer.from(await written(recording, 'csv')).toString()).toBe(
      'time (s),engineSpeed (rpm),dpfDeltaP (mbar),Fan (rpm)\n0,800,6.8947573,\n1,810,,55\n',
    );
    expect(JSON.parse(Buffer.from(await written(recording, 'json')).toString())).toEqual([
      { 'time (s)': 0, 'engineSpeed (rpm)': 800, 'dpfDeltaP (mbar)': 6.8947573 },
      { 'time (s)': 1, 'engineSpeed (rpm)': 810, 'Fan (rpm)': 55 },
    ]);
  });

  it('lets no heading run as a formula, and quotes what needs it', async () => {
    const recording = await fromText('Time (s);RPM;=HYPERLINK("x");@a,b\n0;800;1;2\n1;801;1;2\n');
    const [heading] = Buffer.from(await written(recording, 'csv'))
      .toString()
      .split('\n');
    expect(heading).toBe(`time (s),engineSpeed (rpm),"'=HYPERLINK(""x"")","'@a,b"`);
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(asPlainText(text)).not.toMatch(/^\s*[=+\-@]/);
      }),
    );
  });

  it('of one row or none is still sound JSON', async () => {
    const recording = await fromText('Time (s),RPM\n0,800\n1,801\n');
    const empty = { ...recording, columns: [] };
    expect(JSON.parse(Buffer.from(await written(empty, 'json')).toString())).toEqual([]);
  });
});
