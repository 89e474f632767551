import * as wording from '@white-ember/core/words/screens/checks';
import { useSyncExternalStore } from 'react';
import type { ChannelRole } from '@white-ember/core/readings';
import type { LiveSession } from '../live/liveSession.ts';

/** The value that the scan link shows now, to be taken over with one tap; nothing where no link shows it. */
export function LiveTake({
  session,
  ...rest
}: {
  session: LiveSession | undefined;
  role: ChannelRole;
  onTake: (value: number) => void;
  shownAs: (value: number) => string;
}) {
  return session ? <LinkedTake session={session} {...rest} /> : null;
}

function LinkedTake({
  session,
  role,
  onTake,
  shownAs,
}: {
  session: LiveSession;
  role: ChannelRole;
  onTake: (value: number) => void;
  shownAs: (value: number) => string;
}) {
  const value = useSyncExternalStore(session.subscribe, () => session.latest(role));
  if (value === undefined) return null;
  return (
    <button type="button" className="min-h-11 text-left text-steel" onClick={() => onTake(value)}>
      <span className="figure-text">{shownAs(value)}</span>{' '}
      <span className="underline underline-offset-4">{wording.useLiveValue}</span>
    </button>
  );
}
