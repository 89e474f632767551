import * as wording from '@white-ember/core/words/screens/ledger';
import * as common from '@white-ember/core/words/screens/common';
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
    <Sheet open onOpenChange={onClose} title={wording.onThisDeviceNotSentYet}>
      {storeFault === undefined ? null : (
        <Notice title={wording.thisBrowserCannotStoreEntries} tone="alarm">
          {wording.eachIsSentToTheServerAt(storeFault)}
        </Notice>
      )}
      {offline ? <p className="mb-3">{wording.theServerCannotBeReachedItIs}</p> : null}
      <ul className="divide-y-2 divide-rule mb-4">
        {own.map((item) => (
          <WaitingEntry key={item.entry.id} item={item} />
        ))}
      </ul>
      {others > 0 ? (
        <p className="mb-3 text-ink2">{wording.ofAnotherPersonAreWaitingHereThey(entries(others))}</p>
      ) : null}
      <Button onClick={() => void dispatch(sendWaiting())}>{common.sendNow}</Button>
    </Sheet>
  );
}
