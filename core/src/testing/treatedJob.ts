import { inEnglish } from '../words/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import { answerCheck, perform, type BenchVehicle } from '../bench/index.ts';
import type { CheckId } from '../checks/index.ts';
import { evidenceOfCase, infer, inhibitorsOf, networkFor, weigh } from '../diagnosis/index.ts';
import { caseOfJob, deriveJob, type DerivedJob } from '../job/index.ts';
import type { BodyOf, Entry, EntryBody, ReadingBody } from '../ledger/index.ts';
import { type Limits } from '../limits/index.ts';
import {
  adviseFlush,
  burnOfJob,
  chemicalPlan,
  commandInterlocks,
  flushReadings,
  forecastBurn,
  rankTreatments,
  sootLeft,
  warmUpOf,
  warmUpPoints,
  type BurnForecast,
  type InterlockFacts,
  type LinkCommand,
  type TreatmentOption,
  type WarmUpPoint,
} from '../treatment/index.ts';
import { profileOf, readingOf } from './benchReadings.ts';
import { madeEntry, madeId } from './madeEntries.ts';

const MOST_FILLS = 4;

const LOOKS: readonly CheckId[] = ['counter', 'filter-look'];

const PROVES_PATH: readonly CheckId[] = ['dp-ladder', 'hoses'];

const WARM_UP_LONGEST_S = 90 * 60;
const WARM_UP_LEAST_S = 5 * 60;
const WARM_UP_EVERY_S = 5;
const BURN_LONGEST_S = 45 * 60;

/** A technician at one simulated vehicle: reads, looks, chooses what stands first, does it, reads again. */
export class TreatedJob {
  readonly #vehicle: BenchVehicle;
  readonly #hand: BenchHand;
  readonly #limits: Limits;
  readonly #bodies: EntryBody[] = [];
  #wasOff = false;
  peakC = 0;
  readonly forbidden: string[] = [];

  constructor(vehicle: BenchVehicle) {
    this.#vehicle = vehicle;
    this.#hand = new BenchHand(vehicle);
    this.#limits = profileOf(vehicle.family);
  }

  get #entries(): Entry[] {
    return this.#bodies.map((body, i) => madeEntry(i + 1, body));
  }

  derive(): DerivedJob {
    const { family } = this.#vehicle;
    return deriveJob({
      entries: this.#entries,
      limits: this.#limits,
      displacementL: family.displacementL,
      geometry: family.filter,
    });
  }

  enter(body: EntryBody): void {
    this.#bodies.push(body);
  }

  read(purpose: ReadingBody['purpose']): void {
    this.enter(readingOf(this.#vehicle, purpose));
  }

  look(): void {
    for (const check of LOOKS)
      this.enter({
        kind: 'check',
        check,
        values: structuredClone(answerCheck(this.#vehicle, check)) as BodyOf<'check'>['values'],
      });
  }

  options(): readonly TreatmentOption[] {
    const derived = this.derive();
    const { facts, use } = caseOfJob(derived, this.#limits);
    const { filter: geometry, displacementL } = this.#facts();
    const known = evidenceOfCase(facts, this.#limits, {
      ...(geometry === undefined ? {} : { geometry }),
      ...(displacementL === undefined ? {} : { displacementL }),
    });
    const { causes } = infer(weigh(networkFor(use), known.evidence, known.beyond));
    const question = {
      ...this.#facts(),
      derived,
      likely: new Map(causes.map(({ id, probability }) => [id, probability])),
      inhibitors: inhibitorsOf(facts, known),
    };
    const forecast = this.#forecastOf('burn');
    return rankTreatments({ ...question, ...(forecast ? { forecast } : {}) });
  }

  do({ treatment, held }: TreatmentOption): void {
    this.enter({ kind: 'treatment-chosen', treatment });
    switch (treatment) {
      case 'nothing':
        return;
      case 'drive':
      case 'standing':
        if (held.length > 0) this.forbidden.push(`${treatment}: ${held.map(({ id }) => id).join(', ')}`);
        return this.#burn(treatment);
      case 'chemical':
        return this.#clean();
      case 'off-vehicle':
      case 'exchange':
        return this.#off(treatment);
    }
  }

  #watched(seconds: number, wish: Parameters<BenchHand['follow']>[0], until?: () => boolean): void {
    for (let s = 0; s < seconds && !until?.(); s += 5)
      this.#hand.follow(wish, 5, () => {
        this.peakC = Math.max(this.peakC, this.#vehicle.plant.filter.peakC);
      });
  }

  #burn(treatment: 'drive' | 'standing'): void {
    const vehicle = this.#vehicle;
    const wish =
      treatment === 'drive'
        ? ({ do: 'cruise', kmPerH: 65 } as const)
        : ({ do: 'hold', rpm: this.#hand.holdRpm } as const);
    this.#hand.start();
    this.#watched(600, wish, () => (vehicle.read('coolantTemp') ?? 0) > this.#limits.coolantWarmC);
    const answer = vehicle.startRoutine(treatment === 'drive' ? 'regenerate-driving' : 'regenerate-standing');
    if (answer.status === 'running')
      this.#watched(BURN_LONGEST_S, wish, () => vehicle.computer.routine?.status === 'done');
    // The flow is kept up until the bed is cool.
    this.#watched(300, wish);
    this.enter({
      kind: 'work',
      work: treatment === 'drive' ? 'drive-regeneration' : 'standing-regeneration',
      what: inEnglish(answer.text),
    });
    this.enter({
      kind: 'burn-ended',
      burn: madeId(this.#bodies.length),
      how: answer.status === 'running' ? 'by-itself' : 'unknown',
      source: 'live',
      minutes: Number((answer.elapsedS / 60).toFixed(1)),
    });
    this.read('after');
  }

  /** Cold, dosed by the plan, dwelt, warmed until it stands; again while another fill is worth it. */
  #clean(): void {
    const vehicle = this.#vehicle;
    const { family } = vehicle;
    for (let fill = 0; fill < MOST_FILLS; fill++) {
      this.#hand.keyOn(1);
      this.#hand.follow({ do: 'off' }, 3);
      perform(vehicle, { do: 'stand', hours: 3 });
      const plan = chemicalPlan({
        sheet: {
          name: 'Benchwash',
          kind: 'soak',
          waterParts: 1,
          filterUpToC: 45,
          coatedFilters: true,
          laterBricks: true,
          dwellMin: 30,
          burstS: 5,
          lineUpToBar: 9,
        },
        filter: family.filter,
        entry: 'high-pipe',
        limits: this.#limits,
        laterBrick: family.downstreamBrick,
      });
      if (!plan.ok) return;
      perform(vehicle, { do: 'inject-fluid', grams: plan.value.fillL * 1000, by: 'high-pipe' });
      perform(vehicle, { do: 'stand', hours: 0.02 });
      this.#hand.follow({ do: 'off' }, plan.value.dwellMin * 60);
      this.enter({
        kind: 'work',
        work: 'chemical-clean',
        what: `Fill ${fill + 1}`,
        dwellMin: plan.value.dwellMin,
      });
      this.#warmUp();
      this.read('after');
      const context = { limits: this.#limits, displacementL: family.displacementL };
      const readings = flushReadings(this.#entries, family.filter, context);
      const left = sootLeft(readings, family.filter, context, this.#forecastOf('reset-counter'));
      if (adviseFlush(readings, this.#limits, left).another !== 'yes') return;
    }
  }

  /** Held until the pressure has risen, fallen and stands, by what the scan tool shows. */
  #warmUp(): void {
    const vehicle = this.#vehicle;
    const points: WarmUpPoint[] = [];
    this.#hand.start();
    for (let s = 0; s < WARM_UP_LONGEST_S; s += WARM_UP_EVERY_S) {
      this.#hand.hold(this.#hand.holdRpm, WARM_UP_EVERY_S);
      points.push(
        ...warmUpPoints(
          (role) => vehicle.read(role),
          { fromS: vehicle.timeS, toS: vehicle.timeS },
          vehicle.family.filter,
          this.#limits,
        ),
      );
      if (s > WARM_UP_LEAST_S && warmUpOf(points, this.#limits).phase === 'plateau') return;
    }
  }

  #off(treatment: 'off-vehicle' | 'exchange'): void {
    const vehicle = this.#vehicle;
    this.#hand.keyOn(1);
    this.#hand.follow({ do: 'off' }, 3);
    perform(vehicle, { do: 'stand', hours: 6 });
    this.#wasOff = true;
    perform(vehicle, { do: 'take-filter-off' });
    if (treatment === 'exchange') perform(vehicle, { do: 'exchange-filter' });
    else {
      perform(vehicle, { do: 'back-flush' });
      perform(vehicle, { do: 'dry-filter' });
      perform(vehicle, { do: 'refit-filter' });
    }
    this.enter({
      kind: 'work',
      work: treatment === 'exchange' ? 'filter-exchanged' : 'off-vehicle-clean',
      what: treatment,
    });
    this.read('after');
  }

  #facts(): InterlockFacts {
    const { family } = this.#vehicle;
    return {
      derived: this.derive(),
      limits: this.#limits,
      filter: { ...family.filter, catalyst: family.coated ? 'coated' : 'none' },
      displacementL: family.displacementL,
    };
  }

  #forecastOf(command: LinkCommand): BurnForecast | undefined {
    const burn = burnOfJob(this.#facts(), command);
    const told = burn ? forecastBurn(burn, this.#limits) : undefined;
    return told?.ok ? told.value : undefined;
  }

  /** Codes away and the counter set back where nothing holds that off; then the drive and the scan after it. */
  finish(): void {
    const vehicle = this.#vehicle;
    const { computer } = vehicle;
    // The hoses were off for the fluid: looked at again, as the proof asks for.
    for (const check of PROVES_PATH)
      this.enter({
        kind: 'check',
        check,
        values: structuredClone(answerCheck(vehicle, check)) as BodyOf<'check'>['values'],
      });
    const scan = (when: 'before' | 'after-drive'): void =>
      this.enter({
        kind: 'code-scan',
        when,
        codes: [...computer.codes.values()].map(({ code }) => ({ code })),
      });
    scan('before');
    const forecast = this.#forecastOf('reset-counter');
    const known = { ...this.#facts(), ...(forecast ? { forecast } : {}) };
    this.#hand.keyOn(3);
    if (commandInterlocks('reset-counter', known).length === 0) {
      const reset = this.#wasOff ? 'new-filter' : 'reset-soot';
      const before = { sootG: computer.sootG };
      vehicle.startRoutine(reset);
      this.enter({ kind: 'reset', reset, source: 'live', before, after: { sootG: computer.sootG } });
    }
    if (commandInterlocks('clear-codes', known).length === 0) vehicle.startRoutine('clear-codes');
    const sootStartG = computer.sootG;
    let egtPeakC = 0;
    this.#hand.start();
    this.#watched(900, { do: 'cruise', kmPerH: 65 }, () => {
      egtPeakC = Math.max(egtPeakC, vehicle.read('egt3') ?? 0);
      return false;
    });
    this.enter({
      kind: 'drive',
      distanceKm: 15,
      powerLimitGone: computer.powerLimit >= 0.95,
      reportedBy: 'technician',
      sootStartG,
      sootEndG: computer.sootG,
      egtPeakC,
    });
    scan('after-drive');
  }
}
