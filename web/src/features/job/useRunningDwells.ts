import { useJobsQuery } from '../../app/api.ts';
import { useNow } from '../../ui/useNow.ts';

export interface RunningDwell {
  readonly jobId: string;
  readonly plate: string;
  readonly leftMs: number;
}

/** A dwell that is over is still shown for so long, so that nobody misses it. */
const SHOWN_AFTER_MS = 30 * 60_000;

/** Every dwell of the workshop that runs, or has just ended, the nearest end first. */
export function useRunningDwells(): readonly RunningDwell[] {
  const { data } = useJobsQuery({ show: 'open' }, { pollingInterval: 60_000 });
  const now = useNow(1000);
  return (data?.jobs ?? [])
    .flatMap(({ id, plate, summary }) =>
      summary.dwellUntil ? [{ jobId: id, plate, leftMs: Date.parse(summary.dwellUntil) - now }] : [],
    )
    .filter(({ leftMs }) => leftMs > -SHOWN_AFTER_MS)
    .sort((a, b) => a.leftMs - b.leftMs);
}

/** Minutes and seconds; hours and minutes from a hundred minutes on. */
export function dwellText(leftMs: number): string {
  if (leftMs <= 0) return 'over';
  const seconds = Math.ceil(leftMs / 1000);
  const minutes = Math.floor(seconds / 60);
  return minutes >= 100
    ? `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
    : `${String(minutes).padStart(2, '0')}:${String(seconds % 60).padStart(2, '0')}`;
}
