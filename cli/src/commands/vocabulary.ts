import { told } from '../told.ts';
import { PLAIN_WORDS } from '@white-ember/core/words';
import { CAUTIONS } from '@white-ember/core/checks';
import { KNOWN_CAUSES, KNOWN_CHECKS, KNOWN_FINDINGS, sentenceOf } from '@white-ember/core/diagnosis';
import type { Options } from '../input.ts';
import { print, printJson } from '../output.ts';

/** Every cause, finding, check and outcome, with its id and a plain sentence. */
export function vocabulary(options: Options): void {
  const sentence = (id: string): string => PLAIN_WORDS.say(sentenceOf(id));
  if (options['json']) {
    printJson({
      causes: KNOWN_CAUSES.map(({ id }) => ({ id, text: sentence(id) })),
      findings: KNOWN_FINDINGS.map(({ id, from }) => ({ id, text: sentence(id), from })),
      checks: KNOWN_CHECKS.map(({ id, outcomes, otherwise, minutes, cost, needs, cautions }) => ({
        id,
        text: PLAIN_WORDS.name('checkNames', id),
        outcomes: [
          ...outcomes.map((outcome) => ({ id: outcome, text: sentence(outcome) })),
          { id: otherwise, text: told('none-of-these') },
        ],
        minutes,
        cost,
        needs: needs.map((kit) => PLAIN_WORDS.name('kit', kit)),
        cautions: cautions.map((caution) => CAUTIONS[caution].text),
      })),
    });
    return;
  }
  print('causes', ...KNOWN_CAUSES.map(({ id }) => `  ${id}  ${sentence(id)}`));
  print(
    'findings',
    ...KNOWN_FINDINGS.filter(({ from }) => from !== 'check').map(({ id }) => `  ${id}  ${sentence(id)}`),
  );
  print('checks');
  for (const { id, outcomes, otherwise, minutes, needs } of KNOWN_CHECKS)
    print(
      `  ${id}  ${PLAIN_WORDS.name('checkNames', id)} (${[`${minutes} min`, ...needs.map((kit) => PLAIN_WORDS.name('kit', kit))].join(', ')})`,
      ...outcomes.map((outcome) => `    ${outcome}  ${sentence(outcome)}`),
      told('none-of-these-2', { otherwise }),
    );
}
