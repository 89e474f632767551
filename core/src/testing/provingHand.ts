import type { RoutineId } from '../link/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import { answerCheck, perform, type Fault, type FaultId, type BenchVehicle } from '../bench/index.ts';
import type { CheckId } from '../checks/index.ts';
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
import { planResets, type EvidenceId } from '../proof/index.ts';
import { commandInterlocks } from '../treatment/index.ts';
import { profileOf, readingOf } from './benchReadings.ts';
import { madeEntry } from './madeEntries.ts';
import { type Dice } from './drills.ts';

/** Standard deviation of a figure read off by eye; 4 % at 90 %. */
const BY_EYE = 0.0243;
const ZERO_BY_EYE_MBAR = 0.3;

/** MAF sensors differ by this from one another, and one from itself on another visit (standard deviations). */
const METER_SPREAD = 0.03;
const METER_DRIFT = 0.012;

export const PATH_FAULTS: readonly {
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

/** A technician who does what the proof still asks for, and takes its word for the rest. */
export class ProvingHand {
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
