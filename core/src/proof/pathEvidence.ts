import { say, type Said } from '../words/index.ts';
import { own } from '../text/index.ts';
import {
  steadySamplesOf,
  entriesOfKind,
  happenedAt,
  type Entry,
  type EntryOf,
  type PartId,
  type PartState,
  type WorkType,
} from '../ledger/index.ts';
import type { CheckId } from '../checks/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Evidence } from './evidenceItem.ts';

/** A guided check with what it found. */
export interface JudgedCheck {
  readonly entry: EntryOf<'check'>;
  readonly judgement: { readonly findings: Readonly<Record<string, boolean>> };
}

interface PathFacts {
  readonly entries: readonly Entry[];
  readonly checks: readonly JudgedCheck[];
  readonly parts: ReadonlyMap<PartId, { readonly state: PartState; readonly why: Said }>;
  readonly after: readonly EntryOf<'reading'>[];
  readonly limits: Limits;
  /** The way of the pressure was put right on this job: figures by hand do not show that it is. */
  readonly pathRepaired: boolean;
  /** Of the way only wiring or supply was put right: sensor and hoses stayed where they were. */
  readonly wiringOnly: boolean;
}

/** Work for which the hoses of the ΔP sensor come off; a clean does where its fluid goes in by them. */
const HOSES_OFF: ReadonlySet<WorkType> = new Set<WorkType>([
  'off-vehicle-clean',
  'filter-exchanged',
  'pipe-cleared',
  'sensor-replaced',
]);

/** When the hoses were off the last time; 0 where they were not on this job. */
function hosesOffAt(entries: readonly Entry[]): number {
  const off = entriesOfKind(entries, 'work').findLast(
    ({ body }) =>
      HOSES_OFF.has(body.work) ||
      (body.work === 'chemical-clean' && (body.by === undefined || body.by === 'high-pipe')),
  );
  return off ? happenedAt(off) : 0;
}

/**
 * What makes the pressure believable at all: that the sensor is right, that its hoses are on and whole since they were off the last
 * time, and that what it shows follows the flow. A lying sensor looks like a cure.
 */
export function pathEvidence(facts: PathFacts): Evidence[] {
  const since = hosesOffAt(facts.entries);
  if (facts.wiringOnly && facts.parts.get('dp-sensor') === undefined && wiringShown(facts))
    return [responseEvidence(facts, since)];
  return [sensorEvidence(facts), hosesEvidence(facts, since), responseEvidence(facts, since)];
}

/** Supply, ground and signal were measured good since the last repair. */
function wiringShown({ entries, checks }: PathFacts): boolean {
  const since = Math.max(0, ...entriesOfKind(entries, 'work').map(happenedAt));
  return checks.some(
    ({ entry, judgement: { findings } }) =>
      happenedAt(entry) >= since && isGood(own(SHOWS_WIRING, entry.body.check), findings),
  );
}

/** What was measured says of some of these faults, and that none is there. */
const isGood = (
  faults: readonly string[] | undefined,
  findings: Readonly<Record<string, boolean>>,
): boolean =>
  faults !== undefined &&
  faults.some((id) => findings[id] !== undefined) &&
  !faults.some((id) => findings[id] === true);

const SENSOR_ASK = say('proof.pump-test-or-a-known');

function sensorEvidence({ parts, entries }: PathFacts): Evidence {
  const status = parts.get('dp-sensor');
  const text = say('proof.dp-sensor-good');
  switch (status?.state) {
    case 'sound':
    case 'replaced':
    case 'proven-clear': {
      // A sensor may be replaced by one that plugs in and is of another range.
      const wrong = entriesOfKind(entries, 'part-changed').findLast(({ body }) => body.part === 'dp-sensor');
      if (wrong?.body.fits === 'incompatible')
        return {
          id: 'sensor',
          state: 'failed',
          text: say('proof.the-dp-sensor-fitted'),
        };
      const measured =
        status.state === 'replaced' ||
        entriesOfKind(entries, 'substitution').some(({ body }) => body.part === 'dp-sensor') ||
        entriesOfKind(entries, 'check').some(({ body }) => PROVES_SENSOR.has(body.check));
      return {
        id: 'sensor',
        state: 'shown',
        text: say('proof.dp-sensor-good-by', {
          why: status.state === 'replaced' ? say('proof.a-new-one') : status.why || say('proof.looked'),
        }),
        ...(!measured ? { weak: say('proof.dp-sensor-not-compared') } : {}),
      };
    }
    case 'doubtful':
    case 'failed':
      return {
        id: 'sensor',
        state: 'failed',
        text: say('proof.the-dp-sensor', { state: status.state, why: status.why }),
      };
    case 'not-looked-at':
    case undefined:
      return { id: 'sensor', state: 'open', text, ask: SENSOR_ASK };
  }
}

const PROVES_SENSOR: ReadonlySet<string> = new Set<CheckId>(['dp-ladder', 'dp-swap']);

function hosesEvidence({ checks, entries }: PathFacts, since: number): Evidence {
  const text = since === 0 ? say('proof.sensor-hoses-checked') : say('proof.hoses-refitted-intact');
  const made = checks.find(({ entry }) => entry.body.check === 'hoses');
  const counts = made && happenedAt(made.entry) >= since ? made : undefined;
  const word = entriesOfKind(entries, 'part-state').findLast(
    (entry) => entry.body.part === 'high-pipe' && happenedAt(entry) >= since,
  );
  if (counts && (!word || happenedAt(word) <= happenedAt(counts.entry))) {
    const { state } = counts.entry.body.values;
    const { 'hoses-crossed': crossed, 'hose-off': off } = counts.judgement.findings;
    if (crossed === true || off === true || state === 'pinched')
      return {
        id: 'hoses',
        state: 'failed',
        text: say('proof.sensor-hoses', { state: crossed === true ? 'low' : String(state ?? 'off') }),
      };
    if (crossed === false && off === false) return { id: 'hoses', state: 'shown', text };
  }
  if (word?.body.state === 'sound' || word?.body.state === 'proven-clear')
    return { id: 'hoses', state: 'shown', text, weak: say('proof.hoses-reported-sound-without') };
  return {
    id: 'hoses',
    state: 'open',
    text,
    ask: say('proof.hoses-one-minute-each'),
  };
}

/** Checks that show whether the pressure gets to the sensor, with what must not be found in them. */
const SHOWS_RESPONSE: Readonly<Partial<Record<CheckId, readonly string[]>>> = {
  'pipe-response': ['high-slow', 'low-slow'],
  'pipe-pump': ['high-holds', 'low-holds'],
};

/** A new sensor is shown by pump or comparison, with what must not be found in them. */
const SHOWS_SENSOR: Readonly<Partial<Record<CheckId, readonly string[]>>> = {
  'dp-ladder': ['ladder-dead', 'ladder-gain', 'ladder-offset'],
  'dp-swap': ['swap-differs'],
};

/** Repaired wiring is shown by its volts. */
const SHOWS_WIRING: Readonly<Partial<Record<CheckId, readonly string[]>>> = {
  'dp-electrical': ['supply-bad', 'ground-bad', 'signal-dead'],
  supply: ['supply-weak'],
};

/** Whether it was the sensor that was put right the last time, and a measurement since shows the new one good. */
function newSensorShown({ entries, checks }: PathFacts, since: number): boolean {
  const last = entriesOfKind(entries, 'work').findLast(({ body }) => HOSES_OFF.has(body.work));
  if (last?.body.work !== 'sensor-replaced') return false;
  return checks.some(
    ({ entry, judgement: { findings } }) =>
      happenedAt(entry) >= since && isGood(own(SHOWS_SENSOR, entry.body.check), findings),
  );
}

function responseEvidence(facts: PathFacts, since: number): Evidence {
  const { checks, after, limits } = facts;
  const made = checks.filter(
    ({ entry, judgement }) =>
      happenedAt(entry) >= since &&
      (own(SHOWS_RESPONSE, entry.body.check) ?? []).some((id) => judgement.findings[id] !== undefined),
  );
  const bad = made.some(({ entry, judgement }) =>
    (own(SHOWS_RESPONSE, entry.body.check) ?? []).some((id) => judgement.findings[id] === true),
  );
  if (bad) return { id: 'response', state: 'failed', text: say('proof.a-sensor-pipe-is-blocked') };
  if (made.length > 0) return { id: 'response', state: 'shown', text: say('proof.sensor-pipes-open') };
  const said = after.map((reading) => followed(reading, limits)).filter((one) => one !== undefined);
  const best =
    said.find(({ state }) => state === 'failed') ??
    said.find(({ state, weak }) => state === 'shown' && weak === undefined) ??
    said.find(({ state }) => state === 'shown') ??
    said[0];
  if (best?.state === 'shown' && newSensorShown(facts, since))
    return {
      id: 'response',
      state: 'shown',
      text: say('proof.the-new-sensor-needs', { bestText: best.text }),
    };
  if (best?.weak !== undefined && facts.pathRepaired && !(facts.wiringOnly && wiringShown(facts)))
    return {
      id: 'response',
      state: 'open',
      text: say('proof.sensor-and-pipes-checked-again'),
      ask: say('proof.repeat-the-pipe-response'),
    };
  return (
    best ?? {
      id: 'response',
      state: 'open',
      text: say('proof.dp-follows-the-flow'),
      ask: say('proof.read-at-idle'),
    }
  );
}

/** What a reading shows of whether ΔP follows the flow. */
function followed({ body: { origin, samples } }: EntryOf<'reading'>, limits: Limits): Evidence | undefined {
  const id = 'response' as const;
  if (origin.type === 'log') {
    const { follows } = origin;
    if (origin.findings.includes('dp-slow-response'))
      return { id, state: 'failed', text: say('proof.dp-lags-the-flow') };
    if (!follows) return { id, state: 'shown', text: say('proof.dp-follows-the-flow-in') };
    const { correlation, lagS, resolutionS } = follows;
    const enough = correlation >= limits.pathFollowsCorrelation;
    const least = limits.pathFollowsCorrelation;
    if (!enough)
      return { id, state: 'failed', text: say('proof.does-not-follow-the-flow', { correlation, least }) };
    return {
      id,
      state: 'shown',
      text: say('proof.follows-the-flow-by', {
        correlation,
        least,
        lagS: lagS === undefined ? undefined : Math.max(lagS, resolutionS ?? 0),
        mostS: limits.slowResponseS,
      }),
      ...(lagS === undefined ? { weak: say('proof.no-quick-change') } : {}),
    };
  }
  const mean = (kind: string): number | undefined => {
    const of = steadySamplesOf(samples)
      .filter((sample) => sample.kind === kind)
      .map(({ dpMbar }) => dpMbar);
    return of.length === 0 ? undefined : of.reduce((a, b) => a + b, 0) / of.length;
  };
  const high = mean('hold');
  const low = mean('idle') ?? mean('key-off');
  if (high === undefined || low === undefined) return undefined;
  const figures = { lowMbar: low, highMbar: high, leastMbar: limits.pathRisesMbar };
  return high - low >= limits.pathRisesMbar
    ? {
        id,
        state: 'shown',
        text: say('proof.rises-with-the-flow', figures),
        weak: say('proof.hand-figures-do-not-show'),
      }
    : { id, state: 'failed', text: say('proof.does-not-rise-with-the-flow', figures) };
}
