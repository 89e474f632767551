import { useSessionQuery } from '../../data/api.ts';
import { useAppSelector } from '../../data/store.ts';
import type { Waiting } from '../../data/outboxStore.ts';

export const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`;

/** What of this device is not with the server yet: one's own, and how many of others who signed in here. */
export function useWaiting(): { readonly own: readonly Waiting[]; readonly others: number } {
  const items = useAppSelector((state) => state.outbox.items);
  const memberId = useSessionQuery().data?.member?.id;
  const own = items.filter((item) => item.memberId === memberId);
  return { own, others: items.length - own.length };
}
