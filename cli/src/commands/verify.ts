import { told } from '../told.ts';
import { inEnglish, type Spoken } from '@white-ember/core/words';
import type { ReadingBody } from '@white-ember/core/ledger';
import {
  BEYOND_THE_READINGS,
  compareReadings,
  judgeProof,
  type Comparison,
  type Proof,
} from '@white-ember/core/proof';
import { loggedFacts, readingFromLog } from '@white-ember/core/readings';
import { InputError } from '../InputError.ts';
import { optionalNumber, readFilter, readLimits, readLogFile, type Options } from '../input.ts';
import { print, printJson, table } from '../output.ts';

interface ReadFile {
  readonly displacementL: number | undefined;
  readonly reading: ReadingBody;
}

const NO_LOG_ID = '00000000-0000-7000-8000-000000000000';

export async function verify(beforeFile: string, afterFile: string, options: Options): Promise<void> {
  const limits = readLimits(options['limits']);
  const geometry = readFilter(options['filter']);
  const read = async (purpose: 'before' | 'after', file: string): Promise<ReadFile> => {
    const { analysis, samples, recording } = await readLogFile(file, options);
    if (samples.length === 0) {
      throw new InputError(told('holds-no-steady-idle-or-hold', { file }));
    }
    return {
      displacementL: analysis.stated.displacementL,
      reading: readingFromLog(
        { analysis, samples, ...loggedFacts(recording) },
        { purpose, logId: NO_LOG_ID, fileName: file },
      ),
    };
  };
  const before = await read('before', beforeFile);
  const after = await read('after', afterFile);
  const displacementL =
    optionalNumber(options, 'displacementL', '--displacement-l') ??
    before.displacementL ??
    after.displacementL;
  const compared = compareReadings([before.reading], [after.reading], {
    limits,
    ...(geometry === undefined ? {} : { geometry }),
    ...(displacementL === undefined ? {} : { displacementL }),
  });
  const judged = judgeProof(compared, { before: [before.reading], after: [after.reading] }, limits);
  const comparison = inEnglish(compared);
  const proof = inEnglish(judged);
  const missing = [...proof.missing, ...inEnglish(BEYOND_THE_READINGS)];
  if (options['json']) printJson(asDocument(comparison, proof, missing));
  else print(...asText(comparison, proof, missing));
}

function asDocument(
  comparison: Spoken<Comparison>,
  proof: Spoken<Proof>,
  missing: readonly string[],
): object {
  const { removedPercent, restrictionBefore, restrictionAfter, equalFlow, rows } = comparison;
  return {
    verdict: proof.verdict,
    ...(removedPercent ? { removedPercent } : {}),
    ...(restrictionBefore ? { restrictionBefore: restrictionBefore.value } : {}),
    ...(restrictionAfter ? { restrictionAfter: restrictionAfter.value } : {}),
    ...(equalFlow ? { equalFlow } : {}),
    at: rows.map(({ rpm, flowM3PerH, beforeMbar, afterMbar, goodMbar }) => ({
      rpm: Math.round(rpm),
      flowM3PerH,
      ...(beforeMbar === undefined ? {} : { beforeMbar }),
      ...(afterMbar === undefined ? {} : { afterMbar }),
      ...(goodMbar === undefined ? {} : { goodMbar }),
    })),
    missing,
    reasons: proof.reasons,
    judgements: proof.judgements,
  };
}

const VERDICT_TEXT = {
  proved: told('proved-at-equal-flow'),
  better: told('improved-not-within-limits'),
  'not-proved': told('not-proved'),
  worse: 'Worse',
} as const;

function asText(comparison: Spoken<Comparison>, proof: Spoken<Proof>, missing: readonly string[]): string[] {
  const show = (value: number | undefined): string => (value === undefined ? '–' : value.toFixed(1));
  return [
    VERDICT_TEXT[proof.verdict],
    ...proof.reasons,
    comparison.rows.length === 0
      ? ''
      : table([
          ['at', told('flow-m-h'), told('before-mbar'), told('after-mbar'), told('good-to')],
          ...comparison.rows.map((row) => [
            row.label,
            row.flowM3PerH.toFixed(0),
            show(row.beforeMbar),
            show(row.afterMbar),
            show(row.goodMbar),
          ]),
        ]),
    ...missing.map((sentence) => told('missing', { sentence })),
  ];
}
