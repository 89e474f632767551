import { useEffect, useEffectEvent, useState, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import type { OpenJob } from '../../job/useJob.ts';
import { useStable } from '../../ui/useStable.ts';
import { isSettled, subscribe } from '../diagnosis/judging.ts';

/** Longer than this nobody waits for being led on, ms. */
const PATIENCE_MS = 4000;

/**
 * Leads on to the step that is next once what was just entered is judged. Whoever touches anything in the meantime goes their own way.
 * Answers whether it is time to go.
 */
export function useLeadOn(open: OpenJob): {
  /** What was to be done is done; call it when the entry is kept. */
  readonly lead: () => void;
  readonly due: boolean;
  readonly led: () => void;
} {
  const [from, setFrom] = useState<OpenJob['facts']>();
  const settled = useSyncExternalStore(subscribe, () => isSettled(open.job.id));
  const led = useStable(() => setFrom(undefined));
  const onTouch = useEffectEvent(led);
  const leading = from !== undefined;
  useEffect(() => {
    if (!leading) return;
    const timer = setTimeout(onTouch, PATIENCE_MS);
    window.addEventListener('pointerdown', onTouch);
    window.addEventListener('keydown', onTouch);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pointerdown', onTouch);
      window.removeEventListener('keydown', onTouch);
    };
  }, [leading]);
  const { search } = useLocation();
  // Kept a moment later than it was sent: whoever has gone elsewhere since is not fetched back.
  const lead = (): void => {
    if (window.location.search === search) setFrom(open.facts);
  };
  return { lead, due: leading && settled && from !== open.facts, led };
}
