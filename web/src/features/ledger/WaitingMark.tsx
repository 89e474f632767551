import * as wording from '@white-ember/core/words/screens/app';
import { lazy, Suspense, useState } from 'react';
import { useAppSelector } from '../../data/store.ts';
import { entries, useWaiting } from './useWaiting.ts';

/** Fetched once the first screen stands, so that it is there when the server is not. */
export const importWaitingSheet = () => import('./WaitingSheet.tsx');
const WaitingSheet = lazy(async () => ({ default: (await importWaitingSheet()).WaitingSheet }));

/** Says, small, what is not with the server yet; opens to the list and to what was refused. */
export function WaitingMark() {
  const { own } = useWaiting();
  const { storeFault } = useAppSelector((state) => state.outbox);
  const [open, setOpen] = useState(false);
  if (own.length === 0 && storeFault === undefined) return null;
  const refused = own.filter((item) => item.refused !== undefined).length;
  const failed = own.filter((item) => item.failed !== undefined).length;
  const text =
    refused > 0
      ? wording.refusedWithRefused(refused)
      : failed > 0
        ? wording.failed(failed)
        : own.length > 0
          ? wording.waitingToBeSent(entries(own.length))
          : wording.nothingIsKeptHere;
  return (
    <>
      <button
        className="text-sm text-ink2 underline underline-offset-4 min-h-11 px-1 max-w-36 sm:max-w-none text-right"
        onClick={() => setOpen(true)}
        aria-live="polite"
      >
        {text}
      </button>
      {open ? (
        <Suspense>
          <WaitingSheet onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
