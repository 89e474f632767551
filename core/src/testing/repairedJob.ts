import { ROUTINE_IDS } from '../link/index.ts';
import { inEnglish } from '../words/index.ts';
import { answerCheck, FAULTS, perform, type BenchVehicle, type Fault, type FaultId } from '../bench/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import { CHECK_IDS, type CheckId } from '../checks/index.ts';
import { judgeJob, type JobJudgement, type JudgedFacts } from '../job/index.ts';
import {
  RESETS,
  type BodyOf,
  type Entry,
  type EntryBody,
  type PartId,
  type WorkType,
} from '../ledger/index.ts';
import { SHOWN_BY } from '../proof/index.ts';
import { profileOf, readingOf } from './benchReadings.ts';
import { arrive, faultyVehicle, fittedOn } from './diagnosedVehicle.ts';
import { canHave } from './feltFaults.ts';
import { madeEntry } from './madeEntries.ts';
import { dice, type Dice } from './drills.ts';

/** A repair that is not of the filter, and what is said of it in the end. */
export interface RepairedJob {
  readonly about: string;
  /** What was wrong is really gone. */
  readonly cured: boolean;
  readonly verdict: JobJudgement['derived']['verdict'];
  /** The steps that were asked for, in their order. */
  readonly steps: readonly string[];
  readonly notShown: readonly string[];
}

const PARTS: Readonly<Partial<Record<FaultId, readonly [PartId, WorkType]>>> = {
  'dp-sensor-failed': ['dp-sensor', 'sensor-replaced'],
  'dp-sensor-wrong': ['dp-sensor', 'sensor-replaced'],
  'back-pressure-sensor-failed': ['back-pressure-sensor', 'sensor-replaced'],
  'egt1-failed': ['egt1', 'sensor-replaced'],
  'egt2-failed': ['egt2', 'sensor-replaced'],
  'egt3-failed': ['egt3', 'sensor-replaced'],
  'egt4-failed': ['egt4', 'sensor-replaced'],
  'high-pipe-blocked': ['high-pipe', 'pipe-cleared'],
  'low-pipe-blocked': ['low-pipe', 'pipe-cleared'],
  'back-pressure-pipe-blocked': ['back-pressure-sensor', 'pipe-cleared'],
};
const REPAIRED: readonly FaultId[] = (Object.keys(FAULTS) as FaultId[]).filter(
  (id) => SHOWN_BY[id] !== undefined,
);

const MOST_STEPS = 14;
const CRUISE = { do: 'cruise', kmPerH: 65 } as const;
const DRIVE_S = 900;

/** A technician who does the next step that the job asks for, and enters what comes of it. */
class NextStepHand {
  readonly #bodies: EntryBody[] = [];
  readonly #vehicle: BenchVehicle;
  readonly #fault: FaultId;
  readonly steps: string[] = [];
  #asked = 0;

  constructor(vehicle: BenchVehicle, fault: FaultId) {
    this.#vehicle = vehicle;
    this.#fault = fault;
  }

  enter(body: EntryBody): void {
    this.#bodies.push(body);
  }

  get #entries(): Entry[] {
    return this.#bodies.map((body, i) => madeEntry(i + 1, body));
  }

  judge(): JobJudgement {
    const { family } = this.#vehicle;
    const facts: JudgedFacts = {
      entries: this.#entries,
      limits: profileOf(family),
      displacementL: family.displacementL,
      geometry: family.filter,
      fitted: fittedOn(this.#vehicle),
    };
    return judgeJob(facts, () => undefined);
  }

  scan(when: 'before' | 'after-drive'): void {
    this.enter({
      kind: 'code-scan',
      when,
      codes: [...this.#vehicle.computer.codes.values()].map(({ code, status, present }) => ({
        code,
        status: `${status}, ${present ? 'present' : 'not present'}`,
      })),
    });
  }

  check(check: CheckId): void {
    this.enter({
      kind: 'check',
      check,
      values: structuredClone(answerCheck(this.#vehicle, check)) as BodyOf<'check'>['values'],
    });
  }

  /** The codes cleared with the engine off, then a drive, and what it shows. */
  #drive(): void {
    const hand = new BenchHand(this.#vehicle);
    const { computer, plant } = this.#vehicle;
    hand.keyOn(3);
    const codes = computer.codes.size;
    this.#vehicle.startRoutine('clear-codes');
    this.enter({
      kind: 'reset',
      reset: 'clear-codes',
      source: 'live',
      before: { codes },
      after: { codes: computer.codes.size },
    });
    const from = plant.road.km;
    const sootStartG = Number(computer.sootG.toFixed(1));
    let egtPeakC = 0;
    hand.start();
    hand.follow(CRUISE, DRIVE_S, () => {
      egtPeakC = Math.max(egtPeakC, this.#vehicle.read('egt3') ?? 0);
    });
    hand.follow({ do: 'idle' }, 30);
    this.enter({
      kind: 'drive',
      distanceKm: Number((plant.road.km - from).toFixed(1)),
      powerLimitGone: computer.powerLimit >= 0.95,
      reportedBy: 'technician',
      sootStartG,
      sootEndG: Number(computer.sootG.toFixed(1)),
      ...(egtPeakC > 0 && egtPeakC < 1000 ? { egtPeakC: Math.round(egtPeakC) } : {}),
    });
  }

  /** Its own check again: one after the other of those that show it and need no night. */
  #ownCheck(): void {
    const ways = (SHOWN_BY[this.#fault] ?? []).map(([id]) => id).filter((id) => id !== 'egt-cold-soak');
    const check = ways[this.#asked++ % ways.length];
    const known = CHECK_IDS.find((id) => id === check);
    if (known) this.check(known);
  }

  /** What the computer is told, with the figures of before and after. */
  #reset(id: string): boolean {
    const reset = RESETS.find((one) => one === id);
    const routine = ROUTINE_IDS.find((one) => one === id);
    if (!reset) return false;
    new BenchHand(this.#vehicle).keyOn(3);
    const { computer } = this.#vehicle;
    const figures = () => ({ sootG: Number(computer.sootG.toFixed(1)), codes: computer.codes.size });
    const before = figures();
    if (routine) this.#vehicle.startRoutine(routine);
    this.enter({ kind: 'reset', reset, source: 'live', before, after: figures() });
    return true;
  }

  /** @returns whether there was something to do that a hand can do here */
  #show(id: string): boolean {
    switch (id) {
      case 'repair':
        this.#ownCheck();
        return true;
      case 'drive':
      case 'power-limit':
      case 'soot':
        this.#drive();
        return true;
      case 'no-codes':
        this.scan('after-drive');
        return true;
      case 'after':
      case 'before':
        this.enter(readingOf(this.#vehicle, id));
        return true;
      case 'sensor':
        this.check('dp-ladder');
        return true;
      case 'hoses':
        this.check('hoses');
        return true;
      case 'response':
        this.check('pipe-pump');
        return true;
      case 'egt':
        this.check('egt-resistance');
        return true;
      default:
        return this.#reset(id);
    }
  }

  /** Does what is asked until nothing is, or what is asked is not to be done here. */
  follow(): void {
    const asked = new Map<string, number>();
    for (let round = 0; round < MOST_STEPS; round++) {
      const { next } = this.judge();
      if (!next) return;
      const name = `${next.do} ${next.id ?? ''}`.trim();
      this.steps.push(name);
      // What is asked for a third time is not going to be shown.
      asked.set(name, (asked.get(name) ?? 0) + 1);
      if ((asked.get(name) ?? 0) > 2) return;
      if (next.do === 'prove' && next.id !== undefined) {
        if (!this.#show(next.id)) return;
      } else if (next.do === 'check') {
        const check = CHECK_IDS.find((id) => id === next.id);
        if (!check) return;
        this.check(check);
      } else if (next.do === 'scan') this.scan('after-drive');
      else if (next.do === 'read') this.enter(readingOf(this.#vehicle, 'after'));
      else return;
    }
  }
}

/** What a repair leaves: the fault gone, or as bad as it was. */
function mend(vehicle: BenchVehicle, fault: Fault, d: Dice): boolean {
  if (d.chance(0.3)) return false;
  new BenchHand(vehicle).keyOn(2);
  perform(vehicle, { do: 'repair', fault: fault.id });
  if (fault.id === 'oil-counter') perform(vehicle, { do: 'change-oil' });
  return vehicle.faults.length === 0;
}

/** Job number `seed` of an endless row: one fault that is not of the filter, found, and repaired well or in name only. */
export function repairedJob(seed: number): RepairedJob {
  const d = dice(seed * 15_485_863);
  const { family } = faultyVehicle(seed, []);
  const id = d.pick(REPAIRED.filter((one) => canHave(family, one)));
  const { forms } = FAULTS[id];
  const fault: Fault = { id, severity: d.between(0.7, 1), ...(forms ? { form: d.pick(forms) } : {}) };
  const vehicle = faultyVehicle(seed, [fault]);
  const arrived = arrive(vehicle, seed);
  const hand = new NextStepHand(vehicle, id);
  hand.enter({ kind: 'complaint', text: 'As reported', seen: { ...arrived.seen } });
  hand.scan('before');
  hand.enter(arrived.reading);
  hand.enter({ kind: 'cause', cause: id, state: 'confirmed', why: 'It was found' });
  const cured = mend(vehicle, fault, d);
  const [part, work] = PARTS[id] ?? [undefined, id === 'oil-counter' ? ('oil-changed' as const) : undefined];
  hand.enter({ kind: 'work', work: work ?? 'cause-repaired', what: id, ...(part ? { part } : {}) });
  hand.enter({ kind: 'cause', cause: id, state: 'put-right', why: 'It was repaired' });
  hand.follow();
  const { derived } = hand.judge();
  return {
    about: `${seed}: ${family.name}, ${id} ${fault.form ?? ''} ${fault.severity.toFixed(2)}, ${cured ? 'repaired' : 'in name only'}: ${derived.verdict}`,
    cured,
    verdict: derived.verdict,
    steps: hand.steps,
    notShown: derived.evidence
      .filter(({ state }) => state !== 'shown')
      .map(({ id: what, state, text }) => `${what} ${state}: ${inEnglish(text)}`),
  };
}
