import { inWords, type Spoken } from '@white-ember/core/words';
import { useWords } from '../../data/words.ts';
import { useClocksQuery, useJobsQuery } from '../../data/api.ts';
import { useAppSelector } from '../../data/store.ts';
import { useNow } from '../../ui/useNow.ts';
import { byWant, clocksWith, type ShownClock } from './clocks.ts';

/** What other devices do is seen after so long at most. */
const ASK_EVERY_MS = 15_000;

/** Every wait of the workshop that is not ended, one's own first, then the nearest end; it counts by the server's clock. */
export function useClocks(): readonly Spoken<ShownClock>[] {
  const { data } = useClocksQuery(undefined, { pollingInterval: ASK_EVERY_MS });
  const items = useAppSelector((state) => state.outbox.items);
  const { data: jobs } = useJobsQuery({ show: 'open' });
  const now = useNow(1000);
  const words = useWords();
  return inWords(
    clocksWith(data?.clocks ?? [], items, (jobId) => jobs?.jobs.find(({ id }) => id === jobId)?.plate),
    words,
  )
    .map((clock) => ({ ...clock, leftMs: clock.untilMs - now }))
    .sort(byWant);
}
