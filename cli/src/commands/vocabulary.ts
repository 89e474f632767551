import { CAUTIONS, CHECK_LABELS, KIT } from '@white-ember/core/checks';
import { KNOWN_CAUSES, KNOWN_CHECKS, KNOWN_FINDINGS } from '@white-ember/core/diagnosis';
import type { Options } from '../input.ts';
import { print, printJson } from '../output.ts';

/** Every cause, finding, check and outcome, with its id and a plain sentence. */
export function vocabulary(options: Options): void {
  const sentence = new Map(KNOWN_FINDINGS.map(({ id, sentence: words }) => [id, words]));
  if (options['json']) {
    printJson({
      causes: KNOWN_CAUSES.map(({ id, sentence: text }) => ({ id, text })),
      findings: KNOWN_FINDINGS.map(({ id, sentence: text, from }) => ({ id, text, from })),
      checks: KNOWN_CHECKS.map(({ id, outcomes, otherwise, minutes, cost, needs, cautions }) => ({
        id,
        text: CHECK_LABELS[id],
        outcomes: [
          ...outcomes.map((outcome) => ({ id: outcome, text: sentence.get(outcome) })),
          { id: otherwise, text: 'None of these' },
        ],
        minutes,
        cost,
        needs: needs.map((kit) => KIT[kit]),
        cautions: cautions.map((caution) => CAUTIONS[caution].text),
      })),
    });
    return;
  }
  print('causes', ...KNOWN_CAUSES.map(({ id, sentence: text }) => `  ${id}  ${text}`));
  print(
    'findings',
    ...KNOWN_FINDINGS.filter(({ from }) => from !== 'check').map(
      ({ id, sentence: text }) => `  ${id}  ${text}`,
    ),
  );
  print('checks');
  for (const { id, outcomes, otherwise, minutes, needs } of KNOWN_CHECKS)
    print(
      `  ${id}  ${CHECK_LABELS[id]} (${[`${minutes} min`, ...needs.map((kit) => KIT[kit])].join(', ')})`,
      ...outcomes.map((outcome) => `    ${outcome}  ${sentence.get(outcome) ?? ''}`),
      `    ${otherwise}  None of these`,
    );
}
