import { useAppDispatch, useAppSelector } from '../../data/store.ts';
import { sendWaiting } from '../../data/outbox.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { entries, useWaiting } from './useWaiting.ts';
import { WaitingEntry } from './WaitingEntry.tsx';

/** What waits on this device, entry by entry, and why it waits. */
export function WaitingSheet({ onClose }: { onClose: () => void }) {
  const { own, others } = useWaiting();
  const { offline, storeFault } = useAppSelector((state) => state.outbox);
  const dispatch = useAppDispatch();
  return (
    <Sheet open onOpenChange={onClose} title="On this device, not sent yet">
      {storeFault === undefined ? null : (
        <Notice title="This browser cannot store entries" tone="alarm">
          Each is sent to the server at once and cannot be saved while it is unreachable. A private window or
          a full disk may be the reason. The browser says: {storeFault}
        </Notice>
      )}
      {offline ? (
        <p className="mb-3">The server cannot be reached. It is tried again every few seconds.</p>
      ) : null}
      <ul className="divide-y-2 divide-rule mb-4">
        {own.map((item) => (
          <WaitingEntry key={item.entry.id} item={item} />
        ))}
      </ul>
      {others > 0 ? (
        <p className="mb-3 text-ink2">
          {entries(others)} of another person are waiting here. They are sent when that person signs in on
          this device.
        </p>
      ) : null}
      <Button onClick={() => void dispatch(sendWaiting())}>Send now</Button>
    </Sheet>
  );
}
