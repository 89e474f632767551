import { useDeferredValue, type ReactNode } from 'react';

/**
 * What is drawn once the rest of the page stands: its work is done in small pieces, so that neither the first look nor a tap waits for
 * it. Its place has to be kept by what is around it.
 */
export function Later({
  children,
  meanwhile = null,
}: {
  children: () => ReactNode;
  /** What stands in its place until then. */
  meanwhile?: ReactNode;
}) {
  return useDeferredValue(true, false) ? children() : meanwhile;
}
