/**
 * A list in the order in which it was first seen, so that nothing moves under the finger: what has gone is left out, what is after all
 * that was seen (the next page) comes after it, and what is new before it waits until the order is asked for.
 */
export function inKeptOrder<T>(
  list: readonly T[],
  idOf: (item: T) => string,
  seen: readonly string[],
): { readonly shown: readonly T[]; readonly moved: boolean } {
  const byId = new Map(list.map((item) => [idOf(item), item]));
  const known = new Set(seen);
  const kept = seen.flatMap((id) => byId.get(id) ?? []);
  const lastKnown = list.findLastIndex((item) => known.has(idOf(item)));
  const shown = [...kept, ...list.slice(lastKnown + 1)];
  return { shown, moved: shown.length !== list.length || shown.some((item, i) => item !== list[i]) };
}
