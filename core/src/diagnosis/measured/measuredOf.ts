import { CLEAN, filterByEngine, filterVolumeL, pressureDrop, USUAL_ENGINE_L } from '../../filter/index.ts';
import { steadySamplesOf, type SteadySample } from '../../ledger/index.ts';
import type { Limits } from '../../limits/index.ts';
import { manifoldTrustOf, steadyFlow } from '../../readings/index.ts';
import type { Evidence } from '../network.ts';
import type { Measured } from '../weigh.ts';
import { AIR_CAUSES, airMassChance } from './airMass.ts';
import { backPressureChance, type BackPressureRow } from './backPressure.ts';
import { coolantChance } from './coolant.ts';
import { manifoldChance, type ManifoldRow } from './manifold.ts';
import { onceEach } from './onceEach.ts';
import { pressureDropChance, type DropReading, type DropSample } from './pressureDrop.ts';
import { PRESSURE_CAUSES } from './states.ts';
import { sootCounterChance, type BesideCounter } from './sootCounter.ts';
import { TEMPERATURE_CAUSES, temperaturesChance, type TemperatureRow } from './temperatures.ts';
import { type MeasuredReading, type MeasuredVehicle, RAISED_RPM, airRatio } from './airRatio.ts';

/** Spread of the logarithm of the clean figure of a size that was entered, and of the flow where the engine’s size is a guess. */
const KNOWN_FILTER = 0.12;
const ASSUMED_ENGINE = 0.3;

/** Recirculated gas at idle stands in the place of air, so that speed and manifold pressure tell little of the flow. */
const IDLE_BY_SPEED = 0.35;
const IDLE_METERED = 0.2;
const HOLD_OWN = 0.08;
const AIR_UNKNOWN_HEIGHT_MBAR = 25;

/** Spread of the logarithm of what a fill level of 100 % stands for. */
const PERCENT_DOUBT = 0.4;

function dropReading(
  { samples, barometerMbar }: MeasuredReading,
  { displacementL, geometry }: MeasuredVehicle,
  limits: Limits,
  { gaugeHigh, manifoldTrust }: { readonly gaugeHigh: boolean | undefined; readonly manifoldTrust: number },
): DropReading | undefined {
  const filter = geometry ?? filterByEngine(displacementL, limits.filterPerEngineSize);
  const context = {
    limits,
    displacementL: displacementL ?? USUAL_ENGINE_L,
    manifoldTrust,
    ...(barometerMbar === undefined ? {} : { barometerMbar }),
  };
  const row = (sample: SteadySample): DropSample | undefined => {
    if (sample.kind === 'key-off' || sample.rpm === 0)
      return { dpMbar: sample.dpMbar, cleanMbar: 0, ownDoubt: 0 };
    const flow = steadyFlow(sample, context);
    if (!flow.ok) return undefined;
    const clean = pressureDrop(filter, CLEAN, flow.value);
    if (!clean.ok) return undefined;
    const byMeter = flow.value.airSource === 'air-meter';
    const ownDoubt = sample.rpm < RAISED_RPM ? (byMeter ? IDLE_METERED : IDLE_BY_SPEED) : HOLD_OWN;
    return { dpMbar: sample.dpMbar, cleanMbar: clean.value.totalMbar, ownDoubt };
  };
  const rows = steadySamplesOf(samples)
    .map(row)
    .filter((one) => one !== undefined);
  if (rows.length === 0) return undefined;
  const cleanMbar = Math.max(...rows.map((one) => one.cleanMbar));
  return {
    samples: rows,
    // It is read in a hold: at about the most flow that was read.
    ...(gaugeHigh === undefined || cleanMbar === 0
      ? {}
      : { gauge: { high: gaugeHigh, limitMbar: limits.gaugeHighMbar, cleanMbar } }),
    // An engine that is a guess stands in the class of its filter already.
    doubt: filter.size?.cleanSd ?? Math.hypot(KNOWN_FILTER, displacementL === undefined ? ASSUMED_ENGINE : 0),
  };
}

function sootPerLitre(
  { sootCounterG, sootPercent }: MeasuredReading,
  { displacementL, geometry }: MeasuredVehicle,
  { sootAtHundredPercentGPerL: atHundredGPerL, filterPerEngineSize: perEngine }: Limits,
): { readonly gPerL: number; readonly doubt: number; readonly sharesSize: boolean } | undefined {
  const filter = geometry ?? filterByEngine(displacementL, perEngine);
  if (sootCounterG !== undefined)
    return {
      gPerL: sootCounterG / filterVolumeL(filter),
      doubt: filter.size?.cleanSd ?? KNOWN_FILTER,
      sharesSize: filter.size !== undefined,
    };
  if (sootPercent !== undefined)
    return { gPerL: (atHundredGPerL * sootPercent) / 100, doubt: PERCENT_DOUBT, sharesSize: false };
  return undefined;
}

/** Under this much over its zero a pressure is no measure of what is in the filter, mbar. */
const LEAST_RISE_MBAR = 1;

/** Restriction in the row of most flow, its zero taken off: what the counter is judged beside. */
function besideCounter({ samples, doubt }: DropReading, sharesSize: boolean): BesideCounter | undefined {
  const rest = samples.filter(({ cleanMbar }) => cleanMbar === 0).map(({ dpMbar }) => dpMbar);
  const zero = rest.length === 0 ? 0 : rest.reduce((sum, one) => sum + one, 0) / rest.length;
  const [most] = samples.toSorted((a, b) => b.cleanMbar - a.cleanMbar);
  if (!most || most.cleanMbar === 0) return undefined;
  const rise = Math.max(most.dpMbar - zero, LEAST_RISE_MBAR);
  return { restriction: rise / most.cleanMbar, doubt: Math.hypot(doubt, most.ownDoubt), sharesSize };
}

/** Pressures before the turbo, against the air: as it was read, or as the manifold shows it at rest. */
function backPressureRows({ samples, barometerMbar }: MeasuredReading): {
  readonly rows: readonly BackPressureRow[];
  readonly airMbar: number;
  readonly doubtMbar: number;
} {
  const atRest = samples.find(({ kind, manifoldMbar }) => kind === 'key-off' && manifoldMbar !== undefined);
  const airMbar = barometerMbar ?? atRest?.manifoldMbar ?? 1000;
  return {
    airMbar,
    doubtMbar: barometerMbar !== undefined ? 2 : atRest ? 8 : AIR_UNKNOWN_HEIGHT_MBAR,
    rows: samples.flatMap(({ kind, rpm, backPressureMbar, manifoldMbar }): BackPressureRow[] =>
      backPressureMbar === undefined || kind === 'snap'
        ? []
        : [
            {
              running: kind !== 'key-off' && rpm > 0,
              held: rpm >= RAISED_RPM,
              backPressureMbar,
              ...(manifoldMbar === undefined ? {} : { boostMbar: Math.max(0, manifoldMbar - airMbar) }),
            },
          ],
    ),
  };
}

/** Beside a manifold pressure as far as that is to be believed, beside none for the rest. */
function backPressureOf(reading: MeasuredReading, manifoldTrust: number): Measured['chance'] | undefined {
  const { rows, airMbar, doubtMbar } = backPressureRows(reading);
  const beside = backPressureChance(rows, airMbar, doubtMbar);
  if (manifoldTrust >= 1 || !beside) return beside;
  const alone = backPressureChance(
    rows.map(({ boostMbar: _, ...row }) => row),
    airMbar,
    doubtMbar,
  );
  return alone && ((set) => manifoldTrust * beside(set) + (1 - manifoldTrust) * alone(set));
}

/** Manifold pressures against the air: as it was read, or as the sensor before the turbo shows it at rest. */
function manifoldRows({ samples, barometerMbar }: MeasuredReading): {
  readonly rows: readonly ManifoldRow[];
  readonly airMbar: number;
  readonly doubtMbar: number;
} {
  const beside = samples.find(
    ({ kind, backPressureMbar }) => kind === 'key-off' && backPressureMbar !== undefined,
  )?.backPressureMbar;
  return {
    airMbar: barometerMbar ?? beside ?? 1000,
    doubtMbar: barometerMbar !== undefined ? 2 : beside !== undefined ? 40 : AIR_UNKNOWN_HEIGHT_MBAR,
    rows: samples.flatMap(({ kind, rpm, manifoldMbar }): ManifoldRow[] =>
      manifoldMbar === undefined || kind === 'snap' || kind === 'full-load'
        ? []
        : [
            {
              kind: kind === 'key-off' || rpm === 0 ? 'at-rest' : rpm >= RAISED_RPM ? 'held' : 'idle',
              manifoldMbar,
            },
          ],
    ),
  };
}

/** Up to here a vehicle at rest is cold through, °C. */
const COLD_UP_TO_C = 45;

function temperatureRows({ samples }: MeasuredReading): TemperatureRow[] {
  return samples.flatMap(({ kind, rpm, coolantC, intakeAirC, ...sample }): TemperatureRow[] => {
    const egts = new Map(
      ([1, 2, 3, 4] as const).flatMap((one) => {
        const c = sample[`egt${one}C`];
        return c === undefined ? [] : [[one, c] as const];
      }),
    );
    if (egts.size === 0) return [];
    if (kind !== 'key-off' && rpm > 0)
      return kind === 'snap' || kind === 'full-load'
        ? []
        : [{ kind: rpm >= RAISED_RPM ? 'held' : 'idle', egts, beside: [] }];
    const beside = [coolantC, intakeAirC].filter((c) => c !== undefined);
    const sorted = [...egts.values()].toSorted((a, b) => a - b);
    const middle = sorted[Math.floor((sorted.length - 1) / 2)] as number;
    // A hot line cools unevenly, and an engine that never warms has a hot line: only a cold one has one temperature.
    return Math.max(coolantC ?? middle, middle) <= COLD_UP_TO_C ? [{ kind: 'cold', egts, beside }] : [];
  });
}

/** The warmest coolant with the engine running. */
function warmestCoolant({ samples }: MeasuredReading): number | undefined {
  const running = samples.flatMap(({ kind, rpm, coolantC }) =>
    coolantC === undefined || kind === 'key-off' || rpm === 0 ? [] : [coolantC],
  );
  return running.length === 0 ? undefined : Math.max(...running);
}

/** Causes that change each value. */
const CAUSES = {
  pressure: new Set(PRESSURE_CAUSES),
  pressureAndLine: new Set([...PRESSURE_CAUSES, 'downstream-restricted']),
  soot: new Set([...PRESSURE_CAUSES, 'soot-counter-reset', 'counter-not-reset']),
  backPressure: new Set([
    'back-pressure-sensor-failed',
    'back-pressure-pipe-blocked',
    'sensor-wiring',
    'soot-loaded',
    'ash-full',
    'catalyst-restricted',
    'downstream-restricted',
  ]),
  air: new Set(AIR_CAUSES),
  manifold: new Set(['manifold-sensor-failed', 'sensor-wiring']),
  temperatures: new Set<string>(TEMPERATURE_CAUSES),
  coolant: new Set(['thermostat-stuck-open']),
};

/** Yes-or-no findings that the sizes themselves say better. */
const SAID_BY: Readonly<Record<string, readonly string[]>> = {
  'dp-measured': [
    'dp-no-response',
    'dp-stuck-high',
    'dp-zero-offset',
    'dp-reversed',
    'dp-high-idle',
    'dp-high-hold',
    'dp-low-for-flow',
  ],
  'soot-measured': ['soot-high', 'soot-disagrees-with-pressure'],
  'back-pressure-measured': ['ebp-no-response', 'ebp-key-on-mismatch', 'ebp-low-for-boost'],
  'air-measured': ['maf-low-for-speed', 'maf-high-for-speed'],
  'manifold-measured': ['map-key-on-mismatch', 'map-no-response'],
};

/** What a whole log says of these is more than its few steady figures. */
const SAID_BY_LOG = {
  temperatures: /^egt\d-(open|stuck|cold-mismatch)$/,
  coolant: /^coolant-below-regen-temperature$/,
};

/**
 * The measured values of a reading as evidence, each by its size with its doubt, and the findings whose place they take.
 * Nothing that was not read says anything.
 */
export function measuredOf(
  whole: MeasuredReading,
  vehicle: MeasuredVehicle,
  limits: Limits,
  /** What else is known: of a gauge in the line, and what a log said. */
  evidence: Evidence = {},
): { readonly measured: readonly Measured[]; readonly instead: ReadonlySet<string> } {
  const reading = { ...whole, samples: onceEach(whole.samples) };
  const { barometerMbar } = reading;
  const manifoldTrust = manifoldTrustOf(reading.samples, {
    limits,
    ...(barometerMbar === undefined ? {} : { barometerMbar }),
  });
  const drop = dropReading(reading, vehicle, limits, { gaugeHigh: evidence['gauge-high'], manifoldTrust });
  const dropChance = drop && pressureDropChance(drop);
  const soot = sootPerLitre(reading, vehicle, limits);
  const backPressure = backPressureOf(reading, manifoldTrust);
  const air = airRatio(reading, vehicle, limits, manifoldTrust);
  const inManifold = manifoldRows(reading);
  const manifold = manifoldChance(inManifold.rows, inManifold.airMbar, inManifold.doubtMbar);
  const saidByLog = (pattern: RegExp): boolean => Object.keys(evidence).some((id) => pattern.test(id));
  const temperatures = saidByLog(SAID_BY_LOG.temperatures)
    ? undefined
    : temperaturesChance(temperatureRows(reading));
  const coolantC = saidByLog(SAID_BY_LOG.coolant) ? undefined : warmestCoolant(reading);
  const measured: Measured[] = [
    ...(dropChance
      ? [
          {
            id: 'dp-measured',
            causes: drop.gauge ? CAUSES.pressureAndLine : CAUSES.pressure,
            chance: dropChance,
          },
        ]
      : []),
    ...(soot
      ? [
          {
            id: 'soot-measured',
            causes: CAUSES.soot,
            chance: sootCounterChance(soot.gPerL, soot.doubt, drop && besideCounter(drop, soot.sharesSize)),
          },
        ]
      : []),
    ...(backPressure
      ? [{ id: 'back-pressure-measured', causes: CAUSES.backPressure, chance: backPressure }]
      : []),
    ...(air ? [{ id: 'air-measured', causes: CAUSES.air, chance: airMassChance(air.ratio, air.doubt) }] : []),
    ...(manifold ? [{ id: 'manifold-measured', causes: CAUSES.manifold, chance: manifold }] : []),
    ...(temperatures
      ? [{ id: 'temperatures-measured', causes: CAUSES.temperatures, chance: temperatures }]
      : []),
    ...(coolantC === undefined
      ? []
      : [{ id: 'coolant-measured', causes: CAUSES.coolant, chance: coolantChance(coolantC) }]),
  ];
  return { measured, instead: new Set(measured.flatMap(({ id }) => SAID_BY[id] ?? [])) };
}
