import { useState } from 'react';
import { entryFigure } from '@white-ember/core/job';
import { useSessionQuery } from '../../app/api.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { discardRefused, sendFailedAgain, sendWaiting } from './outbox.ts';
import type { Waiting } from './outboxStore.ts';

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
      <Sheet open={open} onOpenChange={setOpen} title="On this device, not with the server yet">
        {storeFault === undefined ? null : (
          <Notice title="This browser keeps no entries" tone="alarm">
            Each is sent to the server at once, and is not entered while that cannot be reached. A private
            window or a full disk may be why. The browser says: {storeFault}
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
            {entries(others)} of somebody else wait here, too. They are sent when that person signs in on this
            device.
          </p>
        ) : null}
        <Button onClick={() => void dispatch(sendWaiting())}>Send now</Button>
      </Sheet>
    </>
  );
}

/** One that waits, was refused, or at which the server failed: what is in it, and what may be done. */
function WaitingEntry({ item: { entry, refused, failed } }: { item: Waiting }) {
  const dispatch = useAppDispatch();
  const why = refused === undefined ? failed : refused;
  const { kind: _kind, ...content } = entry.body;
  return (
    <li className="py-2">
      <p className="font-head font-semibold">{entryFigure(entry)}</p>
      <p className="text-sm text-ink2">{new Date(entry.deviceTime).toLocaleString('en-GB')}</p>
      {why === undefined ? null : (
        <>
          <p className="text-ember-text font-bold">
            {refused === undefined ? 'The server failed at it' : 'Refused'}: {why}
          </p>
          <details className="my-1">
            <summary className="min-h-11 content-center cursor-pointer">What is in it</summary>
            <pre className="text-sm whitespace-pre-wrap break-words">{JSON.stringify(content, null, 1)}</pre>
          </details>
          <p className="text-sm text-ink2">
            {refused === undefined
              ? 'It is tried again by itself; the others go on. '
              : 'To correct it, enter it anew and discard this one.'}
          </p>
          <div className="flex flex-wrap gap-x-5">
            {refused === undefined ? (
              <Button weight="quiet" className="px-0!" onClick={() => dispatch(sendFailedAgain(entry.id))}>
                Try again now
              </Button>
            ) : null}
            <Button weight="quiet" className="px-0!" onClick={() => void dispatch(discardRefused(entry.id))}>
              Discard this entry
            </Button>
          </div>
        </>
      )}
    </li>
  );
}
