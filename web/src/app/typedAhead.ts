import { useEffect } from 'react';

let typed = '';

/** What was typed while the finder was still on its way. */
export const typedAhead = (): string => typed;
/** Once it stands in the finder. */
export const forgetTypedAhead = (): void => {
  typed = '';
};

/** While the finder is on its way, what is typed is meant for it: no key of it may do anything on the page. */
export function TypedAhead(): null {
  useEffect(() => {
    typed = '';
    const keep = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopPropagation();
      if (event.key === 'Backspace') typed = typed.slice(0, -1);
      else if (event.key.length === 1) typed += event.key;
    };
    window.addEventListener('keydown', keep, { capture: true });
    return () => window.removeEventListener('keydown', keep, { capture: true });
  }, []);
  return null;
}
