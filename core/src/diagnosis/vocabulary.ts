import { CHECK_CARDS, type CautionId, type CheckId, type FindingEntry, type KitId } from '../checks/index.ts';
import { codeMeaning, isActive, type ListedCode } from '../codes/index.ts';
import { type PartId, type UsePattern, causeNow } from '../ledger/index.ts';
import { CAUSES, type CauseId } from './knowledge/causes.ts';
import { CONSEQUENCE_CHAINS } from './knowledge/chains.ts';
import { CODE_FINDINGS, type CodeFindingEntry } from './knowledge/codeFindings.ts';
import { LOG_FINDINGS } from './knowledge/logFindings.ts';
import { OBSERVATIONS } from './knowledge/observations.ts';
import type { Cause, FindingNode, Link, Network } from './network.ts';
import type { CheckNode } from './nextChecks.ts';
import { withPutRight, type PutRight } from './putRight.ts';

/** Numbers with the reason for them. What it is called stands with the words. */
interface Reasoned {
  readonly why: string;
}
export type KnownCause = Omit<Cause, 'forms' | 'id'> &
  Reasoned & {
    readonly id: CauseId;
    readonly needs?: PartId;
    readonly forms?: readonly (Reasoned & { readonly id: string; readonly share: number })[];
  };
export type KnownFinding = FindingNode &
  Reasoned & { readonly from: 'log' | 'code' | 'observation' | 'check' };
export type KnownCheck = CheckNode & {
  readonly id: CheckId;
  readonly needs: readonly KitId[];
  readonly cautions: readonly CautionId[];
};

type CauseEntry = Omit<KnownCause, 'id' | 'forms'> & {
  readonly shownBy?: Readonly<Record<string, number>>;
  readonly forms?: Readonly<Record<string, Reasoned & { readonly share: number }>>;
};
export const KNOWN_CAUSES: readonly KnownCause[] = Object.entries<CauseEntry>(CAUSES).map(
  ([id, { forms, shownBy: _, ...cause }]) => ({
    ...cause,
    id: id as CauseId,
    ...(forms ? { forms: Object.entries(forms).map(([form, its]) => ({ id: form, ...its })) } : {}),
  }),
);

/** What causes say of findings that do not speak of them. */
const shownBySaid = (finding: string): Readonly<Record<string, number>> =>
  Object.fromEntries(
    Object.entries<CauseEntry>(CAUSES).flatMap(([cause, { shownBy = {} }]) =>
      Object.entries(shownBy).flatMap(([id, chance]) => (id === finding ? [[cause, chance] as const] : [])),
    ),
  );

/** Not every look finds what is there: a good one clears nine in ten; what is measured seldom errs. */
const SHOWS_AT_MOST = { looked: 0.9, measured: 0.97, gauged: 0.995 };
/** What is seen is so, but for a slip. */
const SLIP_OF_A_LOOK = 0.0004;

const linksFor = (chances: Readonly<Record<string, number>>, how: Link['how'], most = 1): Link[] =>
  Object.entries(chances).map(([name, chance]) => {
    const [cause = '', form] = name.split(':');
    return { cause, ...(form === undefined ? {} : { form }), chance: Math.min(chance, most), how };
  });

const findingsOf = (
  entries: Readonly<Record<string, FindingEntry>>,
  from: KnownFinding['from'],
  most = 1,
): KnownFinding[] =>
  Object.entries(entries).map(([id, { why, leak, shows, hides = {} }]) => ({
    id,
    why,
    from,
    leak: from === 'check' ? Math.max(leak, SLIP_OF_A_LOOK) : leak,
    links: [
      ...linksFor({ ...shows, ...shownBySaid(id) }, 'activates', most),
      ...linksFor(hides, 'masks', most),
    ],
    ...(from === 'code' ? { code: true as const } : {}),
  }));

/** Checks that find something of the vocabulary, as their cards have it. */
export const KNOWN_CHECKS: readonly KnownCheck[] = CHECK_CARDS.filter(
  ({ outcomes }) => Object.keys(outcomes).length > 0,
).map(({ id, outcomes, otherwise, minutes, cost, needs, cautions }) => ({
  id,
  outcomes: Object.keys(outcomes),
  otherwise,
  minutes,
  cost,
  needs,
  cautions,
}));

export const KNOWN_FINDINGS: readonly KnownFinding[] = [
  ...findingsOf(LOG_FINDINGS, 'log'),
  ...findingsOf(CODE_FINDINGS, 'code'),
  ...findingsOf(OBSERVATIONS, 'observation'),
  ...CHECK_CARDS.flatMap(({ outcomes, by }) => findingsOf(outcomes, 'check', SHOWS_AT_MOST[by])),
];

const CODED: readonly (readonly [id: string, entry: CodeFindingEntry])[] = Object.entries(CODE_FINDINGS);

/** Which finding a code sets, by the code in our one notation or by its heavy parameter. */
const FINDING_OF_CODE = new Map(CODED.flatMap(([id, { codes }]) => codes.map((code) => [code, id] as const)));
const CODED_BY_ID: ReadonlyMap<string, CodeFindingEntry> = new Map(CODED);

/** Voltage or current out of range (SAE J1939-73). */
const CIRCUIT_MODES: ReadonlySet<number> = new Set([3, 4, 5, 6]);
/** Above what is normal, in three degrees (SAE J1939-73). */
const HIGH_MODES: ReadonlySet<number> = new Set([0, 15, 16]);
/** Shorts, opens and voltages out of range (SAE J2012-DA, general electrical failures). */
const isElectrical = (failureType: string | undefined): boolean =>
  failureType !== undefined && /^1[0-9A-F]$/i.test(failureType);

const findingOf = ({ code }: ListedCode): string | undefined => {
  const known = codeMeaning(code);
  const finding = FINDING_OF_CODE.get(known.spn === undefined ? known.code : `SPN${known.spn}`);
  if (finding === undefined) return undefined;
  const circuit = CIRCUIT_MODES.has(known.fmi ?? -1) || isElectrical(known.failureType);
  const entry = CODED_BY_ID.get(finding);
  if (circuit) return entry?.circuit ?? finding;
  return (HIGH_MODES.has(known.fmi ?? -1) ? entry?.tooHigh : undefined) ?? finding;
};

/** A scan that named faults without numbers is no whole list of what is not there. */
export const namesOnly = (codes: readonly ListedCode[]): boolean =>
  codes.some(({ code }) => codeMeaning(code).notation === 'name');

/** A code that was confirmed and is stored counts also while its test does not run, as with the engine off. */
const counts = (listed: ListedCode): boolean =>
  isActive(listed) || /confirmed|stored/i.test(listed.status ?? '');

/** The findings that a scan sets; codes that bear on none are left aside. */
export const findingsOfCodes = (codes: readonly ListedCode[]): Set<string> =>
  new Set(codes.filter(counts).flatMap((listed) => findingOf(listed) ?? []));

/** Findings that only codes set which are remembered and not there now: of a fault that comes and goes, or of one long gone. */
export function rememberedOnly(codes: readonly ListedCode[]): Set<string> {
  const now = new Set(codes.filter(isActive).flatMap((listed) => findingOf(listed) ?? []));
  return new Set([...findingsOfCodes(codes)].filter((id) => !now.has(id)));
}

/**
 * What a whole scan says of each code finding: set, or not set. One that is only remembered, or not confirmed yet, is left open.
 */
export function evidenceOfScan(codes: readonly ListedCode[]): Record<string, boolean> {
  const set = findingsOfCodes(codes);
  const listed = new Set(codes.flatMap((one) => findingOf(one) ?? []));
  return Object.fromEntries(
    CODE_FINDING_IDS.filter((id) => set.has(id) || !listed.has(id)).map((id) => [id, set.has(id)]),
  );
}

export const CODE_FINDING_IDS: readonly string[] = CODED.map(([id]) => id);

export interface VehicleUse {
  readonly distanceKm?: number;
  readonly use?: UsePattern;
  /** What this workshop found on earlier vehicles of the family. */
  readonly family?: { readonly jobs: number; readonly confirmed: Readonly<Record<string, number>> };
  /** Parts that stand on this vehicle; absent: not known. What is not there cannot have failed. */
  readonly fitted?: readonly PartId[];
  /** Causes that a technician has confirmed or ruled out. */
  readonly settled?: Readonly<Record<string, boolean>>;
  /** Sensors that were changed without any effect: they were not it. */
  readonly changedInVain?: readonly string[];
  /** Causes that were found and put right on this job. */
  readonly putRight?: readonly PutRight[];
}

const PART_OF_CAUSE: ReadonlyMap<string, PartId | undefined> = new Map(
  KNOWN_CAUSES.map(({ id, needs }) => [id, needs]),
);

const isFitted = (cause: string, { fitted }: VehicleUse): boolean => {
  const part = PART_OF_CAUSE.get(cause);
  return part === undefined || fitted === undefined || fitted.includes(part);
};

/** Checks that can tell something on this vehicle: of one whose every outcome is about parts that are not there nothing is learned. */
export const checksFor = (vehicle: VehicleUse): readonly KnownCheck[] =>
  KNOWN_CHECKS.filter(({ outcomes: ids }) =>
    ids.some((id) =>
      KNOWN_FINDINGS.find((finding) => finding.id === id)?.links.some(
        ({ cause, chance, how }) => how === 'activates' && chance >= 0.3 && isFitted(cause, vehicle),
      ),
    ),
  );

/** As good as certain either way; a single surprise can still speak against it. */
const SETTLED = 1e-5;

/** How distance and use shift the chances before anything is seen; factors of ours, on the odds. */
function factor(id: string, { distanceKm, use }: VehicleUse): number {
  const far = distanceKm === undefined ? 1 : distanceKm > 200_000 ? 2.2 : distanceKm < 60_000 ? 0.4 : 1;
  if (['ash-full', 'dosing-injector-blocked', 'turbocharger-worn', 'injector-over-fuelling'].includes(id))
    return far;
  if (id === 'short-trips') return use === 'short-trips' ? 6 : use === 'long' ? 0.15 : 1;
  if (id === 'soot-loaded') return use === 'short-trips' ? 1.5 : use === 'long' ? 0.7 : 1;
  return 1;
}

const shifted = (chance: number, times: number): number => {
  const odds = (times * chance) / (1 - chance);
  return odds / (1 + odds);
};

/** A part that was changed and changed nothing is seldom it again: odds. */
const IN_VAIN = 0.1;
/** A first guess counts for as many jobs. */
const GUESS_JOBS = 4;

function ofFamily(id: string, prior: number, { family }: VehicleUse): number {
  if (!family || family.jobs <= 0) return prior;
  const counted = Object.entries(family.confirmed).reduce(
    (sum, [cause, count]) => sum + (causeNow(cause) === id ? count : 0),
    0,
  );
  const found = Math.min(counted, family.jobs);
  return Math.max(prior, (GUESS_JOBS * prior + found) / (GUESS_JOBS + family.jobs));
}

function chanceBefore(id: string, prior: number, vehicle: VehicleUse): number {
  const settled = vehicle.settled?.[id];
  if (settled !== undefined) return settled ? 1 - SETTLED : SETTLED;
  const vain = vehicle.changedInVain?.includes(id) === true ? IN_VAIN : 1;
  return shifted(ofFamily(id, prior, vehicle), vain * factor(id, vehicle));
}

/**
 * Odds of each further root cause against what its own chance says. The chances are on the high side, so that none is ruled out early:
 * taken as they are, two things wrong that have nothing to do with each other would be the rule. In the trade it is one in three
 * or four vehicles.
 */
const ANOTHER = 0.6;

/** Soot has a reason: use, a fault of the air, or something that keeps regenerations from coming. Odds of none that is known here. */
const BARE = { 'soot-loaded': 0.4 };

/** The network of a vehicle that nothing is known of. */
export const KNOWN_NETWORK: Network = {
  causes: KNOWN_CAUSES,
  findings: KNOWN_FINDINGS,
  follows: CONSEQUENCE_CHAINS,
  bare: BARE,
  another: ANOTHER,
};

/** The network for a vehicle: all causes and findings, the chances of its distance and use. */
export function networkFor(vehicle: VehicleUse = {}): Network {
  const causes = KNOWN_CAUSES.filter(({ id }) => isFitted(id, vehicle));
  const there = new Set<string>(causes.map(({ id }) => id));
  return withPutRight(
    {
      ...KNOWN_NETWORK,
      causes: causes.map((cause) => ({
        ...cause,
        prior: chanceBefore(cause.id, cause.prior, vehicle),
      })),
      findings:
        there.size === KNOWN_CAUSES.length
          ? KNOWN_FINDINGS
          : KNOWN_FINDINGS.map((finding) => ({
              ...finding,
              links: finding.links.filter(({ cause }) => there.has(cause)),
            })),
    },
    (vehicle.putRight ?? []).filter(({ cause }) => there.has(cause)),
  );
}
