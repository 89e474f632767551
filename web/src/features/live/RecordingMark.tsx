import * as wording from '@white-ember/core/words/screens/app';
import { Link, useLocation } from 'react-router';
import { useOpenSession, useRecordingOf } from './openSession.ts';

/** A recording that goes on, on every page but its own: a drive records itself while other work is looked at. */
export function RecordingMark() {
  const session = useOpenSession();
  const recording = useRecordingOf(session);
  const { pathname } = useLocation();
  if (!session || !recording || pathname === `/jobs/${session.jobId}/live`) return null;
  const minutes = Math.floor(recording.seconds / 60);
  const seconds = Math.floor(recording.seconds % 60);
  const clock = `${minutes}:${String(seconds).padStart(2, '0')}`;
  return (
    <Link
      to={`/jobs/${session.jobId}/live`}
      aria-label={wording.recording(clock)}
      className="border-2 border-ink rounded-sm px-2 my-1 min-h-9 flex items-center gap-2 text-sm whitespace-nowrap"
    >
      <span aria-hidden className="size-3 bg-ember rounded-full" />
      <span className="figure-text text-lg max-sm:sr-only">{clock}</span>
      <span className="max-sm:sr-only">{wording.recordingWithin}</span>
    </Link>
  );
}
