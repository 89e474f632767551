import { Link } from 'react-router';
import { dwellText, useRunningDwells } from './useRunningDwells.ts';

/** Dwells that run, on every page, with time left and where to go when they are over. */
export function RunningClocks() {
  const [first, ...others] = useRunningDwells();
  if (!first) return null;
  const left = dwellText(first.leftMs);
  return (
    <div role="timer" aria-label={`Dwell on ${first.plate}: ${left}${left === 'over' ? '' : ' left'}`}>
      <Link
        to={`/jobs/${first.jobId}`}
        className="bg-ink text-paper rounded-sm px-2 sm:px-3 my-1 min-h-9 flex items-center gap-2 sm:gap-3 text-sm whitespace-nowrap"
      >
        <span className="figure-text text-lg">{left}</span>
        <span className="max-lg:hidden">
          dwell on {first.plate} · next: flush and read
          {others.length > 0 ? ` · ${others.length} more` : ''}
        </span>
        <span className="lg:hidden max-sm:sr-only">{first.plate}</span>
      </Link>
    </div>
  );
}
