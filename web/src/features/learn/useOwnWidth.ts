import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** How wide an element lies, px: what is drawn in it keeps the size of its letters at every width. */
export function useOwnWidth<E extends Element>(): readonly [RefObject<E | null>, number] {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(([entry]) => setWidth(Math.round(entry?.contentRect.width ?? 0)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return [ref, width];
}
