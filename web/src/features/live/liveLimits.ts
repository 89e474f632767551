import { exhaustMassGPerS, pressureDrop, type FilterGeometry } from '@white-ember/core/filter';
import type { Limits } from '@white-ember/core/limits';
import type { Unit } from '@white-ember/core/quantities';
import type { ChannelRole } from '@white-ember/core/readings';
import { withUnit } from '../../ui/format.ts';

export interface LiveFacts {
  readonly limits: Limits;
  readonly geometry: FilterGeometry | undefined;
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

/** The limit that the ΔP of this moment is to be seen against, in words; at the speeds that the limits are meant for. */
export function deltaPLimit(facts: LiveFacts, unit: Unit): { text: string; over: boolean } | undefined {
  const { limits, latest } = facts;
  const rpm = latest('engineSpeed');
  const value = latest('dpfDeltaP');
  if (rpm === undefined || value === undefined) return undefined;
  if (rpm < 50) {
    const limit = limits.dpZeroOffsetMbar;
    return { text: `engine off: 0 ± ${withUnit(limit, unit)}`, over: Math.abs(value) > limit };
  }
  if (value < -limits.dpZeroDoubtMbar)
    return { text: 'below 0 with the engine running: hoses, pipes or sensor', over: true };
  if (rpm < IDLE_BELOW_RPM) {
    const limit = limits.dpIdleGoodMbar;
    return { text: `at idle good to ${withUnit(limit, unit)}`, over: value > limit };
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
  return { text: `at ${at} rpm good to ${withUnit(limit, unit)}`, over: value > limit };
}
