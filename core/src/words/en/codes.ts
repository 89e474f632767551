import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

/** Why a trouble code stands in its group, and what is said of one that the tables know in part. */
export const codes = {
  cause: 'May be the root cause: it names a circuit or a mismatch, not a part',
  'holds-regeneration-off': 'Has its own cause, and inhibits regeneration while active',
  consequence: 'Consequence: find what caused it first',
  bystander: 'Unrelated to the filter',
  unknown: 'Not in the tables; kept as it is',
  'inhibits-while-active': 'while active it inhibits regeneration',
  'no-code-says-which': 'no code says which, so use live values',
  'look-at-these-first': ({ codes }: { codes: readonly string[] }, w: Words) =>
    `look at ${w.list(codes)} first`,
  'not-in-the-tables': 'Not in the tables: see the maker’s data',
  'maker-specific': 'Maker-specific code: see the maker’s data',
  'by-its-range': ({ range }: { range: Said }, w: Words) => `${w.say(range)} (by its range)`,
  'parameter-and-mode': ({ parameter, mode }: { parameter: Said; mode: Said }, w: Words) =>
    `${w.say(parameter)}: ${w.say(mode)}`,
  'parameter-not-in-the-tables': ({ mode }: { mode: Said }, w: Words) =>
    `Parameter not in the tables: ${w.say(mode)}`,
  'mode-not-in-the-tables': 'failure mode not in the tables',
  'if-hexadecimal': ({ code }: { code: string }) => `${code}, if it is hexadecimal`,
  'the-makers-number': ({ number }: { number: string }) => `the maker’s own number ${number}`,
} as const;
