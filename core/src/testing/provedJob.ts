import type { RoutineId } from '../link/index.ts';
import { inEnglish } from '../words/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import {
  answerCheck,
  BENCH_FAMILIES,
  BenchVehicle,
  perform,
  type Fault,
  type FaultId,
} from '../bench/index.ts';
import { tapPressures } from '../bench/vehicle/pipes.ts';
import { besideFilterMbar } from '../bench/vehicle/pressures.ts';
import type { CheckId } from '../checks/index.ts';
import { CLEAN, filterVolumeL, pressureDrop, type FilterState, type FlowCondition } from '../filter/index.ts';
import { deriveJob, type DerivedJob } from '../job/index.ts';
import {
  steadySamplesOf,
  type BodyOf,
  type Entry,
  type EntryBody,
  type PartId,
  type ReadingBody,
  type WorkType,
} from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { planResets, type EvidenceId, type Interval } from '../proof/index.ts';
import { valueOf } from '../quantities/index.ts';
import { commandInterlocks } from '../treatment/index.ts';
import { profileOf, readingOf } from './benchReadings.ts';
import { madeEntry } from './madeEntries.ts';
import { dice, type Dice } from './madeLog.ts';

/** An interval that was stated, and what is true of the simulated filter. */
export interface Covered extends Interval {
  readonly truth: number;
}

export interface ProvedJob {
  readonly about: string;
  /** There was something, it is gone, and sensor and pipes tell the truth now. */
  readonly cured: boolean;
  /** There is still too much soot or ash in the filter. */
  readonly blocked: boolean;
  /** What the sensor shows is not what is at its taps, at the end. */
  readonly lies: boolean;
  readonly verdict: DerivedJob['verdict'];
  readonly notShown: readonly string[];
  readonly removed?: Covered;
  readonly restriction?: Covered;
}

/** From so much on a filter is blocked; up to so much it is as a good clean leaves it, g/L. */
const BLOCKED = { sootGPerL: 4, ashGPerL: 40 } as const;
const CURED = { sootGPerL: 2, ashGPerL: 22 } as const;
/** A sensor that is off by more than this share in a hold lies. */
const LIES_SHARE = 0.2;
const LIES_MBAR = 3;

/** Standard deviation of a figure read off by eye; 4 % at 90 %. */
const BY_EYE = 0.0243;
const ZERO_BY_EYE_MBAR = 0.3;
/** MAF sensors differ by this from one another, and one from itself on another visit (standard deviations). */
const METER_SPREAD = 0.03;
const METER_DRIFT = 0.012;

const PATH_FAULTS: readonly {
  readonly id: FaultId;
  readonly forms?: readonly string[];
  readonly part: PartId;
  readonly work?: WorkType;
}[] = [
  {
    id: 'dp-sensor-failed',
    forms: ['dead', 'stuck', 'zero-off', 'low'],
    part: 'dp-sensor',
    work: 'sensor-replaced',
  },
  { id: 'dp-sensor-wrong', part: 'dp-sensor', work: 'sensor-replaced' },
  { id: 'high-pipe-blocked', part: 'high-pipe', work: 'pipe-cleared' },
  { id: 'low-pipe-blocked', part: 'low-pipe', work: 'pipe-cleared' },
  { id: 'dp-hose-off', part: 'high-pipe' },
  { id: 'dp-hoses-crossed', part: 'high-pipe' },
];

const MOST_ROUNDS = 6;
const CRUISE = { do: 'cruise', kmPerH: 65 } as const;
const DRIVE_S = 900;

/** What is in the filter, g. */
const stateOf = ({ plant }: BenchVehicle): FilterState => ({
  sootG: plant.filter.sootG.reduce((a, b) => a + b, 0),
  ashG: plant.filter.ashG,
});

/** ΔP between the taps of a sound line with so much in its filter, mbar. */
function trueDrop({ family, scale, plant }: BenchVehicle, state: FilterState, gas: FlowCondition): number {
  const { totalMbar } = valueOf(pressureDrop(family.filter, state, gas));
  return (
    totalMbar + besideFilterMbar(family, scale, gas.exhaustKgPerS, gas.temperatureC, plant.barometerMbar)
  );
}

/** A technician who does what the proof still asks for, and takes its word for the rest. */
class ProvingHand {
  readonly limits: Limits;
  readonly #bodies: EntryBody[] = [];
  readonly #d: Dice;
  readonly #meterGain: number;
  vehicle: BenchVehicle;
  /** How it was read, for whoever looks at one job. */
  how = '';
  #hand: BenchHand;

  constructor(vehicle: BenchVehicle, d: Dice) {
    this.#d = d;
    this.limits = profileOf(vehicle.family);
    this.#meterGain = 1 + d.noise(METER_SPREAD);
    this.vehicle = vehicle;
    this.#hand = new BenchHand(vehicle);
    this.visit(vehicle);
  }

  /** Another time at the vehicle: its MAF sensor has drifted a little. */
  visit(vehicle: BenchVehicle): void {
    this.vehicle = vehicle;
    this.#hand = new BenchHand(vehicle);
    vehicle.airMeterTolerance = this.#meterGain * (1 + this.#d.noise(METER_DRIFT));
    vehicle.refreshWear();
  }

  get entries(): Entry[] {
    return this.#bodies.map((body, i) => madeEntry(i + 1, body));
  }

  derive(): DerivedJob {
    const { family } = this.vehicle;
    return deriveJob({
      entries: this.entries,
      limits: this.limits,
      displacementL: family.displacementL,
      geometry: family.filter,
      fitted: ['dp-sensor', 'high-pipe', ...family.egts.map((number) => `egt${number}` as const)],
    });
  }

  enter(body: EntryBody): void {
    this.#bodies.push(body);
  }

  /** From a log, off the gauge by eye, or both. */
  read(purpose: 'before' | 'after'): void {
    const logged = readingOf(this.vehicle, purpose);
    const how = this.#d.pick(['log', 'log', 'hand', 'both'] as const);
    this.how += `${purpose} ${how} `;
    if (how !== 'log') this.enter(this.#byEye(logged));
    if (how !== 'hand') this.enter(logged);
  }

  #byEye({ samples, ...body }: ReadingBody): ReadingBody {
    return {
      ...body,
      origin: { type: 'hand' },
      samples: steadySamplesOf(samples).map(
        ({ kind, rpm, dpMbar, airMassGPerS, manifoldMbar, intakeAirC, filterC, egt3C }) => ({
          kind,
          rpm: Math.round(rpm / 10) * 10,
          dpMbar:
            kind === 'key-off'
              ? Number((dpMbar + this.#d.noise(ZERO_BY_EYE_MBAR)).toFixed(1))
              : Number((dpMbar * (1 + this.#d.noise(BY_EYE))).toPrecision(3)),
          ...(airMassGPerS === undefined ? {} : { airMassGPerS }),
          ...(manifoldMbar === undefined ? {} : { manifoldMbar }),
          ...(intakeAirC === undefined ? {} : { intakeAirC }),
          ...(filterC === undefined ? {} : { filterC }),
          ...(egt3C === undefined ? {} : { egt3C }),
        }),
      ),
    };
  }

  check(check: CheckId): void {
    this.enter({
      kind: 'check',
      check,
      values: structuredClone(answerCheck(this.vehicle, check)) as BodyOf<'check'>['values'],
    });
  }

  /** All that shows whether the way of the pressure is right. */
  look(): void {
    this.check('dp-ladder');
    this.check('hoses');
    this.check('pipe-pump');
  }

  /** What a check found wrong with the way of the pressure is put right, entered, and looked at again. */
  repair(faults: readonly Fault[]): void {
    this.#hand.keyOn(1);
    for (const { id } of faults) {
      const known = PATH_FAULTS.find((one) => one.id === id);
      if (!known) continue;
      perform(
        this.vehicle,
        id === 'dp-hose-off' || id === 'dp-hoses-crossed'
          ? { do: 'right-hoses' }
          : { do: 'repair', fault: id },
      );
      this.enter({ kind: 'work', work: known.work ?? 'cause-repaired', what: id, part: known.part });
    }
  }

  #routine(id: RoutineId): void {
    this.#hand.keyOn(3);
    this.vehicle.startRoutine(id);
  }

  /** Everything that is due and held off by nothing, in its order. */
  #resets(): void {
    for (let round = 0; round < 4; round++) {
      const derived = this.derive();
      const { family } = this.vehicle;
      const steps = planResets({
        entries: derived.entries,
        parts: derived.parts,
        causes: derived.causes,
        shownAtEqualFlow: derived.proof?.verdict === 'proved',
        limits: this.limits,
        held: (command) =>
          commandInterlocks(command, {
            derived,
            limits: this.limits,
            filter: family.filter,
            displacementL: family.displacementL,
          }).map(({ text }) => text),
      });
      const step = steps.find(({ need, held }) => need === 'due' && held.length === 0);
      if (!step || step.reset === 'learned-values') return;
      const { computer } = this.vehicle;
      const before = { sootG: computer.sootG, codes: computer.codes.size };
      this.#routine(step.reset);
      this.enter({
        kind: 'reset',
        reset: step.reset,
        source: 'live',
        before,
        after: { sootG: computer.sootG, codes: computer.codes.size },
      });
    }
  }

  #scan(when: 'before' | 'after-drive'): void {
    this.enter({
      kind: 'code-scan',
      when,
      codes: [...this.vehicle.computer.codes.values()].map(({ code }) => ({ code })),
    });
  }

  /** Resets, the drive with what is read on it, and the scan after. */
  #drive(): void {
    this.#scan('before');
    this.#resets();
    const { computer } = this.vehicle;
    const sootStartG = Number(computer.sootG.toFixed(1));
    let egtPeakC = 0;
    const from = this.vehicle.plant.road.km;
    this.#hand.start();
    this.#hand.follow(CRUISE, DRIVE_S, () => {
      egtPeakC = Math.max(egtPeakC, this.vehicle.read('egt3') ?? 0);
    });
    this.#hand.follow({ do: 'cruise', kmPerH: 5 }, 20);
    this.#hand.follow({ do: 'idle' }, 20);
    this.enter({
      kind: 'drive',
      distanceKm: Number((this.vehicle.plant.road.km - from).toFixed(1)),
      powerLimitGone: computer.powerLimit >= 0.95,
      reportedBy: 'technician',
      sootStartG,
      sootEndG: Number(computer.sootG.toFixed(1)),
      egtPeakC: Number(egtPeakC.toFixed(0)),
    });
    this.#scan('after-drive');
  }

  /**
   * Goes on as long as the proof names something that can be shown. What is found wrong with the way of the pressure is put right
   * and read again if `mends`.
   */
  prove({ mends }: { readonly mends: boolean }): void {
    let repaired = false;
    for (let round = 0; round < MOST_ROUNDS; round++) {
      const { evidence, proof } = this.derive();
      const state = (id: EvidenceId): string | undefined => evidence.find((item) => item.id === id)?.state;
      if (state('sensor') === 'open') this.check('dp-ladder');
      else if (state('hoses') === 'open') this.check('hoses');
      else if (state('response') === 'open') this.check('pipe-pump');
      else if (['sensor', 'hoses', 'response'].some((id) => state(id as EvidenceId) === 'failed')) {
        if (!mends || repaired) return;
        repaired = true;
        this.repair(this.vehicle.faults);
        this.look();
        this.read('after');
      } else if (state('after') !== 'shown') this.read('after');
      else if (proof?.verdict === 'proved' && state('drive') === 'open') this.#drive();
      else return;
    }
  }
}

/** What the sensor shows in a hold against what is at its taps. */
function lying(vehicle: BenchVehicle): boolean {
  const hand = new BenchHand(vehicle);
  hand.keyOn(8);
  const zero = hand.mean('dpfDeltaP', { do: 'key-on' }) ?? 0;
  hand.hold(hand.holdRpm, 20);
  const wish = { do: 'hold', rpm: hand.holdRpm } as const;
  let truth = 0;
  let count = 0;
  const shown = hand.mean('dpfDeltaP', wish, 0.2) ?? 0;
  hand.follow(wish, 3, () => {
    const { high, low } = tapPressures(vehicle.family, vehicle.plant);
    truth += high - low;
    count++;
  });
  truth /= count;
  return Math.abs(shown - zero - truth) > Math.max(LIES_MBAR, LIES_SHARE * truth);
}

type Outcome = 'good' | 'half' | 'nothing';

/** What a treatment leaves of soot and ash. */
function treated(
  d: Dice,
  work: WorkType,
  outcome: Outcome,
  { sootG, ashG }: FilterState,
  volumeL: number,
): FilterState {
  if (outcome === 'nothing') return { sootG: sootG * d.between(0.9, 1), ashG };
  if (outcome === 'half') return { sootG: sootG * d.between(0.5, 0.65), ashG };
  if (work === 'filter-exchanged') return { sootG: 0.05 * volumeL, ashG: 0 };
  return {
    sootG: d.between(0.3, 1.5) * volumeL,
    ashG: work === 'off-vehicle-clean' ? d.between(2, 8) * volumeL : ashG * d.between(0.93, 1),
  };
}

/**
 * Job number `seed` of an endless row at the bench, whose truth is known: blocked or not, treated well, half or not at all, with a
 * sensor, pipe or hose that lies from the start or from the work on, put right or left.
 */
export function provedJob(seed: number): ProvedJob {
  const d = dice(seed * 49_979_687);
  const family = d.pick(BENCH_FAMILIES);
  const volumeL = filterVolumeL(family.filter);
  const ashFull = d.chance(0.2);
  const fault = d.chance(0.45)
    ? d.pick(PATH_FAULTS.filter(({ id }) => id !== 'low-pipe-blocked' || family.dpLowSide === 'pipe'))
    : undefined;
  const falseAlarm = fault !== undefined && d.chance(0.25);
  const inside: FilterState = falseAlarm
    ? { sootG: d.between(0.5, 1.8) * volumeL, ashG: d.between(2, 15) * volumeL }
    : {
        sootG: (ashFull ? d.between(1, 4) : d.between(5, 14)) * volumeL,
        ashG: (ashFull ? d.between(42, 70) : d.between(2, 18)) * volumeL,
      };
  const faults: Fault[] = fault
    ? [{ id: fault.id, severity: d.between(0.35, 1), ...(fault.forms ? { form: d.pick(fault.forms) } : {}) }]
    : [];
  const proveFirst = d.chance(0.6);
  const mends = d.chance(0.6);
  const ambientC = d.between(0, 30);
  const start = { ambientC, engineC: d.between(60, 85), barometerMbar: Math.round(d.between(940, 1030)) };
  const first = new BenchVehicle({ family, seed, faults, start: { ...start, ...inside } });
  const hand = new ProvingHand(first, d);
  // A false alarm is read before the repair: that is what it is known by.
  if (falseAlarm) hand.read('before');
  if (proveFirst) {
    hand.look();
    if (mends) {
      hand.repair(first.faults);
      hand.look();
    }
  }
  if (!falseAlarm) hand.read('before');
  let outcome: Outcome | 'none' = 'none';
  let second = first;
  if (!falseAlarm) {
    const work = ashFull
      ? d.pick(['off-vehicle-clean', 'filter-exchanged'] as const)
      : d.pick(['chemical-clean', 'chemical-clean', 'standing-regeneration', 'off-vehicle-clean'] as const);
    outcome =
      work === 'filter-exchanged' ? 'good' : d.pick(['good', 'good', 'good', 'half', 'nothing'] as const);
    hand.enter({ kind: 'work', work, what: work });
    const left = treated(d, work, outcome, inside, volumeL);
    const leftLoose = d.chance(0.15) ? [{ id: 'dp-hose-off' as const, severity: d.between(0.3, 1) }] : [];
    second = new BenchVehicle({
      family,
      seed,
      faults: [...hand.vehicle.faults.filter(({ id }) => id !== 'dp-hose-off'), ...leftLoose],
      start: { ...start, ...left },
    });
    // Soot that was taken out and not burnt is still counted.
    if (work !== 'standing-regeneration') second.computer.sootG = inside.sootG;
    second.computer.modelSootG = second.computer.sootG;
    hand.visit(second);
  }
  hand.read('after');
  const [stateBefore, stateAfter] = [falseAlarm ? inside : stateOf(first), stateOf(second)];
  const lieAtStart = faults.length > 0 && !(proveFirst && mends);
  hand.prove({ mends });
  const derived = hand.derive();
  const lies = lying(hand.vehicle);
  const [soot, ash] = [stateAfter.sootG / volumeL, stateAfter.ashG / volumeL];
  const blocked = soot >= BLOCKED.sootGPerL || ash >= BLOCKED.ashGPerL;
  const clean = soot <= CURED.sootGPerL && ash <= CURED.ashGPerL;
  const { comparison, verdict, evidence, proof } = derived;
  const gas = comparison?.equalFlow;
  const believable = !lies && !lieAtStart && !falseAlarm;
  const removed = comparison?.removedPercent;
  const left = comparison?.restrictionAfter;
  const alone = family.dpTaps === 'filter' && family.dpLowSide === 'pipe';
  return {
    about: `${seed}: ${family.name}, ${falseAlarm ? 'false alarm' : outcome}, soot ${(inside.sootG / volumeL).toFixed(1)} → ${soot.toFixed(1)}, ash ${ash.toFixed(0)} g/L, ${faults.map(({ id, form, severity }) => `${id} ${form ?? ''} ${severity.toFixed(2)}`).join()}${proveFirst ? ' proved first' : ''}${mends ? ' mends' : ''}${lies ? ' LIES' : ''}, ${hand.how}: ${verdict}`,
    cured:
      clean && !lies && (falseAlarm ? hand.vehicle.faults.length === 0 : outcome === 'good' && !lieAtStart),
    blocked,
    lies,
    verdict,
    notShown: [
      ...evidence
        .filter(({ state }) => state !== 'shown')
        .map(({ id, state, text }) => `${id} ${state}: ${inEnglish(text)}`),
      ...(proof?.verdict === 'proved'
        ? []
        : [...inEnglish(proof?.missing ?? []), ...inEnglish(proof?.reasons ?? [])]),
    ],
    ...(believable && gas && removed
      ? {
          removed: {
            ...removed,
            truth: 100 * (1 - trueDrop(second, stateAfter, gas) / trueDrop(second, stateBefore, gas)),
          },
        }
      : {}),
    ...(believable && gas && left && alone
      ? {
          restriction: {
            ...left,
            truth: trueDrop(second, stateAfter, gas) / trueDrop(second, CLEAN, gas),
          },
        }
      : {}),
  };
}
