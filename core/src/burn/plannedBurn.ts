import type { FilterGeometry, FilterMaterial } from '../filter/index.ts';
import type { Catalyst } from './kinetics.ts';
import type { BurnScenario, InletPoint } from './scenario.ts';

/** A burn as it is planned: heat up, hold, cool with the flow kept up. */
export interface BurnPlan {
  readonly filter: FilterGeometry & { readonly material: FilterMaterial };
  readonly catalyst: Catalyst;
  readonly sootG: number;
  readonly ashG: number;
  /** Before the filter while it burns, °C. */
  readonly targetC: number;
  readonly exhaustKgPerS: number;
  readonly oxygenPercent: number;
  readonly no2Ppm?: number;
  readonly ambientC?: number;
  /** At the target, s. */
  readonly holdS?: number;
  readonly cells?: number;
}

/** What a warm exhaust has before dosing begins, °C, and how the parts of a burn take their time, s. */
const WARM_C = 250;
const HEATING_S = 240;
const HOLD_S = 1200;
const COOLING_S = 360;
/** A catalyst in front of the filter keeps the gas from falling at once. */
const COOLING_TO_C = 220;

/**
 * The scenario of a planned burn: from warm to the target in four minutes, hold, cool down at the same flow. Nothing
 * that is dosed burns in the filter itself.
 */
export function plannedBurn(plan: BurnPlan): BurnScenario {
  const { filter, catalyst, sootG, ashG, targetC, exhaustKgPerS, oxygenPercent, no2Ppm = 0 } = plan;
  const holdS = plan.holdS ?? HOLD_S;
  const at = (atS: number, inletC: number): InletPoint => ({
    atS,
    inletC,
    exhaustKgPerS,
    oxygenPercent,
    no2Ppm,
  });
  const warmC = Math.min(WARM_C, targetC);
  return {
    filter,
    catalyst,
    sootG,
    ashG,
    ambientC: plan.ambientC ?? 20,
    startC: warmC,
    ...(plan.cells === undefined ? {} : { cells: plan.cells }),
    profile: [
      at(0, warmC),
      at(HEATING_S, targetC),
      at(HEATING_S + holdS, targetC),
      at(HEATING_S + holdS + COOLING_S, Math.min(COOLING_TO_C, targetC)),
    ],
    endS: HEATING_S + holdS + COOLING_S,
  };
}
