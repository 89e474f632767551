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
    `${format}, ${durationS.toFixed(0)} s, ${channels.length} channels recognised, ${unmapped.length} not`,
    ...without.map(
      ({ column, readAs, why }) =>
        `no role: “${column}”${readAs === '' ? '' : `, read as ${readAs}`} – ${why}`,
    ),
    ...warnings.map((w) => `noted: ${w.text}${w.row === undefined ? '' : ` First in line ${w.row}.`}`),
    table([
      ['window', 'time', 'rpm', 'ΔP mbar', 'flow m³/h', '× clean', 'soot g'],
      ...windows.map(windowRow),
    ]),
    ...(findings.length === 0
      ? ['No fault seen by the tests that this file allows.']
      : findings.map((f) => `${f.level}: ${f.text}`)),
    fit
      ? `fit ΔP = A·μQ + B·ρQ²: A ${fit.A.toExponential(3)} 1/m³, B ${fit.B.toExponential(3)} 1/m⁴, r² ${fit.r2.toFixed(3)}`
      : '',
  ];
}
