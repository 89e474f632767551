import { judgeCheck, type CheckContext, type CheckId } from '../checks/index.ts';
import { answerCheck, BENCH_FAMILIES, BenchVehicle, Driver, perform, type Fault } from '../bench/index.ts';
import { BenchHand } from '../bench/answers/bench.ts';
import { recordBaseline } from '../bench/recordBaseline.ts';
import { factsOfReading, findingsOfCodes, type CaseFacts, type VehicleUse } from '../diagnosis/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { PartId, ReadingBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { analyseRaw, loggedFacts, readingFromLog } from '../readings/index.ts';
import { sootRoom } from '../treatment/index.ts';
import { feltFaults } from './feltFaults.ts';
import { scanBy, type Customer, type Life } from './life.ts';
import { madeId } from './madeEntries.ts';
import { dice, type Dice } from './drills.ts';

/** A simulated vehicle that comes to a workshop, and all that is known of it before the first check. */
export interface ArrivedVehicle {
  readonly vehicle: BenchVehicle;
  readonly facts: CaseFacts;
  readonly use: VehicleUse;
  readonly context: CheckContext;
  readonly tool: Life['tool'];
  /** What was told and seen, without the log. */
  readonly seen: Readonly<Record<string, boolean>>;
  readonly reading: ReadingBody;
}

const ALWAYS_FITTED: readonly PartId[] = [
  'engine',
  'turbine',
  'catalyst',
  'filter',
  'silencer',
  'dp-sensor',
  'high-pipe',
];

export const fittedOn = ({ family }: BenchVehicle): PartId[] => [
  ...ALWAYS_FITTED,
  ...(family.dpLowSide === 'pipe' ? (['low-pipe'] as const) : []),
  ...(family.backPressureSensor ? (['back-pressure-sensor'] as const) : []),
  ...(family.downstreamBrick ? (['scr'] as const) : []),
  ...family.egts.map((number) => `egt${number}` as const),
];

/** Driven for a while on the road with one pull, as a customer's vehicle has been; then parked. */
function drivenIn(vehicle: BenchVehicle, cold: boolean): void {
  const driver = new Driver(vehicle);
  const truck = vehicle.family.kind === 'truck';
  driver.follow({ do: 'key-on' }, 6);
  for (let i = 0; i < 4 && !vehicle.plant.engine.running; i++) driver.follow({ do: 'start' }, 2);
  driver.follow({ do: 'idle' }, 40);
  driver.follow({ do: 'cruise', kmPerH: 55 }, 420);
  driver.follow({ do: 'pull', gear: truck ? 5 : 3 }, truck ? 14 : 9);
  driver.follow({ do: 'cruise', kmPerH: 30 }, 60);
  driver.follow({ do: 'cruise', kmPerH: 5 }, 30);
  driver.follow({ do: 'idle' }, 30);
  driver.follow({ do: 'off' }, 20);
  if (cold) perform(vehicle, { do: 'stand', hours: 9 });
}

/**
 * What the customer tells, as far as the vehicle’s faults have a history that people know of: a wrong sensor was put in by somebody,
 * crossed hoses too, a counter that is wrong has been visited. Told in so many of ten cases.
 */
function told(d: Dice, faults: readonly Fault[], customer: Customer): Record<string, boolean> {
  if (customer === 'silent') return {};
  if (customer === 'wrong')
    return Object.fromEntries(
      ['short-trips-told', 'sensor-changed', 'counter-set-back', 'cleaned-elsewhere'].map((id) => [
        id,
        d.chance(0.3),
      ]),
    );
  const has = (id: Fault['id']): boolean => faults.some((fault) => fault.id === id);
  return {
    'short-trips-told': d.chance(has('short-trips') ? 0.9 : 0.2),
    'sensor-changed': d.chance(has('dp-sensor-wrong') ? 0.8 : has('dp-hoses-crossed') ? 0.5 : 0.05),
    'counter-set-back': d.chance(has('soot-counter-reset') ? 0.75 : 0.02),
    'cleaned-elsewhere': d.chance(has('counter-not-reset') ? 0.8 : 0.04),
  };
}

/**
 * What the customer has noticed and a technician sees and hears, as far as the vehicle is really so: a leak that is large enough
 * whistles, a turbocharger that makes little boost is slow, an injector that gives too much knocks. Told in two of three cases, and
 * once in thirty without a ground.
 */
export function noticed(
  d: Dice,
  { wear, family, plant }: BenchVehicle,
  customer: Customer = 'plain',
): Record<string, boolean> {
  if (customer === 'silent') return {};
  const whenNot = customer === 'wrong' ? 0.15 : 0.03;
  const tells = (really: boolean, share = 0.67): boolean =>
    d.chance(really ? (customer === 'wrong' ? share / 2 : share) : whenNot);
  const vanesOpen = wear.vanesStuckAt !== undefined && wear.vanesStuckAt < 0.3;
  const coldStart = plant.ambientC < 12 && (wear.glowRelayDead || wear.glowPlugsDead > family.cylinders / 2);
  return {
    'rough-idle': tells(wear.overFuelling > 0.2, 0.75),
    'oil-used': tells(wear.oilIntoExhaustGPerS > 0.008, 0.75),
    'burn-failed': tells(wear.dosingOpen < 0.6, 0.7),
    lag: tells(vanesOpen || wear.turboEfficiency < 0.6),
    'choked-high-revs': tells(
      wear.catalystResistance > 20 || wear.downstreamResistance > 7 || (wear.vanesStuckAt ?? 0) > 0.7,
    ),
    whistle: tells(wear.chargeLeak > 0.4 || wear.unmeteredShare > 0.3),
    'hard-cold-start': tells(coldStart),
    'slow-to-warm': tells(wear.thermostatOpen > 0.5, 0.75),
    'clean-tailpipe': d.chance(wear.filterBypass > 0.15 ? 0.1 : 0.8),
  };
}

/** What the vehicle itself shows to whoever gets in and looks under the bonnet. */
function seen(vehicle: BenchVehicle, km: number): Record<string, boolean> {
  const { computer, family, plant } = vehicle;
  // The filter’s own lamp: by its load, or by a code of the filter and its pressure.
  const codes = findingsOfCodes([...computer.codes.values()].map(({ code, status }) => ({ code, status })));
  const lamp = ['code-soot-high', 'code-ash', 'code-dp-circuit', 'code-dp-plausible'].some((id) =>
    codes.has(id),
  );
  return {
    'power-limited': computer.powerLimit < 0.95,
    'filter-lamp': lamp || computer.sootG > family.regenStartGPerL * filterVolumeL(family.filter),
    'fuel-lamp': plant.fuelL / family.tankL < 0.12,
    'oil-counter-zero': computer.oilLifePercent <= 2,
    'high-distance': km > 200_000,
  };
}

/** Reads a vehicle’s codes and its baseline, and what that says. */
export function readIn(
  vehicle: BenchVehicle,
  drill: { readonly pull: boolean },
  tool: Life['tool'] = 'codes',
): Pick<ArrivedVehicle, 'facts' | 'context' | 'reading'> {
  const { family } = vehicle;
  const { log } = recordBaseline(vehicle, drill);
  const { recording, analysis, samples } = analyseRaw(log, { geometry: family.filter });
  const reading = readingFromLog(
    { analysis, samples, ...loggedFacts(recording) },
    { purpose: 'before', logId: madeId(1), fileName: 'baseline' },
  );
  return {
    facts: { ...scanBy(vehicle, tool), ...factsOfReading(reading) },
    context: contextOf(vehicle, reading),
    reading,
  };
}

function contextOf(vehicle: BenchVehicle, reading: ReadingBody): CheckContext {
  const { family } = vehicle;
  const context = {
    limits: DEFAULT_LIMITS,
    displacementL: family.displacementL,
    geometry: family.filter,
  };
  const soot = sootRoom(reading, family.filter, context, fittedOn(vehicle));
  return { ...context, ...(soot ? { sootByPressureG: soot } : {}) };
}

/** As tests of the diagnosis itself want it: a memory, a tool and a customer that leave nothing out. */
const PLAIN: Pick<Life, 'memory' | 'tool' | 'customer'> = {
  memory: 'clean',
  tool: 'codes',
  customer: 'plain',
};

/** Brings a vehicle in: driven, scanned, its baseline read; `seed` decides what the customer tells and whether it stood overnight. */
export function arrive(vehicle: BenchVehicle, seed: number, life = PLAIN): ArrivedVehicle {
  const d = dice(seed * 7919);
  drivenIn(vehicle, d.chance(0.4));
  if (life.memory === 'cleared') {
    new BenchHand(vehicle).keyOn(3);
    vehicle.startRoutine('clear-codes');
  }
  const { facts, context, reading } = readIn(vehicle, { pull: d.chance(0.5) }, life.tool);
  const known = {
    ...told(d, vehicle.faults, life.customer),
    ...noticed(d, vehicle, life.customer),
    ...seen(vehicle, vehicle.startKm),
  };
  return {
    vehicle,
    facts: { ...facts, findings: { ...known, ...facts.findings } },
    seen: known,
    reading,
    use: { distanceKm: vehicle.startKm, fitted: fittedOn(vehicle) },
    context,
    tool: life.tool,
  };
}

/** What a check at it decides. */
export const checkFindings = (
  { vehicle, context }: Pick<ArrivedVehicle, 'vehicle' | 'context'>,
  check: CheckId,
): Readonly<Record<string, boolean>> => judgeCheck(check, answerCheck(vehicle, check), context).findings;

/** Vehicle number `seed` of an endless row: a random family at a random distance, with one to three faults. */
export function faultyVehicle(seed: number, given?: readonly Fault[]): BenchVehicle {
  const d = dice(seed * 104_729);
  const family = d.pick(BENCH_FAMILIES);
  const faults = given ?? feltFaults(d, family);
  const ambientC = d.between(-5, 32);
  return new BenchVehicle({
    family,
    seed,
    faults,
    km: Math.round(d.between(30_000, 260_000)),
    start: { ambientC, barometerMbar: Math.round(d.between(920, 1030)), engineC: ambientC },
  });
}
