import { say, type Said } from '../words/index.ts';
import { exhaustMassGPerS, filterFlow, speedDensityGPerS, type FilterFlow } from '../filter/index.ts';
import type { ReadingSample, SteadySample } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { failed, success, MBAR_TO_PA, type Result } from '../quantities/index.ts';

/** What is known of the vehicle when a flow is worked out. */
export interface FlowContext {
  readonly limits: Limits;
  readonly displacementL?: number;
  readonly barometerMbar?: number;
  /** How far the manifold sensor is to be believed, 0–1, by what it shows at rest; absent: wholly. */
  readonly manifoldTrust?: number;
}

export type AirSource = 'air-meter' | 'speed-density';

export interface SteadyFlow extends FilterFlow {
  readonly airSource: AirSource;
  /** Relative doubt of the flow itself (90 %), which before and after share in part. */
  readonly flowDoubt: number;
  /** Sentences on what was assumed because it was not read. */
  readonly assumptions: readonly Said[];
}

const ASSUMED_INTAKE_C = 25;
const ASSUMED_BAROMETER_MBAR = 1013;
/** Doubts of the air figure (90 %): an MAF sensor in order, speed–density with read pressure, and with assumed pressure. */
const AIR_DOUBT = {
  meter: 0.05,
  speedDensity: 0.1,
  speedDensityAssumed: 0.18,
  // Recirculated gas fills cylinders at idle and passes no filter: up to a third of what speed and pressure call for.
  speedDensityIdle: 0.35,
} as const;
/** From here on a speed is no idle any more, and recirculation is taken to be shut, rpm. */
const RAISED_RPM = 1500;

/** Doubts by the temperature of the bed (90 %): it is not what a sensor in the gas shows, least while it warms up. */
const TEMPERATURE_DOUBT = { read: 0.03, assumed: 0.08 } as const;

interface Air {
  readonly gPerS: number;
  readonly source: AirSource;
  readonly doubt: number;
  readonly assumptions: readonly Said[];
}

/** Air on any road, mbar: a manifold sensor at rest beyond this shows no air. */
const AIR_ON_EARTH = { low: 550, high: 1090 } as const;

/**
 * How far the manifold sensor of a reading is to be believed, by what it shows with the engine off: there it is at air pressure. Up to
 * the limit of the profile wholly, from twice that not at all, between by its share, so that no figure is a cliff.
 * @returns 1 where nothing was read at rest, or nothing to hold it against
 */
export function manifoldTrustOf(
  samples: readonly ReadingSample[],
  { barometerMbar, limits }: Pick<FlowContext, 'barometerMbar' | 'limits'>,
): number {
  const rest = samples.find(({ kind, manifoldMbar }) => kind === 'key-off' && manifoldMbar !== undefined);
  if (rest?.manifoldMbar === undefined) return 1;
  const { low, high } = AIR_ON_EARTH;
  const nearest = Math.min(Math.max(rest.manifoldMbar, low), high);
  const air = barometerMbar ?? nearest;
  const offPercent = (100 * Math.abs(rest.manifoldMbar - air)) / air;
  return Math.min(1, Math.max(0, 2 - offPercent / limits.keyOnPercent));
}

/** Air by speed–density where the engine size is known; missing manifold pressure and intake air are assumed aloud. */
function airBySpeedDensity(
  sample: SteadySample,
  context: FlowContext,
  barometerMbar: number,
): Air | undefined {
  if (context.displacementL === undefined || sample.rpm <= 0) return undefined;
  const assumptions: Said[] = [];
  const { manifoldTrust: trust = 1 } = context;
  const manifoldMbar = trust > 0 ? sample.manifoldMbar : undefined;
  if (sample.manifoldMbar === undefined)
    assumptions.push(say('findings.manifold-pressure-not-read-taken', { barometerMbar }));
  else if (trust < 1)
    assumptions.push(
      say('findings.manifold-pressure-off-at-rest', { barometerMbar, share: 100 * (1 - trust) }),
    );
  if (sample.intakeAirC === undefined)
    assumptions.push(say('findings.intake-air-not-read-taken', { assumedC: ASSUMED_INTAKE_C }));
  const idles = sample.rpm < RAISED_RPM;
  if (idles) assumptions.push(say('findings.flow-at-idle-by-engine'));
  const air = speedDensityGPerS({
    displacementL: context.displacementL,
    rpm: sample.rpm,
    manifoldMbar:
      manifoldMbar === undefined ? barometerMbar : barometerMbar + trust * (manifoldMbar - barometerMbar),
    manifoldC: sample.intakeAirC ?? ASSUMED_INTAKE_C,
    volumetricEfficiency: context.limits.volumetricEfficiency,
  });
  if (!air.ok) return undefined;
  return {
    gPerS: air.value,
    source: 'speed-density',
    doubt: idles
      ? AIR_DOUBT.speedDensityIdle
      : AIR_DOUBT.speedDensityAssumed -
        (manifoldMbar === undefined ? 0 : trust) * (AIR_DOUBT.speedDensityAssumed - AIR_DOUBT.speedDensity),
    assumptions,
  };
}

function chooseAir(sample: SteadySample, context: FlowContext, barometerMbar: number): Air | undefined {
  const computed = airBySpeedDensity(sample, context, barometerMbar);
  const metered = sample.airMassGPerS;
  if (metered === undefined || metered <= 0) return computed;
  const meter: Air = { gPerS: metered, source: 'air-meter', doubt: AIR_DOUBT.meter, assumptions: [] };
  // What does not agree with the air at rest judges no other sensor.
  if (!computed || sample.manifoldMbar === undefined || (context.manifoldTrust ?? 1) < 1) return meter;
  const ratio = metered / computed.gPerS;
  const { mafToSpeedDensityLow: low, mafToSpeedDensityHigh: high } = context.limits;
  if (ratio >= low && ratio <= high) return meter;
  return {
    ...computed,
    assumptions: [
      ...computed.assumptions,
      say('findings.maf-sensor-not-used', { metered, gPerS: computed.gPerS, ratio, low, high }),
    ],
  };
}

/**
 * Flow through the filter at a steady sample: air by the meter where it can be believed, else by speed–density, plus
 * fuel, at the filter's temperature and mean pressure. Everything that was not read is assumed from the limits profile
 * and said. Fails where neither air mass nor engine size is known.
 */
export function steadyFlow(sample: SteadySample, context: FlowContext): Result<SteadyFlow> {
  const barometerMbar = context.barometerMbar ?? ASSUMED_BAROMETER_MBAR;
  const air = chooseAir(sample, context, barometerMbar);
  if (!air) {
    return failed({
      code: 'not-enough-data',
      field: say('findings.flow-at-rpm', { rpm: sample.rpm }),
      requirement: say('findings.needs-the-air-mass'),
    });
  }
  const assumptions = [...air.assumptions];
  const assumedC = sample.kind === 'idle' ? context.limits.filterTempIdleC : context.limits.filterTempHoldC;
  if (sample.filterC === undefined)
    assumptions.push(say('findings.filter-temperature-not-read-taken', { assumedC }));
  if (context.barometerMbar === undefined)
    assumptions.push(say('findings.barometer-not-read-taken', { assumedMbar: ASSUMED_BAROMETER_MBAR }));
  const exhaust = exhaustMassGPerS(air.gPerS, context.limits.airFuelRatioUnloaded) / 1000;
  const tailMbar = sample.kind === 'hold' ? context.limits.tailHoldMbar : 0;
  const outletPa = (barometerMbar + tailMbar) * MBAR_TO_PA;
  const flow = filterFlow(exhaust, sample.filterC ?? assumedC, outletPa, sample.dpMbar);
  return success({
    ...flow,
    airSource: air.source,
    flowDoubt: Math.hypot(
      air.doubt,
      sample.filterC === undefined ? TEMPERATURE_DOUBT.assumed : TEMPERATURE_DOUBT.read,
    ),
    assumptions,
  });
}
