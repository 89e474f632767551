import * as wording from '@white-ember/core/words/screens/checks';
import { fixed } from '../../ui/format.ts';
import { useEffect, useRef, useState } from 'react';
import type { ChannelRole } from '@white-ember/core/readings';
import { Button } from '../../ui/Button.tsx';
import type { LiveSession } from '../live/liveSession.ts';

const EVERY_MS = 100;

/** Records one channel by the vehicle's clock from a tap on, for so many seconds; nothing where there is no link. */
export function RecordRows({
  session,
  role,
  seconds,
  onRows,
}: {
  session: LiveSession | undefined;
  role: ChannelRole;
  seconds: number;
  onRows: (rows: [number, number][]) => void;
}) {
  const [elapsedS, setElapsedS] = useState<number>();
  const timer = useRef<number | undefined>(undefined);
  useEffect(() => () => window.clearInterval(timer.current), []);
  if (!session) return null;
  const record = (): void => {
    const startS = session.nowS();
    const rows: [number, number][] = [];
    window.clearInterval(timer.current);
    timer.current = window.setInterval(() => {
      const at = session.nowS() - startS;
      const value = session.latest(role);
      if (value !== undefined && at > (rows.at(-1)?.[0] ?? -1)) rows.push([at, value]);
      setElapsedS(at);
      if (at < seconds) return;
      window.clearInterval(timer.current);
      setElapsedS(undefined);
      onRows(rows);
    }, EVERY_MS);
  };
  return (
    <p className="py-1">
      <Button onClick={record} disabled={elapsedS !== undefined}>
        {elapsedS === undefined
          ? wording.recordSFromNow(seconds)
          : wording.recordingSToGo(fixed(Math.max(0, seconds - elapsedS)))}
      </Button>
    </p>
  );
}
