import { joined, say, type Said } from '../words/index.ts';
import { codeMeaning, type KnownCode } from './meaning.ts';
import { isActive, sameCode, type ListedCode } from './readList.ts';

export const CODE_GROUPS = [
  'cause',
  'holds-regeneration-off',
  'consequence',
  'bystander',
  'unknown',
] as const;
export type CodeGroup = (typeof CODE_GROUPS)[number];

export interface SortedCode extends KnownCode {
  readonly status?: string;
  readonly module?: string;
  readonly active: boolean;
  readonly group: CodeGroup;
  /** Why it stands in its group. */
  readonly reason: Said;
}

function groupOf({ role, holdsRegenerationOff }: KnownCode): CodeGroup {
  if (role === 'bystander') return holdsRegenerationOff ? 'holds-regeneration-off' : 'bystander';
  return role;
}

/** What a consequence most likely comes of, among the codes of the same scan. */
function causeBehind(known: KnownCode, all: readonly KnownCode[]): Said {
  if (known.role !== 'consequence') return '';
  const behind = all.filter(({ role }) => role === 'cause').map(({ code }) => code);
  return behind.length === 0
    ? say('codes.no-code-says-which')
    : say('codes.look-at-these-first', { codes: behind.slice(0, 3) });
}

/** Sorts a scan into what may be the cause, what holds a regeneration off, what comes of it, and what stands by. */
export function sortCodes(listed: readonly ListedCode[]): SortedCode[] {
  const known = listed.map(({ code }) => codeMeaning(code));
  const sorted = listed.map((one, i): SortedCode => {
    const meaning = known[i] as KnownCode;
    const group = groupOf(meaning);
    const active = isActive(one);
    const off = meaning.holdsRegenerationOff && group === 'cause' ? say('codes.inhibits-while-active') : '';
    return {
      ...meaning,
      ...(one.status === undefined ? {} : { status: one.status }),
      ...(one.module === undefined ? {} : { module: one.module }),
      active,
      group,
      reason: joined([say(`codes.${group}`), off, causeBehind(meaning, known)], '; '),
    };
  });
  const place = ({ group, active }: SortedCode): number => 2 * CODE_GROUPS.indexOf(group) + (active ? 0 : 1);
  return sorted.sort((a, b) => place(a) - place(b));
}

/** Codes that hold a regeneration off now. */
export const holdingOff = (sorted: readonly SortedCode[]): SortedCode[] =>
  sorted.filter(({ holdsRegenerationOff, active }) => holdsRegenerationOff && active);

export interface ScanChange {
  readonly gone: readonly string[];
  readonly stayed: readonly string[];
  readonly came: readonly string[];
}

/** What changed from one scan to a later one, by codes alone. */
export function compareScans(earlier: readonly ListedCode[], later: readonly ListedCode[]): ScanChange {
  const has = (list: readonly ListedCode[], code: string): boolean =>
    list.some((one) => sameCode(one.code, code));
  const names = (list: readonly ListedCode[]): string[] => [
    ...new Set(list.map(({ code }) => codeMeaning(code).code)),
  ];
  return {
    gone: names(earlier).filter((code) => !has(later, code)),
    stayed: names(earlier).filter((code) => has(later, code)),
    came: names(later).filter((code) => !has(earlier, code)),
  };
}
