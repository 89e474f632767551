import type { Said } from './message.ts';

/** Each of them once, in the order in which they came: two messages are one where code and figures are the same. */
export function distinct(said: Iterable<Said>): Said[] {
  const byKey = new Map<string, Said>();
  for (const it of said) {
    const key = typeof it === 'string' ? it : JSON.stringify(it);
    if (!byKey.has(key)) byKey.set(key, it);
  }
  return [...byKey.values()];
}
