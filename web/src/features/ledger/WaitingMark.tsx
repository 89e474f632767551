import { useState } from 'react';
import { entryFigure } from '@white-ember/core/job';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { discardRefused, sendWaiting } from './outbox.ts';

/** Says, small, what is not with the server yet; opens to the list and to what was refused. */
export function WaitingMark() {
  const { items, offline } = useAppSelector((state) => state.outbox);
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  if (items.length === 0) return null;
  const refused = items.filter((item) => item.refused !== undefined).length;
  const text =
    refused > 0
      ? `${refused} refused`
      : `${items.length} ${items.length === 1 ? 'entry' : 'entries'} waiting to be sent`;
  return (
    <>
      <button
        className="text-sm text-ink2 underline underline-offset-4 min-h-11 px-1 max-w-36 sm:max-w-none text-right"
        onClick={() => setOpen(true)}
        aria-live="polite"
      >
        {text}
      </button>
      <Sheet open={open} onOpenChange={setOpen} title="On this device, not with the server yet">
        {offline ? (
          <p className="mb-3">The server cannot be reached. It is tried again every few seconds.</p>
        ) : null}
        <ul className="divide-y-2 divide-rule mb-4">
          {items.map((item) => (
            <li key={item.entry.id} className="py-2">
              <p className="font-head font-semibold">{entryFigure(item.entry)}</p>
              <p className="text-sm text-ink2">{new Date(item.entry.deviceTime).toLocaleString()}</p>
              {item.refused === undefined ? null : (
                <>
                  <p className="text-ember-text font-bold">Refused: {item.refused}</p>
                  <Button weight="quiet" onClick={() => void dispatch(discardRefused(item.entry.id))}>
                    Discard this entry
                  </Button>
                </>
              )}
            </li>
          ))}
        </ul>
        <Button onClick={() => void dispatch(sendWaiting())}>Send now</Button>
      </Sheet>
    </>
  );
}
