import { say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt, type Entry, type EntryOf } from '../ledger/index.ts';
import type { Evidence } from './evidenceItem.ts';

/** The checks that show a repair of each cause, each with the outcome that shows it; any one of them is enough. */
export const SHOWN_BY: Readonly<Record<string, readonly (readonly [check: string, good: string])[]>> = {
  'high-pipe-blocked': [
    ['pipe-pump', 'pipes-open'],
    ['pipe-response', 'response-quick'],
  ],
  'low-pipe-blocked': [
    ['pipe-pump', 'pipes-open'],
    ['pipe-response', 'response-quick'],
  ],
  'back-pressure-pipe-blocked': [
    ['pipe-pump', 'pipes-open'],
    ['pipe-response', 'response-quick'],
  ],
  'dp-hose-off': [['hoses', 'hoses-good']],
  'dp-hoses-crossed': [['hoses', 'hoses-good']],
  'dp-sensor-failed': [
    ['dp-swap', 'swap-same'],
    ['dp-ladder', 'ladder-good'],
  ],
  'dp-sensor-wrong': [
    ['dp-swap', 'swap-same'],
    ['dp-ladder', 'ladder-good'],
  ],
  'back-pressure-sensor-failed': [
    ['sensor-compare', 'compare-same'],
    ['absolute-agree', 'absolutes-agree'],
  ],
  'manifold-sensor-failed': [
    ['pipe-response', 'response-quick'],
    ['absolute-agree', 'absolutes-agree'],
  ],
  'egt1-failed': [
    ['egt-cold-soak', 'soak-alike'],
    ['egt-resistance', 'egt-good'],
  ],
  'egt2-failed': [
    ['egt-cold-soak', 'soak-alike'],
    ['egt-resistance', 'egt-good'],
  ],
  'egt3-failed': [
    ['egt-cold-soak', 'soak-alike'],
    ['egt-resistance', 'egt-good'],
  ],
  'egt4-failed': [
    ['egt-cold-soak', 'soak-alike'],
    ['egt-resistance', 'egt-good'],
  ],
  'sensor-wiring': [
    ['supply', 'supply-good'],
    ['dp-electrical', 'volts-good'],
  ],
  'intake-leak': [
    ['intake-smoke', 'intake-tight'],
    ['air-mass', 'air-fits'],
  ],
  'charge-leak': [
    ['intake-smoke', 'intake-tight'],
    ['air-mass', 'air-fits'],
  ],
  'air-meter-failed': [['air-mass', 'air-fits']],
  'turbocharger-worn': [['turbo', 'shaft-good']],
  'vanes-stuck': [['vane-sweep', 'vanes-move']],
  'egr-stuck-open': [['egr', 'egr-good']],
  'egr-stuck-shut': [['egr', 'egr-good']],
  'egr-cooler-fouled': [['egr', 'egr-good']],
  'injector-over-fuelling': [['injectors', 'injectors-good']],
  'dosing-injector-blocked': [['dosing-injector', 'dosing-sprays']],
  'glow-plugs-failed': [['glow', 'glow-good']],
  'oil-counter': [['oil', 'oil-good']],
  'thermostat-stuck-open': [['thermostat', 'coolant-warm']],
};

/**
 * What does not show a repair where this was seen: a sensor that stands still at the air’s pressure agrees at rest, and one that is off
 * by an amount follows as quickly as a right one.
 */
const NOT_IF_FOUND: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  'manifold-sensor-failed': {
    'absolute-agree': ['map-no-response', 'manifold-still'],
    'pipe-response': ['map-key-on-mismatch', 'manifold-off'],
  },
  'back-pressure-sensor-failed': {
    'absolute-agree': ['ebp-no-response', 'back-pressure-still', 'back-pressure-blind'],
  },
};

/**
 * What beside its own check has to be seen, where that shows one form of a cause only: a pipe that lets a pump’s air through may be
 * cracked all the same, unless it was its being shut that was found.
 */
const SEEN_TOO: Readonly<
  Record<
    string,
    {
      readonly unlessFound: readonly string[];
      readonly ways: readonly (readonly [check: string, good: string])[];
    }
  >
> = {
  'back-pressure-pipe-blocked': {
    unlessFound: ['back-pressure-holds', 'back-pressure-slow', 'piece-back-pressure-shut'],
    ways: [
      ['hoses', 'hoses-good'],
      ['running-comparison', 'comparison-fits'],
    ],
  },
};

/** Checks that show it as well, where it was found in one form: a crack that was seen is looked at, or its pressure compared. */
const SHOWN_BY_IF_FOUND: Readonly<
  Record<
    string,
    { readonly found: string; readonly ways: readonly (readonly [check: string, good: string])[] }
  >
> = {
  'back-pressure-pipe-blocked': {
    found: 'pipe-cracked',
    ways: [
      ['hoses', 'hoses-good'],
      ['running-comparison', 'comparison-fits'],
    ],
  },
};

interface JudgedCheck {
  readonly entry: EntryOf<'check'>;
  readonly outcome: string | undefined;
}

/** When a repair was made last: work, or a part that was changed here. */
const repairedAt = (entries: readonly Entry[]): number =>
  Math.max(
    0,
    ...entriesOfKind(entries, 'work').map(happenedAt),
    ...entriesOfKind(entries, 'part-changed').flatMap((entry) =>
      entry.body.where === 'here' ? [happenedAt(entry)] : [],
    ),
  );

/**
 * What shows repairs that are not of the filter: for each cause that was put right its own check, good after the work. A before
 * reading that nobody took does not make a good repair unprovable.
 * @returns nothing where no repair of the kind was made
 */
export function repairEvidence(
  entries: readonly Entry[],
  checks: readonly JudgedCheck[],
  putRight: readonly string[],
  nameOf: (cause: string) => Said,
): { readonly items: Evidence[]; readonly since: number } | undefined {
  const known = putRight.filter((cause) => SHOWN_BY[cause] !== undefined);
  const since = repairedAt(entries);
  if (known.length === 0 || since === 0) return undefined;
  const found = (finding: string): boolean =>
    entriesOfKind(entries, 'check').some(({ body }) => body.outcome === finding) ||
    entriesOfKind(entries, 'reading').some(
      ({ body }) => body.origin.type === 'log' && body.origin.findings.includes(finding),
    );
  const items = known.map((cause): Evidence => {
    const inThisForm = SHOWN_BY_IF_FOUND[cause];
    const ways = [
      ...(SHOWN_BY[cause] ?? []),
      ...(inThisForm && found(inThisForm.found) ? inThisForm.ways : []),
    ].filter(([check]) => NOT_IF_FOUND[cause]?.[check]?.some(found) !== true);
    // A check that was made again counts as it came out last; of different checks the bad one counts.
    const last = new Map<string, string | undefined>(
      checks
        .filter(({ entry }) => happenedAt(entry) >= since)
        .map(({ entry, outcome }) => [entry.body.check, outcome] as const),
    );
    const said = ways.flatMap(([check, shows]) => {
      const outcome = last.get(check);
      return outcome === undefined ? [] : [outcome === shows];
    });
    const good = said.includes(true);
    const bad = said.includes(false);
    return {
      id: 'repair',
      state: bad ? 'failed' : good ? 'shown' : 'open',
      text:
        good && !bad
          ? say('proof.repaired-and-its-check-passed', { cause: nameOf(cause) })
          : say('proof.its-own-check-passed-after', { cause: nameOf(cause) }),
      ...(good || bad ? {} : { ask: say('proof.repeat-the-check-that-found') }),
    };
  });
  return { items: [...items, ...seenToo(entries, checks, known, since)], since };
}

/** Its pipe looked at whole, for a repair whose own check says nothing of that. */
function seenToo(
  entries: readonly Entry[],
  checks: readonly JudgedCheck[],
  putRight: readonly string[],
  since: number,
): Evidence[] {
  const said = new Set(entriesOfKind(entries, 'check').map(({ body }) => body.outcome));
  return putRight.flatMap((cause): Evidence[] => {
    const needs = SEEN_TOO[cause];
    if (!needs || needs.unlessFound.some((outcome) => said.has(outcome))) return [];
    const made = checks.filter(({ entry }) => happenedAt(entry) >= since);
    const is = (good: boolean): boolean =>
      made.some(({ entry, outcome }) =>
        needs.ways.some(
          ([check, shows]) =>
            check === entry.body.check && outcome !== undefined && (outcome === shows) === good,
        ),
      );
    const state = is(true) ? 'shown' : is(false) ? 'failed' : 'open';
    return [
      {
        id: 'hoses',
        state,
        text:
          state === 'shown'
            ? say('proof.its-pipe-checked-since-intact')
            : say('proof.its-pipe-checked-intact-after'),
        ...(state === 'open' ? { ask: say('proof.look-along-the-pipe') } : {}),
      },
    ];
  });
}
