import { CLEAN, pressureDrop, type FilterGeometry, type FilterState } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import {
  assumedGrowth,
  FARTHEST_KM,
  learnGrowth,
  outlookOf,
  stretchesOf,
  type FilterFate,
  type Visit,
} from '../outlook/index.ts';
import type { Interval } from '../proof/index.ts';
import { madeId } from './madeEntries.ts';
import { dice, type Dice } from './drills.ts';

/** How a family of vehicles lives, unknown to whoever reads their visits. */
interface FamilyLife {
  readonly name: string;
  readonly filter: FilterGeometry;
  readonly litres: number;
  /** Soot that no regeneration takes, g/L on 1000 km: median and spread of the logarithm between vehicles. */
  readonly sootRate: number;
  readonly sootSpread: number;
  /** Spread of the logarithm from season to season. */
  readonly seasonSpread: number;
  readonly ashRate: number;
  /** Soot that comes and goes between two regenerations, g/L. */
  readonly swing: number;
}

export interface MadeVehicleLife {
  readonly family: string;
  readonly visits: readonly Visit[];
  /** Distance from the last visit at which the restriction really came to the limit, km. */
  readonly dueAfterKm: number;
}

const GAS = { exhaustKgPerS: 0.05, temperatureC: 300 } as const;

/** Restriction of a load, × clean, at one flow. */
function ratioOf(filter: FilterGeometry, load: FilterState): number {
  const [loaded, clean] = [pressureDrop(filter, load, GAS), pressureDrop(filter, CLEAN, GAS)];
  if (!clean.ok) throw new Error('A made filter has a size that does not exist.');
  // Fuller than the model goes: shut for every purpose.
  return loaded.ok ? loaded.value.totalMbar / clean.value.totalMbar : 60;
}

/** Standard normal (Box & Muller). */
const normal = (d: Dice): number =>
  Math.sqrt(-2 * Math.log(1 - d.share())) * Math.cos(2 * Math.PI * d.share());
const lognormal = (d: Dice, median: number, spread: number): number => median * Math.exp(spread * normal(d));

function familyOf(d: Dice, index: number): FamilyLife {
  const diameterMm = d.between(120, 200);
  const lengthMm = d.between(140, 260);
  return {
    name: `Family ${index + 1}`,
    filter: { diameterMm, lengthMm, cpsi: 200, wallMm: 0.305 },
    litres: ((Math.PI / 4) * diameterMm ** 2 * lengthMm) / 1e6,
    sootRate: lognormal(d, 0.16, 0.4),
    sootSpread: d.between(0.3, 0.75),
    seasonSpread: d.between(0.2, 0.5),
    ashRate: d.between(0.08, 0.2),
    swing: d.between(0.5, 1.6),
  };
}

const STEP_KM = 250;
const SEASON_KM = 6000;
const CAUSE_EVERY_KM = 70_000;
const START = Date.UTC(2023, 0, 9);

class Life {
  sootG = 0;
  ashG: number;
  km: number;
  day = 0;
  #season = 0;
  #cause = 1;
  readonly #rate: number;
  readonly #kmPerDay: number;
  readonly #d: Dice;
  readonly #family: FamilyLife;

  constructor(d: Dice, family: FamilyLife) {
    this.#d = d;
    this.#family = family;
    this.#rate = lognormal(d, family.sootRate, family.sootSpread);
    this.#kmPerDay = lognormal(d, 75, 0.5);
    this.km = d.between(20_000, 160_000);
    this.ashG = (family.ashRate * family.litres * this.km) / 1000;
    this.sootG = d.between(0, 2) * family.litres;
  }

  get ratio(): number {
    return ratioOf(this.#family.filter, { sootG: this.sootG, ashG: this.ashG });
  }

  get hasCause(): boolean {
    return this.#cause > 1;
  }

  drive(): void {
    const { litres, seasonSpread, ashRate } = this.#family;
    const pull = STEP_KM / SEASON_KM;
    this.#season += -pull * this.#season + seasonSpread * Math.sqrt(2 * pull) * normal(this.#d);
    if (!this.hasCause && this.#d.between(0, 1) < STEP_KM / CAUSE_EVERY_KM)
      this.#cause = lognormal(this.#d, 3, 0.4);
    const thousands = STEP_KM / 1000;
    this.sootG += this.#rate * Math.exp(this.#season) * this.#cause * litres * thousands;
    this.ashG += ashRate * litres * thousands;
    this.km += STEP_KM;
    this.day += STEP_KM / this.#kmPerDay;
  }

  /** As somebody reads it: at some moment between two regenerations, with the doubt of a hold. */
  read(swing: boolean): Interval {
    const { swing: most, litres, filter } = this.#family;
    const extra = swing ? this.#d.between(0, most) * litres : 0;
    const truth = ratioOf(filter, { sootG: this.sootG + extra, ashG: this.ashG });
    const sd = 0.04 * truth;
    const value = truth + sd * normal(this.#d);
    return { value, low: value - 1.645 * sd, high: value + 1.645 * sd };
  }

  /** What a workshop does about it, and whether a cause is found, and put right. */
  visit(number: number, goodRatio: number): Visit {
    const d = this.#d;
    const before = this.read(true);
    const blocked = before.value > goodRatio;
    let filter: FilterFate = 'as-it-was';
    if (blocked) {
      const off = this.ashG > 40 * this.#family.litres || d.between(0, 1) < 0.1;
      filter = off ? 'cleaned-off' : 'cleaned-in-place';
      this.sootG *= 1 - d.between(0.8, 0.97);
      this.ashG *= off ? d.between(0.1, 0.3) : 0.95;
    }
    const found = this.hasCause && d.between(0, 1) < 0.85;
    const repaired = found && d.between(0, 1) < 0.75;
    if (repaired) this.#cause = 1;
    return {
      jobId: madeId(number),
      number,
      at: new Date(START + this.day * 86_400_000).toISOString(),
      km: Math.round(this.km),
      before,
      ...(filter === 'as-it-was' ? {} : { after: this.read(false) }),
      filter,
      causes: found ? [{ cause: 'injector-over-fuelling', open: !repaired, fills: true }] : [],
    };
  }
}

/**
 * Vehicles over some years and until the next visit after them: soot that no regeneration takes, by family, driver, season
 * and faults; ash; services at which a filter is read in passing, and visits when it is full; then on without any until it
 * is full again. The pressures are
 * those of the filter model; none of it knows of the outlook.
 */
export function madeFleet(
  seed: number,
  vehicles: number,
  { years = 3, dueRatio, goodRatio }: { years?: number; dueRatio: number; goodRatio: number },
): MadeVehicleLife[] {
  const d = dice(seed);
  const families = [0, 1, 2, 3].map((i) => familyOf(d, i));
  return Array.from({ length: vehicles }, (): MadeVehicleLife => {
    const family = families[Math.floor(d.between(0, families.length))] as FamilyLife;
    const life = new Life(d, family);
    const visits: Visit[] = [];
    let service = life.km + d.between(4000, 25_000);
    let brought = Infinity;
    // The last visit is the first one after those years: what comes after it had no say in when it was.
    while (life.day < 365 * years || visits.length === 0 || visits.at(-1)?.km !== Math.round(life.km)) {
      life.drive();
      // The lamp comes on a while after it is due, and the vehicle a while after the lamp.
      if (life.ratio > dueRatio && brought === Infinity) brought = life.km + d.between(200, 2500);
      if (life.km < Math.min(service, brought)) continue;
      if (life.km >= brought || d.between(0, 1) < 0.6) visits.push(life.visit(visits.length + 1, goodRatio));
      if (life.km >= service) service = life.km + d.between(12_000, 30_000);
      brought = Infinity;
    }
    const lastKm = life.km;
    while (life.ratio < dueRatio && life.km - lastKm < FARTHEST_KM) life.drive();
    return { family: family.name, visits, dueAfterKm: life.km - lastKm };
  });
}

/** How often the outlook holds the truth. */
export interface FleetOutlook {
  readonly told: number;
  /** Due within the 80 % interval, before it, after it. */
  readonly within: number;
  readonly early: number;
  readonly late: number;
}

/** The outlook of each vehicle of a made fleet at its last visit, by what the fleet itself taught, against what came. */
export function fleetOutlook(seed: number, vehicles: number, limits: Limits): FleetOutlook {
  const fleet = madeFleet(seed, vehicles, {
    dueRatio: limits.dueRestrictionRatio,
    goodRatio: limits.restrictionGoodRatio,
  });
  const read = fleet.map((life) => ({ ...life, stretches: stretchesOf(life.visits) }));
  const workshop = learnGrowth(
    read.map(({ stretches }) => stretches),
    assumedGrowth(limits),
    limits,
  );
  const families = [...new Set(fleet.map(({ family }) => family))];
  const priors = new Map(
    families.map((family) => [
      family,
      learnGrowth(
        read.filter((life) => life.family === family).map(({ stretches }) => stretches),
        workshop,
        limits,
      ),
    ]),
  );
  let [told, within, early, late] = [0, 0, 0, 0];
  for (const { family, visits, dueAfterKm } of fleet) {
    const outlook = outlookOf(visits, priors.get(family) ?? workshop, limits);
    if (!outlook.known) continue;
    told += 1;
    if (dueAfterKm < outlook.dueKm.low) early += 1;
    else if (dueAfterKm > outlook.dueKm.high) late += 1;
    else within += 1;
  }
  return { told, within, early, late };
}
