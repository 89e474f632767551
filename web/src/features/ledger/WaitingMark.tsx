import { lazy, Suspense, useState } from 'react';
import { useSessionQuery } from '../../data/api.ts';
import { useAppDispatch, useAppSelector } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { sendWaiting } from '../../data/outbox.ts';
import type { Waiting } from '../../data/outboxStore.ts';

/** Fetched once the first screen stands, so that it is there when the server is not. */
export const importWaitingEntry = () => import('./WaitingEntry.tsx');
const WaitingEntry = lazy(async () => ({ default: (await importWaitingEntry()).WaitingEntry }));

const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`;

/** What of this device is not with the server yet: one's own, and how many of others who signed in here. */
export function useWaiting(): { readonly own: readonly Waiting[]; readonly others: number } {
  const items = useAppSelector((state) => state.outbox.items);
  const memberId = useSessionQuery().data?.member?.id;
  const own = items.filter((item) => item.memberId === memberId);
  return { own, others: items.length - own.length };
}

/** Says, small, what is not with the server yet; opens to the list and to what was refused. */
export function WaitingMark() {
  const { own, others } = useWaiting();
  const { offline, storeFault } = useAppSelector((state) => state.outbox);
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  if (own.length === 0 && storeFault === undefined) return null;
  const refused = own.filter((item) => item.refused !== undefined).length;
  const failed = own.filter((item) => item.failed !== undefined).length;
  const text =
    refused > 0
      ? `${refused} refused`
      : failed > 0
        ? `${failed} failed`
        : own.length > 0
          ? `${entries(own.length)} waiting to be sent`
          : 'nothing is kept here';
  return (
    <>
      <button
        className="text-sm text-ink2 underline underline-offset-4 min-h-11 px-1 max-w-36 sm:max-w-none text-right"
        onClick={() => setOpen(true)}
        aria-live="polite"
      >
        {text}
      </button>
      <Sheet open={open} onOpenChange={setOpen} title="On this device, not sent yet">
        {storeFault === undefined ? null : (
          <Notice title="This browser cannot store entries" tone="alarm">
            Each is sent to the server at once and cannot be saved while it is unreachable. A private window
            or a full disk may be the reason. The browser says: {storeFault}
          </Notice>
        )}
        {offline ? (
          <p className="mb-3">The server cannot be reached. It is tried again every few seconds.</p>
        ) : null}
        <ul className="divide-y-2 divide-rule mb-4">
          <Suspense>
            {own.map((item) => (
              <WaitingEntry key={item.entry.id} item={item} />
            ))}
          </Suspense>
        </ul>
        {others > 0 ? (
          <p className="mb-3 text-ink2">
            {entries(others)} of another person are waiting here. They are sent when that person signs in on
            this device.
          </p>
        ) : null}
        <Button onClick={() => void dispatch(sendWaiting())}>Send now</Button>
      </Sheet>
    </>
  );
}
