import { useEffect, useEffectEvent, useRef } from 'react';
import { useNavigate } from 'react-router';
import { preferred } from '../data/preferences.ts';
import { store } from '../data/store.ts';

export const KEYS: readonly (readonly [string, string])[] = [
  ['Ctrl or ⌘ K', 'Find a job, check, part, code, cause, limit or page'],
  ['?', 'This sheet'],
  ['G then J', 'Jobs'],
  ['G then V', 'Vehicles'],
  ['G then F', 'Fleet: who is due next'],
  ['G then L', 'Limits'],
  ['T', 'Daylight or Bay'],
  ['N', 'On a job: do the next step'],
  ['1 … 8', 'On a job: work at that stage'],
  ['K S I J H N O', 'Live, simulated vehicle: key on, start, idle, holds, snap, off'],
  ['C R F, space', 'Live: connect, record, arm’s length, mark a moment'],
  ['+ and −, ← and →, 0', 'On log traces: zoom, move, whole log'],
  ['Escape', 'Close the open sheet'],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

const GO: Record<string, string> = { j: '/jobs', v: '/vehicles', f: '/fleet', l: '/limits' };
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
