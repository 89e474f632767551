import { useCallback, useLayoutEffect, useRef } from 'react';

/**
 * A callback that stays the same object and does what the latest render means: what it is handed to need not be drawn anew for it.
 * For events, not while drawing.
 */
export function useStable<A extends readonly unknown[]>(act: (...args: A) => void): (...args: A) => void {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
