import { isMessage, type Message } from './message.ts';
import type { Words } from './words.ts';

type Plain =
  | string
  | number
  | boolean
  | bigint
  | symbol
  | null
  | undefined
  | Date
  | ArrayBufferView
  | ((...args: never[]) => unknown);

/** Entries of the ledger are somebody's own words and figures. */
interface OwnWords {
  readonly body: unknown;
  readonly deviceTime: string;
}

/** The same with a sentence in the place of each message. */
export type Spoken<T> = T extends Message
  ? string
  : T extends Plain | OwnWords
    ? T
    : T extends ReadonlyMap<infer K, infer V>
      ? ReadonlyMap<K, Spoken<V>>
      : T extends ReadonlySet<infer E>
        ? ReadonlySet<Spoken<E>>
        : { [K in keyof T]: Spoken<T[K]> };

/**
 * Puts everything in a result of core into words: what holds no message stays the very same object, so that whoever looks at it by
 * identity sees a change only where there is one.
 */
export function inWords<T>(value: T, words: Words): Spoken<T> {
  const seen = new Map<object, unknown>();
  const speak = (part: unknown): unknown => {
    if (typeof part !== 'object' || part === null || ArrayBuffer.isView(part) || part instanceof Date)
      return part;
    if ('body' in part && 'deviceTime' in part) return part;
    const known = seen.get(part);
    if (known !== undefined) return known;
    const spoken = isMessage(part) ? words.say(part) : inside(part);
    seen.set(part, spoken);
    return spoken;
  };
  const inside = (part: object): unknown => {
    if (Array.isArray(part)) {
      // Columns of figures are long, and say nothing.
      if (part.every((one) => typeof one === 'number')) return part;
      const spoken = part.map(speak);
      return spoken.some((one, i) => one !== part[i]) ? spoken : part;
    }
    if (part instanceof Set) {
      const spoken = [...part].map(speak);
      return spoken.every((one) => part.has(one)) ? part : new Set(spoken);
    }
    if (part instanceof Map) {
      const spoken = [...part].map(([key, of]) => [key, speak(of)] as const);
      return spoken.every(([key, of]) => part.get(key) === of) ? part : new Map(spoken);
    }
    let changed: Record<string, unknown> | undefined;
    for (const [key, of] of Object.entries(part)) {
      const spoken = speak(of);
      if (spoken === of) continue;
      changed ??= { ...part };
      changed[key] = spoken;
    }
    return changed ?? part;
  };
  return speak(value) as Spoken<T>;
}
