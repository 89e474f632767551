import { entriesOfKind, happenedAt } from '../ledger/index.ts';
import { PATH_CAUSES } from '../proof/index.ts';
import type { FilterSize } from '../filter/index.ts';
import type { FlowContext } from '../readings/index.ts';
import { sootByPressure } from '../treatment/index.ts';
import type { DerivedJob } from './deriveJob.ts';

/**
 * Whether what there was to do is done and has to be shown. What was chosen for the filter after the last work is still to be done; and
 * a repair after which it was read anew, as *before*, has only cleared the view of the filter.
 */
export function isWorkedOn({ entries, causes, treatment, before, after }: DerivedJob): boolean {
  const works = [
    ...entriesOfKind(entries, 'work').map(happenedAt),
    ...entriesOfKind(entries, 'part-changed')
      .filter(({ body }) => body.where === 'here')
      .map(happenedAt),
    ...causes.filter(({ state }) => state === 'put-right').map(({ entry }) => happenedAt(entry)),
  ];
  if (works.length === 0) return false;
  const last = Math.max(...works);
  if (treatment && treatment.body.treatment !== 'nothing' && happenedAt(treatment) > last) return false;
  return after !== undefined || before === undefined || happenedAt(before) < last;
}

/** Whether the way of the pressure was put right and nothing was read since. */
export function isUnread({ causes, entries }: DerivedJob): boolean {
  const putRight = causes
    .filter(({ cause, state }) => state === 'put-right' && PATH_CAUSES.has(cause))
    .map(({ entry }) => happenedAt(entry));
  if (putRight.length === 0) return false;
  const worked = entriesOfKind(entries, 'work').map(happenedAt);
  const since = Math.min(Math.max(...putRight), ...worked.slice(-1));
  return !entriesOfKind(entries, 'reading').some((entry) => happenedAt(entry) >= since);
}

/** Whether the way of the pressure was put right, and the counter stands above all that the pressure read since leaves room for. */
export function countsWhatWasNotThere(
  derived: DerivedJob,
  filter: FilterSize,
  context: FlowContext,
): boolean {
  const reading = derived.after ?? derived.before;
  const counter = reading?.body.sootCounterG;
  if (!reading || counter === undefined || isUnread(derived)) return false;
  if (!derived.causes.some(({ cause, state }) => state === 'put-right' && PATH_CAUSES.has(cause)))
    return false;
  const room = sootByPressure(reading.body, filter, context);
  return room.ok && counter > room.value.highG;
}
