import { say, type Said } from '../words/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import { type BurnMoment, type BurnPhase, type BurnRule, type BurnWatch, rulesOf } from './burnRules.ts';

/** The channel that each figure of a moment is read from. */
export const BURN_CHANNELS: readonly (readonly [Exclude<keyof BurnMoment, 'atS'>, ChannelRole])[] = [
  ['rpm', 'engineSpeed'],
  ['kmPerH', 'vehicleSpeed'],
  ['airGPerS', 'massAirFlow'],
  ['egt1C', 'egt1'],
  ['egt2C', 'egt2'],
  ['egt3C', 'egt3'],
  ['egt4C', 'egt4'],
  ['coolantC', 'coolantTemp'],
  ['sootG', 'sootMass'],
];

export interface BurnState {
  readonly phase: BurnPhase;
  readonly rules: readonly BurnRule[];
  /** The worst rule that is broken. */
  readonly broken?: BurnRule;
  /** Hottest bed by model or sensor, °C; absent where neither is known. */
  readonly bedC?: number;
  /** Model and sensor behind the filter are too far apart to believe the model. */
  readonly doubt?: Said;
  /** What to do now, in a sentence. */
  readonly text: Said;
}

/**
 * Where a burn stands and whether it may go on: each rule with its value and limit. Dosing is stopped and the flow kept up
 * where one is broken; only a fire has another rule. Nothing is concluded from a channel that is not read.
 */
export function judgeBurnRun(moments: readonly BurnMoment[], watch: BurnWatch): BurnState {
  const { limits, estimate, stoppedAtS } = watch;
  const now = moments.at(-1);
  const sensorC = now?.egt4C;
  const bedC =
    estimate || sensorC !== undefined ? Math.max(estimate?.bedC ?? -60, sensorC ?? -60) : undefined;
  const phase = phaseOf(moments, watch, bedC);
  const rules = rulesOf(moments, watch, { phase, bedC });
  const broken = rules.find(({ state }) => state === 'broken');
  const apart =
    estimate !== undefined &&
    sensorC !== undefined &&
    (sensorC > estimate.outletHighC + limits.modelOffC || sensorC < estimate.outletLowC - limits.modelOffC);
  return {
    phase,
    rules,
    ...(broken ? { broken } : {}),
    ...(bedC === undefined ? {} : { bedC }),
    ...(apart
      ? {
          doubt: say('treatment.model-to-c-after', {
            outletLowC: estimate.outletLowC,
            outletHighC: estimate.outletHighC,
            sensorC,
            modelOffC: limits.modelOffC,
          }),
        }
      : {}),
    text: broken ? actText(broken) : phaseText(phase, watch, bedC, stoppedAtS, now?.atS ?? 0),
  };
}

function phaseOf(
  moments: readonly BurnMoment[],
  { limits, stoppedAtS }: BurnWatch,
  bedC: number | undefined,
): BurnPhase {
  if (stoppedAtS !== undefined) return bedC !== undefined && bedC <= limits.cooledBedC ? 'cold' : 'cooling';
  const reached = moments.some(({ egt3C }) => egt3C !== undefined && egt3C >= limits.regenEgt3C);
  return reached ? 'burning' : 'heating';
}

function phaseText(
  phase: BurnPhase,
  { limits, estimate }: BurnWatch,
  bedC: number | undefined,
  stoppedAtS: number | undefined,
  nowS: number,
): Said {
  switch (phase) {
    case 'heating':
      return say('treatment.heating-up-soot-burns', { regenEgt3C: limits.regenEgt3C });
    case 'burning':
      return estimate?.cleanInS === undefined
        ? say('treatment.keep')
        : say('treatment.clean-in-about', { cleanInS: estimate.cleanInS });
    case 'cooling':
      return bedC === undefined
        ? say('treatment.dosing-off-for-the-beds', {
            nowS: nowS - (stoppedAtS ?? nowS),
            clockBurnCoolingMin: limits.clockBurnCoolingMin,
          })
        : say('treatment.keep-the-revs-up-bed', { bedC, cooledBedC: limits.cooledBedC });
    case 'cold':
      return say('treatment.cooled-the-bed', { bedC, cooledBedC: limits.cooledBedC });
  }
}

const actText = ({ act, label, value, limit }: BurnRule): Said => {
  switch (act) {
    case 'leave':
      return say('treatment.everybody-away-from-the-vehicle');
    case 'flow-up':
      return say('treatment.get-the-revs-back-up', { label, value, limit });
    case 'stop':
      return say('treatment.stop-the-dosing-and-keep', { label, value, limit });
  }
};
