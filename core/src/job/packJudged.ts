import type { Entry } from '../ledger/index.ts';

/**
 * What core made of a job, as plain JSON: sets and maps are spelled out, numbers that JSON lacks are named, and entries stand
 * by their id, as the ledger has them.
 */
export function packJudged(value: unknown, entries: readonly Entry[]): unknown {
  const known = new Map(entries.map((entry) => [entry.id, entry]));
  const pack = (part: unknown): unknown => {
    if (typeof part === 'number') return Number.isFinite(part) ? part : { $number: String(part) };
    if (typeof part !== 'object' || part === null) return part;
    if (part instanceof Set) return { $set: [...(part as ReadonlySet<unknown>)].map(pack) };
    if (part instanceof Map)
      return { $map: [...(part as ReadonlyMap<unknown, unknown>)].map(([key, of]) => [pack(key), pack(of)]) };
    if (part instanceof Float64Array) return { $numbers: [...part] };
    if (Array.isArray(part)) return part.map(pack);
    const { id, body } = part as { id?: unknown; body?: unknown };
    // Of one id the last counts.
    if (typeof id === 'string' && body !== undefined && known.get(id)?.body === body) return { $entry: id };
    return Object.fromEntries(
      Object.entries(part).flatMap(([key, of]) => (of === undefined ? [] : [[key, pack(of)]])),
    );
  };
  return pack(value);
}

interface Packed {
  readonly $number?: string;
  readonly $set?: readonly unknown[];
  readonly $map?: readonly (readonly [unknown, unknown])[];
  readonly $numbers?: readonly number[];
  readonly $entry?: string;
}

/** The inverse of `packJudged`, with the same entries. An entry that is not among them is left out. */
export function unpackJudged(value: unknown, entries: readonly Entry[]): unknown {
  const known = new Map(entries.map((entry) => [entry.id, entry]));
  const unpack = (part: unknown): unknown => {
    if (typeof part !== 'object' || part === null) return part;
    if (Array.isArray(part)) return part.map(unpack);
    const { $number, $set, $map, $numbers, $entry } = part as Packed;
    if ($number !== undefined) return Number($number);
    if ($set) return new Set($set.map(unpack));
    if ($map) return new Map($map.map(([key, of]) => [unpack(key), unpack(of)]));
    if ($numbers) return Float64Array.from($numbers);
    if ($entry !== undefined) return known.get($entry);
    return Object.fromEntries(Object.entries(part).map(([key, of]) => [key, unpack(of)]));
  };
  return unpack(value);
}
