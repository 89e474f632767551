import * as wording from '@white-ember/core/words/screens/clocks';
import * as common from '@white-ember/core/words/screens/common';
import { Link } from 'react-router';
import { clockName } from './clockName.ts';
import { isLate, leftText } from './clocks.ts';
import { useClocks } from './useClocks.ts';

/**
 * Waits that run, on every page, with time left and where to go when they are over: one's own in full, those of others as a mark. What
 * is over for an hour is left to the list of jobs.
 */
export function RunningClocks() {
  const [first, ...others] = useClocks().filter((clock) => !isLate(clock));
  if (!first) return null;
  const left = leftText(first.leftMs);
  const name = clockName(first);
  return (
    <div role="timer" aria-label={wording.on(name, first.plate, left, first.leftMs > 0 ? wording.left : '')}>
      <Link
        to={`/jobs/${first.jobId}?stage=treat`}
        className={`rounded-sm px-2 sm:px-3 min-h-11 flex items-center gap-2 sm:gap-3 text-sm whitespace-nowrap ${first.mine ? 'bg-ink text-paper' : 'border-2 border-current'}`}
      >
        <span className="figure-text text-lg">{left}</span>
        {first.mine ? (
          <span className="max-lg:hidden">
            {wording.onWithName(
              name.toLowerCase(),
              first.plate,
              first.next ? wording.nextOfNext(first.next) : '',
              others.length > 0 ? common.more(others.length) : '',
            )}
          </span>
        ) : null}
        <span className={first.mine ? 'lg:hidden max-sm:sr-only' : 'max-sm:sr-only'}>{first.plate}</span>
      </Link>
    </div>
  );
}
