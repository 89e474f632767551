import { Link } from 'react-router';
import { useJobsQuery } from '../../app/api.ts';
import { useNow } from '../../ui/useNow.ts';

const clock = (ms: number): string => {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  const minutes = Math.floor(seconds / 60);
  return minutes >= 100
    ? `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
    : `${String(minutes).padStart(2, '0')}:${String(seconds % 60).padStart(2, '0')}`;
};

/** Dwells that run, on every page, with time left and where to go when they are over. */
export function RunningClocks() {
  const { data } = useJobsQuery({ show: 'open' }, { pollingInterval: 60_000 });
  const now = useNow(1000);
  const running = (data?.jobs ?? [])
    .flatMap((job) =>
      job.summary.dwellUntil ? [{ job, left: Date.parse(job.summary.dwellUntil) - now }] : [],
    )
    .filter(({ left }) => left > -30 * 60_000)
    .sort((a, b) => a.left - b.left);
  const [first, ...others] = running;
  if (!first) return null;
  const over = first.left <= 0;
  return (
    <div
      role="timer"
      aria-label={`Dwell on ${first.job.plate}: ${over ? 'over' : `${clock(first.left)} left`}`}
    >
      <Link
        to={`/jobs/${first.job.id}`}
        className="bg-ink text-paper rounded-sm px-2 sm:px-3 my-1 min-h-9 flex items-center gap-2 sm:gap-3 text-sm whitespace-nowrap"
      >
        <span className="figure-text text-lg">{over ? 'over' : clock(first.left)}</span>
        <span className="max-lg:hidden">
          dwell on {first.job.plate} · next: flush and read
          {others.length > 0 ? ` · ${others.length} more` : ''}
        </span>
        <span className="lg:hidden max-sm:sr-only">{first.job.plate}</span>
      </Link>
    </div>
  );
}
