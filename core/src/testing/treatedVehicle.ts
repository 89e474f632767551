import { BenchHand } from '../bench/answers/bench.ts';
import { answerCheck, BENCH_FAMILIES, BenchVehicle, perform } from '../bench/index.ts';
import { recordBaseline } from '../bench/recordBaseline.ts';
import { bedLimits } from '../burn/index.ts';
import type { CheckId } from '../checks/index.ts';
import { evidenceOfCase, infer, inhibitorsOf, networkFor } from '../diagnosis/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { caseOfJob, deriveJob, type DerivedJob } from '../job/index.ts';
import type { BodyOf, Entry, EntryBody, ReadingBody, Treatment } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { analyseRaw, loggedFacts, readingFromLog } from '../readings/index.ts';
import {
  adviseFlush,
  burnOfJob,
  chemicalPlan,
  commandInterlocks,
  flushReadings,
  forecastBurn,
  isRefused,
  rankTreatments,
  type TreatmentOption,
} from '../treatment/index.ts';
import { madeEntry, madeId } from './madeEntries.ts';
import { dice } from './madeLog.ts';

export interface TreatedVehicle {
  readonly about: string;
  /** Whether there was something in it that a treatment takes out. */
  readonly curable: boolean;
  readonly treatments: readonly Treatment[];
  readonly verdict: DerivedJob['verdict'];
  /** Hottest slice of the bed in any burn, and what it stands, °C. */
  readonly peakC: number;
  readonly limitC: number;
  /** Burns that were begun though an interlock held them off. */
  readonly forbidden: readonly string[];
}

const limits = DEFAULT_LIMITS;
const MOST_TREATMENTS = 3;
const MOST_FILLS = 4;
const LOOKS: readonly CheckId[] = ['counter', 'filter-look'];
const BURN_LONGEST_S = 45 * 60;
/** From so much soot or ash on a filter is not as it should be. */
const LOADED_SOOT_G_PER_L = 4;
const LOADED_ASH_G_PER_L = 40;

/** A technician at one bench vehicle: reads, looks, chooses what stands first, does it, reads again. */
class TreatedJob {
  readonly #vehicle: BenchVehicle;
  readonly #hand: BenchHand;
  readonly #bodies: EntryBody[] = [];
  peakC = 0;
  readonly forbidden: string[] = [];

  constructor(vehicle: BenchVehicle) {
    this.#vehicle = vehicle;
    this.#hand = new BenchHand(vehicle);
  }

  get #entries(): Entry[] {
    return this.#bodies.map((body, i) => madeEntry(i + 1, body));
  }

  derive(): DerivedJob {
    const { family } = this.#vehicle;
    return deriveJob({
      entries: this.#entries,
      limits,
      displacementL: family.displacementL,
      geometry: family.filter,
    });
  }

  enter(body: EntryBody): void {
    this.#bodies.push(body);
  }

  read(purpose: ReadingBody['purpose']): void {
    const { family } = this.#vehicle;
    const { log } = recordBaseline(this.#vehicle);
    const { recording, analysis, samples } = analyseRaw(log, { geometry: family.filter });
    this.enter(
      readingFromLog(
        { analysis, samples, ...loggedFacts(recording) },
        { purpose, logId: madeId(1), fileName: purpose },
      ),
    );
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
    const { family } = this.#vehicle;
    const derived = this.derive();
    const { facts, use } = caseOfJob(derived, limits);
    const known = evidenceOfCase(facts, limits);
    const { causes } = infer(networkFor(use), known.evidence);
    const question = {
      derived,
      limits,
      filter: family.filter,
      displacementL: family.displacementL,
      likely: new Map(causes.map(({ id, probability }) => [id, probability])),
      inhibitors: inhibitorsOf(facts, known),
    };
    const burn = burnOfJob(question, family.coated ? 'coated' : 'none');
    const forecast = burn ? forecastBurn(burn, limits) : undefined;
    return rankTreatments({ ...question, ...(forecast?.ok ? { forecast: forecast.value } : {}) });
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
    this.#watched(600, wish, () => (vehicle.read('coolantTemp') ?? 0) > limits.coolantWarmC);
    const answer = vehicle.startRoutine(treatment === 'drive' ? 'regenerate-driving' : 'regenerate-standing');
    if (answer.status === 'running')
      this.#watched(BURN_LONGEST_S, wish, () => vehicle.computer.routine?.status === 'done');
    // The flow is kept up until the bed is cool.
    this.#watched(300, wish);
    this.enter({
      kind: 'work',
      work: treatment === 'drive' ? 'drive-regeneration' : 'standing-regeneration',
      what: answer.text,
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
        limits,
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
      this.#hand.hold(this.#hand.holdRpm, 900);
      this.read('after');
      const context = { limits, displacementL: family.displacementL };
      if (adviseFlush(flushReadings(this.#entries, family.filter, context), limits).another !== 'yes') return;
    }
  }

  #off(treatment: 'off-vehicle' | 'exchange'): void {
    const vehicle = this.#vehicle;
    this.#hand.keyOn(1);
    this.#hand.follow({ do: 'off' }, 3);
    perform(vehicle, { do: 'stand', hours: 6 });
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

  /** Codes away and the counter set back where nothing holds that off; then the drive and the scan after it. */
  finish(): void {
    const vehicle = this.#vehicle;
    const { family, computer } = vehicle;
    const scan = (when: 'before' | 'after-drive'): void =>
      this.enter({
        kind: 'code-scan',
        when,
        codes: [...computer.codes.values()].map(({ code }) => ({ code })),
      });
    scan('before');
    const facts = {
      derived: this.derive(),
      limits,
      filter: family.filter,
      displacementL: family.displacementL,
    };
    this.#hand.keyOn(3);
    if (commandInterlocks('reset-counter', facts).length === 0) vehicle.startRoutine('reset-soot');
    if (commandInterlocks('clear-codes', facts).length === 0) vehicle.startRoutine('clear-codes');
    this.#hand.start();
    this.#watched(900, { do: 'cruise', kmPerH: 65 });
    this.enter({
      kind: 'drive',
      distanceKm: 15,
      powerLimitGone: computer.powerLimit >= 0.95,
      reportedBy: 'technician',
    });
    scan('after-drive');
  }
}

/** Vehicle number `seed` of an endless row, treated by what the choice puts first until it is proved or three were done. */
export function treatedVehicle(seed: number): TreatedVehicle {
  const d = dice(seed * 15_485_863);
  const family = d.pick(BENCH_FAMILIES);
  const volumeL = filterVolumeL(family.filter);
  const sootGPerL = d.chance(0.15) ? d.between(0.5, 2) : d.between(3, 16);
  const ashGPerL = d.chance(0.2) ? d.between(40, 75) : d.between(2, 20);
  const ambientC = d.between(2, 30);
  const vehicle = new BenchVehicle({
    family,
    seed,
    km: Math.round(d.between(40_000, 240_000)),
    start: { ambientC, engineC: ambientC, sootG: sootGPerL * volumeL, ashG: ashGPerL * volumeL },
  });
  const job = new TreatedJob(vehicle);
  job.read('before');
  job.look();
  const treatments: Treatment[] = [];
  while (treatments.length < MOST_TREATMENTS) {
    const option = job
      .options()
      .find((one) => !isRefused(one) && !(one.treatment === 'nothing' && treatments.length > 0));
    if (!option) break;
    treatments.push(option.treatment);
    job.do(option);
    if (option.treatment === 'nothing' || job.derive().verdict === 'equal-flow') break;
  }
  if (treatments.at(-1) !== 'nothing') job.finish();
  const { verdict } = job.derive();
  return {
    about: `${seed}: ${family.name}, soot ${sootGPerL.toFixed(1)} g/L, ash ${ashGPerL.toFixed(0)} g/L, ${treatments.join(', then ')}: ${verdict}`,
    curable: sootGPerL >= LOADED_SOOT_G_PER_L || ashGPerL >= LOADED_ASH_G_PER_L,
    treatments,
    verdict,
    peakC: job.peakC,
    limitC: bedLimits(limits, family.filter.material).peakC,
    forbidden: job.forbidden,
  };
}
