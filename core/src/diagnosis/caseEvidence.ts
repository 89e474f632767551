import { holdingOff, sortCodes, type ListedCode } from '../codes/index.ts';
import { entriesOfKind, type BodyOf, type Entry, type ReadingBody } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Posterior } from './inference.ts';
import type { Beyond, Measured } from './weigh.ts';
import { distinct, say, type Said } from '../words/index.ts';
import { filterByEngine, filterVolumeL } from '../filter/index.ts';
import { measuredOf } from './measured/measuredOf.ts';
import { type MeasuredReading, type MeasuredVehicle } from './measured/airRatio.ts';
import type { Evidence } from './network.ts';
import { oilToldOf } from './proposeChecks.ts';
import { evidenceOfOutcome } from './nextChecks.ts';
import {
  evidenceOfScan,
  KNOWN_CAUSES,
  KNOWN_CHECKS,
  KNOWN_FINDINGS,
  namesOnly,
  rememberedOnly,
} from './vocabulary.ts';

/** What is known of a vehicle, in whatever form it came. */
export interface CaseFacts {
  /** Findings seen or looked for and not seen, by id. */
  readonly findings?: Readonly<Record<string, boolean>>;
  /** Outcome of each check that was made, by id. */
  readonly checks?: Readonly<Record<string, string>>;
  /** Findings of guided checks, which may decide more or less than one outcome says. */
  readonly checked?: Readonly<Record<string, boolean>>;
  /** A whole scan: codes that are not in it count as not set. Absent: no scan was made. */
  readonly codes?: readonly ListedCode[];
  /** The reading itself: its figures are judged by their size. */
  readonly reading?: MeasuredReading;
  /** Causes that were put right since that reading: it was read through them. */
  readonly readThrough?: readonly string[];
  /** The scan was of some modules only, or named faults without numbers. */
  readonly partialScan?: boolean;
  readonly readings?: { readonly dpIdleMbar?: number; readonly dp3000Mbar?: number; readonly sootG?: number };
}

export interface CaseEvidence {
  readonly evidence: Evidence;
  readonly beyond: Beyond;
  /** More soot is counted than a filter of this size may burn. */
  readonly overFull: boolean;
  /** Ids that the vocabulary does not know: kept and told, and without a say. */
  readonly unknown: readonly string[];
}

const FINDING_IDS = new Set(KNOWN_FINDINGS.map(({ id }) => id));

/** The figures of a case as a reading: the reading itself, or the few figures that were told. */
function readingOf({ reading, readings = {} }: CaseFacts): MeasuredReading {
  const { dpIdleMbar, dp3000Mbar, sootG } = readings;
  if (reading) return { ...reading, sootCounterG: reading.sootCounterG ?? sootG };
  return {
    samples: [
      ...(dpIdleMbar === undefined ? [] : [{ kind: 'idle' as const, rpm: 820, dpMbar: dpIdleMbar }]),
      ...(dp3000Mbar === undefined ? [] : [{ kind: 'hold' as const, rpm: 3000, dpMbar: dp3000Mbar }]),
    ],
    sootCounterG: sootG,
  };
}

/** A value that was read while causes were there that are put right now: judged with them, each in its forms by their share. */
const through = (measured: Measured, causes: readonly string[]): Measured =>
  causes.reduce<Measured>((one, cause) => {
    const forms = KNOWN_CAUSES.find(({ id }) => id === cause)?.forms ?? [{ id: undefined, share: 1 }];
    return {
      id: one.id,
      causes: one.causes,
      chance: (set) =>
        forms.reduce((sum, { id: form, share }) => sum + share * one.chance([...set, { cause, form }]), 0),
    };
  }, measured);

/** A fill level is of the threshold; grams are of the litres of the filter, or of a usual one where its size is not known. */
function isOverFull(
  { sootCounterG, sootPercent }: MeasuredReading,
  { displacementL, geometry }: MeasuredVehicle,
  limits: Limits,
): boolean {
  if (sootPercent !== undefined && sootPercent >= limits.overFullPercent) return true;
  if (sootCounterG === undefined) return false;
  if (geometry) return sootCounterG / filterVolumeL(geometry) > limits.sootHighGPerL;
  return displacementL === undefined
    ? sootCounterG > limits.sootHighG
    : sootCounterG / filterVolumeL(filterByEngine(displacementL, limits.filterPerEngineSize)) >
        limits.sootHighGPerL;
}

/** Brings what is known into the words of the network; what it has no word for is given back. */
export function evidenceOfCase(
  facts: CaseFacts,
  limits: Limits,
  vehicle: MeasuredVehicle = {},
): CaseEvidence {
  const evidence: Record<string, boolean> = {};
  const unknown: string[] = [];
  if (facts.codes) Object.assign(evidence, evidenceOfScan(facts.codes));
  for (const [id, seen] of Object.entries(facts.findings ?? {})) {
    if (FINDING_IDS.has(id)) evidence[id] = seen;
    else unknown.push(id);
  }
  for (const [id, outcome] of Object.entries(facts.checks ?? {})) {
    const check = KNOWN_CHECKS.find((one) => one.id === id);
    const isOne = check && (check.otherwise === outcome || check.outcomes.includes(outcome));
    if (check && isOne) Object.assign(evidence, evidenceOfOutcome(check, outcome));
    else unknown.push(`${id}: ${outcome}`);
  }
  Object.assign(evidence, facts.checked ?? {});
  const reading = readingOf(facts);
  const { measured, instead } = measuredOf(reading, vehicle, limits, evidence);
  for (const id of instead) delete evidence[id];
  return {
    evidence,
    unknown,
    beyond: {
      measured: measured.map((one) => through(one, facts.readThrough ?? [])),
      partialScan: (facts.partialScan ?? false) || namesOnly(facts.codes ?? []),
      remembered: rememberedOnly(facts.codes ?? []),
    },
    overFull: isOverFull(reading, vehicle, limits),
  };
}

/** Log findings that a log with these channels could have shown, and did not where they are not listed. */
const BY_CHANNEL: readonly (readonly [role: string, findings: RegExp])[] = [
  ['dpfDeltaP', /^dp-(?!falling|saturated|high)/],
  ['exhaustBackPressure', /^ebp-(?!low-for-boost)/],
  ['manifoldPressure', /^map-/],
  ['massAirFlow', /^maf-/],
  ['egt1', /^egt1-(open|stuck)/],
  ['egt2', /^egt2-(open|stuck)/],
  ['egt3', /^egt3-(open|stuck)/],
  ['egt4', /^egt4-(open|stuck)/],
  ['sootMass', /^soot-high$/],
];

/** What a reading says: the findings of its log, and its figures as they are. */
export function factsOfReading(reading: ReadingBody): Pick<CaseFacts, 'findings' | 'reading'> {
  const { origin, samples } = reading;
  if (origin.type === 'hand') return { reading };
  const findings: Record<string, boolean> = {};
  const steady = samples.some(({ kind }) => kind === 'hold');
  for (const [role, pattern] of BY_CHANNEL) {
    if (!steady || origin.mapping[role] === undefined) continue;
    for (const { id, from } of KNOWN_FINDINGS) if (from === 'log' && pattern.test(id)) findings[id] = false;
  }
  for (const id of origin.findings) findings[id] = true;
  return { findings, reading };
}

/** All that the intake says, without its words. */
export type Intake = Omit<BodyOf<'complaint'>, 'kind' | 'text'>;

/** The intake as a whole: what was said last of each thing, whenever it was said. */
export function intakeOf(entries: readonly Entry[]): Intake {
  const said = entriesOfKind(entries, 'complaint').map(
    ({ body: { kind: _kind, text: _text, ...rest } }) => rest,
  );
  const seen = Object.assign({}, ...said.map((one) => one.seen ?? {})) as Record<string, boolean>;
  return {
    ...(Object.assign({}, ...said) as Intake),
    ...(Object.keys(seen).length > 0 ? { seen } : {}),
  };
}

const FAR_KM = 200_000;

/** What was seen, told and asked for at the intake, in the words of the network. */
export function factsOfIntake(intake: Intake): Record<string, boolean> {
  const { powerLimited, distanceKm, use, lamps, seen = {} } = intake;
  return {
    ...(powerLimited === undefined ? {} : { 'power-limited': powerLimited }),
    ...(distanceKm === undefined ? {} : { 'high-distance': distanceKm > FAR_KM }),
    ...(use === undefined ? {} : { 'short-trips-told': use === 'short-trips' }),
    ...(lamps === undefined ? {} : { 'filter-lamp': lamps.includes('filter') }),
    ...seen,
  };
}

/** From this chance on a cause is said to hold a regeneration off. */
const HOLDS_FROM = 0.5;
const HOLDS_OFF: Readonly<Record<string, Said>> = {
  'glow-plugs-failed': say('diagnosis.preheat-inhibits'),
  'oil-counter': say('diagnosis.oil-or-counter-inhibits'),
  'thermostat-stuck-open': say('diagnosis.coolant-too-cool'),
  'fuel-low': say('diagnosis.tank-nearly-empty'),
};

/** What keeps a regeneration from coming, as far as it is known, in sentences. */
export function inhibitorsOf(
  facts: CaseFacts,
  { evidence, overFull }: CaseEvidence,
  posterior?: Posterior,
): Said[] {
  const held: readonly (readonly [finding: string, sentence: Said])[] = [
    ['coolant-below-regen-temperature', say('diagnosis.coolant-too-cool')],
    ['coolant-cool', say('diagnosis.coolant-too-cool')],
    ['fuel-lamp', say('diagnosis.tank-nearly-empty')],
    ['fuel-under', say('diagnosis.tank-nearly-empty')],
    ['oil-counter-zero', say('diagnosis.oil-life-used-up')],
    ['counter-zero', say('diagnosis.oil-life-used-up')],
    ['oil-diluted', say('diagnosis.fuel-in-the-oil')],
  ];
  const told = oilToldOf(evidence) ? [say('diagnosis.oil-told-over-full')] : [];
  const codes = holdingOff(sortCodes(facts.codes ?? [])).map(({ code, meaning }) =>
    say('text.because', { what: code, why: meaning }),
  );
  const seen = [
    ...held.filter(([finding]) => evidence[finding] === true).map(([, sentence]) => sentence),
    ...told,
  ];
  for (const { id, probability } of posterior?.causes ?? []) {
    const sentence = HOLDS_OFF[id];
    if (sentence !== undefined && probability >= HOLDS_FROM) seen.push(sentence);
  }
  if (overFull || evidence['soot-high'] === true) seen.push(say('diagnosis.soot-above-the-limit'));
  return distinct([...codes, ...seen]);
}
