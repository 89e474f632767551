import * as wording from '@white-ember/core/words/screens/tasks';
import * as common from '@white-ember/core/words/screens/common';
import type { FollowUp } from '@white-ember/core/contract';
import type { Measures } from '@white-ember/core/words';

/** When a task is due, as “20 May 2026”, “about 3 Jun 2026”, “at 115,000 km”; empty where nobody said. */
export function whenDue(
  { due, dueKm, estimated = false }: Pick<FollowUp, 'due' | 'dueKm'> & { readonly estimated?: boolean },
  words: Measures,
): string {
  return [
    ...(due === undefined
      ? []
      : [`${estimated ? wording.about : ''}${words.shortDate(`${due}T12:00:00.000Z`)}`]),
    ...(dueKm === undefined ? [] : [common.at(words.distance(dueKm))]),
  ].join(', ');
}
