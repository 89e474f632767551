import type { BodyOf, Entry, EntryKind } from './entry.ts';

export type EntryOf<K extends EntryKind> = Omit<Entry, 'body'> & { readonly body: BodyOf<K> };

const isKind =
  <K extends EntryKind>(kind: K) =>
  (entry: Entry): entry is Entry & { body: BodyOf<K> } =>
    entry.body.kind === kind;

export const entriesOfKind = <K extends EntryKind>(entries: readonly Entry[], kind: K): EntryOf<K>[] =>
  entries.filter(isKind(kind));

/** When it happened: by the device's clock, as an entry may be sent hours after it was made. */
export const happenedAt = (entry: Pick<Entry, 'deviceTime'>): number => Date.parse(entry.deviceTime);

/**
 * The entries that count: those no later entry corrects, in the order in which they happened, with `withdrawn` marks
 * taken out. A correction stands in the place and time of the entry that it first corrected, so that correcting a
 * before reading does not move it behind the clean. When two devices correct one entry, the server's later one counts.
 */
export function effectiveEntries(entries: readonly Entry[]): Entry[] {
  const ordered = [...entries].sort((a, b) => a.seq - b.seq);
  const byId = new Map(ordered.map((entry) => [entry.id, entry]));
  const rootOf = (entry: Entry): Entry => {
    const seen = new Set<string>();
    let at = entry;
    while (at.supersedes !== undefined && !seen.has(at.id)) {
      seen.add(at.id);
      const previous = byId.get(at.supersedes);
      if (!previous) break;
      at = previous;
    }
    return at;
  };
  const latest = new Map<string, { entry: Entry; root: Entry }>();
  for (const entry of ordered) {
    const root = rootOf(entry);
    latest.set(root.id, { entry, root });
  }
  return [...latest.values()]
    .filter(({ entry }) => entry.body.kind !== 'withdrawn')
    .map(({ entry, root }) => (entry === root ? entry : { ...entry, deviceTime: root.deviceTime }))
    .sort((a, b) => happenedAt(a) - happenedAt(b) || a.seq - b.seq);
}

/**
 * One text for equal content, whatever the order of the keys: by it the server tells a repeated write from another
 * write under the same id.
 */
export function canonicalJson(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) => {
    if (inner === null || typeof inner !== 'object' || Array.isArray(inner)) return inner;
    return Object.fromEntries(
      Object.entries(inner as Record<string, unknown>)
        .filter(([, v]) => v !== undefined)
        .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
    );
  });
}
