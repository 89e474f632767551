import { told } from '../told.ts';
import { inEnglish, type Spoken } from '@white-ember/core/words';
import type { AnalysedWindow, LogAnalysis } from '@white-ember/core/readings';
import { readLogFile, type Options } from '../input.ts';
import { print, printJson, table } from '../output.ts';

export async function analyse(file: string, options: Options): Promise<void> {
  const analysis = inEnglish((await readLogFile(file, options)).analysis);
  if (options['json']) printJson(analysis);
  else print(...asText(analysis));
}

const optional = (value: number | undefined, digits: number): string =>
  value === undefined ? '–' : value.toFixed(digits);

const windowRow = (window: AnalysedWindow): string[] => [
  window.kind,
  `${window.startS.toFixed(0)}–${window.endS.toFixed(0)} s`,
  window.rpm.mean.toFixed(0),
  optional(window.dpfDeltaP?.mean, 1),
  optional(window.flowM3PerH?.mean, 0),
  optional(window.restrictionRatio, 1),
  window.soot ? `${window.soot.lowG.toFixed(0)}–${window.soot.highG.toFixed(0)}` : '–',
];

function asText(analysis: Spoken<LogAnalysis>): string[] {
  const { format, durationS, channels, unmapped, without = [], warnings, windows, findings, fit } = analysis;
  return [
    told('s-channels-recognised-not', {
      format,
      durationS: durationS.toFixed(0),
      channels: channels.length,
      unmapped: unmapped.length,
    }),
    ...without.map(({ column, readAs, why }) =>
      told('no-role', { column, readAs: readAs === '' ? '' : told('read-as', { readAs }), why }),
    ),
    ...warnings.map((w) =>
      told('noted-of-the-file', {
        text: w.text,
        row: w.row === undefined ? '' : told('first-in-line', { row: w.row }),
      }),
    ),
    table([
      ['window', 'time', 'rpm', 'ΔP mbar', told('flow-m-h'), '× clean', told('soot-g')],
      ...windows.map(windowRow),
    ]),
    ...(findings.length === 0
      ? [told('no-fault-seen-by-the-tests')]
      : findings.map((f) => `${f.level}: ${f.text}`)),
    fit
      ? `fit ΔP = A·μQ + B·ρQ²: A ${fit.A.toExponential(3)} 1/m³, B ${fit.B.toExponential(3)} 1/m⁴, r² ${fit.r2.toFixed(3)}`
      : '',
  ];
}
