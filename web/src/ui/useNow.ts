import { useEffect, useState } from 'react';
import { serverNow } from '../data/serverClock.ts';

/** The present moment by the server's clock, renewed every `everyMs`; for clocks and the mark of now. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    const timer = window.setInterval(() => setNow(serverNow()), everyMs);
    return () => window.clearInterval(timer);
  }, [everyMs]);
  return now;
}
