import * as wording from '@white-ember/core/words/screens/ledger';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { entryFigure } from '@white-ember/core/job';
import { useAppDispatch } from '../../data/store.ts';
import { Button } from '../../ui/Button.tsx';
import { discardRefused, sendFailedAgain } from '../../data/outbox.ts';
import type { Waiting } from '../../data/outboxStore.ts';

/** One that waits, was refused, or at which the server failed: what is in it, and what may be done. */
export function WaitingEntry({ item: { entry, refused, failed } }: { item: Waiting }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const why = refused === undefined ? failed : refused;
  const { kind: _kind, ...content } = entry.body;
  return (
    <li className="py-2">
      <p className="font-head font-semibold">
        <Say it={entryFigure(entry)} />
      </p>
      <p className="text-sm text-ink2">{words.moment(entry.deviceTime)}</p>
      {why === undefined ? null : (
        <>
          <p className="text-ember-text font-bold">
            {refused === undefined ? wording.theServerCouldNotProcessIt : wording.refused}: {why}
          </p>
          <details className="my-1">
            <summary className="min-h-11 content-center cursor-pointer">{wording.whatIsInIt}</summary>
            <pre className="text-sm whitespace-pre-wrap break-words">{JSON.stringify(content, null, 1)}</pre>
          </details>
          <p className="text-sm text-ink2">
            {refused === undefined
              ? wording.itIsRetriedAutomaticallyTheOthers
              : wording.toCorrectItEnterItAnewAnd}
          </p>
          <div className="flex flex-wrap gap-x-5">
            {refused === undefined ? (
              <Button weight="quiet" className="px-0!" onClick={() => dispatch(sendFailedAgain(entry.id))}>
                {wording.tryAgainNow}
              </Button>
            ) : null}
            <Button weight="quiet" className="px-0!" onClick={() => void dispatch(discardRefused(entry.id))}>
              {wording.discardThisEntry}
            </Button>
          </div>
        </>
      )}
    </li>
  );
}
