import { Link } from 'react-router';
import { clockName } from './clockName.ts';
import { leftText } from './clocks.ts';
import { useClocks } from './useClocks.ts';

/** Waits that run, on every page, with time left and where to go when they are over. */
export function RunningClocks() {
  const [first, ...others] = useClocks();
  if (!first) return null;
  const left = leftText(first.leftMs);
  const name = clockName(first);
  return (
    <div role="timer" aria-label={`${name} on ${first.plate}: ${left}${first.leftMs > 0 ? ' left' : ''}`}>
      <Link
        to={`/jobs/${first.jobId}?stage=treat`}
        className="bg-ink text-paper rounded-sm px-2 sm:px-3 min-h-11 flex items-center gap-2 sm:gap-3 text-sm whitespace-nowrap"
      >
        <span className="figure-text text-lg">{left}</span>
        <span className="max-lg:hidden">
          {name.toLowerCase()} on {first.plate}
          {first.next ? ` · next: ${first.next}` : ''}
          {others.length > 0 ? ` · ${others.length} more` : ''}
        </span>
        <span className="lg:hidden max-sm:sr-only">{first.plate}</span>
      </Link>
    </div>
  );
}
