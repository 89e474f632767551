import * as wording from '@white-ember/core/words/screens/live';
import type { UnitChoice } from '@white-ember/core/words';
import {
  exhaustMassGPerS,
  filterVolumeL,
  pressureDrop,
  speedDensityGPerS,
  type FilterGeometry,
} from '@white-ember/core/filter';
import type { Limits } from '@white-ember/core/limits';
import type { Unit } from '@white-ember/core/quantities';
import type { ChannelRole } from '@white-ember/core/readings';
import { withUnit, atMost } from '../../ui/format.ts';

export interface LiveFacts {
  readonly limits: Limits;
  readonly geometry: FilterGeometry | undefined;
  readonly displacementL: number | undefined;
  readonly latest: (role: ChannelRole) => number | undefined;
}

/** What a clean filter of this size would read at the flow and temperature of now, mbar; undefined where they are not known. */
export function cleanNowMbar({ limits, geometry, latest }: LiveFacts): number | undefined {
  const air = latest('massAirFlow');
  if (!geometry || air === undefined || air < 2) return undefined;
  const temperatures = [latest('egt3'), latest('egt4')].filter(
    (value): value is number => value !== undefined && value > -35 && value < 950,
  );
  const temperatureC =
    temperatures.length > 0
      ? temperatures.reduce((a, b) => a + b, 0) / temperatures.length
      : limits.filterTempHoldC;
  const drop = pressureDrop(
    geometry,
    { sootG: 0, ashG: 0 },
    {
      exhaustKgPerS: exhaustMassGPerS(air, limits.airFuelRatioUnloaded) / 1000,
      temperatureC,
      outletPressurePa: (latest('barometricPressure') ?? 1013) * 100,
    },
  );
  return drop.ok ? drop.value.totalMbar : undefined;
}

const IDLE_BELOW_RPM = 1250;
/** Held by foot, a speed counts for the one that is meant within this share. */
const NEAR = 0.08;

export interface LimitNow {
  /** The limit, in words. */
  readonly text: string;
  readonly over: boolean;
}

/** The limit that the ΔP of this moment is to be seen against; at the speeds that the limits are meant for. */
export function deltaPLimit(facts: LiveFacts, unit: Unit): LimitNow | undefined {
  const { limits, latest } = facts;
  const rpm = latest('engineSpeed');
  const value = latest('dpfDeltaP');
  if (rpm === undefined || value === undefined) return undefined;
  if (rpm < 50) {
    const limit = limits.dpZeroOffsetMbar;
    return { text: wording.engineOff0(withUnit(limit, unit)), over: Math.abs(value) > limit };
  }
  if (value < -limits.dpZeroDoubtMbar) return { text: wording.below0WithTheEngineRunningHoses, over: true };
  if (rpm < IDLE_BELOW_RPM) {
    const limit = limits.dpIdleGoodMbar;
    return { text: wording.atIdleGoodTo(withUnit(limit, unit)), over: value > limit };
  }
  // The limits of the holds are meant for their speeds; at another flow they would say nothing, so nothing is said.
  const held = (
    [
      [2500, limits.dp2500GoodMbar],
      [3000, limits.dp3000GoodMbar],
    ] as const
  ).find(([at]) => Math.abs(rpm - at) <= NEAR * at);
  if (!held) return undefined;
  const [at, limit] = held;
  return { text: wording.atRpmGoodTo(at, withUnit(limit, unit)), over: value > limit };
}

/** With the engine off an absolute sensor shows what the barometer shows. */
const atRest =
  (role: ChannelRole) =>
  ({ limits, latest }: LiveFacts, { pressure }: UnitChoice): LimitNow | undefined => {
    const [value, barometer, rpm] = [latest(role), latest('barometricPressure'), latest('engineSpeed')];
    if (value === undefined || barometer === undefined || rpm === undefined || rpm >= 50) return undefined;
    const percent = limits.keyOnPercent;
    return {
      text: wording.engineOff(withUnit(barometer, pressure), atMost(percent, 1)),
      over: Math.abs(value - barometer) > (percent / 100) * barometer,
    };
  };

/** What engine speed and manifold pressure call for; recirculation takes air away, so only a hold is judged. */
function airLimit(
  { limits, displacementL, latest }: LiveFacts,
  { massFlow }: UnitChoice,
): LimitNow | undefined {
  const [air, rpm, manifold] = [latest('massAirFlow'), latest('engineSpeed'), latest('manifoldPressure')];
  if (air === undefined || rpm === undefined || manifold === undefined || displacementL === undefined)
    return undefined;
  if (rpm < IDLE_BELOW_RPM) return undefined;
  const wanted = speedDensityGPerS({
    displacementL,
    rpm,
    manifoldMbar: manifold,
    manifoldC: latest('intakeAirTemp') ?? 25,
    volumetricEfficiency: limits.volumetricEfficiency,
  });
  if (!wanted.ok || wanted.value <= 0) return undefined;
  const { mafToSpeedDensityLow: low, mafToSpeedDensityHigh: high } = limits;
  const ratio = air / wanted.value;
  return {
    text: wording.toBySpeedDensity(
      withUnit(low * wanted.value, massFlow),
      withUnit(high * wanted.value, massFlow),
    ),
    over: ratio < low || ratio > high,
  };
}

const circuit =
  (role: ChannelRole) =>
  ({ limits, latest }: LiveFacts, { temperature }: UnitChoice): LimitNow | undefined => {
    const value = latest(role);
    const { egtOpenLowC: low, egtOpenHighC: high } = limits;
    if (value === undefined || (value > low && value < high)) return undefined;
    return {
      text: wording.aCircuitNoTemperatureBeyondTo(withUnit(low, temperature), withUnit(high, temperature)),
      over: true,
    };
  };

function coolantLimit({ limits, latest }: LiveFacts, { temperature }: UnitChoice): LimitNow | undefined {
  const value = latest('coolantTemp');
  if (value === undefined) return undefined;
  const warm = withUnit(limits.coolantWarmC, temperature);
  return {
    text: value < limits.coolantWarmC ? wording.notWarmYetFrom(warm) : wording.warmFrom(warm),
    over: false,
  };
}

function sootLimit({ limits, geometry, latest }: LiveFacts, { soot }: UnitChoice): LimitNow | undefined {
  const value = latest('sootMass');
  if (value === undefined) return undefined;
  const limit = geometry ? limits.sootHighGPerL * filterVolumeL(geometry) : limits.sootHighG;
  return { text: wording.highAbove(withUnit(limit, soot)), over: value > limit };
}

const LIMITS: Readonly<
  Partial<Record<ChannelRole, (facts: LiveFacts, units: UnitChoice) => LimitNow | undefined>>
> = {
  dpfDeltaP: (facts, { pressure }) => deltaPLimit(facts, pressure),
  exhaustBackPressure: atRest('exhaustBackPressure'),
  manifoldPressure: atRest('manifoldPressure'),
  massAirFlow: airLimit,
  egt1: circuit('egt1'),
  egt2: circuit('egt2'),
  egt3: circuit('egt3'),
  egt4: circuit('egt4'),
  coolantTemp: coolantLimit,
  sootMass: sootLimit,
};

/** The limit that a channel is to be seen against at this moment; none where there is none that would say something. */
export const limitNow = (role: ChannelRole, facts: LiveFacts, units: UnitChoice): LimitNow | undefined =>
  LIMITS[role]?.(facts, units);
