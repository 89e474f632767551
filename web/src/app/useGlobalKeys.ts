import { useEffect, useEffectEvent, useRef } from 'react';
import { useNavigate } from 'react-router';
import { preferred } from '../data/preferences.ts';
import { store } from '../data/store.ts';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

const GO: Record<string, string> = { j: '/jobs', v: '/vehicles', f: '/fleet', l: '/limits', e: '/learn' };
/** Long enough for a glove. */
const CHORD_MS = 2500;

/** Keys that work on every page while nobody types. */
export function useGlobalKeys(actions: { palette: () => void; keys: () => void }): void {
  const navigate = useNavigate();
  // Outlives renders: the page may draw itself anew between the two keys of a chord.
  const goSince = useRef(0);
  const onKey = useEffectEvent((event: KeyboardEvent): void => {
    const key = event.key.toLowerCase();
    if ((event.ctrlKey || event.metaKey) && key === 'k') {
      event.preventDefault();
      actions.palette();
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    const target = GO[key];
    if (Date.now() - goSince.current < CHORD_MS && target) {
      goSince.current = 0;
      void navigate(target);
    } else if (key === 'g') goSince.current = Date.now();
    else if (event.key === '?') actions.keys();
    else if (key === 't') {
      const { theme } = store.getState().preferences;
      store.dispatch(preferred({ theme: theme === 'bay' ? 'daylight' : 'bay' }));
    }
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
