import { useDeferredValue, type ReactNode } from 'react';

/**
 * What is drawn once the rest of the page stands: its work is done in small pieces, so that neither the first look nor a tap waits for
 * it. Its place has to be kept by what is around it.
 */
export function Later({ children }: { children: () => ReactNode }) {
  return useDeferredValue(true, false) ? children() : null;
}
