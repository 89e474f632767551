import { useSyncExternalStore } from 'react';

/** From here on the page has its columns beside each other; the same width as the style sheets’ `lg`. */
const wide = window.matchMedia('(min-width: 64rem)');

function onChange(changed: () => void): () => void {
  wide.addEventListener('change', changed);
  return () => wide.removeEventListener('change', changed);
}

/** Whether the window is wide: what only the other kind shows is not even made. */
export const useWide = (): boolean => useSyncExternalStore(onChange, () => wide.matches);
