import type { FollowUp } from '@white-ember/core/contract';
import { fromBase, unitLabel, type Unit } from '@white-ember/core/quantities';
import { spacedNumber } from '../../ui/format.ts';
import { dateOf } from '../report/dates.ts';

/** When a task is due, as “20 May 2026”, “about 3 Jun 2026”, “at 115 000 km”; empty where nobody said. */
export function whenDue(
  { due, dueKm, estimated = false }: Pick<FollowUp, 'due' | 'dueKm'> & { readonly estimated?: boolean },
  unit: Unit,
): string {
  return [
    ...(due === undefined ? [] : [`${estimated ? 'about ' : ''}${dateOf(`${due}T12:00:00.000Z`)}`]),
    ...(dueKm === undefined ? [] : [`at ${spacedNumber(fromBase(dueKm, unit))} ${unitLabel(unit)}`]),
  ].join(', ');
}
