import type { Words } from '../words.ts';

/** Why a trouble code stands in its group. */
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
} as const;
