import { cardOf, CHECK_IDS, type CautionId, type CheckId, type KitId } from '../checks/index.ts';
import { codeMeaning, isActive, type ListedCode } from '../codes/index.ts';
import type { PartId, UsePattern } from '../ledger/index.ts';
import { CAUSES } from './data/causes.ts';
import { causeNow } from './formerCauses.ts';
import { CHECK_OUTCOMES } from './data/checkOutcomes.ts';
import { CODE_FINDINGS } from './data/codeFindings.ts';
import { LOG_FINDINGS } from './data/logFindings.ts';
import { OBSERVATIONS } from './data/observations.ts';
import type { Cause, FindingNode, Link, Network } from './network.ts';
import type { CheckNode } from './nextChecks.ts';
import { withPutRight, type PutRight } from './putRight.ts';

/** Anything with a name, in a plain sentence and with the reason for its numbers. */
export interface Worded {
  readonly sentence: string;
  readonly why: string;
}
export type KnownCause = Omit<Cause, 'forms'> &
  Worded & { readonly forms?: readonly (Worded & { readonly id: string; readonly share: number })[] };
export type KnownFinding = FindingNode & Worded & { readonly from: 'log' | 'code' | 'observation' | 'check' };
export type KnownCheck = CheckNode & {
  readonly id: CheckId;
  readonly needs: readonly KitId[];
  readonly cautions: readonly CautionId[];
};

const cells = (line: string, count: number): string[] => {
  const found = line.split('|').map((cell) => cell.trim());
  if (found.length !== count || found.some((cell) => cell === ''))
    throw new Error(`Not a line of ${count} cells: ${line}`);
  return found;
};
const lines = (text: string): string[] => text.split('\n').filter((line) => line.trim() !== '');

function chanceOf(text: string, line: string): number {
  const chance = Number(text);
  if (!(chance > 0 && chance < 1)) throw new Error(`Not a chance between 0 and 1: “${text}” in ${line}`);
  return chance;
}

/** `cause .4 cause:form .7 -cause .5`: what brings a finding about, and with a minus what hides it. */
function linksOf(text: string, line: string): Link[] {
  const words = text.split(/\s+/);
  if (words.length % 2 !== 0) throw new Error(`A cause without its chance: ${line}`);
  return Array.from({ length: words.length / 2 }, (_, i) => {
    const name = words[2 * i] as string;
    const masks = name.startsWith('-');
    const [cause = '', form] = (masks ? name.slice(1) : name).split(':');
    return {
      cause,
      ...(form === undefined ? {} : { form }),
      chance: chanceOf(words[2 * i + 1] as string, line),
      how: masks ? 'masks' : 'activates',
    };
  });
}

/** Not every look finds what is there: a good one clears nine in ten; what is measured seldom errs. */
const SHOWS_AT_MOST = { looked: 0.9, measured: 0.97, gauged: 0.995 };
/** What is seen is so, but for a slip. */
const SLIP_OF_A_LOOK = 0.0004;

const findingFrom = (
  [id = '', leak = '', links = '', sentence = '', why = '']: readonly string[],
  from: KnownFinding['from'],
  line: string,
  showsAtMost = 1,
): KnownFinding => ({
  id,
  leak: Math.max(chanceOf(leak, line), from === 'check' ? SLIP_OF_A_LOOK : 0),
  links: linksOf(links, line).map((link) =>
    from === 'check' ? { ...link, chance: Math.min(link.chance, showsAtMost) } : link,
  ),
  ...(from === 'code' ? { code: true as const } : {}),
  sentence,
  why,
  from,
});

/** Causes and their forms, read together: an indented line is a form of the cause above it. */
function readCauses(): KnownCause[] {
  const causes: (KnownCause & { forms?: (Worded & { id: string; share: number })[] })[] = [];
  for (const line of lines(CAUSES)) {
    const [id = '', chance = '', sentence = '', why = ''] = cells(line, 4);
    const last = causes.at(-1);
    if (line.startsWith(' ') && last)
      last.forms = [...(last.forms ?? []), { id, share: chanceOf(chance, line), sentence, why }];
    else causes.push({ id, prior: chanceOf(chance, line), sentence, why });
  }
  for (const { id, forms } of causes)
    if (forms && Math.abs(forms.reduce((sum, { share }) => sum + share, 0) - 1) > 1e-9)
      throw new Error(`The forms of “${id}” do not add up to 1`);
  return causes;
}
export const KNOWN_CAUSES: readonly KnownCause[] = readCauses();

const simple = (text: string, from: KnownFinding['from']): KnownFinding[] =>
  lines(text).map((line) => findingFrom(cells(line, 5), from, line));

const coded = lines(CODE_FINDINGS).map((line) => {
  const [id = '', leak = '', links = '', codes = '', sentence = '', why = ''] = cells(line, 6);
  return { finding: findingFrom([id, leak, links, sentence, why], 'code', line), codes: codes.split(/\s+/) };
});

/** Checks by an instrument. */
const MEASURES: ReadonlySet<string> = new Set<CheckId>([
  'dp-electrical',
  'dp-ladder',
  'dp-swap',
  'pipe-pump',
  'sensor-compare',
  'egt-resistance',
  'glow',
  'supply',
  'thermostat',
  'air-mass',
  'running-comparison',
  'single-piece',
]);
/** A gauge in the line itself: nothing stands between it and the gas. */
const GAUGES: ReadonlySet<string> = new Set<CheckId>(['gauge', 'sections']);

/** Checks and their outcomes, read together: an indented line is an outcome of the check above it. */
function readChecks(): { checks: KnownCheck[]; outcomes: KnownFinding[] } {
  const checks: (KnownCheck & { outcomes: string[] })[] = [];
  const outcomes: KnownFinding[] = [];
  for (const line of lines(CHECK_OUTCOMES)) {
    if (line.startsWith(' ')) {
      const check = checks.at(-1)?.id ?? '';
      const by = GAUGES.has(check) ? 'gauged' : MEASURES.has(check) ? 'measured' : 'looked';
      const outcome = findingFrom(cells(line, 5), 'check', line, SHOWS_AT_MOST[by]);
      outcomes.push(outcome);
      checks.at(-1)?.outcomes.push(outcome.id);
      continue;
    }
    const [id = '', minutes = '', cost = '', otherwise = ''] = cells(line, 4);
    const known = CHECK_IDS.find((one) => one === id);
    const card = cardOf(id);
    if (!known || card?.otherwise !== otherwise) throw new Error(`“${id}” is no check, or has another card`);
    const { needs, cautions } = card;
    checks.push({
      id: known,
      minutes: Number(minutes),
      cost: Number(cost),
      needs,
      cautions,
      otherwise,
      outcomes: [],
    });
  }
  for (const { id, outcomes: known } of checks)
    if (cardOf(id)?.outcomes.join() !== known.join())
      throw new Error(`“${id}” has other outcomes on its card`);
  return { checks, outcomes };
}

const { checks, outcomes } = readChecks();
export const KNOWN_CHECKS: readonly KnownCheck[] = checks;
export const KNOWN_FINDINGS: readonly KnownFinding[] = [
  ...simple(LOG_FINDINGS, 'log'),
  ...coded.map(({ finding }) => finding),
  ...simple(OBSERVATIONS, 'observation'),
  ...outcomes,
];

/** Which finding a code sets, by the code in our one notation or by its heavy parameter. */
const FINDING_OF_CODE = new Map(
  coded.flatMap(({ finding, codes }) => codes.map((code) => [code, finding.id])),
);

/** What a fault of the circuit says instead: sensor or wire, not what is sensed. */
const OF_THE_CIRCUIT: Readonly<Record<string, string>> = {
  'code-dp-plausible': 'code-dp-circuit',
  'code-dp-too-low': 'code-dp-circuit',
  'code-back-pressure': 'code-back-pressure-circuit',
  'code-manifold': 'code-manifold-circuit',
  'code-air-mass': 'code-air-mass-circuit',
  'code-coolant': 'code-coolant-circuit',
};
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
  if (circuit) return OF_THE_CIRCUIT[finding] ?? finding;
  return finding === 'code-dp-plausible' && HIGH_MODES.has(known.fmi ?? -1) ? 'code-soot-high' : finding;
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

export const CODE_FINDING_IDS: readonly string[] = coded.map(({ finding }) => finding.id);

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

/** The part that a cause needs, where not every vehicle has it. */
const NEEDS_PART: Readonly<Partial<Record<string, PartId>>> = {
  'soot-loaded': 'filter',
  'ash-full': 'filter',
  'filter-cracked': 'filter',
  'catalyst-restricted': 'catalyst',
  'egt1-failed': 'egt1',
  'egt2-failed': 'egt2',
  'egt3-failed': 'egt3',
  'egt4-failed': 'egt4',
  'dp-sensor-failed': 'dp-sensor',
  'dp-sensor-wrong': 'dp-sensor',
  'dp-hoses-crossed': 'dp-sensor',
  'dp-hose-off': 'dp-sensor',
  'high-pipe-blocked': 'dp-sensor',
  'low-pipe-blocked': 'low-pipe',
  'back-pressure-sensor-failed': 'back-pressure-sensor',
  'back-pressure-pipe-blocked': 'back-pressure-sensor',
  'turbocharger-worn': 'turbine',
  'vanes-stuck': 'turbine',
  'dosing-injector-blocked': 'filter',
  // What only matters where something regenerates.
  'soot-counter-reset': 'filter',
  'counter-not-reset': 'filter',
  'short-trips': 'filter',
  'fuel-low': 'filter',
};

const isFitted = (cause: string, { fitted }: VehicleUse): boolean => {
  const part = NEEDS_PART[cause];
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

/** The network of a vehicle that nothing is known of. */
export const KNOWN_NETWORK: Network = { causes: KNOWN_CAUSES, findings: KNOWN_FINDINGS };

/** The network for a vehicle: all causes and findings, the chances of its distance and use. */
export function networkFor(vehicle: VehicleUse = {}): Network {
  const causes = KNOWN_CAUSES.filter(({ id }) => isFitted(id, vehicle));
  const there = new Set(causes.map(({ id }) => id));
  return withPutRight(
    {
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
